/** The demo's place and people. All invented. */
export const CLASS_NAME = 'Lantern Yard, Tuesday evening';
export const DEMO_PASSWORD = 'grey-room-practice';

const at = (name: string) => ({ name, email: `${name.split(' ')[0].toLowerCase()}@lanternyard.example` });
export const EDUCATOR = at('Odile Brandvoort');
export const STUDENTS = [
  'Amina Tessaly',
  'Bo Lindqvarn',
  'Carys Ollenby',
  'Dmitri Vasko',
  'Esme Adeyinor',
  'Farid Khoulani',
  'Greta Paulsund',
  'Hana Morikese',
  'Ivo Santarel',
  'Jun Seopark',
  'Kezia Bramwall',
  'Leo Marchetto',
].map(at);

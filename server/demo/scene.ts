import type { Answer } from '@cimbel/core/grade';
import type { Case } from '@cimbel/core/solve';

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

const client = (name: string, note: string) => ({ name, note });

export const CASES: Record<'graded' | 'due' | 'open', Case> = {
  graded: {
    client: client(
      'Mrs Pellerin',
      'Never coloured until now. Wears it short and wants the grey gone, warm rather than flat. Patch test clear on Sunday.',
    ),
    zone: { naturalLevel: 5, greyShare: 0.5, porosity: 'normal', diameter: 'medium' },
    service: 'shortAllOver',
    density: 'medium',
    target: { level: 5, tone: { primary: 'gold' } },
    lineId: 'tarnwick',
  },
  due: {
    client: client(
      'Tamsin R.',
      'Natural hair to the shoulder, no history. Dislikes any brass. Knows that lightening takes upkeep. Scalp sound.',
    ),
    zone: { naturalLevel: 5, greyShare: 0, porosity: 'normal', diameter: 'medium' },
    service: 'shoulderAllOver',
    density: 'dense',
    target: { level: 7, tone: { primary: 'ash' } },
    lineId: 'tarnwick',
  },
  open: {
    client: client(
      'Joss W.',
      'Sun and sea all summer; the hair drinks water. Wants a deeper, quiet brown for winter, nothing that has to be lifted later.',
    ),
    zone: { naturalLevel: 8, greyShare: 0, porosity: 'high', diameter: 'fine' },
    service: 'shoulderAllOver',
    density: 'sparse',
    target: { level: 6, tone: { primary: 'beige' } },
    lineId: 'quillet',
  },
};

/** Where a student departed from the key; `handIn: false` is still being worked on. */
export type DemoAnswer = Partial<Answer> & { handIn?: false };
const vol = (...vols: number[]) => vols.map((v) => ({ vol: v, parts: 1 }));
const shades = (...all: [string, number][]) => all.map(([label, parts]) => ({ label, parts }));

/** By student, in order; null has not started. A spread from full marks to a bad evening. */
export const ANSWERS_GRADED: readonly (DemoAnswer | null)[] = [
  {},
  { developer: vol(40, 0), shades: shades(['5:0', 2], ['5:1', 2]) },
  { naturalLevel: 4.5, shades: shades(['5:1', 1]) },
  { totalGrams: 150, minutes: 35 },
  { naturalLevel: 6, underlay: 'orange', counter: 'blue', developer: vol(10) },
  { shades: shades(['5:1', 2], ['5:0', 1]), ratio: 1 },
  { underlay: 'red', counter: 'green', shades: shades(['5:7', 1], ['5:0', 1]), minutes: 30 },
  null,
  { naturalLevel: 4, developer: vol(30), ratio: 2 / 3, totalGrams: 60 },
  { shades: shades(['6:1', 1], ['6:0', 1]), developer: vol(30) },
  { counter: 'blueGreen', shades: shades(['5:2', 1], ['5:0', 1]) },
  {
    naturalLevel: 5.5,
    counter: 'blue',
    shades: shades(['4:7', 1]),
    developer: vol(10),
    minutes: 20,
    totalGrams: 40,
    ratio: 1,
  },
];

export const ANSWERS_DUE: readonly (DemoAnswer | null)[] = [
  { handIn: false, shades: [], developer: [], ratio: null, totalGrams: null, minutes: null },
  {},
  { naturalLevel: 6, developer: vol(20) },
  { developer: vol(20, 40) },
  null,
  { underlay: 'orange', counter: 'blue', shades: shades(['8:7', 1]) },
  { shades: shades(['7:0', 1]), developer: vol(40) },
  null,
  { handIn: false, counter: null, shades: [], developer: [], ratio: null, totalGrams: null, minutes: null },
  { shades: shades(['7:75', 1]), totalGrams: 90 },
  null,
  { naturalLevel: 4, shades: shades(['9:7', 1]), developer: vol(40), minutes: 50 },
];

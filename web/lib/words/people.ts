import people from '../../locales/en/people.json';
import { addWords } from '../i18n';

/** Accounts, rosters and who did what. */
export const PEOPLE = people;
addWords('people', { people });

import reading from '../../locales/en/reading.json';
import { addWords } from '../i18n';

/** Practice, reading tests and what they show. */
export const READING = reading;
addWords('ui', { reading });

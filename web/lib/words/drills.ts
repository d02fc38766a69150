import drill from '../../locales/en/drill.json';
import { addWords } from '../i18n';

/** Names of skills and what is practised, and the words of questions that are reckoned or read. */
export const DRILLS = drill;
addWords('drill', { drill });

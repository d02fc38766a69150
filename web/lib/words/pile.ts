import pile from '../../locales/en/pile.json';
import { addWords } from '../i18n';

/** Marking a whole pile, and what is said of answers. */
export const PILE = pile;
addWords('pile', { pile });

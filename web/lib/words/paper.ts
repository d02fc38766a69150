import paper from '../../locales/en/paper.json';
import { addWords } from '../i18n';

/** What is printed in sets. */
export const PAPER = paper;
addWords('paper', { paper });

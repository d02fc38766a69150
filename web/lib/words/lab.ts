import lab from '../../locales/en/lab.json';
import { addWords } from '../i18n';

/** The laboratory. */
export const LAB = lab;
addWords('ui', { lab });

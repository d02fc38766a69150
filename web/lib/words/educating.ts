import educating from '../../locales/en/educating.json';
import { addWords } from '../i18n';

/** Classes, setting exercises and marking them. */
export const EDUCATING = educating;
addWords('ui', { educating });

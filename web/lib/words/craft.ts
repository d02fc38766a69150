import craft from '../../locales/en/craft.json';
import { addWords } from '../i18n';

/** Terms of the trade. */
export const CRAFT = craft;
addWords('craft', { craft });

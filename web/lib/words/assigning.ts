import assigning from '../../locales/en/assigning.json';
import { addWords } from '../i18n';

/** The library of exercises, and for whom, from when and how often one is set. */
export const ASSIGNING = assigning;
addWords('assigning', { assigning });

import search from '../../locales/en/search.json';
import { addWords } from '../i18n';

/** Looking for something wherever it is. */
export const SEARCH = search;
addWords('search', { search });

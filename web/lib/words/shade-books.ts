import shadeBooks from '../../locales/en/shade-books.json';
import { addWords } from '../i18n';

/** Shade books. */
export const SHADE_BOOKS = shadeBooks;
addWords('ui', { 'shade-books': shadeBooks });

import shortcuts from '../../locales/en/shortcuts.json';
import { addWords } from '../i18n';

/** Keys that act. */
export const SHORTCUTS = shortcuts;
addWords('shortcuts', { shortcuts });

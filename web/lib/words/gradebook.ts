import gradebook from '../../locales/en/gradebook.json';
import { addWords } from '../i18n';

/** A class's term and what it is made of. */
export const GRADEBOOK = gradebook;
addWords('gradebook', { gradebook });

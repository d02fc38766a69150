import live from '../../locales/en/live.json';
import { addWords } from '../i18n';

/** A class at work, as it works. */
export const LIVE = live;
addWords('live', { live });

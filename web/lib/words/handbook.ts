import handbook from '../../locales/en/handbook.json';
import { addWords } from '../i18n';

/** The rules of the craft as they are told. */
export const HANDBOOK = handbook;
addWords('handbook', { handbook });

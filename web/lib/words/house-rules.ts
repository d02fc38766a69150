import houseRules from '../../locales/en/house-rules.json';
import { addWords } from '../i18n';

/** House rules and why good schools differ. */
export const HOUSE_RULES_WORDS = houseRules;
addWords('ui', { 'house-rules': houseRules });

import calendar from '../../locales/en/calendar.json';
import { addWords } from '../i18n';

/** Due dates in a calendar. */
export const CALENDAR = calendar;
addWords('calendar', { calendar });

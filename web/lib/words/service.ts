import service from '../../locales/en/service.json';
import { addWords } from '../i18n';

/** The bench and what comes of it: cards, clock, head, marks. */
export const SERVICE = service;
addWords('ui', { service });

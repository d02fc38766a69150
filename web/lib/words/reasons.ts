import consultReasons from '../../locales/en/consult-reasons.json';
import markReasons from '../../locales/en/mark-reasons.json';
import reasons from '../../locales/en/reasons.json';
import routeReasons from '../../locales/en/route-reasons.json';
import { addWords } from '../i18n';

/** Reasons of theory, search and marks in words: they come with the first page that shows any. */
export const REASONS = { ...reasons, mark: markReasons, route: routeReasons, ...consultReasons } as const;
addWords(
  'reasons',
  {
    reasons,
    'mark-reasons': markReasons,
    'route-reasons': routeReasons,
    'consult-reasons': consultReasons,
  },
  (files) => ({
    ...files.reasons,
    mark: files['mark-reasons'],
    route: files['route-reasons'],
    ...files['consult-reasons'],
  }),
);

import drillReasons from '../../locales/en/drill-reasons.json';
import judgementReasons from '../../locales/en/judgement-reasons.json';
import judgements from '../../locales/en/judgements.json';
import olderDrills from '../../locales/en/older-drills.json';
import { addWords } from '../i18n';
import './drills';

/**
 * Questions of judgement and what is said of answers. Questions kept from before they were asked anew speak in their own
 * words.
 */
export const QUESTION_WORDS = { judgement: judgements, older: olderDrills.words } as const;
export const ANSWER_WORDS = {
  ...drillReasons,
  judgement: judgementReasons,
  older: olderDrills.reasons,
} as const;
addWords('drill', { judgements, 'older-drills': olderDrills }, (files) => ({
  judgement: files.judgements,
  older: files['older-drills'].words,
}));
addWords(
  'reasons',
  { 'drill-reasons': drillReasons, 'judgement-reasons': judgementReasons, 'older-drills': olderDrills },
  (files) => ({
    drill: {
      ...files['drill-reasons'],
      judgement: files['judgement-reasons'],
      older: files['older-drills'].reasons,
    },
  }),
);

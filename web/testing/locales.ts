import craft from '../locales/en/craft.json';
import ui from '../locales/en/ui.json';
import { ASSIGNING } from '../lib/words/assigning';
import { DRILLS } from '../lib/words/drills';
import { HANDBOOK } from '../lib/words/handbook';
import { PEOPLE } from '../lib/words/people';
import { ANSWERS, QUESTIONS } from '../lib/words/questions';
import { REASONS } from '../lib/words/reasons';

/** Every word shown, together: pages load them in parts. */
export const LOCALES = {
  en: {
    ui,
    craft,
    people: PEOPLE,
    assigning: ASSIGNING,
    handbook: HANDBOOK,
    drill: { ...DRILLS, ...QUESTIONS },
    reasons: { ...REASONS, drill: ANSWERS },
  },
} as const;

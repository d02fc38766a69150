import ui from '../locales/en/ui.json';
import { APPOINTMENTS } from '../lib/words/appointments';
import { ASSIGNING } from '../lib/words/assigning';
import { CRAFT } from '../lib/words/craft';
import { DRILLS } from '../lib/words/drills';
import { EDUCATING } from '../lib/words/educating';
import { GRADEBOOK } from '../lib/words/gradebook';
import { HANDBOOK } from '../lib/words/handbook';
import { HOUSE_RULES_WORDS } from '../lib/words/house-rules';
import { LAB } from '../lib/words/lab';
import { LIVE } from '../lib/words/live';
import { CALENDAR } from '../lib/words/calendar';
import { SEARCH } from '../lib/words/search';
import { SHORTCUTS } from '../lib/words/shortcuts';
import { PAPER } from '../lib/words/paper';
import { PEOPLE } from '../lib/words/people';
import { PILE } from '../lib/words/pile';
import { ANSWER_WORDS, QUESTION_WORDS } from '../lib/words/questions';
import { READING } from '../lib/words/reading';
import { REASONS } from '../lib/words/reasons';
import { BENCH } from '../lib/words/bench';
import { SHADE_BOOKS } from '../lib/words/shade-books';

/** Every word shown, together: pages load them in parts. */
export const LOCALES = {
  en: {
    ui: {
      ...ui,
      ...BENCH,
      ...EDUCATING,
      ...LAB,
      ...READING,
      ...HOUSE_RULES_WORDS,
      ...SHADE_BOOKS,
      // Refusals that only educators meet come with their pages.
      error: { ...ui.error, ...EDUCATING.error },
    },
    craft: CRAFT,
    people: PEOPLE,
    assigning: ASSIGNING,
    pile: PILE,
    live: LIVE,
    calendar: CALENDAR,
    search: SEARCH,
    paper: PAPER,
    shortcuts: SHORTCUTS,
    appointments: APPOINTMENTS,
    gradebook: GRADEBOOK,
    handbook: HANDBOOK,
    drill: { ...DRILLS, ...QUESTION_WORDS },
    reasons: { ...REASONS, drill: ANSWER_WORDS },
  },
} as const;

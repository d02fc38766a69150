import type { Aftercare, RecordCard } from '../card';
import type { ClientCase } from '../case';
import type { Habits } from '../process';
import { isRed } from '../rules';
import type { AppointmentPlan, ServiceName } from './plan';

/** What a client is told to do at home, beside the care that is on the card. */
export const HOME_RULES = ['waitToWash', 'redsFade', 'vividFades', 'poolAndSun', 'doubt'] as const;
export type HomeRule = (typeof HOME_RULES)[number];

/** A date on the client's card. */
export interface CardDate {
  /** Weeks from today. */
  week: number;
  /** What it is for. */
  services: ServiceName[];
}

/** What a client takes home, as data: the interface puts it into plain words on one page. */
export interface AftercareCard {
  /** Care at home, as on the record card. */
  care: Aftercare[];
  /** What else there is to know. */
  rules: HomeRule[];
  /** Hours before the first wash. */
  waitHours: number;
  /** When to come back, soonest first. */
  dates: CardDate[];
}

/** Hours that colour is left alone before it is washed. Judgement. */
const WAIT_HOURS = 48;
/** Dates that fit on a page. */
const MOST_DATES = 6;

/**
 * The card that a client takes home: care, what fades first (by what was wished for), when to come back.
 */
export function aftercareCard(
  { aftercare, decision }: Pick<RecordCard, 'aftercare' | 'decision'>,
  plan: Pick<AppointmentPlan, 'appointments'>,
  { wish, placements = [] }: Pick<ClientCase, 'wish' | 'placements'>,
  { pool, sun }: Pick<Habits, 'pool' | 'sun'>,
): AftercareCard {
  const targets = [...Object.values(wish), ...placements.map(({ target }) => target)];
  const holdsRed = targets.some(({ tone, vivid }) => !vivid && isRed(tone.primary));
  const coloured = decision !== 'decline';
  const rules: [HomeRule, boolean][] = [
    ['waitToWash', coloured],
    ['redsFade', coloured && holdsRed],
    ['vividFades', coloured && targets.some(({ vivid }) => vivid)],
    ['poolAndSun', coloured && (pool > 0 || sun)],
    ['doubt', true],
  ];
  return {
    care: [...aftercare],
    rules: rules.flatMap(([rule, holds]) => (holds ? [rule] : [])),
    waitHours: WAIT_HOURS,
    dates: plan.appointments
      .slice(1, 1 + MOST_DATES)
      .map(({ week, services }) => ({ week, services: services.map(({ service }) => service) })),
  };
}

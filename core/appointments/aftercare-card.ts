import type { Aftercare, RecordCard } from '../card';
import type { ClientCase } from '../case';
import type { Habits } from '../process';
import { isRed } from '../rules';
import type { AppointmentPlan, ServiceName } from './plan';

/** What some clients have to know beside the care that is on the card, by name. */
export type HomeRule = 'redsFade' | 'vividFades' | 'poolAndSun';

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
  /** What else this client has to know. */
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
  { aftercare }: Pick<RecordCard, 'aftercare'>,
  plan: Pick<AppointmentPlan, 'appointments'>,
  { wish, placements = [] }: Pick<ClientCase, 'wish' | 'placements'>,
  { pool, sun }: Pick<Habits, 'pool' | 'sun'>,
): AftercareCard {
  const targets = [...Object.values(wish), ...placements.map(({ target }) => target)];
  const holdsRed = targets.some(({ tone, vivid }) => !vivid && isRed(tone.primary));
  const rules: [HomeRule, boolean][] = [
    ['redsFade', holdsRed],
    ['vividFades', targets.some(({ vivid }) => vivid !== undefined)],
    ['poolAndSun', pool > 0 || sun],
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

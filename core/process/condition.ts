import type { Strand } from '../hair';

export const CONDITIONS = ['strong', 'fair', 'weak', 'failed'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** Damage at which a strand passes from one to the next. Set so that one sound lightening to level 9 leaves fair hair. */
const LIMITS: readonly { upTo: number; condition: Condition }[] = [
  { upTo: 0.15, condition: 'strong' },
  { upTo: 0.4, condition: 'fair' },
  { upTo: 0.62, condition: 'weak' },
  { upTo: Infinity, condition: 'failed' },
];

export const conditionOf = ({ damage }: Pick<Strand, 'damage'>): Condition =>
  LIMITS.find(({ upTo }) => damage <= upTo)!.condition;

/** C4: levels one visit may move with lightener. */
export const LEVELS_IN_ONE_VISIT: Record<Condition, number> = { strong: 7, fair: 4, weak: 2, failed: 0 };

export interface StretchTest {
  /** Share of its length a wet strand stretches, and how much of that it takes back. */
  stretches: number;
  returns: number;
}

/** C1: sound wet hair stretches about half its length and comes back; over-soft hair stretches on and does not. */
export function stretchTest({ damage }: Pick<Strand, 'damage'>): StretchTest {
  return { stretches: 0.5 + 0.45 * damage, returns: Math.max(0, 1 - Math.max(0, damage - 0.1) * 1.5) };
}

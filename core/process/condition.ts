import type { Strand, Treatment } from '../hair';

/** Condition of hair by its strength and its moisture (C1, C4), best first. */
export const CONDITIONS = ['strong', 'fair', 'weak', 'brittle', 'overSoft', 'failed'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** Damage at which a strand passes from one class to the next. One sound lightening to level 9 leaves fair hair. */
export const DAMAGE_LIMITS = { strong: 0.15, fair: 0.4, weak: 0.62 } as const;
/** Drier than this hair snaps; wetter than this, where strength is going, it stretches on and on. */
const SNAPS_UNDER = 0.3;
const RUNS_OVER = 0.88;

type Tested = Pick<Strand, 'damage' | 'moisture'>;

/** What a wet strand does when it is stretched gently (C1). */
export const STRETCH_OUTCOMES = ['returns', 'snaps', 'runsOn', 'curls'] as const;
export type StretchOutcome = (typeof STRETCH_OUTCOMES)[number];

export interface StretchTest {
  /** What the strand did. */
  outcome: StretchOutcome;
  /** Fraction of its length the strand stretches before it gives or is let go. */
  stretches: number;
  /** Fraction 0–1 of that which it takes back; 0 for hair that snaps. */
  returns: number;
}

/** Fraction taken back, by damage: strong 90 % and more, fair 70–90, weak 50–70, failed under 50 (C1). */
const RETURNS: readonly (readonly [damage: number, returns: number])[] = [
  [0, 1],
  [DAMAGE_LIMITS.strong, 0.9],
  [DAMAGE_LIMITS.fair, 0.7],
  [DAMAGE_LIMITS.weak, 0.5],
  [1, 0],
];
function returnsAt(damage: number): number {
  const above = RETURNS.findIndex(([at]) => at >= damage);
  if (above <= 0) return above === 0 ? RETURNS[0][1] : 0;
  const [[d0, r0], [d1, r1]] = [RETURNS[above - 1], RETURNS[above]];
  return r0 + ((damage - d0) / (d1 - d0)) * (r1 - r0);
}

/** Sound wet hair stretches about half its length (C1). */
const SOUND_STRETCH = 0.5;
/**
 * Of its own length: a wet strand is let go long before, and hair that neither snaps nor runs on breaks beyond it or beyond its
 * own stretch, whichever is further (C1). What is broken by hand has so always been pulled too far.
 */
export const PULLED_TOO_FAR = 0.75;

/**
 * @rule C1
 */
export function stretchTest({ damage, moisture }: Tested): StretchTest {
  if (moisture < SNAPS_UNDER)
    return { outcome: 'snaps', stretches: SOUND_STRETCH * 0.4 * (moisture / SNAPS_UNDER), returns: 0 };
  const returns = returnsAt(damage);
  if (moisture > RUNS_OVER && damage > DAMAGE_LIMITS.fair)
    return { outcome: 'runsOn', stretches: SOUND_STRETCH + 0.45, returns: Math.min(returns, 0.45) };
  const stretches = SOUND_STRETCH + 0.3 * damage;
  return { outcome: damage > DAMAGE_LIMITS.weak ? 'curls' : 'returns', stretches, returns };
}

/** Condition of hair by its damage and moisture, both 0–1. */
export function conditionOf(strand: Tested): Condition {
  const { outcome } = stretchTest(strand);
  if (outcome === 'snaps') return 'brittle';
  if (outcome === 'runsOn') return 'overSoft';
  if (outcome === 'curls') return 'failed';
  const { strong, fair } = DAMAGE_LIMITS;
  return strand.damage <= strong ? 'strong' : strand.damage <= fair ? 'fair' : 'weak';
}

/**
 * C4: levels one visit may move with lightener. Weak hair only where it was never lightened; brittle hair is given
 * moisture first, over-soft and failed hair is not lightened.
 * @rule C4
 */
export const LEVELS_IN_ONE_VISIT: Record<Condition, number> = {
  strong: 7,
  fair: 4,
  weak: 2,
  brittle: 0,
  overSoft: 0,
  failed: 0,
};
/**
 * Hair that must be rinsed and rested: it snaps, runs on, or does not come back (R3).
 * @rule R3
 */
export const isGivingWay = (condition: Condition): boolean => LEVELS_IN_ONE_VISIT[condition] === 0;
/** Levels that lightener may move hair of a condition in one visit (C4). */
export const levelsInOneVisit = (condition: Condition, lightenedBefore: boolean): number =>
  condition === 'weak' && lightenedBefore ? 0 : LEVELS_IN_ONE_VISIT[condition];
/** Levels moved through permanent dye cost the hair double (C4). */
export const THROUGH_DYE_COUNTS = 2;

/** Hair of each condition as it is typically met, for a form and for drills. Judgement; well inside its class. */
export const TYPICAL: Record<Condition, { damage: number; moisture: number }> = {
  strong: { damage: 0.05, moisture: 0.75 },
  fair: { damage: 0.28, moisture: 0.68 },
  weak: { damage: 0.51, moisture: 0.6 },
  brittle: { damage: 0.4, moisture: 0.14 },
  overSoft: { damage: 0.55, moisture: 0.95 },
  failed: { damage: 0.78, moisture: 0.5 },
};

/** Judgement: what one salon treatment gives back. */
const GIVES = { moisture: 0.6, bond: 0.25, proteinStrength: 0.08, proteinDries: 0.85 };

/** Moisture fills up, bonds mend in part, protein stiffens over-soft hair. None of it is processing. */
export function treated(strand: Strand, treatment: Treatment): Strand {
  const { damage, moisture } = strand;
  if (treatment === 'moisture') return { ...strand, moisture: moisture + (1 - moisture) * GIVES.moisture };
  if (treatment === 'bond') return { ...strand, damage: damage * (1 - GIVES.bond) };
  return {
    ...strand,
    damage: damage * (1 - GIVES.proteinStrength),
    moisture: moisture * GIVES.proteinDries,
  };
}

import type { Line } from '../shades';

/**
 * F1. Positive is lighter.
 * @rule F1
 */
export const levelsToMove = (natural: number, target: number) => target - natural;

export interface LiftFacts {
  vol: number;
  /** Levels of lift to count on, and the most seen, on natural medium hair at full time (D2). */
  typical: number;
  most: number;
}
/**
 * D2, permanent colour without high-lift shades.
 * @rule D2
 */
export const PERMANENT_LIFT: readonly LiftFacts[] = [
  { vol: 10, typical: 0, most: 0 },
  { vol: 20, typical: 1, most: 2 },
  { vol: 30, typical: 2, most: 3 },
  { vol: 40, typical: 3, most: 4 },
];

/** Kinds of colour that lift natural hair; the others only deposit (section 6). */
export const LIFTING: readonly Line['kind'][] = ['permanent', 'express'];
const EXPRESS_LIFT = 2;

/** Levels a strength lifts; between the table's rows it is linear, so that a blend has an answer too. */
export function liftOf(vol: number, line: Pick<Line, 'kind'>): { typical: number; most: number } {
  if (!LIFTING.includes(line.kind)) return { typical: 0, most: 0 };
  const table = PERMANENT_LIFT;
  if (vol <= table[0].vol) return { typical: 0, most: 0 };
  const above = table.find((row) => row.vol >= vol) ?? table[table.length - 1];
  const below = table[Math.max(0, table.indexOf(above) - 1)];
  const t = above === below ? 1 : Math.min(1, (vol - below.vol) / (above.vol - below.vol));
  // Express colour is rinsed before it could lift further (section 6).
  const limit = line.kind === 'express' ? EXPRESS_LIFT : Infinity;
  const between = (a: number, b: number) => Math.min(limit, a + t * (b - a));
  return { typical: between(below.typical, above.typical), most: between(below.most, above.most) };
}

/** Most levels any developer of the line can be counted on to lift. */
export function liftLimit(line: Line): number {
  return Math.max(...line.developersVol.map((vol) => liftOf(vol, line).typical));
}

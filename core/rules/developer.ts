import type { Line, DeveloperPart } from '../product';
import type { HouseRules } from './house-rules';

/**
 * F1. Positive is lighter.
 * @rule F1
 */
export const levelsToMove = (natural: number, target: number) => target - natural;

export interface LiftFacts {
  /** Strength, volumes. */
  vol: number;
  /** Levels of lift to count on, and the most seen, on natural medium hair at full time (D2). */
  typical: number;
  /** Levels of lift that may happen at most. */
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

/** Kinds of colour that lift natural hair; the others only deposit. */
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
  // Express colour is rinsed before it could lift further.
  const limit = line.kind === 'express' ? EXPRESS_LIFT : Infinity;
  const between = (a: number, b: number) => Math.min(limit, a + t * (b - a));
  return { typical: between(below.typical, above.typical), most: between(below.most, above.most) };
}

/** Most levels any developer of the line can be counted on to lift. */
export function liftLimit(line: Line): number {
  return Math.max(...line.developersVol.map((vol) => liftOf(vol, line).typical));
}

export const SCALP_CONTACTS = ['onScalp', 'offScalp'] as const;
export type ScalpContact = (typeof SCALP_CONTACTS)[number];

type LightenerRules = Pick<HouseRules, 'lightenerOnScalp' | 'tenVolLightener' | 'fortyVolLightener'>;

/**
 * Strengths, in volumes, that lightener may be mixed with in this place under the class's rules (D4).
 * @rule D4
 */
export function lightenerVols(place: ScalpContact, rules: LightenerRules): number[] {
  const scalpLimit = rules.lightenerOnScalp === 'max20' ? 20 : 30;
  const forty =
    rules.fortyVolLightener === 'always' || (rules.fortyVolLightener === 'offScalp' && place === 'offScalp');
  return [10, 20, 30, 40].filter((vol) => {
    if (vol === 10) return rules.tenVolLightener === 'allowed';
    if (vol === 40) return forty && (place === 'offScalp' || scalpLimit >= 30);
    return place === 'offScalp' || vol <= scalpLimit;
  });
}

export const DILUTION_RULINGS = ['lineAllows', 'lineForbids', 'alwaysHere', 'neverHere'] as const;
export type DilutionRuling = (typeof DILUTION_RULINGS)[number];

/** Whether a class may thin or mix the developers of a line (D5). */
export function mayDilute(
  line: Pick<Line, 'mayDilute'>,
  rules: Pick<HouseRules, 'diluteDeveloper'>,
): boolean {
  const ruling = dilutionRuling(line, rules);
  return ruling === 'alwaysHere' || ruling === 'lineAllows';
}

/**
 * D5. Whether a line's developer may be thinned with water in this class, and on whose word.
 * @rule D5
 */
export function dilutionRuling(
  line: Pick<Line, 'mayDilute'>,
  rules: Pick<HouseRules, 'diluteDeveloper'>,
): DilutionRuling {
  if (rules.diluteDeveloper === 'always') return 'alwaysHere';
  if (rules.diluteDeveloper === 'never') return 'neverHere';
  return line.mayDilute ? 'lineAllows' : 'lineForbids';
}

/** Strengths of developer that are sold, volumes (D1). */
export const STRENGTHS_VOL: readonly number[] = [10, 20, 30, 40];

/**
 * How a strength is poured from what is on the shelf: as it is, mixed of two strengths, or thinned with water, in whole
 * small parts; null where it cannot be had, which is a reason to take another line and never to take a stronger one
 * neat (D8). Mixing and thinning are for lines that may be diluted (D5).
 * @rule D8
 */
export function pourOf(
  wantedVol: number,
  shelfVols: readonly number[],
  mayDilute: boolean,
): DeveloperPart[] | null {
  if (shelfVols.includes(wantedVol)) return [{ vol: wantedVol, parts: 1 }];
  if (!mayDilute) return null;
  const stronger = shelfVols.filter((vol) => vol > wantedVol);
  if (stronger.length === 0) return null;
  const high = Math.min(...stronger);
  // Water is the weakest of what may be poured together.
  const low = Math.max(0, ...shelfVols.filter((vol) => vol < wantedVol));
  return inSmallParts([
    { vol: high, parts: wantedVol - low },
    { vol: low, parts: high - wantedVol },
  ]);
}

const divisor = (a: number, b: number): number => (b < 1e-9 ? a : divisor(b, a % b));
function inSmallParts(pour: DeveloperPart[]): DeveloperPart[] {
  const by = divisor(pour[0].parts, pour[1].parts);
  return pour.map(({ vol, parts }) => ({ vol, parts: Math.round((parts / by) * 1000) / 1000 }));
}

import type { DeveloperPart } from '../measure';

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

import type { RightAnswer, Response } from './item';

export const HALF = 0.5;
export const ROUNDING = 1e-9;

/** Full, half or nothing by how far off it is. */
const byDistance = (away: number, full: number, near: number) =>
  away <= full + ROUNDING ? 1 : away <= near + ROUNDING ? HALF : 0;

/** Pairs of places, each with whether it stands the right way round. */
export function pairsOf(given: readonly number[], right: readonly number[]) {
  const places = given.map((which) => right.indexOf(which));
  return places.flatMap((first, i) =>
    places
      .slice(i + 1)
      .map((second, j) => ({ first: given[i], second: given[i + 1 + j], stands: first < second })),
  );
}

/** Strength and weight of what was poured together. */
export function poured(vols: readonly number[], grams: readonly number[]): { vol: number; grams: number } {
  const total = grams.reduce((a, b) => a + b, 0);
  return { grams: total, vol: total > 0 ? vols.reduce((sum, vol, i) => sum + vol * grams[i], 0) / total : 0 };
}

/** The longest stretch of minutes without a look, from the first zone begun to the rinse. */
export function longestUnlooked(begun: number, checks: readonly number[], rinse: number): number {
  const looks = [begun, ...checks.filter((at) => at > begun && at < rinse), rinse].sort((a, b) => a - b);
  return Math.max(...looks.slice(1).map((at, i) => at - looks[i]));
}

/** 0–1 for a response of the solution's kind; 0 for any other. */
export function scoreOf(solution: RightAnswer, response: Response): number {
  if (solution.kind === 'figure' && response.kind === 'figure')
    return byDistance(Math.abs(response.value - solution.value), solution.full, solution.near);
  if (solution.kind === 'choice' && response.kind === 'choice')
    return response.index === solution.right
      ? 1
      : (solution.near?.find(({ index }) => index === response.index)?.score ?? 0);
  if (solution.kind === 'order' && response.kind === 'order') {
    const pairs = pairsOf(response.order, solution.right);
    const stand = pairs.filter(({ stands }) => stands).length / pairs.length;
    // Half of the pairs stand right by chance: that is worth nothing (rank correlation, M. Kendall 1938).
    return Math.max(0, 2 * stand - 1);
  }
  if (solution.kind === 'mark' && response.kind === 'mark') {
    const marks = [...response.at].sort((a, b) => a - b);
    return Math.min(
      ...solution.at.map((place, i) => {
        const past = marks[i] - place;
        const { full, near } = past > 0 && solution.past ? solution.past : solution;
        return byDistance(Math.abs(past), full, near);
      }),
    );
  }
  if (solution.kind === 'strength' && response.kind === 'amounts') {
    const bowl = poured(solution.vols, response.grams);
    return Math.min(
      byDistance(Math.abs(bowl.vol - solution.vol), solution.volFull, 2 * solution.volFull),
      byDistance(Math.abs(bowl.grams - solution.grams), solution.gramsFull, 2 * solution.gramsFull),
    );
  }
  if (solution.kind === 'amounts' && response.kind === 'amounts')
    return Math.min(
      ...solution.grams.map((grams, i) =>
        byDistance(Math.abs(response.grams[i] - grams), solution.full[i], solution.near[i]),
      ),
    );
  if (solution.kind === 'shares' && response.kind === 'shares') {
    const read = solution.shares.map((share, i) =>
      byDistance(Math.abs(response.shares[i] - share), solution.full, solution.near),
    );
    const reading = read.reduce((a: number, b) => a + b, 0) / read.length;
    // Reading and what is made of it, half each.
    return (reading + (response.natural === solution.natural ? 1 : 0)) / 2;
  }
  if (solution.kind === 'clock' && response.kind === 'clock') {
    const { starts, rinse, within, every } = solution;
    const begun = starts.map((at, i) => byDistance(Math.abs(response.starts[i] - at), within, 2 * within));
    const unlooked = longestUnlooked(Math.min(...response.starts), response.checks, response.rinse);
    return Math.min(
      ...begun,
      byDistance(Math.abs(response.rinse - rinse), within, 2 * within),
      byDistance(Math.max(0, unlooked - every), 0, every / 2),
    );
  }
  return 0;
}

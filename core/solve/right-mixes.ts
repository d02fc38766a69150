import { type Tone, toneVector } from '../colour';
import {
  type MixMatch,
  type ShadeRequestAtLevel,
  matchOfRequest,
  isRightMix,
  clamp,
  MATCH_TOLERANCE,
  type ShadeRequest,
} from '../method';
import { type ShadePart, mixLevel, type Shade, shadesOf, type Line, hasShades } from '../product';

// Bound once: these run millions of times in a search.
const { abs, max } = Math;

/** At most three shades, in thirds or quarters of the whole: what is written on a card and weighed without a slip. */
const MAX_PARTS = 3;
const WHOLE = 4;

interface MatchedMix {
  mix: ShadePart[];
  fit: MixMatch;
}

/** Whether two tones are one. */
export const sameTone = (a: Tone, b: Tone) => a.primary === b.primary && a.secondary === b.secondary;

const multiple = (parts: readonly number[]) => [2, 3, 4].some((n) => parts.every((p) => p % n === 0));

/** Parts in which so many shades are mixed, the simplest first. */
export function* partings(count: number): Generator<number[]> {
  if (count === 1) {
    yield [1];
    return;
  }
  const parts = new Array<number>(count).fill(1);
  for (;;) {
    // 2 : 2 is 1 : 1 again.
    if (!multiple(parts) && parts.reduce((sum, part) => sum + part, 0) <= WHOLE) yield [...parts];
    let i = 0;
    while (i < count && ++parts[i] > MAX_PARTS) parts[i++] = 1;
    if (i === count) return;
  }
}

/** Every one, two and three of some shades. */
export function* combinations(shades: Shade[]): Generator<Shade[]> {
  for (let i = 0; i < shades.length; i++) {
    yield [shades[i]];
    for (let j = i + 1; j < shades.length; j++) {
      yield [shades[i], shades[j]];
      for (let k = j + 1; k < shades.length; k++) yield [shades[i], shades[j], shades[k]];
    }
  }
}

/** The nearer, the simpler, the smaller the better; no more natural than the grey asks for. */
export function cost({ mix, fit }: MatchedMix, need: ShadeRequestAtLevel): number {
  const parts = mix.reduce((sum, part) => sum + part.parts, 0);
  // Neighbours melt into one another; a 4 and a 7 average to the same and dry as stripes.
  const spread =
    mix.reduce((sum, part) => sum + part.parts * abs((part.shade.level ?? need.level) - need.level), 0) /
    parts;
  const overShare = max(0, fit.share - need.naturalShare.min);
  const ofNaturalTarget = need.tone.primary === 'neutral' ? 0 : overShare;
  return (
    2 * fit.levelGap +
    2 * fit.toneGap +
    1.5 * spread +
    0.3 * ofNaturalTarget +
    0.6 * (mix.length - 1) +
    0.01 * parts
  );
}

/** Shares of a corrector worth trying: a gram or two in a full bowl (U5). */
const CORRECTOR_SHARES = [0.02, 0.035];
/** A corrector where a shade would do is one thing more to weigh to the tenth of a gram. */
const CORRECTOR_PRICE = 4;
/** Extra-pigment naturals are for white that resists (T2, F8); elsewhere the plain series does. */
const EXTRA_PIGMENT_PRICE = 2;
/** How far from the wanted level a shade of a mix may lie. */
const REACH = 1.5;

function candidates(line: Line, need: ShadeRequest): Shade[] {
  if (need.clear) return shadesOf(line).filter(({ series }) => series === 'clear');
  const { tone, levels } = need;
  const wanted = [tone, { primary: tone.primary }, ...(tone.secondary ? [{ primary: tone.secondary }] : [])];
  return shadesOf(line).filter((shade) => {
    if (shade.level === null || shade.series === 'filler') return false;
    if (need.highLift !== (shade.series === 'highLift')) return false;
    if (!need.highLift && (shade.level < levels.min - REACH || shade.level > levels.max + REACH))
      return false;
    const natural =
      shade.series === 'natural' || (shade.series === 'highLift' && shade.tone.primary === 'neutral');
    return (
      natural ||
      shade.series === 'extraNatural' ||
      wanted.some((tone) => sameTone(tone, shade.tone)) ||
      (need.over !== undefined && cancels(shade.tone, need.over))
    );
  });
}

/** Cosine between two tones under which one takes the other back (U2). */
const CANCELS = -0.6;
function cancels(tone: Tone, over: Tone): boolean {
  const [a, b] = [toneVector(tone), toneVector(over)];
  const length = Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y);
  return length > 0 && (a.x * b.x + a.y * b.y) / length < CANCELS;
}

const correctorsFor = (line: Line, { tone, over }: ShadeRequest): Shade[] =>
  shadesOf(line).filter(
    (shade) =>
      shade.series === 'corrector' &&
      (over
        ? cancels(shade.tone, over)
        : (tone.primary !== 'neutral' || tone.secondary !== undefined) &&
          (shade.tone.primary === tone.primary || shade.tone.primary === tone.secondary)),
  );

/** Levels that the shades of one bowl may lie apart: neighbours melt, a 7 and a 5 for a 6 dry as stripes. */
const NEIGHBOURS_WITHIN = { usual: 1, nearest: 2 };
function isPatchwork(shades: readonly Shade[], within = NEIGHBOURS_WITHIN.usual): boolean {
  const levels = shades.flatMap(({ level }) => level ?? []);
  return levels.length > 1 && Math.max(...levels) - Math.min(...levels) > within;
}

/** A corrector stirred into a mix: so large a share of it, the shades keeping their proportions. */
const withCorrector = (mix: readonly ShadePart[], shade: Shade, share: number): ShadePart[] => {
  const all = mix.reduce((sum, { parts }) => sum + parts, 0);
  return [...mix, { shade, parts: (all * share) / (1 - share) }];
};

export interface RightMix {
  /** The mix. */
  mix: ShadePart[];
  /** How far it is from what it has to be. */
  match: MixMatch;
  /** The lower, the nearer, simpler and smaller. */
  cost: number;
  /** The line has no mix that is right; this is the nearest of its chart. */
  isNearest?: boolean;
}

/**
 * Every mix of a line that is right for a need by the theory: up to three shades in one to four parts each, and a
 * corrector. Cheapest first, at most `most` of them. Same input, same order.
 */
export function rightMixes(line: Line, need: ShadeRequest, most: number): RightMix[] {
  if (!hasShades(line.kind)) return [];
  const shades = candidates(line, need);
  const correctors = correctorsFor(line, need);
  const found: RightMix[] = [];
  const consider = (mix: ShadePart[], extra = 0) => {
    const match = matchOfRequest(mix, need);
    if (!isRightMix(match)) return;
    const level = clamp(mixLevel(mix) ?? need.levels.min, need.levels);
    const price = need.highLift
      ? 2 * match.toneGap + 1.25 * (mix.length - 1)
      : cost(
          { mix, fit: match },
          { level, tone: need.tone, naturalShare: need.naturalShare, over: need.over },
        );
    const doubled = mix.some(({ shade }) => shade.series === 'extraNatural')
      ? need.extraPigment
        ? 0
        : EXTRA_PIGMENT_PRICE
      : need.extraPigment
        ? EXTRA_PIGMENT_PRICE
        : 0;
    found.push({ mix, match, cost: price + extra + doubled });
  };
  for (const chosen of combinations(shades)) {
    if (isPatchwork(chosen)) continue;
    // A coarse look before the parts are gone through: shades all to one side of the levels never meet them.
    if (!need.highLift) {
      const all = chosen.map(({ level }) => level ?? 0);
      if (Math.min(...all) > need.levels.max + MATCH_TOLERANCE.level) continue;
      if (Math.max(...all) < need.levels.min - MATCH_TOLERANCE.level) continue;
    }
    for (const parts of partings(chosen.length)) {
      const mix = chosen.map((shade, i) => ({ shade, parts: parts[i] }));
      consider(mix);
      if (chosen.length > 2) continue;
      for (const corrector of correctors)
        for (const share of CORRECTOR_SHARES) consider(withCorrector(mix, corrector, share), CORRECTOR_PRICE);
    }
  }
  if (found.length === 0 && !need.highLift && !need.clear) found.push(...nearestMixes(line, need));
  return found.sort((a, b) => a.cost - b.cost).slice(0, most);
}

/** Tone gap beyond which a mix is another colour, not the nearest to it. */
const NEAREST_WITHIN = 0.5;
/** What being only near costs against a mix that is right. */
const NEAREST_PRICE = 6;

/** Where a line has no mix that is right for a tone: the nearest of two shades that its chart has, level kept. */
function nearestMixes(line: Line, need: ShadeRequest): RightMix[] {
  const shades = shadesOf(line).filter(
    ({ level, series }) =>
      level !== null &&
      series !== 'filler' &&
      series !== 'highLift' &&
      level >= need.levels.min - REACH * 2 &&
      level <= need.levels.max + REACH,
  );
  const rightMixes: RightMix[] = [];
  const consider = (mix: ShadePart[]) => {
    const match = matchOfRequest(mix, need);
    if (match.levelGap > MATCH_TOLERANCE.level || match.toneGap > NEAREST_WITHIN) return;
    if (match.shareShort > MATCH_TOLERANCE.share) return;
    const level = clamp(mixLevel(mix) ?? need.levels.min, need.levels);
    const price = cost({ mix, fit: match }, { level, tone: need.tone, naturalShare: need.naturalShare });
    rightMixes.push({ mix, match, cost: NEAREST_PRICE + price, isNearest: true });
  };
  shades.forEach((shade, i) => {
    consider([{ shade, parts: 1 }]);
    for (const other of shades.slice(i + 1)) {
      if (isPatchwork([shade, other], NEIGHBOURS_WITHIN.nearest)) continue;
      for (const [a, b] of [
        [1, 1],
        [3, 1],
        [1, 3],
      ])
        consider([
          { shade, parts: a },
          { shade: other, parts: b },
        ]);
    }
  });
  return rightMixes;
}

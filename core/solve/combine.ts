import type { Tone } from '../colour';
import type { Shade, ShadePart } from '../shades';
import type { MixFit, MixNeed } from './fit';

// Bound once: these run millions of times in a search.
const { abs, max } = Math;

/** At most three shades, in thirds or quarters of the whole: what is written on a card and weighed without a slip. */
const MAX_PARTS = 3;
const WHOLE = 4;

interface FoundMix {
  mix: ShadePart[];
  fit: MixFit;
}

export const sameTone = (a: Tone, b: Tone) => a.primary === b.primary && a.secondary === b.secondary;

const multiple = (parts: readonly number[]) => [2, 3, 4].some((n) => parts.every((p) => p % n === 0));

export function* partings(count: number): Generator<number[]> {
  if (count === 1) {
    yield [1];
    return;
  }
  const parts = new Array<number>(count).fill(1);
  for (;;) {
    // 2 : 2 is 1 : 1 again.
    if (!multiple(parts) && parts.reduce((sum, one) => sum + one, 0) <= WHOLE) yield [...parts];
    let i = 0;
    while (i < count && ++parts[i] > MAX_PARTS) parts[i++] = 1;
    if (i === count) return;
  }
}

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
export function cost({ mix, fit }: FoundMix, need: MixNeed): number {
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

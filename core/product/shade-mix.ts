import { type ToneVector, toneVector } from '../colour';
import type { Shade } from './numbering';

export interface ShadePart {
  /** The shade. */
  shade: Shade;
  /** Relative amount; any positive number, since only the proportions count (F10). */
  parts: number;
}

const total = (mix: readonly ShadePart[]) => mix.reduce((sum, { parts }) => sum + parts, 0);

/** Part-weighted mean level of the coloured shades (F10); null when nothing in the mix is coloured. */
export function mixLevel(mix: readonly ShadePart[]): number | null {
  let weight = 0;
  let sum = 0;
  for (const { shade, parts } of mix) {
    if (shade.level === null) continue;
    weight += parts;
    sum += parts * shade.level;
  }
  return weight > 0 ? sum / weight : null;
}

/**
 * Part-weighted sum of the loads (F10); a clear shade only thins them.
 * @rule F10
 */
export function mixTone(mix: readonly ShadePart[]): ToneVector {
  const all = total(mix);
  const sum = { x: 0, y: 0 };
  if (all <= 0) return sum;
  for (const { shade, parts } of mix) {
    const v = toneVector(shade.tone);
    sum.x += (v.x * parts) / all;
    sum.y += (v.y * parts) / all;
  }
  return sum;
}

/** Share 0–1 of the natural series, plain or extra-pigment, in the whole mix (F8). */
export function naturalShare(mix: readonly ShadePart[]): number {
  const all = total(mix);
  if (all <= 0) return 0;
  const natural = mix.filter(({ shade }) => shade.series === 'natural' || shade.series === 'extraNatural');
  return total(natural) / all;
}

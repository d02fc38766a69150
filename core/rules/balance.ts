import { type ToneVector, type ToneFamily, TONE_FAMILIES, toneVector } from '../colour';
import { type ShadePart, mixTone } from '../product';
import { warmthAt } from './underlying-pigment';

/** The beam of neutralising: what shows, what a mix adds to it, and what is left. All on the painter's circle. */
export interface Balance {
  /** Warmth that shows. */
  warmth: ToneVector;
  /** What the mix adds. */
  added: ToneVector;
  /** What is left. */
  leftover: ToneVector;
  /** −1 to 1: above 0 the warm side is heavier, below 0 the mix. */
  tilt: number;
}

/**
 * A shade holds, besides its tone, the balance that cancels the underlying pigment of its own level (T3). Laid on hair
 * of that level it leaves just its tone; lighter than the hair it cancels too little, and warmth is left (U4, F4).
 * @rule F5
 */
export function balanceOf(levelReached: number, mix: readonly ShadePart[]): Balance {
  const warmth = warmthAt(levelReached);
  const tone = mixTone(mix);
  const parts = mix.reduce((sum, part) => sum + part.parts, 0);
  const added = { x: tone.x, y: tone.y };
  for (const { shade, parts: share } of mix) {
    if (shade.level === null) continue;
    const base = warmthAt(shade.level);
    added.x -= (base.x * share) / parts;
    added.y -= (base.y * share) / parts;
  }
  const leftover = { x: warmth.x + added.x, y: warmth.y + added.y };
  const strength = Math.hypot(warmth.x, warmth.y);
  const along = strength > 0 ? (leftover.x * warmth.x + leftover.y * warmth.y) / strength : 0;
  return { warmth, added, leftover, tilt: Math.max(-1, Math.min(1, along)) };
}

/** The family a point of the circle lies nearest to, and how strongly, 0–1; null where nothing is left to see. */
export function nameTone({ x, y }: ToneVector): { family: ToneFamily; strength: number } | null {
  const strength = Math.hypot(x, y);
  if (strength < 0.08) return null;
  let best: ToneFamily = 'ash';
  let most = -Infinity;
  for (const family of TONE_FAMILIES) {
    const load = toneVector({ primary: family });
    const size = Math.hypot(load.x, load.y);
    if (size === 0) continue;
    const cosine = (x * load.x + y * load.y) / (strength * size);
    // Muted families share a direction with a full one; the nearer strength decides between them.
    const closeness = cosine - 0.05 * Math.abs(size - strength);
    if (closeness > most) [best, most] = [family, closeness];
  }
  return { family: best, strength: Math.min(1, strength) };
}

import type { Lab } from './lab';
import { type ToneFamily, neutralLab, TONE_FAMILIES, toneLab } from './tone';

// Bound once: these run millions of times in a search.
const { abs, hypot, log, max, min } = Math;

/** Departure from neutral, in a* and b*, under which the eye calls hair neutral. */
const NEUTRAL_WITHIN = 3.2;

/**
 * Tone family that a colour of a known level reads as: by which family's direction from the neutral of that level it
 * leaves in (T1). Level is not read from the colour alone, since a deep tone is darker than its level (L4).
 * `strength` is 0 for neutral and 1 for a plain full tone.
 */
export function nameColour(lab: Lab, level: number): { tone: ToneFamily; strength: number } {
  const at = min(12, max(1, level));
  const neutral = neutralLab(at);
  const [da, db] = [lab.a - neutral.a, lab.b - neutral.b];
  const gone = hypot(da, db);
  if (gone < NEUTRAL_WITHIN) return { tone: 'neutral', strength: 0 };
  let tone: ToneFamily = 'gold';
  let strength = 0;
  let most = -Infinity;
  for (const family of TONE_FAMILIES) {
    if (family === 'neutral') continue;
    const full = toneLab(at, { primary: family });
    const [fa, fb] = [full.a - neutral.a, full.b - neutral.b];
    const size = hypot(fa, fb);
    // Families share directions; of two, the one whose full strength is nearer has the name.
    const closeness = (da * fa + db * fb) / (gone * size) - 0.04 * abs(log(gone / size));
    if (closeness > most) [most, tone, strength] = [closeness, family, gone / size];
  }
  return { tone, strength };
}

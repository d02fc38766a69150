import type { Lab } from './lab';
import { levelOfLightness } from './level-scale';
import { TONE_FAMILIES, neutralLab, toneLab, type ToneFamily } from './tone';

/** Departure from neutral, in a* and b*, under which the eye calls hair neutral. */
const NEUTRAL_WITHIN = 4;

/**
 * Level and tone family a measured colour reads as: level from its lightness alone (L1), tone by which family's
 * direction from the neutral of that level it leaves in (T1). `strength` is 1 for a plain full tone.
 */
export function readColour(lab: Lab): { level: number; tone: ToneFamily; strength: number } {
  const level = levelOfLightness(lab.l);
  const neutral = neutralLab(Math.min(12, Math.max(1, level)));
  const [da, db] = [lab.a - neutral.a, lab.b - neutral.b];
  const away = Math.hypot(da, db);
  if (away < NEUTRAL_WITHIN) return { level, tone: 'neutral', strength: 0 };
  let tone: ToneFamily = 'gold';
  let strength = 0;
  let most = -Infinity;
  for (const family of TONE_FAMILIES) {
    if (family === 'neutral') continue;
    const full = toneLab(Math.min(12, Math.max(1, level)), { primary: family });
    const [fa, fb] = [full.a - neutral.a, full.b - neutral.b];
    const size = Math.hypot(fa, fb);
    // Families share directions; of two, the one whose full strength is nearer has the name.
    const closeness = (da * fa + db * fb) / (away * size) - 0.04 * Math.abs(Math.log(away / size));
    if (closeness > most) [most, tone, strength] = [closeness, family, away / size];
  }
  return { level, tone, strength };
}

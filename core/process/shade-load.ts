import { type Lab, type Tone, labOf, levelOfLightness, toneLab } from '../colour';
import {
  NO_DYE,
  brownBlackOfLevel,
  lightenedStrand,
  naturalPigment,
  pigmentOf,
  reflectanceOf,
  type Dye,
  type DyeName,
  type NaturalPigment,
} from '../hair';

/** Dye a shade holds beside its depth. */
export interface ShadeLoad {
  /** Brings the bared warmth of the shade's own level back to neutral (T3). */
  base: Dye;
  /** Gives the tone of the label, on hair that is neutral. */
  tone: Dye;
  /** How deep the tone alone makes it, as brown-black; a shade's depth includes it. */
  toneDepth: number;
}

/** Share of the warmth of its own level that a shade hides; the rest is cancelled by dye. Fitted to H7. */
const HIDES = 0.85;

const MOST_DYE = 6;

/**
 * Least dye that brings hair of a pigment to a colour, a share of its warmth being hidden. Minimises Δa² + Δb² + ΔL²
 * with a small price on dye, by coordinate search with shrinking steps: deterministic, and exact enough for the eye.
 */
function solveDye(pigment: NaturalPigment, wanted: Lab, hides: number, names: readonly Coupler[]): Dye {
  const hiding = { hidesRed: hides * pigment.red, hidesYellow: hides * pigment.yellow };
  const priceOf = (dye: Dye) => {
    const lab = labOf(reflectanceOf(pigment, dye));
    const depth = names.includes('brown')
      ? (lab.l - wanted.l) ** 2
      : 0.3 * Math.max(0, wanted.l - lab.l) ** 2;
    return (
      (lab.a - wanted.a) ** 2 + (lab.b - wanted.b) ** 2 + depth + 0.3 * (dye.blue + dye.red + dye.yellow)
    );
  };
  let dye: Dye = { ...NO_DYE, ...hiding };
  let price = priceOf(dye);
  for (let step = 0.4; step > 0.002; step *= 0.6) {
    for (let moved = true, rounds = 0; moved && rounds < 14; rounds++) {
      moved = false;
      for (const name of names) {
        for (const by of [step, -step]) {
          const next = { ...dye, [name]: Math.min(MOST_DYE, Math.max(0, dye[name] + by)) };
          const cost = priceOf(next);
          if (cost < price - 1e-9) [dye, price, moved] = [next, cost, true];
        }
      }
    }
  }
  return dye;
}

type Coupler = 'brown' | 'blue' | 'red' | 'yellow';
/** A base covers a shade deeper than the hair it is made for: L* by which a toner at the hair's own level darkens it. */
const BASE_DEEPER = 0;

const known = new Map<string, ShadeLoad>();

/**
 * The load of a shade: its base solved on hair lightened to its very level, its tone on untouched hair of that level,
 * both against the colours that tones are drawn in. Kept, since it is asked often.
 */
export function shadeLoad(level: number, tone: Tone): ShadeLoad {
  const name = `${level} ${tone.primary} ${tone.secondary ?? ''}`;
  const kept = known.get(name);
  if (kept) return kept;
  const bared = pigmentOf(lightenedStrand(level));
  const neutral = toneLab(level, { primary: 'neutral' });
  const base = solveDye(bared, { ...neutral, l: neutral.l - BASE_DEEPER }, HIDES, [
    'brown',
    'blue',
    'red',
    'yellow',
  ]);
  const isNeutral = tone.primary === 'neutral' && !tone.secondary;
  const natural = naturalPigment(level);
  const toneDye = isNeutral ? NO_DYE : solveDye(natural, toneLab(level, tone), 0, ['blue', 'red', 'yellow']);
  const toned = levelOfLightness(labOf(reflectanceOf(natural, toneDye)).l);
  const toneDepth = Math.max(0, brownBlackOfLevel(toned) - brownBlackOfLevel(level));
  const load = { base, tone: toneDye, toneDepth };
  known.set(name, load);
  return load;
}

/** a·one + b·other, dye by dye. */
export function combine(one: Dye, other: Dye, a: number, b: number): Dye {
  const sum = { ...NO_DYE };
  for (const name of Object.keys(sum) as DyeName[]) sum[name] = a * one[name] + b * other[name];
  return sum;
}

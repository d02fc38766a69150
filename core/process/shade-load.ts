import { type Tone, toneLab, neutralLab, dyesOfShift, labOf } from '../colour';
import { type Warmth, type Dye, NO_DYE, naturalPigment, baredPigment, reflectanceOf } from '../hair';

// Bound once: these run millions of times in a search.
const { abs, hypot, max, min } = Math;

/** What a shade holds beside its depth (T3). */
export interface ShadeLoad {
  /** The bared warmth of its own level, which it is made to cancel. */
  cancels: Warmth;
  /** Gives the tone of the label on neutral hair of its level. */
  tone: Dye;
}

type Primary = 'blue' | 'red' | 'yellow';
const PRIMARIES: readonly Primary[] = ['blue', 'red', 'yellow'];
/** Optical density past which more dye of one kind shows nothing more. */
const MOST_DYE = 6;
/** First guess: optical density that moves hair of a middle level by one unit of a* and b*. */
const FIRST_GUESS = 0.05;
const ROUNDS = 24;

/**
 * Dye that gives neutral hair of a level a tone: Newton's method in a* and b* on the two dyes the tone lies between.
 * In the dark a tone may be out of reach; then the most that shows is taken.
 */
function toneDye(level: number, tone: Tone): Dye {
  const wanted = toneLab(level, tone);
  const neutral = neutralLab(level);
  const ways = dyesOfShift({ a: wanted.a - neutral.a, b: wanted.b - neutral.b });
  const names = PRIMARIES.filter((name) => ways[name] > 1e-6);
  if (names.length === 0) return NO_DYE;
  const pigment = naturalPigment(level);
  const own = labOf(reflectanceOf(pigment));
  const at = (dye: Dye) => labOf(reflectanceOf(pigment, dye));
  let dye: Dye = { ...NO_DYE, ...Object.fromEntries(names.map((name) => [name, FIRST_GUESS * ways[name]])) };
  const goal = { a: own.a + wanted.a - neutral.a, b: own.b + wanted.b - neutral.b };
  const STEP = 1e-3;
  for (let round = 0; round < ROUNDS; round++) {
    const here = at(dye);
    const [ma, mb] = [goal.a - here.a, goal.b - here.b];
    if (hypot(ma, mb) < 0.05) break;
    const slopes = names.map((name) => {
      const moved = at({ ...dye, [name]: dye[name] + STEP });
      return { a: (moved.a - here.a) / STEP, b: (moved.b - here.b) / STEP };
    });
    let change: number[];
    if (names.length === 1) {
      const [s] = slopes;
      change = [(ma * s.a + mb * s.b) / (s.a ** 2 + s.b ** 2 + 1e-9)];
    } else {
      const [u, v] = slopes;
      const det = u.a * v.b - u.b * v.a;
      if (abs(det) < 1e-6) break;
      change = [(ma * v.b - mb * v.a) / det, (u.a * mb - u.b * ma) / det];
    }
    const stride = min(1, 0.8 / max(...change.map(abs)));
    dye = {
      ...dye,
      ...Object.fromEntries(
        names.map((name, i) => [name, min(MOST_DYE, max(0, dye[name] + stride * change[i]))]),
      ),
    };
  }
  return dye;
}

const known = new Map<string, ShadeLoad>();

/**
 * The load of a shade of a level, 1 to 12 with fractions. Kept, since it is asked often.
 * @rule T3
 */
export function shadeLoad(level: number, tone: Tone): ShadeLoad {
  const name = `${level} ${tone.primary} ${tone.secondary ?? ''}`;
  const kept = known.get(name);
  if (kept) return kept;
  const load = { cancels: warmthBeyondNatural(level), tone: toneDye(level, tone) };
  known.set(name, load);
  return load;
}

/** Red and yellow of lightened hair of a level beyond what natural hair of the level has: what a toner works against. */
export function warmthBeyondNatural(level: number): Warmth {
  const [bared, own] = [baredPigment(level), naturalPigment(level)];
  return { red: max(0, bared.red - own.red), yellow: max(0, bared.yellow - own.yellow) };
}
/** Warmth with so much of it cancelled. */
export const warmthLess = (warmth: Warmth, other: Warmth): Warmth => ({
  red: max(0, warmth.red - other.red),
  yellow: max(0, warmth.yellow - other.yellow),
});

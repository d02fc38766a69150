import { differenceOf, labOf, lightnessOfLevel, neutralLab, type Lab } from '../../core/colour';
import { reflectanceOf, type NaturalPigment } from '../../core/hair/pigment';

/** Hue in degrees and chroma of hair lightened to each level, 1 to 12 (H2 of the behaviour table). */
const LIGHTENED_HUE = [24, 26, 29, 34, 43, 52, 62, 73, 82, 90, 92, 96];
const LIGHTENED_CHROMA = [5, 9, 14, 20.5, 28.5, 36.5, 43, 42.5, 36, 28, 20, 12];

const radians = (degrees: number) => (degrees * Math.PI) / 180;
const lightenedLab = (level: number): Lab => {
  const [hue, chroma] = [radians(LIGHTENED_HUE[level - 1]), LIGHTENED_CHROMA[level - 1]];
  return { l: lightnessOfLevel(level), a: chroma * Math.cos(hue), b: chroma * Math.sin(hue) };
};

type Amounts = [number, number, number];
const pigmentOf = ([brownBlack, red, yellow]: Amounts): NaturalPigment => ({ brownBlack, red, yellow });

/** Pigment that comes nearest to a colour, lightness before hue: coordinate search with shrinking steps. */
function solve(wanted: Lab): { pigment: NaturalPigment; deltaE: number } {
  const colour = (x: Amounts) => labOf(reflectanceOf(pigmentOf(x)));
  const miss = (x: Amounts) => {
    const { l, a, b } = colour(x);
    return 9 * (l - wanted.l) ** 2 + (a - wanted.a) ** 2 + (b - wanted.b) ** 2;
  };
  let x: Amounts = [2, 0.1, 0.1];
  let best = miss(x);
  for (let step = 0.5; step > 1e-5; step *= 0.7) {
    for (let moved = true, rounds = 0; moved && rounds < 60; rounds++) {
      moved = false;
      for (const i of [0, 1, 2]) {
        for (const by of [step, -step]) {
          const next = x.map((v, j) => (i === j ? Math.max(0, v + by) : v)) as Amounts;
          const now = miss(next);
          if (now < best) [x, best, moved] = [next, now, true];
        }
      }
    }
  }
  const rounded = x.map((v) => Number(v.toFixed(3))) as Amounts;
  return { pigment: pigmentOf(rounded), deltaE: differenceOf(colour(rounded), wanted) };
}

/** The two ladders of natural pigment, level 1 to 12, and how near each rung comes to its colour. */
export function solvedTables() {
  const levels = LIGHTENED_HUE.map((_, i) => i + 1);
  const rungs = (colourOf: (level: number) => Lab) =>
    levels.map((level) => ({ level, ...solve(colourOf(level)) }));
  return [
    { name: 'natural', rungs: rungs(neutralLab) },
    { name: 'lightened', rungs: rungs(lightenedLab) },
  ];
}

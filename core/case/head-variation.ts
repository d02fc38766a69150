import { type Lab, levelOfLightness, lightnessOfLevel, toHalfLevel } from '../colour';
import type { TressLook } from '../draw';
import { seededRandom } from '../random';
import type { ClientCase } from './client-case';
import { nowLooks } from './looks';

/** Furthest that a head is shown from what it is: a third of a level, and ΔE 3 in all. */
export const VARIATION = { levels: 1 / 3, deltaE: 3 };
const HALVINGS = 6;

/** Whether hair of that lightness, L*, reads to the same half level when it is shown so much lighter. */
const readsAlike = (l: number, by: number): boolean => {
  const [level, shown] = [levelOfLightness(l), levelOfLightness(l + by)];
  return Math.abs(shown - level) <= VARIATION.levels && toHalfLevel(shown) === toHalfLevel(level);
};

/**
 * How far the hair of one head is shown from what it is, as a step in CIELAB: drawn from its seed and the same in every
 * picture of it, so that who works a head back from its pictures comes no nearer than this, however many there are. No
 * place is carried to another half level: what an eye reads right stays right.
 */
export function headVariation(clientCase: Pick<ClientCase, 'head'>, seed: number): Lab {
  const random = seededRandom(seed);
  const places = nowLooks(clientCase, 'daylight', seed).flatMap(({ zones }) => zones);
  const widest = Math.min(
    VARIATION.deltaE,
    ...places.map(({ colour: { l } }) => {
      const level = levelOfLightness(l);
      return lightnessOfLevel(level + VARIATION.levels) - lightnessOfLevel(level);
    }),
  );
  let l = (2 * random() - 1) * widest;
  for (let i = 0; i < HALVINGS && !places.every(({ colour }) => readsAlike(colour.l, l)); i++) l /= 2;
  if (!places.every(({ colour }) => readsAlike(colour.l, l))) l = 0;
  // What is left of ΔE goes to hue and chroma.
  const [turn, reach] = [2 * Math.PI * random(), Math.sqrt(VARIATION.deltaE ** 2 - l ** 2) * random()];
  return { l, a: Math.cos(turn) * reach, b: Math.sin(turn) * reach };
}

/** A lock shown so far from what it is; white strands, which tell nothing of the level, as they are. */
export const shownFurther = (look: TressLook, by: Lab): TressLook => ({
  ...look,
  zones: look.zones.map((zone) => ({
    ...zone,
    colour: { l: zone.colour.l + by.l, a: zone.colour.a + by.a, b: zone.colour.b + by.b },
  })),
});

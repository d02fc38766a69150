import { type TressLook, naturalLook } from '../draw';
import { lookOfSubject } from './subject';

/** Natural level of the head on the clock, and the level that is watched for. */
export const CLOCK_HEAD = { from: 4, to: 8 } as const;
/** Natural pigment goes fast, then slowly: minutes in which all but a third of what can go is gone (R7). */
const TAU_MINUTES = 20;
const PALEST = 9;
const STEPS_OF_LEVEL = 4;

/**
 * Level of hair under lightener that reaches what is watched for in `needs` minutes, after it has lain for `lying` of them;
 * what lies on goes on lifting. In quarters, as the eye tells them.
 */
export function levelOnClock(lying: number, needs: number): number {
  if (lying <= 0) return CLOCK_HEAD.from;
  const done = (minutes: number) => 1 - Math.exp(-minutes / TAU_MINUTES);
  const level = CLOCK_HEAD.from + ((CLOCK_HEAD.to - CLOCK_HEAD.from) * done(lying)) / done(needs);
  return Math.min(PALEST, Math.round(level * STEPS_OF_LEVEL) / STEPS_OF_LEVEL);
}

/** The strand of a zone on the clock: grown hair before anything lies on it, then as far as it has lifted; under foam unless wiped. */
export function lookOnClock(lying: number, needs: number, seed: number, isUnderFoam: boolean): TressLook {
  const grown = {
    naturalLevel: CLOCK_HEAD.from,
    greyShare: 0,
    porosity: 'normal',
    diameter: 'medium',
  } as const;
  const look =
    lying <= 0
      ? naturalLook(grown, seed)
      : lookOfSubject(
          { kind: 'lightened', level: levelOnClock(lying, needs), white: 0 },
          { light: 'daylight', seed },
        );
  if (!isUnderFoam) return look;
  return { ...look, zones: look.zones.map((zone) => ({ ...zone, under: 'foam' as const })) };
}

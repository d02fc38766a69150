import type { Lab } from '../colour';
import type { TressZone, TressLook } from './look';

/**
 * How finely an eye reads a picture of hair: colour to about ΔE 2 (a step of 2 in each of L*, a*, b*), the share of white
 * strands to tenths (a trace stays a trace), shine to a few steps. What is finer is no matter of looking any more.
 */
export const EYE_GRAIN = { colour: 2, share: 0.1, shine: 0.2 };
/** A share under a tenth that is still seen is shown as a trace, one that is not as none. */
export const TRACE = { from: 0.02, shown: 0.05 };

/** Rounded, short enough to be read; steps of a twentieth would else show as 0.15000000000000002. */
const to = (grain: number, value: number) => Math.round(Math.round(value / grain) * grain * 100) / 100;

/** A colour as well as the eye tells it. */
export const labToEyeGrain = ({ l, a, b }: Lab): Lab => ({
  l: to(EYE_GRAIN.colour, l),
  a: to(EYE_GRAIN.colour, a),
  b: to(EYE_GRAIN.colour, b),
});

const shareToEyeGrain = (share: number): number => {
  if (share >= EYE_GRAIN.share) return to(EYE_GRAIN.share, share);
  return share < TRACE.from ? 0 : TRACE.shown;
};

const zoneToEyeGrain = (zone: TressZone): TressZone => ({
  ...zone,
  colour: labToEyeGrain(zone.colour),
  greyShare: shareToEyeGrain(zone.greyShare),
  grey: labToEyeGrain(zone.grey),
});

/**
 * A lock without what only an instrument could read off it. Everything that a student's browser gets of a head before
 * its model answer is released is this, drawn or told: who works back from a picture, or from what it is drawn of, comes
 * no further than who looks at it. Wear (frizz, breakage, split ends) is coarse as it is.
 */
export const toEyeGrain = (look: TressLook): TressLook => ({
  ...look,
  zones: look.zones.map(zoneToEyeGrain),
  shine: to(EYE_GRAIN.shine, look.shine),
});

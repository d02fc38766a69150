import { toneLab, type Lab, type Tone } from '../colour';
import { naturalLab, whiteHairLab, type Zone } from '../hair';
import type { TressLook } from './look';

const whole = (colour: Lab, greyShare: number) => [
  { from: 0, to: 1, colour, greyShare, grey: whiteHairLab() },
];

/** Hair dulls as its surface roughens. */
const SHINE = { low: 0.9, normal: 0.7, high: 0.35 } as const;

/** Untouched hair of one zone in daylight. */
export function naturalLook(zone: Zone, seed: number): TressLook {
  return {
    zones: whole(naturalLab(zone.naturalLevel), zone.greyShare),
    form: 'straight',
    cut: 'lock',
    shine: SHINE[zone.porosity],
    seed,
  };
}

/** Finished hair of a level and tone: a target, or a shade on a chart. Grey is covered. */
export function toneLook(level: number, tone: Tone, seed: number): TressLook {
  return { zones: whole(toneLab(level, tone), 0), form: 'straight', cut: 'lock', shine: 0.8, seed };
}

/** A swatch of a chart or ring: the same hair, cut straight and held flat. */
export const asSwatch = (look: TressLook): TressLook => ({ ...look, cut: 'swatch' });

import { labOf, type Light } from '../colour';
import { reflectanceOfPigmented, reflectanceOfWhite, type Strand } from '../hair';
import type { HairForm, TressLook } from './look';

export interface StretchOfHair {
  from: number;
  to: number;
  strand: Strand;
}

/** A lock as the hair model has it, zone by zone, in a light. Damaged and porous hair is dull. */
export function strandLook(
  stretches: readonly StretchOfHair[],
  light: Light,
  form: HairForm,
  seed: number,
): TressLook {
  const dull = stretches.reduce(
    (sum, { strand, from, to }) => sum + (to - from) * (strand.porosity + strand.damage),
    0,
  );
  return {
    zones: stretches.map(({ from, to, strand }) => ({
      from,
      to,
      colour: labOf(reflectanceOfPigmented(strand), light),
      greyShare: strand.white,
      grey: labOf(reflectanceOfWhite(strand), light),
    })),
    form,
    cut: 'lock',
    shine: Math.max(0.15, 1 - 0.65 * dull),
    seed,
  };
}

import { labOf, type Light } from '../colour';
import { reflectanceOfPigmented, reflectanceOfWhite, type Strand } from '../hair';
import type { HairForm, TressLook } from './look';

export interface StretchOfHair {
  from: number;
  to: number;
  strand: Strand;
}

/** A lock as the hair model has it, zone by zone, in a light; its shine is that of its surface. */
export function strandLook(
  stretches: readonly StretchOfHair[],
  light: Light,
  form: HairForm,
  seed: number,
): TressLook {
  // Raised cuticle scatters the light that a smooth one gives back.
  const shine = stretches.reduce(
    (sum, { strand, from, to }) => sum + (to - from) * strand.surface * (1.2 - 0.6 * strand.porosity),
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
    shine: Math.min(1, Math.max(0.15, shine)),
    seed,
  };
}

import { type TressLook, asSwatch, strandLook, toneLook } from '../draw';
import { type Strand, lightenedStrand, type Dye, NO_WARMTH, NO_DYE } from '../hair';
import type { Shade } from './numbering';

/** Hair a corrector and a vivid dye are shown on, and how much of the dye: as it comes from the jar. */
const CORRECTOR_LEVEL = 6.5;
const VIVID_LEVEL = 9.5;
const VIVID_DYE = 1.1;

/** Hair with so much dye in it, as on the strand of a chart. */
const withDye = (strand: Strand, dye: Dye): Strand => ({
  ...strand,
  layers: [{ kind: 'direct', dye, dyeOnWhite: dye, masks: NO_WARMTH, fills: NO_WARMTH, held: 0 }],
});

/** A swatch of a shade as it hangs on a chart; null for one without colour. */
export function shadeLook(shade: Shade, seed: number): TressLook | null {
  const { series, level, tone, dye } = shade;
  const lightened = (at: number, dyed = NO_DYE) =>
    asSwatch(
      strandLook(
        [{ from: 0, to: 1, strand: withDye(lightenedStrand(at), dyed) }],
        'daylight',
        'straight',
        seed,
      ),
    );
  if (series === 'direct' && dye) return lightened(VIVID_LEVEL, { ...NO_DYE, [dye]: VIVID_DYE });
  if (series === 'filler' && level !== null) return lightened(level);
  if (series === 'corrector') return asSwatch(toneLook(CORRECTOR_LEVEL, tone, seed));
  return level === null ? null : asSwatch(toneLook(level, tone, seed));
}

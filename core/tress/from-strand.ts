import { labOf, type Light } from '../colour';
import { reflectanceOfPigmented, reflectanceOfWhite, type Strand } from '../hair';
import type { HairForm, TressLook, TressZone } from './look';

export interface StretchOfHair {
  from: number;
  to: number;
  strand: Strand;
}

/** Porosity above that of grown hair that makes it as frizzy as it gets, and damage from which hair breaks off. */
const FRIZZY = { from: 0.5, over: 0.5 };
const BREAKS = { from: 0.4, most: 0.45 };
/** Moisture under which hair snaps at the ends as it is combed. */
const SNAPS_UNDER = 0.3;
const halves = (value: number) => Math.round(2 * Math.min(1, Math.max(0, value))) / 2;

/** How the worst stretch of the hair has worn, as roughly as the eye sees it: open hair frizzes, weak hair breaks, dry hair snaps. */
function wearOf(stretches: readonly StretchOfHair[]): { frizz: number; broken: number } {
  const worst = (of: (strand: Strand) => number) => Math.max(...stretches.map(({ strand }) => of(strand)));
  return {
    frizz: halves(worst(({ porosity }) => (porosity - FRIZZY.from) / FRIZZY.over)),
    broken:
      BREAKS.most *
      halves(
        worst(({ damage, moisture }) =>
          moisture < SNAPS_UNDER ? 1 : (damage - BREAKS.from) / (1 - BREAKS.from),
        ),
      ),
  };
}

/**
 * The two kinds of fibre a zone is drawn of: pigmented and white, or, where none are white, those a thin coat reached and
 * those it missed.
 */
function fibresOf(strand: Strand, light: Light): Pick<TressZone, 'colour' | 'greyShare' | 'grey'> {
  const missed = strand.spots.reduce((sum, { fraction }) => sum + fraction, 0);
  if (strand.white === 0 && missed > 0) {
    const [largest] = strand.spots;
    return {
      colour: labOf(reflectanceOfPigmented({ ...strand, spots: [] }), light),
      greyShare: missed,
      grey: labOf(reflectanceOfPigmented(largest.strand), light),
    };
  }
  return {
    colour: labOf(reflectanceOfPigmented(strand), light),
    greyShare: strand.white,
    grey: labOf(reflectanceOfWhite(strand), light),
  };
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
    zones: stretches.map(({ from, to, strand }) => ({ from, to, ...fibresOf(strand, light) })),
    form,
    cut: 'lock',
    shine: Math.min(1, Math.max(0.15, shine)),
    ...wearOf(stretches),
    seed,
  };
}

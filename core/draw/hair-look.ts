import { type Lab, labOf, type Tone, toneLab, type Light } from '../colour';
import {
  whiteHairLab,
  type Zone,
  type HairForm,
  naturalLab,
  type Strand,
  reflectanceOfPigmented,
  reflectanceOfWhite,
} from '../hair';
import type { TressLook, TressZone } from './look';

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

export interface StretchOfHair {
  /** Where it begins, 0 at the root to 1 at the tip. */
  from: number;
  /** Where it ends, 0 at the root to 1 at the tip. */
  to: number;
  /** State of the hair. */
  strand: Strand;
}

/** Porosity above that of grown hair that makes it as frizzy as it gets, and damage from which hair breaks off. */
const FRIZZY = { from: 0.5, over: 0.5 };
const BREAKS = { from: 0.4, most: 0.45 };
/** Damage from which tips split, and part of the fibres that do at worst. */
const SPLITS = { from: 0.25, over: 0.4, most: 0.5 };
/** Moisture under which hair snaps at the ends as it is combed, and over which weak hair has lost its spring (C1). */
const SNAPS_UNDER = 0.3;
const LIMP = { over: 0.88, damage: 0.4 };
const halves = (value: number) => Math.round(2 * Math.min(1, Math.max(0, value))) / 2;

/**
 * How the worst stretch of the hair has worn, as roughly as the eye sees it: open hair frizzes, weak hair splits and breaks,
 * dry hair snaps, over-soft hair hangs limp.
 */
function wearOf(
  stretches: readonly StretchOfHair[],
): Required<Pick<TressLook, 'frizz' | 'broken' | 'split' | 'limp'>> {
  const worst = (of: (strand: Strand) => number) =>
    halves(Math.max(...stretches.map(({ strand }) => of(strand))));
  return {
    frizz: worst(({ porosity }) => (porosity - FRIZZY.from) / FRIZZY.over),
    broken:
      BREAKS.most *
      worst(({ damage, moisture }) =>
        moisture < SNAPS_UNDER ? 1 : (damage - BREAKS.from) / (1 - BREAKS.from),
      ),
    split: SPLITS.most * worst(({ damage }) => (damage - SPLITS.from) / SPLITS.over),
    limp: worst(({ damage, moisture }) => (moisture > LIMP.over && damage > LIMP.damage ? 1 : 0)),
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

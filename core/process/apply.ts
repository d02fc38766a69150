import { levelOfLightness, labOf } from '../colour';
import {
  DYES,
  NO_DYE,
  brownBlackOfLevel,
  exposureOf,
  isColour,
  isDirect,
  pigmentOf,
  reflectanceOf,
  warmthOfLevel,
  type Diameter,
  type Dye,
  type Strand,
} from '../hair';
import { depthOf, dilutionOf, naturalOf, type Mix } from './mix';
import { BOND_ADDITIVE, PRODUCTS, liftCurve } from './products';
import { combine, shadeLoad } from './shade-load';

/** R6. */
const RATE_BY_DIAMETER: Record<Diameter, number> = { fine: 1.25, medium: 1, coarse: 0.8 };
const SCALP_WARMTH_CM = 1.3;
const SCALP_RATE = 1.3;
export const HEAT_RATE = 4 / 3;

/** 0.8 at low, 1 at normal, 1.3 at high porosity (R6), linear between. */
const rateByPorosity = (p: number) =>
  p <= 0.5 ? 0.8 + ((p - 0.25) / 0.25) * 0.2 : 1 + ((p - 0.5) / 0.35) * 0.3;

export const rateOf = (strand: Strand) =>
  RATE_BY_DIAMETER[strand.diameter] *
  Math.max(0.7, rateByPorosity(strand.porosity)) *
  (strand.fromScalpCm <= SCALP_WARMTH_CM ? SCALP_RATE : 1);

/** A faster strand also gets a little further before the peroxide is spent. */
const REACH_POWER = 0.3;
/** Peroxide held up by dye in the strand: colour does not lift colour, and hardly what lies beneath it (P1). */
const DYE_HOLDS_UP = 7;
const DRYING_MINUTES = 8;

/** Extra damage of a strength over 20 vol; fitted to H6. */
const damageByVol = (vol: number) => (vol <= 20 ? 0.5 + vol / 40 : (vol / 20) ** 1.5);

/** One mix lying on one zone: what it can do at most, fixed when it is put on. */
export interface Application {
  mix: Mix;
  start: Strand;
  rate: number;
  dose: number;
  tauMinutes: number;
  /** Dye each kind of strand has taken when the dye is fully formed. */
  onPigmented: Dye;
  onWhite: Dye;
}

const dyeLoad = (dye: Dye) => DYES.reduce((sum, name) => (isColour(name) ? sum + dye[name] : sum), 0);

/** Dose the brown-black has had so far. */
const takenDose = ({ brownBlack, grownBrownBlack }: Strand) =>
  brownBlack > 0 && grownBrownBlack > 0 ? Math.log(grownBrownBlack / brownBlack) : 0;

/** Puts a mix on a zone. Wet hair dilutes it by half (D6). */
export function apply(mix: Mix, start: Strand, { wet = false } = {}): Application {
  const product = PRODUCTS[mix.product];
  const vol = wet ? mix.developerVol / 2 : mix.developerVol;
  const rate = rateOf(start) * (mix.bondAdditive ? BOND_ADDITIVE.pace : 1);
  const curve = liftCurve(product, vol);
  const takesDye = product.takesOxidative > 0;
  const tooDark =
    product.liftsFromLevel !== null &&
    levelOfLightness(labOf(reflectanceOf(pigmentOf(start))).l) < product.liftsFromLevel - 0.25;
  const held = takesDye ? 1 : 1 / (1 + DYE_HOLDS_UP * dyeLoad(start.dye));
  const before = takesDye ? 1 : Math.exp(-LIFTED_BEFORE * takenDose(start));
  const dose = curve.dose * rate ** REACH_POWER * held * before * (tooDark ? 0.6 : 1);
  const { onPigmented, onWhite } = depositOf(mix, start, dose, vol, wet);
  return { mix, start, rate, dose, tauMinutes: curve.tauMinutes, onPigmented, onWhite };
}

/** Depth that is laid on even where the hair is as deep as the shade: colour on colour is darker (A1). Fitted to H12. */
const DEPTH_SOFTNESS = 0.12;
/** Lift on hair already bared works against the colour that forms with it (D7). Fitted to H13. */
const LIFT_ON_LIFT = 14;
/** Colour lifts little where colour has lifted before, per dose already taken. Fitted to H13. */
const LIFTED_BEFORE = 0.9;
/** Colour laid on colour. Fitted to H12. */
const OVERLAP_DEPTH = 0.15;
/** How fast a shade lighter than the hair fails to cover its warmth, per level (U4). Fitted to H8 and H13. */
const TOO_LIGHT = 0.9;
/** Hair lighter than the shade has less bared warmth for the base to meet, per level. Fitted to the shipped cases. */
const LESS_TO_MEET = 0.05;
/** Porous hair takes more of everything, and most of the blue (F11). Fitted to H9. */
const uptakeOf = (porosity: number) => (porosity <= 0.5 ? 0.9 + 0.2 * porosity : 1 + 1.45 * (porosity - 0.5));
const blueGrab = (porosity: number) => 1 + Math.max(0, porosity - 0.5) * 0.3;

/** Share of the missing warmth one filling puts back. */
const FILLS = 0.85;

const softplus = (x: number, softness: number) => softness * Math.log1p(Math.exp(Math.min(40, x / softness)));

function depositOf(
  mix: Mix,
  start: Strand,
  dose: number,
  vol: number,
  wet: boolean,
): { onPigmented: Dye; onWhite: Dye } {
  const product = PRODUCTS[mix.product];
  if (!product.dye) return { onPigmented: NO_DYE, onWhite: NO_DYE };
  const strength = product.dye.strength * dilutionOf(mix) * (wet ? 0.6 : 1);
  if (mix.product === 'direct') {
    const vivid = { ...NO_DYE, ...mix.vivid };
    const taken = (0.5 + 0.5 * exposureOf(start)) * uptakeOf(start.porosity);
    return { onPigmented: scale(vivid, taken), onWhite: scale(vivid, product.coversWhite) };
  }
  if (mix.product === 'filler') {
    const warm = warmthOfLevel(mix.fillsLevel ?? 6);
    const there = pigmentOf(start);
    const missing = {
      ...NO_DYE,
      fillsRed: Math.max(0, warm.red - there.red),
      fillsYellow: Math.max(0, warm.yellow - there.yellow),
    };
    return {
      onPigmented: scale(missing, FILLS * uptakeOf(start.porosity)),
      onWhite: scale(missing, product.coversWhite),
    };
  }
  const level = depthOf(mix);
  if (level === null) return { onPigmented: NO_DYE, onWhite: NO_DYE };

  const lifted = { ...start, brownBlack: start.brownBlack * Math.exp(-dose) };
  const reached = levelOfLightness(labOf(reflectanceOf(pigmentOf(lifted), start.dye)).l);
  const all = mix.shades.reduce((sum, { parts }) => sum + parts, 0);
  let base = NO_DYE;
  let tone = NO_DYE;
  let toneDepth = 0;
  for (const { shade, parts } of mix.shades) {
    if (shade.level === null) continue;
    // A high-lift shade is made for hair it has lifted itself: its number is a wish, not a depth (section 6).
    const madeFor = mix.product === 'highLift' ? Math.round(Math.min(10, Math.max(1, reached))) : shade.level;
    const load = shadeLoad(madeFor, shade.tone);
    const gap = madeFor - reached;
    const covers = Math.exp(gap > 0 ? -TOO_LIGHT * Math.max(0, gap - 0.25) : LESS_TO_MEET * gap);
    base = combine(base, load.base, 1, (covers * parts) / all);
    tone = combine(tone, load.tone, 1, parts / all);
    toneDepth += (load.toneDepth * parts) / all;
  }
  // A clear shade thins depth as it thins the load.
  const coloured =
    mix.shades.reduce((sum, { shade, parts }) => sum + (shade.level === null ? 0 : parts), 0) / all;
  const undone = Math.exp(-LIFT_ON_LIFT * dose * exposureOf(start));
  const uptake = uptakeOf(start.porosity) * strength;
  const overlap = Math.min(1, dyeLoad(start.dye) / 0.25) * Math.min(1, brownBlackOfLevel(level) / 2);
  const depth =
    softplus(
      brownBlackOfLevel(level) - brownBlackOfLevel(Math.min(12, reached)) - toneDepth,
      DEPTH_SOFTNESS,
    ) +
    OVERLAP_DEPTH * overlap;
  const grab = blueGrab(start.porosity);
  const onPigmented = grabBlue(
    positive(combine(base, tone, exposureOf(lifted) * uptake * undone, uptake)),
    grab,
  );
  onPigmented.brown = Math.max(0, onPigmented.brown - 0.75 * toneDepth) + depth * coloured * uptake;

  const opened =
    product.kind === 'demi' || product.kind === 'acidGloss' ? 1 : Math.min(1, 0.35 + 0.65 * (vol / 20));
  const covers = Math.min(1, (product.coversWhite + 1.16 * naturalOf(mix)) * opened) * strength;
  const whiteDepth = Math.max(0, brownBlackOfLevel(level) - toneDepth) * coloured;
  const onWhite = positive(combine(base, tone, 0, covers));
  onWhite.brown = whiteDepth * covers;
  return { onPigmented, onWhite };
}

const scale = (dye: Dye, by: number) => combine(dye, NO_DYE, by, 0);
function positive(dye: Dye): Dye {
  const out = { ...dye };
  for (const name of DYES) out[name] = Math.max(0, out[name]);
  return out;
}
const grabBlue = (dye: Dye, grab: number): Dye => ({ ...dye, blue: dye.blue * grab });

/**
 * Minutes of full-rate work after lying on for a while at rate 1: a lightener that dries out stops.
 * Closed form, so that any two ways of cutting the time into steps agree.
 */
export function workedMinutes(mix: Mix, minutes: number): number {
  const dries = PRODUCTS[mix.product].driesAfterMinutes;
  if (dries === null || minutes <= dries) return minutes;
  return dries + DRYING_MINUTES * (1 - Math.exp(-(minutes - dries) / DRYING_MINUTES));
}

/** 0–1 of the dose after so many worked minutes at the application's own rate. */
const spent = (application: Application, worked: number) =>
  1 - Math.exp((-worked * application.rate) / application.tauMinutes);

/**
 * The strand after a mix has worked for so many minutes (of {@link workedMinutes}, heat included).
 * A function of the start and the total, never of steps: splitting a time changes nothing.
 */
export function strandAfter(application: Application, worked: number): Strand {
  const { mix, start, dose } = application;
  const product = PRODUCTS[mix.product];
  if (worked <= 0) return start;
  const done = dose * spent(application, worked);
  const liftsNatural = product.kind !== 'remover';
  const formed = product.dye
    ? (1 - Math.exp((-worked * Math.sqrt(application.rate)) / product.dye.tauMinutes)) /
      (1 - Math.exp(-product.dye.fullMinutes / product.dye.tauMinutes))
    : 0;
  const dyed = Math.min(1.06, formed);
  const left = (dye: Dye): Dye => {
    if (product.takesOxidative === 0) return dye;
    const out = { ...dye };
    for (const name of DYES) {
      // Blue and green direct dyes cling longest (P2).
      const cling = name === 'directBlue' || name === 'directGreen' ? 0.45 : 1;
      out[name] *= Math.exp(-done * (isDirect(name) ? product.takesDirect * cling : product.takesOxidative));
    }
    return out;
  };
  const protectedBy = mix.bondAdditive ? BOND_ADDITIVE.damage : 1;
  const hurt = product.damagePerDose * damageByVol(mix.developerVol) * done * protectedBy;
  const damage = 1 - (1 - start.damage) * Math.exp(-hurt);
  return {
    ...start,
    brownBlack: liftsNatural ? start.brownBlack * Math.exp(-done) : start.brownBlack,
    dye: combine(left(start.dye), application.onPigmented, 1, dyed),
    dyeOnWhite: combine(left(start.dyeOnWhite), application.onWhite, 1, dyed),
    damage,
    porosity: start.porosity + (1 - start.porosity) * (1 - Math.exp(-hurt * 0.8)),
  };
}

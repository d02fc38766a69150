import type { Tone } from '../colour';
import {
  type HistoryLayer,
  type Yellow,
  YELLOWS,
  type Strand,
  levelOfPigmented,
  lightenedStrand,
  grownLevelOf,
  layerLeft,
  type DyeLayer,
  brownBlackOfLevel,
  type ChemicalService,
  NO_DYE,
  NO_WARMTH,
} from '../hair';
import { strandUnder } from './apply';
import type { Coat } from './coat';
import { treated } from './condition';
import { FIGURES } from './figures';
import { type Mix, VIVID_LOAD } from './mix';

type Coloured = Extract<HistoryLayer, { level: number; tone: Tone }>;

const LIGHTENER: Mix = { product: 'lightenerStrong', shades: [], developerVol: 20, ratio: 2 };
const LIGHTEN_MINUTES = 45;
const MOST_ROUNDS = 4;

/** Lightened as often as it takes, then held to be exactly at the level; its damage is what that costs. */
function lightenTo(strand: Strand, level: number, yellow: Yellow): Strand {
  const bare = { ...strand, layers: [] };
  if (levelOfPigmented(bare) >= level) return { ...strand, warmthKept: YELLOWS[yellow] };
  let now: Strand = strand;
  for (let round = 0; round < MOST_ROUNDS && levelOfPigmented({ ...now, layers: [] }) < level; round++) {
    const full = strandUnder({ mix: LIGHTENER }, now, LIGHTEN_MINUTES);
    if (levelOfPigmented({ ...full, layers: [] }) < level) {
      now = full;
      continue;
    }
    let [low, high] = [0, LIGHTEN_MINUTES];
    for (let step = 0; step < 12; step++) {
      const middle = (low + high) / 2;
      const there =
        levelOfPigmented({ ...strandUnder({ mix: LIGHTENER }, now, middle), layers: [] }) >= level;
      if (there) high = middle;
      else low = middle;
    }
    now = strandUnder({ mix: LIGHTENER }, now, high);
    break;
  }
  const { brownBlack } = lightenedStrand(level, grownLevelOf(strand));
  return { ...now, brownBlack: Math.min(strand.brownBlack, brownBlack), warmthKept: YELLOWS[yellow] };
}

const aged = (strand: Strand, from: number, faded: number, held: number): Strand => ({
  ...strand,
  layers: strand.layers.map((layer, i) => (i < from ? layer : layerLeft(layer, 1 - faded, held))),
});

/** A coat in the past: full time; deposit strength where it went darker, else 20 vol. */
function pastCoat({ kind, level, tone }: Coloured, strand: Strand): { coat: Coat; minutes: number } {
  const natural = grownLevelOf(strand);
  // Whoever coloured white hair mixed it to cover (F8).
  const shade = { label: '', series: 'natural' as const, level, tone };
  const vol = kind !== 'permanent' ? 7 : level < natural - 0.5 ? 10 : 20;
  const mix: Mix = { product: kind, shades: [{ shade, parts: 1 }], developerVol: vol, ratio: 1.5 };
  return { coat: { mix }, minutes: kind !== 'permanent' ? 20 : strand.white > 0 ? 45 : 35 };
}

const withLast = (strand: Strand, change: (layer: DyeLayer) => DyeLayer): Strand => ({
  ...strand,
  layers: strand.layers.map((layer, i) => (i === strand.layers.length - 1 ? change(layer) : layer)),
});

/** Room above its level that hair needs for colour to lie on it. */
const LIFTED_PAST = 0.25;

/**
 * Permanent colour of a level that is seen today. Lighter than the hair grew it was lifted on the way; the white strands
 * take what they take, the others are brought to the level by the depth of the newest layer.
 */
function permanently(strand: Strand, layer: Coloured): Strand {
  const natural = grownLevelOf(strand);
  const { coat, minutes } = pastCoat(layer, strand);
  const coloured = strandUnder(coat, strand, minutes);
  if (layer.level <= levelOfPigmented(coloured)) return broughtTo(layer.level, coloured);
  const { brownBlack } = lightenedStrand(Math.max(natural, layer.level + LIFTED_PAST), natural);
  const lifted = { ...strand, brownBlack: Math.min(strand.brownBlack, brownBlack) };
  const { dyeOnWhite } = coloured.layers[coloured.layers.length - 1];
  const laidOn = strandUnder({ mix: { ...coat.mix, product: 'demi', developerVol: 0 } }, lifted, 20);
  const { damage, porosity, moisture, surface } = coloured;
  return broughtTo(
    layer.level,
    withLast({ ...laidOn, damage, porosity, moisture, surface }, (last) => ({
      ...last,
      kind: 'permanent',
      dyeOnWhite,
    })),
  );
}

/** Least depth of dye that is left to colour that is seen. */
const SOME_BROWN = 0.02;

/** Depth of the newest layer changed until the pigmented hair reads as the level; level falls as brown rises. */
function broughtTo(level: number, strand: Strand): Strand {
  const withBrown = (brown: number) =>
    withLast(strand, (layer) => ({ ...layer, dye: { ...layer.dye, brown } }));
  if (levelOfPigmented(withBrown(SOME_BROWN)) <= level) return withBrown(SOME_BROWN);
  let [low, high] = [SOME_BROWN, brownBlackOfLevel(1) * 2];
  for (let step = 0; step < 24; step++) {
    const middle = (low + high) / 2;
    if (levelOfPigmented(withBrown(middle)) > level) low = middle;
    else high = middle;
  }
  return withBrown((low + high) / 2);
}

/**
 * Fraction of a colouring that sits so deep that it hardly leaves: what has been said of it, and with every layer of
 * permanent colour over another more of it, since built-up dye is packed into the hair (C4, H61).
 */
function heldBy({ kind, held = 0, times = 1 }: Coloured & { held?: number; times?: number }): number {
  if (kind !== 'permanent') return held;
  return 1 - (1 - held) / (1 + FIGURES.model.buildsUp * (times - 1));
}

/** What a chemical service costs hair, and how much faster it loses strength from then on. Judgement by C10. */
const RESHAPED: Record<ChemicalService, { damage: number; fragility: number }> = {
  // Hydroxide breaks for good what holds hair together: any lightener over it is the end of it.
  hydroxideRelaxer: { damage: 0.25, fragility: 6 },
  // As if the developer were a strength stronger.
  perm: { damage: 0.12, fragility: 1.7 },
  smoothing: { damage: 0.04, fragility: 1.2 },
};
function reshaped(strand: Strand, service: ChemicalService): Strand {
  const { damage, fragility } = RESHAPED[service];
  return {
    ...strand,
    damage: 1 - (1 - strand.damage) * (1 - damage),
    fragility: Math.max(strand.fragility, fragility),
  };
}

/** Green of copper on hair that has all it can hold, optical density. Judgement: plainly green on pale blonde, lost on brown. */
export const MINERAL_GREEN = 0.4;
function withMinerals(strand: Strand, amount: number): Strand {
  const green = { ...NO_DYE, directGreen: MINERAL_GREEN * amount };
  const layer: DyeLayer = {
    kind: 'mineral',
    dye: green,
    dyeOnWhite: green,
    masks: NO_WARMTH,
    fills: NO_WARMTH,
    held: 0,
  };
  return { ...strand, layers: [...strand.layers, layer] };
}

function laid(strand: Strand, layer: HistoryLayer): Strand {
  switch (layer.kind) {
    case 'lightened':
      return lightenTo(strand, layer.level, layer.yellow ?? 'usual');
    case 'treated':
      return treated(strand, layer.treatment);
    case 'chemical':
      return reshaped(strand, layer.service);
    case 'mineral':
      return withMinerals(strand, layer.amount);
    case 'direct': {
      const mix: Mix = {
        product: 'direct',
        shades: [],
        vivid: { [layer.dye]: VIVID_LOAD },
        developerVol: 0,
        ratio: 1,
      };
      return aged(strandUnder({ mix }, strand, 25), strand.layers.length, layer.faded ?? 0, layer.held ?? 0);
    }
    default: {
      const { coat, minutes } = pastCoat(layer, strand);
      const { faded = 0, times = 1 } = layer;
      const held = heldBy(layer);
      let now = strand;
      for (let time = 0; time < times; time++)
        now = layer.kind === 'permanent' ? permanently(now, layer) : strandUnder(coat, now, minutes);
      now = aged(now, strand.layers.length, faded, held);
      return layer.kind === 'permanent' ? broughtTo(layer.level, now) : now;
    }
  }
}

/** Hair as it comes in: what was done to it before laid down by the process that services use, oldest first. */
export const withHistory = (grown: Strand, past: readonly HistoryLayer[]): Strand => past.reduce(laid, grown);

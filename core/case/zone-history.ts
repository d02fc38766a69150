import type { Tone } from '../colour';
import {
  type ChemicalService,
  type DirectDye,
  type ZoneOfHead,
  type HistoryLayer,
  levelOfPigmented,
  naturalStrand,
} from '../hair';
import { withHistory } from '../process';

/**
 * What the layers of a zone come to for the rules of the craft, which ask what lies uppermost and how light the hair is:
 * never coloured, coloured over, lightened, or under a vivid dye
 * (level of the hair beneath it).
 */
export type UppermostHistory =
  | { kind: 'untouched' }
  | {
      /** Which kind it is. */
      kind: 'coloured';
      /** Level that shows, 1 to 12. */
      level: number;
      /** Tone that shows. */
      tone: Tone;
      /** Fraction 0–1 gone since. */
      faded: number;
      /** Full layers of permanent colour one over the other, what has faded taken off; 1 for one (C4). */
      layers: number;
    }
  | {
      /** Which kind it is. */
      kind: 'lightened';
      /** Level, 1 to 12. */
      level: number;
      /** Level it was lightened to, where toners one over the other have made it deeper than that (P8). */
      builtUpOver?: number;
    }
  | { kind: 'vivid'; level: number; dye: DirectDye; faded: number };

type Worn = Pick<ZoneOfHead, 'history' | 'naturalLevel' | 'greyShare' | 'porosity'>;
type Colour = Extract<HistoryLayer, { tone: Tone }>;

/** A dye of which less than this is left, fraction 0–1, is gone for the rules. */
const GONE = 0.1;
/** A low-strength colour this many levels deeper than the lightened hair under it has made it coloured hair. */
const TONED_WITHIN = 1.5;

/** Toners one over the other from which they have built up. */
const BUILT_UP_FROM = 2;

/** What makes hair another colour; treatments, chemical services and minerals do not. */
type ColourLayer = Extract<HistoryLayer, { kind: 'lightened' | 'direct' } | { tone: Tone }>;
const isColour = (layer: HistoryLayer): layer is ColourLayer =>
  layer.kind !== 'treated' && layer.kind !== 'chemical' && layer.kind !== 'mineral';

const half = (level: number) => Math.min(12, Math.max(1, Math.round(level * 2) / 2));

/** Level that shows, read to the half: for low-strength colour, whose layer names the shade and not what came of it. */
const levelRead = ({ naturalLevel, greyShare, porosity, history }: Worn): number =>
  half(levelOfPigmented(withHistory(naturalStrand(naturalLevel, { white: greyShare, porosity }), history)));

function uppermostOfLayers(zone: Worn): UppermostHistory {
  const layers = zone.history.flatMap((layer) => (isColour(layer) ? [layer] : []));
  const last = layers.findLast((layer) => layer.kind !== 'direct' || (layer.faded ?? 0) <= 1 - GONE);
  if (!last) return { kind: 'untouched' };
  const before = layers.slice(0, layers.indexOf(last));
  const base = before.findLast((layer) => layer.kind === 'lightened' || layer.kind === 'permanent');
  const baseLevel = base && 'level' in base ? base.level : zone.naturalLevel;
  switch (last.kind) {
    case 'direct':
      return { kind: 'vivid', level: baseLevel, dye: last.dye, faded: last.faded ?? 0 };
    case 'lightened':
      return { kind: 'lightened', level: last.level };
    case 'permanent':
      return colouredBy(last, last.level, layersOf(layers));
    default: {
      const level = levelRead(zone);
      if (base?.kind !== 'lightened' || base.level - level > TONED_WITHIN)
        return colouredBy(last, level, layersOf(layers));
      const toners = before
        .slice(before.indexOf(base) + 1)
        .concat(last)
        .reduce((sum, layer) => sum + ('times' in layer ? (layer.times ?? 1) : 1), 0);
      const builtUp = toners >= BUILT_UP_FROM ? { builtUpOver: base.level } : {};
      return { kind: 'lightened', level, ...builtUp };
    }
  }
}

const colouredBy = ({ tone, faded = 0 }: Colour, level: number, layers: number): UppermostHistory => ({
  kind: 'coloured',
  level,
  tone,
  faded,
  layers,
});

/** Full layers of permanent colour since hair was last lightened. */
function layersOf(layers: readonly ColourLayer[]): number {
  const since = layers.slice(layers.findLastIndex(({ kind }) => kind === 'lightened') + 1);
  const full = since.reduce(
    (sum, layer) => sum + (layer.kind === 'permanent' ? (layer.times ?? 1) * (1 - (layer.faded ?? 0)) : 0),
    0,
  );
  return Math.max(1, full);
}

const known = new WeakMap<object, UppermostHistory>();

/** What the rules make of a zone's history; kept with the zone, which is never changed once made. */
export function uppermostHistory(zone: Worn): UppermostHistory {
  const found = known.get(zone) ?? uppermostOfLayers(zone);
  known.set(zone, found);
  return found;
}

/** The chemical service that a zone has had and that binds most: a relaxer of hydroxide before the newest of the others. */
export function chemicalOf({ history }: Pick<ZoneOfHead, 'history'>): ChemicalPast | null {
  const services = history.flatMap((layer) => (layer.kind === 'chemical' ? [layer] : []));
  const found = services.find(({ service }) => service === 'hydroxideRelaxer') ?? services.at(-1);
  return found
    ? { service: found.service, weeksAgo: Math.min(...services.map(({ weeksAgo }) => weeksAgo)) }
    : null;
}
/** A chemical service of the past (C10). */
export interface ChemicalPast {
  /** Which one. */
  service: ChemicalService;
  /** Whole weeks since the newest of them. */
  weeksAgo: number;
}

/** Minerals on a zone, 0–1: 1 is hair that is plainly green of them (C10). */
export const mineralsOf = ({ history }: Pick<ZoneOfHead, 'history'>): number =>
  Math.min(
    1,
    history.reduce((sum, layer) => sum + (layer.kind === 'mineral' ? layer.amount : 0), 0),
  );

/** Whether hair is lightened hair, bare or under a vivid dye: it is toned with care and not lightened again lightly. */
export const isLightenedHair = (past: UppermostHistory, naturalLevel: number): boolean =>
  past.kind === 'lightened' || (past.kind === 'vivid' && past.level > naturalLevel + 0.5);

/** The same of a zone. */
export const isLightenedZone = (zone: Worn): boolean =>
  isLightenedHair(uppermostHistory(zone), zone.naturalLevel);

/** The level a zone shows today: as it grew, or as it was left. */
export function presentLevel(zone: Worn): number {
  const past = uppermostHistory(zone);
  return past.kind === 'untouched' ? zone.naturalLevel : past.level;
}

/** The zone as one reads it who takes it for another level: what lies uppermost is of that level. */
export function zoneReadAs(zone: ZoneOfHead, level: number): ZoneOfHead {
  const past = uppermostHistory(zone);
  if (past.kind === 'untouched') return { ...zone, naturalLevel: Math.min(10, level) };
  const at = zone.history.findLastIndex((layer) => 'level' in layer);
  if (at < 0) return { ...zone, naturalLevel: Math.min(10, level) };
  return {
    ...zone,
    history: zone.history.map((layer, i) => (i === at && 'level' in layer ? { ...layer, level } : layer)),
  };
}

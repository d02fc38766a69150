import type { Tone } from '../colour';
import { type DirectDye, type ZoneOfHead, type HistoryLayer, levelOfPigmented, naturalStrand } from '../hair';
import { withHistory } from '../process';

/**
 * What the layers of a zone come to for the rules of the craft, which ask what lies uppermost and how light the hair is:
 * never coloured, coloured over (level and tone that show, fraction 0–1 gone since), lightened, or under a vivid dye
 * (level of the hair beneath it).
 */
export type UppermostHistory =
  | { kind: 'untouched' }
  | { kind: 'coloured'; level: number; tone: Tone; faded: number }
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

const half = (level: number) => Math.min(12, Math.max(1, Math.round(level * 2) / 2));

/** Level that shows, read to the half: for low-strength colour, whose layer names the shade and not what came of it. */
const levelRead = ({ naturalLevel, greyShare, porosity, history }: Worn): number =>
  half(levelOfPigmented(withHistory(naturalStrand(naturalLevel, { white: greyShare, porosity }), history)));

function uppermostOfLayers(zone: Worn): UppermostHistory {
  const layers = zone.history.filter(({ kind }) => kind !== 'treated');
  const last = layers.findLast((layer) => layer.kind !== 'direct' || (layer.faded ?? 0) <= 1 - GONE);
  if (!last || last.kind === 'treated') return { kind: 'untouched' };
  const before = layers.slice(0, layers.indexOf(last));
  const base = before.findLast((layer) => layer.kind === 'lightened' || layer.kind === 'permanent');
  const baseLevel = base && 'level' in base ? base.level : zone.naturalLevel;
  switch (last.kind) {
    case 'direct':
      return { kind: 'vivid', level: baseLevel, dye: last.dye, faded: last.faded ?? 0 };
    case 'lightened':
      return { kind: 'lightened', level: last.level };
    case 'permanent':
      return colouredBy(last, last.level);
    default: {
      const level = levelRead(zone);
      if (base?.kind !== 'lightened' || base.level - level > TONED_WITHIN) return colouredBy(last, level);
      const toners = before
        .slice(before.indexOf(base) + 1)
        .concat(last)
        .reduce((sum, layer) => sum + ('times' in layer ? (layer.times ?? 1) : 1), 0);
      const builtUp = toners >= BUILT_UP_FROM ? { builtUpOver: base.level } : {};
      return { kind: 'lightened', level, ...builtUp };
    }
  }
}

const colouredBy = ({ tone, faded = 0 }: Colour, level: number): UppermostHistory => ({
  kind: 'coloured',
  level,
  tone,
  faded,
});

const known = new WeakMap<object, UppermostHistory>();

/** What the rules make of a zone's history; kept with the zone, which is never changed once made. */
export function uppermostHistory(zone: Worn): UppermostHistory {
  const found = known.get(zone) ?? uppermostOfLayers(zone);
  known.set(zone, found);
  return found;
}

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

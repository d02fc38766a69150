import { labOf, levelOfLightness, readColour, type Light, type ToneFamily } from '../colour';
import {
  NO_DYE,
  brownBlackOfLevel,
  labOfStrand,
  levelOfStrand,
  lightenedStrand,
  naturalStrand,
  pigmentOf,
  reflectanceOf,
  type Strand,
} from '../hair';
import {
  VIVID_LOAD,
  conditionOf,
  zoneAt,
  type Condition,
  type Mix,
  type ProductKind,
  type ZonePlan,
} from '../process';
import { readLabel, shippedLine, type Line, type ShadePart } from '../shades';
import { strandLook, type TressLook } from '../tress';
import { balanceOf, underlayAt, type Balance, type Underlay } from '../theory';
import { LAB_ZONES, type LabZone, type Side } from './setup';

/** Where each zone lies along the lock, and how far its middle is from the scalp, cm. */
export const ZONE_AT: Record<LabZone, { from: number; to: number; fromScalpCm: number }> = {
  root: { from: 0, to: 0.2, fromScalpCm: 1 },
  mids: { from: 0.2, to: 0.75, fromScalpCm: 12 },
  ends: { from: 0.75, to: 1, fromScalpCm: 26 },
};

/** The line a product takes its shades from; products without shades have none. */
export function lineFor(product: ProductKind): Line | null {
  if (product === 'permanent' || product === 'express' || product === 'highLift')
    return shippedLine('tarnwick')!;
  if (product === 'demi' || product === 'acidGloss') return shippedLine('quillet')!;
  return null;
}

export const shadePartsOf = (side: Side): ShadePart[] => {
  const line = lineFor(side.product);
  if (!line) return [];
  return side.shades.flatMap(({ label, parts }) => {
    const reading = readLabel(line, label);
    return reading.ok ? [{ shade: reading.shade, parts }] : [];
  });
};

export function mixOfSide(side: Side): Mix {
  const withoutDeveloper =
    side.product === 'direct' || side.product === 'filler' || side.product === 'remover';
  return {
    product: side.product,
    shades: shadePartsOf(side),
    vivid: { [side.vivid]: VIVID_LOAD },
    fillsLevel: side.fillsLevel,
    developerVol: withoutDeveloper ? 0 : side.vol,
    ratio: side.ratio,
  };
}

/** Brown dye that brings hair down to a level, as years of colour have. */
function colouredTo(level: number, strand: Strand): Strand {
  const missing = Math.max(0, brownBlackOfLevel(level) - strand.brownBlack);
  return {
    ...strand,
    dye: { ...NO_DYE, brown: missing },
    dyeOnWhite: { ...NO_DYE, brown: brownBlackOfLevel(level) },
  };
}

/** A zone as it comes in: grown, and with its history. */
export function startOf(side: Side, zone: LabZone): Strand {
  const grown = naturalStrand(side.natural, {
    white: side.white,
    porosity: zone === 'ends' ? side.endsPorosity : side.porosity,
    diameter: side.diameter,
    fromScalpCm: ZONE_AT[zone].fromScalpCm,
  });
  const touched = side.history !== 'untouched' && (zone !== 'root' || side.historyAtRoot);
  if (!touched) return grown;
  if (side.history === 'coloured') return colouredTo(side.historyLevel, grown);
  const { brownBlack } = lightenedStrand(Math.max(side.natural, side.historyLevel), side.natural);
  return { ...grown, brownBlack: Math.min(grown.brownBlack, brownBlack), damage: 0.2 };
}

export function planOf(side: Side, zone: LabZone): ZonePlan {
  const at = side.starts[zone];
  const start = startOf(side, zone);
  if (at === null || at >= side.rinseAt) return { start, events: [] };
  return {
    start,
    events: [
      { at, do: 'apply', mix: mixOfSide(side) },
      ...(side.heat ? [{ at, do: 'heat', on: true } as const] : []),
      { at: side.rinseAt, do: 'rinse' },
    ],
  };
}

/** What can be read off a zone at a minute. */
export interface ZoneReading {
  level: number;
  tone: ToneFamily;
  /** The pigment that shows at the level the natural pigment has reached. */
  underlay: Underlay;
  condition: Condition;
  damage: number;
  lying: boolean;
}

export function readingOf(strand: Strand, lying: boolean): ZoneReading {
  const { level, tone } = readColour(labOfStrand(strand));
  const reached = levelOfLightness(labOf(reflectanceOf(pigmentOf(strand))).l);
  return {
    level,
    tone,
    underlay: underlayAt(Math.min(10, Math.max(1, Math.round(reached * 2) / 2)), { underlay: 'fine' }),
    condition: conditionOf(strand),
    damage: strand.damage,
    lying,
  };
}

export interface SideMoment {
  look: TressLook;
  zones: Record<LabZone, ZoneReading>;
  balance: Balance;
  levelReached: number;
}

const byZone = <T>(make: (zone: LabZone) => T): Record<LabZone, T> => ({
  root: make('root'),
  mids: make('mids'),
  ends: make('ends'),
});

/** One side at a minute, in a light: the picture and what is read from it. */
export function momentOf(side: Side, minute: number, light: Light, seed: number): SideMoment {
  const moments = byZone((zone) => zoneAt(planOf(side, zone), minute));
  const mids = moments.mids.strand;
  const reached = Math.min(10, Math.max(1, levelOfLightness(labOf(reflectanceOf(pigmentOf(mids))).l)));
  return {
    look: strandLook(
      LAB_ZONES.map((zone) => ({
        from: ZONE_AT[zone].from,
        to: ZONE_AT[zone].to,
        strand: moments[zone].strand,
      })),
      light,
      side.form,
      seed,
    ),
    zones: byZone((zone) => readingOf(moments[zone].strand, moments[zone].lying !== null)),
    balance: balanceOf(reached, shadePartsOf(side)),
    levelReached: reached,
  };
}

/** Level of every zone over the time, for a chart. */
export function levelsOver(
  side: Side,
  minutes: number,
  step = 1,
): { minute: number; levels: Record<LabZone, number> }[] {
  const plans = byZone((zone) => planOf(side, zone));
  return Array.from({ length: Math.floor(minutes / step) + 1 }, (_, i) => {
    const minute = i * step;
    return { minute, levels: byZone((zone) => levelOfStrand(zoneAt(plans[zone], minute).strand)) };
  });
}

/** The zone when a mix has had the time it was given, whatever the slider says. */
export const finishedStrand = (side: Side, zone: LabZone): Strand => zoneAt(planOf(side, zone), 90).strand;

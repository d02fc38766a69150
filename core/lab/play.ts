import type { ToneFamily, Light } from '../colour';
import { type TressLook, strandLook } from '../draw';
import { type Strand, naturalStrand, readStrand, levelOfNaturalPigment, whiteApartBy } from '../hair';
import {
  type ProductKind,
  type Mix,
  VIVID_LOAD,
  type ZonePlan,
  type ZoneEvent,
  zoneAt,
  withHistory,
  type Condition,
  type StretchOutcome,
  conditionOf,
  stretchTest,
  LEVELS_IN_ONE_VISIT,
} from '../process';
import { type Line, shippedLine, type ShadePart, readLabel } from '../product';
import { type Underlay, underlayAt } from '../rules';
import { type LabZone, type LabCoat, type Side, LAB_MINUTES, LAB_ZONES } from './setup';

/** Where each zone lies along the lock, and how far its middle is from the scalp, cm. */
export const ZONE_AT: Record<LabZone, { from: number; to: number; fromScalpCm: number }> = {
  root: { from: 0, to: 0.2, fromScalpCm: 1 },
  mids: { from: 0.2, to: 0.75, fromScalpCm: 12 },
  ends: { from: 0.75, to: 1, fromScalpCm: 26 },
};
const HEAT_MINUTES = 5;

/** The line a product takes its shades from; products without shades have none. */
export function lineFor(product: ProductKind): Line | null {
  if (product === 'permanent' || product === 'express' || product === 'highLift')
    return shippedLine('tarnwick')!;
  if (product === 'demi' || product === 'acidGloss') return shippedLine('quillet')!;
  return null;
}

/** Products that are used without a developer of a strength. */
export const WITHOUT_DEVELOPER: readonly ProductKind[] = ['direct', 'filler', 'remover'];

export const shadePartsOfCoat = (coat: LabCoat): ShadePart[] => {
  const line = lineFor(coat.product);
  if (!line) return [];
  return coat.shades.flatMap(({ label, parts }) => {
    const reading = readLabel(line, label);
    return reading.ok ? [{ shade: reading.shade, parts }] : [];
  });
};

export const mixOfCoat = (coat: LabCoat): Mix => ({
  product: coat.product,
  shades: shadePartsOfCoat(coat),
  vivid: { [coat.vivid]: VIVID_LOAD },
  fillsLevel: coat.fillsLevel,
  developerVol: WITHOUT_DEVELOPER.includes(coat.product) ? 0 : coat.vol,
  ratio: coat.ratio,
  thinned: coat.thinned,
  conditioner: coat.conditioner,
});

/** Starting hair is asked for at every frame; a side is never changed once made. */
const startsKept = new WeakMap<Side, Map<LabZone, ZonePlan>>();

/** A zone as it comes in: grown, and with its history laid down. */
export function startOf(side: Side, zone: LabZone): Strand {
  const grown = naturalStrand(side.natural, {
    white: side.white,
    resistance: side.resistant ? 1 : 0,
    porosity: zone === 'ends' ? side.endsPorosity : side.porosity,
    diameter: side.diameter,
    fromScalpCm: ZONE_AT[zone].fromScalpCm,
  });
  return zone === 'root' && !side.pastAtRoot ? grown : withHistory(grown, side.past);
}

function eventsOf(coat: LabCoat, zone: LabZone): ZoneEvent[] {
  const at = coat.starts[zone];
  const end = coat.rinseAt ?? Infinity;
  if (at === null || at >= end) return [];
  const { wet, amount, heat } = coat;
  const events: ZoneEvent[] = [{ at, do: 'apply', coat: { mix: mixOfCoat(coat), wet, amount } }];
  const last = coat.rinseAt ?? LAB_MINUTES;
  if (heat === 'whole' || heat === 'first') events.push({ at, do: 'heat', on: true });
  if (heat === 'first') events.push({ at: Math.min(last, at + HEAT_MINUTES), do: 'heat', on: false });
  if (heat === 'last') events.push({ at: Math.max(at, last - HEAT_MINUTES), do: 'heat', on: true });
  if (coat.rinseAt !== null) {
    events.push({ at: coat.rinseAt, do: 'rinse' });
    if (heat !== 'none') events.push({ at: coat.rinseAt, do: 'heat', on: false });
  }
  return events;
}

export function planOf(side: Side, zone: LabZone): ZonePlan {
  const cache = startsKept.get(side) ?? new Map<LabZone, ZonePlan>();
  startsKept.set(side, cache);
  const plan = cache.get(zone) ?? {
    start: startOf(side, zone),
    events: side.coats.flatMap((coat) => eventsOf(coat, zone)),
  };
  cache.set(zone, plan);
  return plan;
}

/** What can be read off a zone at a minute. */
export interface LabReading {
  level: number;
  tone: ToneFamily;
  /** 0 neutral, 1 a plain full tone. */
  strength: number;
  /** The pigment that shows at the level the natural pigment has reached. */
  underlay: Underlay;
  condition: Condition;
  /** What a wet strand of it does when it is stretched (C1). */
  stretch: StretchOutcome;
  /** Levels that lightener may move it in one visit (C4). */
  bears: number;
  damage: number;
  /** How far white strands stand out from the others, ΔE2000; 0 where none are white. */
  whiteApart: number;
  /** Fraction 0–1 of the hair that a thin coat missed. */
  missed: number;
  lying: boolean;
}

export function readingOf(strand: Strand, lying: boolean): LabReading {
  const { level, tone, strength } = readStrand(strand);
  const reached = levelOfNaturalPigment(strand);
  const condition = conditionOf(strand);
  return {
    level,
    tone,
    strength,
    underlay: underlayAt(Math.min(10, Math.max(1, Math.round(reached * 2) / 2)), { underlay: 'fine' }),
    condition,
    stretch: stretchTest(strand).outcome,
    bears: LEVELS_IN_ONE_VISIT[condition],
    damage: strand.damage,
    whiteApart: whiteApartBy(strand),
    missed: strand.spots.reduce((sum, { fraction }) => sum + fraction, 0),
    lying,
  };
}

export interface SideMoment {
  look: TressLook;
  zones: Record<LabZone, LabReading>;
  /** What the last coat with shades has to balance on the mids; null where no coat has any. */
  balance: { levelReached: number; shades: ShadePart[] } | null;
}

const byZone = <T>(make: (zone: LabZone) => T): Record<LabZone, T> => ({
  root: make('root'),
  mids: make('mids'),
  ends: make('ends'),
});

/** One side at a minute, in a light: the picture and what is read from it. */
export function momentOf(side: Side, minute: number, light: Light, seed: number): SideMoment {
  const moments = byZone((zone) => zoneAt(planOf(side, zone), minute));
  const levelReached = Math.min(10, Math.max(1, levelOfNaturalPigment(moments.mids.strand)));
  // The coat that gives the tone is the last one with shades.
  const shades = side.coats.map(shadePartsOfCoat).findLast((parts) => parts.length > 0);
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
    balance: shades ? { levelReached, shades } : null,
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
    return { minute, levels: byZone((zone) => readStrand(zoneAt(plans[zone], minute).strand).level) };
  });
}

/** The zone when everything has had the time it was given, whatever the slider says. */
export const finishedStrand = (side: Side, zone: LabZone): Strand =>
  zoneAt(planOf(side, zone), LAB_MINUTES).strand;

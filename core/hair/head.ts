import { z } from 'zod';
import {
  naturalLevelSchema,
  shareSchema,
  POROSITIES,
  AREAS,
  DENSITIES,
  DIAMETERS,
  APPLICATION_AREAS,
  HAIR_FORMS,
  type Area,
  type Density,
  type Diameter,
  fractionOfHead,
  DENSITY_FACTOR,
} from './areas';
import { historyLayerSchema } from './history';

/** Zones along the hair from the scalp to the tips; a region has those that differ. */
export const ZONES = ['regrowth', 'band', 'mids', 'ends'] as const;
export type ZoneName = (typeof ZONES)[number];

/** What regions are called, where the hair of a head is not alike all over; each by the areas that make it out. */
export const REGIONS = ['front', 'top', 'sides', 'crown', 'back', 'nape', 'rest'] as const;
export type RegionName = (typeof REGIONS)[number];
/** Most regions that a head is told apart into. */
export const MOST_REGIONS = 4;

/**
 * A zone of a region: what is read, wished for, worked and judged. On a head of one region the zone's name alone, else
 * the region's before it: `mids`, `crown-mids`.
 */
export type PlaceId = ZoneName | `${RegionName}-${ZoneName}`;
export const PLACE_IDS: readonly [PlaceId, ...PlaceId[]] = [
  ...ZONES,
  ...REGIONS.flatMap((region) => ZONES.map((zone): PlaceId => `${region}-${zone}`)),
];

/** The region a place lies in, null on a head of one, and its zone. */
export function placeParts(place: PlaceId): { region: RegionName | null; zone: ZoneName } {
  const [first, second] = place.split('-');
  return second === undefined
    ? { region: null, zone: first as ZoneName }
    : { region: first as RegionName, zone: second as ZoneName };
}
/** The place of a zone in a region; null is the one region of the head. */
export const placeIn = (region: RegionName | null, zone: ZoneName): PlaceId =>
  region === null ? zone : `${region}-${zone}`;
/** Whether a place is new growth. */
export const isRegrowth = (place: PlaceId): boolean => placeParts(place).zone === 'regrowth';

/** Most layers of history that a zone can have. */
export const MOST_LAYERS = 12;

export const zoneOfHeadSchema = z
  .object({
    zone: z.enum(PLACE_IDS),
    lengthCm: z.number().positive().max(80),
    naturalLevel: naturalLevelSchema,
    greyShare: shareSchema,
    /** White strands that take dye badly: glassy, closed (F8). Ordinary when left out. */
    resistant: z.boolean().optional(),
    porosity: z.enum(POROSITIES),
    /** What was done to it, oldest first; the hair model lays it down. Empty where it was never coloured. */
    history: z.array(historyLayerSchema).max(MOST_LAYERS),
    /** 0 sound to 1 lost; what the stretch test shows comes from it. */
    damage: z.number().min(0).max(1),
    /** Water the hair holds, 0 brittle to 1 over-soft; by the damage when left out. */
    moisture: z.number().min(0).max(1).optional(),
  })
  .strict();
export type ZoneOfHead = z.infer<typeof zoneOfHeadSchema>;

/** Areas whose hair is alike: grey at the hairline, a dense nape, a thin crown. */
export const regionSchema = z
  .object({
    name: z.enum(REGIONS),
    areas: z.array(z.enum(AREAS)).min(1).max(AREAS.length),
    /** Where they are another than the head's. */
    density: z.enum(DENSITIES).optional(),
    diameter: z.enum(DIAMETERS).optional(),
  })
  .strict();

export const headSchema = z
  .object({
    /** Root to tip; region by region where there are several. */
    zones: z
      .array(zoneOfHeadSchema)
      .min(1)
      .max(ZONES.length * MOST_REGIONS),
    /** Left out where the hair is alike all over; else every area in one of them. */
    regions: z.array(regionSchema).min(2).max(MOST_REGIONS).optional(),
    diameter: z.enum(DIAMETERS),
    density: z.enum(DENSITIES),
    /** Length of the hair, for the guide of amounts (M2). */
    length: z.enum(APPLICATION_AREAS),
    form: z.enum(HAIR_FORMS),
  })
  .strict()
  .superRefine(({ zones, regions }, context) => {
    const issue = (path: (string | number)[], code: string, params: Record<string, string> = {}) =>
      context.addIssue({ code: 'custom', path, params: { code, ...params }, message: code });
    const names: (RegionName | null)[] = regions?.map(({ name }) => name) ?? [null];
    regions?.forEach(({ name }, i) => {
      if (names.indexOf(name) !== i) issue(['regions', i, 'name'], 'regionTwice');
      if (!zones.some(({ zone }) => placeParts(zone).region === name))
        issue(['regions', i], 'regionWithoutZones', { region: name });
    });
    if (regions)
      for (const area of AREAS) {
        const holders = regions.filter(({ areas }) => areas.includes(area)).length;
        if (holders !== 1) issue(['regions'], holders === 0 ? 'areaInNoRegion' : 'areaTwice', { area });
      }
    let before = -1;
    zones.forEach(({ zone }, i) => {
      const { region, zone: along } = placeParts(zone);
      const at = names.indexOf(region) * ZONES.length + ZONES.indexOf(along);
      if (!names.includes(region)) issue(['zones', i, 'zone'], 'noSuchRegion', { zone });
      else if (at <= before) issue(['zones', i, 'zone'], 'zonesInOrder');
      before = Math.max(before, at);
    });
  });
export type Head = z.infer<typeof headSchema>;

/** Areas whose hair is alike, with what they bear and their zones from root to tip. */
export interface Region {
  /** Null on a head of one region. */
  name: RegionName | null;
  /** Areas of the scalp. */
  areas: readonly Area[];
  /** How dense the hair grows. */
  density: Density;
  /** Thickness of a hair. */
  diameter: Diameter;
  /** Zones from root to tip. */
  zones: ZoneOfHead[];
}

const regionsKnown = new WeakMap<Head, Region[]>();

/** The regions of a head; one of all areas where the hair is alike all over. Found once: a head is never changed. */
export function regionsOf(head: Head): Region[] {
  const known = regionsKnown.get(head) ?? regionsIn(head);
  regionsKnown.set(head, known);
  return known;
}

const regionsIn = ({ zones, regions, density, diameter }: Head): Region[] =>
  regions
    ? regions.map((region) => ({
        name: region.name,
        areas: region.areas,
        density: region.density ?? density,
        diameter: region.diameter ?? diameter,
        zones: zones.filter(({ zone }) => placeParts(zone).region === region.name),
      }))
    : [{ name: null, areas: AREAS, density, diameter, zones }];

/** The region that a place lies in. @throws RangeError when the head has none of that name. */
export function regionOf(head: Head, place: PlaceId): Region {
  const { region } = placeParts(place);
  const found = regionsOf(head).find(({ name }) => name === region);
  if (!found) throw new RangeError(`the head has no region ${region ?? 'of all areas'}`);
  return found;
}

/** Fraction 0–1 of all hair of a head that each region bears, by its areas and how dense it grows there. */
export function hairShareOf(head: Head, { areas, density }: Pick<Region, 'areas' | 'density'>): number {
  const hair = (of: Pick<Region, 'areas' | 'density'>) =>
    fractionOfHead(of.areas) * DENSITY_FACTOR[of.density];
  return hair({ areas, density }) / regionsOf(head).reduce((sum, region) => sum + hair(region), 0);
}

/** The areas that some places lie in, from the face to the neck. */
export function areasOf(
  regions: readonly Pick<Region, 'name' | 'areas'>[],
  places: readonly PlaceId[],
): Area[] {
  const worn = regions.filter(({ name }) => places.some((place) => placeParts(place).region === name));
  return AREAS.filter((area) => worn.some(({ areas }) => areas.includes(area)));
}

/** The zone at a place; undefined where the head has none. */
export const zoneOf = (head: Head, zone: PlaceId): ZoneOfHead | undefined =>
  head.zones.find((one) => one.zone === zone);

/** Whether a place begins at the scalp: the first of its region. */
export const beginsAtScalp = (head: Head, place: PlaceId): boolean =>
  regionOf(head, place).zones[0]?.zone === place;

/** The places above and below one on the same strand. */
export function neighboursOf(head: Head, place: PlaceId): PlaceId[] {
  const { zones } = regionOf(head, place);
  const at = zones.findIndex(({ zone }) => zone === place);
  return [zones[at - 1], zones[at + 1]].flatMap((zone) => (zone ? [zone.zone] : []));
}

/** Centimetres of the middle of a zone from the scalp. @throws RangeError when the head has no such place. */
export function fromScalpCm(head: Head, zone: PlaceId): number {
  let cm = 0;
  for (const one of regionOf(head, zone).zones) {
    if (one.zone === zone) return cm + one.lengthCm / 2;
    cm += one.lengthCm;
  }
  throw new RangeError(`the head has no zone ${zone}`);
}

/** Where a zone lies on the hair as it is drawn. */
export interface DrawnStretch {
  /** The place, by its id. */
  zone: PlaceId;
  /** Length, centimetres. */
  lengthCm: number;
  /** From which share of the drawn length (0 the root) to which (1 the end). */
  from: number;
  /** Where it ends, 0 at the root to 1 at the tip. */
  to: number;
}

/** Where each zone lies along its lock, 0 at the root to 1 at the tip. A short zone is drawn long enough to be seen. */
export function stretchesOf({ zones }: Pick<Region, 'zones'>): DrawnStretch[] {
  const LEAST = 0.16;
  const total = zones.reduce((sum, { lengthCm }) => sum + lengthCm, 0);
  const shown = zones.map(({ lengthCm }) => Math.max(LEAST, lengthCm / total));
  const all = shown.reduce((sum, share) => sum + share, 0);
  let at = 0;
  return zones.map(({ zone, lengthCm }, i) => {
    const from = at;
    at += shown[i] / all;
    return { zone, lengthCm, from, to: i === zones.length - 1 ? 1 : at };
  });
}

import {
  MOST_REGIONS,
  REGIONS,
  ZONES,
  neighboursOf,
  placeIn,
  placeParts,
  regionsOf,
  type Head,
  type PlaceId,
  type RegionName,
  type ZoneName,
  type ZoneOfHead,
  AREAS,
  type Area,
} from '../hair';
import { clientCaseSchema, type ClientCase } from './client-case';
import { TYPICAL } from '../process';

const LENGTHS: Record<ZoneName, number> = { regrowth: 1.5, band: 5, mids: 16, ends: 8 };

/** A zone as the form begins with it: natural 6, untouched, sound. */
export const plainZone = (place: PlaceId): ZoneOfHead => ({
  zone: place,
  lengthCm: LENGTHS[placeParts(place).zone],
  naturalLevel: 6,
  greyShare: 0,
  porosity: 'normal',
  history: [],
  ...TYPICAL.strong,
});

/** A case with another head: wishes and placements follow the places that are left. */
function withHead(clientCase: ClientCase, head: Head): ClientCase {
  const has = (place: string) => head.zones.some(({ zone }) => zone === place);
  const placements = clientCase.placements
    ?.map((placement) => ({ ...placement, zones: placement.zones.filter(has) }))
    .filter(({ zones }) => zones.length > 0);
  return {
    ...clientCase,
    head,
    wish: Object.fromEntries(Object.entries(clientCase.wish).filter(([place]) => has(place))),
    placements: placements && placements.length > 0 ? placements : undefined,
    melts: meltsLeft(clientCase, head),
  };
}

/** Melts whose places still lie beside one another. */
function meltsLeft({ melts }: ClientCase, head: Head): ClientCase['melts'] {
  const left = melts?.filter(({ zones: [above, below] }) => {
    const there = [above, below].every((place) => head.zones.some(({ zone }) => zone === place));
    return there && neighboursOf(head, above).includes(below);
  });
  return left && left.length > 0 ? left : undefined;
}

/** A new zone, of the natural level and white of the hair it grows on: one head has one pigment, unless it is said otherwise. */
function likeNeighbour(place: PlaceId, there: readonly ZoneOfHead[]): ZoneOfHead {
  const at = ZONES.indexOf(placeParts(place).zone);
  const far = ({ zone }: ZoneOfHead) => Math.abs(ZONES.indexOf(placeParts(zone).zone) - at);
  const nearest = [...there].sort((a, b) => far(a) - far(b))[0];
  if (!nearest) return plainZone(place);
  const { naturalLevel, greyShare, resistant } = nearest;
  return { ...plainZone(place), naturalLevel, greyShare, ...(resistant ? { resistant } : {}) };
}

/** A zone of a region put on the head or taken off it; its wish goes with it, and the order stays root to tip. */
export function withZone(clientCase: ClientCase, place: PlaceId, on: boolean): ClientCase {
  const { head } = clientCase;
  const own = placeParts(place).region;
  const zones = regionsOf(head).flatMap(({ name, zones: there }) => {
    if (name !== own) return there;
    return ZONES.flatMap((zone) => {
      const id = placeIn(name, zone);
      const found = there.find((zone) => zone.zone === id);
      if (id !== place) return found ? [found] : [];
      return on ? [found ?? likeNeighbour(id, there)] : [];
    });
  });
  const left = zones.some(({ zone }) => placeParts(zone).region === own);
  return left ? withHead(clientCase, { ...head, zones }) : clientCase;
}

type Renamed = (place: PlaceId) => PlaceId;
/** The same case with places by other names. */
function renamed(clientCase: ClientCase, name: Renamed): ClientCase {
  return {
    ...clientCase,
    head: {
      ...clientCase.head,
      zones: clientCase.head.zones.map((zone) => ({ ...zone, zone: name(zone.zone) })),
    },
    wish: Object.fromEntries(
      Object.entries(clientCase.wish).map(([place, target]) => [name(place as PlaceId), target]),
    ),
    placements: clientCase.placements?.map((placement) => ({
      ...placement,
      zones: placement.zones.map(name),
    })),
    melts: clientCase.melts?.map((melt) => ({ ...melt, zones: melt.zones.map(name) })),
  };
}

/** What a region is called by the areas it is of, where it is the first to take the name. */
const NAMED_AFTER: Record<Area, RegionName> = {
  hairline: 'front',
  temples: 'front',
  top: 'top',
  sides: 'sides',
  crown: 'crown',
  back: 'back',
  nape: 'nape',
};

/** Whether a further region can be told apart: there is room for one, and an area to give it. */
export const canDivide = (head: Head): boolean => {
  const regions = regionsOf(head);
  return regions.length < MOST_REGIONS && regions.some(({ areas }) => areas.length > 1);
};

/** An area told apart from the others: a region of its own, with the hair it had, the wish it had. */
export function withRegion(clientCase: ClientCase, area: Area): ClientCase {
  const whole = clientCase.head.regions
    ? clientCase
    : renamed({ ...clientCase, head: { ...clientCase.head, regions: undefined } }, (place) =>
        placeIn('rest', placeParts(place).zone),
      );
  const { head } = whole;
  const regions = head.regions ?? [{ name: 'rest' as const, areas: [...AREAS] }];
  const from = regions.find(({ areas }) => areas.includes(area))!;
  if (from.areas.length < 2 || regions.length >= MOST_REGIONS) return clientCase;
  const free = REGIONS.filter((name) => !regions.some((region) => region.name === name));
  const name = free.find((regionName) => regionName === NAMED_AFTER[area]) ?? free[0];
  const copy = head.zones
    .filter(({ zone }) => placeParts(zone).region === from.name)
    .map((zone) => ({ ...zone, zone: placeIn(name, placeParts(zone.zone).zone) }));
  const asIn = (place: PlaceId) => placeIn(from.name, placeParts(place).zone);
  return {
    ...whole,
    head: {
      ...head,
      regions: [
        { ...from, name, areas: [area] },
        ...regions.map((region) =>
          region === from ? { ...region, areas: region.areas.filter((one) => one !== area) } : region,
        ),
      ],
      zones: [...copy, ...head.zones],
    },
    wish: {
      ...whole.wish,
      ...Object.fromEntries(
        copy.flatMap(({ zone }) => {
          const target = whole.wish[asIn(zone)];
          return target ? [[zone, target]] : [];
        }),
      ),
    },
    placements: whole.placements?.map((placement) => ({
      ...placement,
      zones: [
        ...copy.map(({ zone }) => zone).filter((zone) => placement.zones.includes(asIn(zone))),
        ...placement.zones,
      ],
    })),
  };
}

/** An area given to a region; a region that loses its last one goes, and a head of one region needs no names. */
export function withAreaIn(clientCase: ClientCase, area: Area, to: RegionName): ClientCase {
  const { head } = clientCase;
  if (!head.regions) return clientCase;
  const regions = head.regions
    .map((region) => {
      const others = region.areas.filter((one) => one !== area);
      const areas = region.name === to ? [...others, area] : others;
      return { ...region, areas: AREAS.filter((area) => areas.includes(area)) };
    })
    .filter(({ areas }) => areas.length > 0);
  const names: RegionName[] = regions.map(({ name }) => name);
  const zones = head.zones.filter(({ zone }) => names.includes(placeParts(zone).region!));
  if (regions.length > 1) return withHead(clientCase, { ...head, regions, zones });
  const [{ density = head.density, diameter = head.diameter }] = regions;
  const { regions: _, ...plain } = head;
  return renamed(
    withHead(clientCase, { ...plain, density, diameter, zones }),
    (place) => placeParts(place).zone,
  );
}

/** A region withRegionsJoined to another: its areas go there, its own hair and wishes are given up. */
export const withRegionsJoined = (clientCase: ClientCase, from: RegionName, to: RegionName): ClientCase =>
  (clientCase.head.regions?.find(({ name }) => name === from)?.areas ?? []).reduce(
    (all, area) => withAreaIn(all, area, to),
    clientCase,
  );

/** All that is wrong with a case, by path, each field of each place once. */
export function caseFaults(clientCase: ClientCase): string[] {
  const parsed = clientCaseSchema.safeParse(clientCase);
  if (parsed.success) return [];
  const faults = new Map<string, string>();
  for (const { path } of parsed.error.issues) {
    const fault = path.join('.');
    const name = JSON.stringify(fieldOfFault(clientCase, fault));
    if (!faults.has(name)) faults.set(name, fault);
  }
  return [...faults.values()];
}

/** Which field a fault is in, and the place of the head it is about; null where it is about no single one. */
export function fieldOfFault(
  clientCase: ClientCase,
  fault: string,
): { field: string; place: PlaceId | null } {
  const parts = fault.split('.');
  const at = parts.indexOf('zones');
  const zone = at >= 0 ? clientCase.head.zones[Number(parts[at + 1])] : undefined;
  const named = parts.filter((part) => !/^\d+$/.test(part));
  return { field: named[named.length - 1] ?? '', place: zone?.zone ?? null };
}

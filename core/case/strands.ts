import {
  type Head,
  type PlaceId,
  type ZoneOfHead,
  zoneOf,
  regionOf,
  fromScalpCm,
  type Strand,
  SOUND,
  naturalStrand,
  POROSITY_OF,
} from '../hair';
import { type Condition, conditionOf, withHistory } from '../process';

const known = new WeakMap<Head, Map<PlaceId, Strand>>();

/** The strand of a zone as it comes in, grown and with its history. @throws RangeError when the head lacks the zone. */
export function strandOfZone(head: Head, zone: PlaceId): Strand {
  // A head is never changed once made, and laying its history down takes some work: what was found is kept with it.
  const cache = known.get(head) ?? new Map<PlaceId, Strand>();
  known.set(head, cache);
  const strand = cache.get(zone) ?? comesIn(head, zone);
  cache.set(zone, strand);
  return strand;
}

/** Hair that has lost strength holds less water as well, where nothing else is said of it. */
const moistureOf = ({ damage, moisture }: Pick<ZoneOfHead, 'damage' | 'moisture'>) =>
  moisture ?? SOUND.moisture * (1 - damage / 2);

/** What a stretch test would say of a zone as it comes in (C1). */
export const conditionOfZone = (zone: Pick<ZoneOfHead, 'damage' | 'moisture'>): Condition =>
  conditionOf({ damage: zone.damage, moisture: moistureOf(zone) });

function comesIn(head: Head, zone: PlaceId): Strand {
  const found = zoneOf(head, zone);
  if (!found) throw new RangeError(`the head has no zone ${zone}`);
  const { naturalLevel, greyShare, porosity, history, damage, resistant } = found;
  const grown = naturalStrand(naturalLevel, {
    white: greyShare,
    porosity,
    diameter: regionOf(head, zone).diameter,
    fromScalpCm: fromScalpCm(head, zone),
    resistance: resistant ? 1 : 0,
  });
  // Porosity and damage are what is found today, whatever the history alone would have left.
  return {
    ...withHistory(grown, history),
    porosity: POROSITY_OF[porosity],
    damage,
    moisture: moistureOf(found),
  };
}

import { regionOf, strandOfZone, targetLab, type ClientCase, type PlaceId, type Target } from '../card';
import type { Light } from '../colour';
import { asSwatch, strandLook, type TressLook } from '../tress';

/**
 * The hair of a place through its history: as it grew, then after each thing that was done to it, so that the last is how it
 * comes in today.
 */
export function looksThrough(
  { head }: Pick<ClientCase, 'head'>,
  place: PlaceId,
  light: Light,
  seed: number,
): TressLook[] {
  const zone = regionOf(head, place).zones.find((one) => one.zone === place)!;
  return Array.from({ length: zone.history.length + 1 }, (_, layers) => {
    const zones = head.zones.map((one) =>
      one.zone === place ? { ...one, history: zone.history.slice(0, layers) } : one,
    );
    const strand = strandOfZone({ ...head, zones }, place);
    return asSwatch(strandLook([{ from: 0, to: 1, strand }], light, head.form, seed));
  });
}

/** What is wished for, hung like the hair it is wished for. */
export function lookOfWish(target: Target, hanging: TressLook): TressLook {
  const colour = targetLab(target);
  return {
    ...hanging,
    zones: hanging.zones.map((zone) => ({ ...zone, colour, greyShare: 0, grey: colour })),
    shine: 0.8,
  };
}

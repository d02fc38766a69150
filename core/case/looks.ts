import type { Lab, Light } from '../colour';
import { type TressZone, type TressLook, strandLook, asSwatch } from '../draw';
import { regionsOf, stretchesOf, type PlaceId, regionOf } from '../hair';
import { type ClientCase, type HeadAndWish, placementOn } from './client-case';
import { strandOfZone } from './strands';
import { targetLab, type Target } from './target';

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
  const zone = regionOf(head, place).zones.find((zone) => zone.zone === place)!;
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

/** Woven strands are drawn as the white ones are: single fibres of another colour among the rest. */
export const withWoven = (zone: TressZone, share: number, colour: Lab): TressZone => ({
  ...zone,
  greyShare: share,
  grey: colour,
});

/** The head as it comes in, one strand of each region. */
export const nowLooks = ({ head }: Pick<ClientCase, 'head'>, light: Light, seed: number): TressLook[] =>
  regionsOf(head).map((region, i) =>
    strandLook(
      stretchesOf(region).map(({ zone, from, to }) => ({ from, to, strand: strandOfZone(head, zone) })),
      light,
      head.form,
      seed + i,
    ),
  );

/**
 * The head as it is wished for, one strand of each region: what `hanging` has of it, the wishes on top, so that zones
 * without one stay as they come in.
 */
export function wishLooks(clientCase: HeadAndWish, hanging: readonly TressLook[]): TressLook[] {
  const regions = regionsOf(clientCase.head);
  return hanging.map((now, at) => {
    const stretches = stretchesOf(regions[at]);
    const zones = now.zones.map((zone, i): TressZone => {
      const place = stretches[i].zone;
      const wanted = clientCase.wish[place];
      const colour = wanted && targetLab(wanted);
      const whole = colour ? { ...zone, colour, greyShare: 0, grey: colour } : zone;
      const placement = placementOn(clientCase, place);
      return placement ? withWoven(whole, placement.share, targetLab(placement.target)) : whole;
    });
    return { ...now, zones, shine: 0.8 };
  });
}

import { conditionOf, isGivingWay } from '../process';
import type { HeadAndWish, PlaceId, LineOf, Work } from '../card';
import type { TressLook } from '../tress';
import { simulateCard } from './simulate';

/** A plan on its head as the eye would see it: colours and what is covered, no figures of the head. */
export interface ShownSimulation {
  minutes: number;
  frames: {
    minute: number;
    /** One strand of each region, in their order. */
    strands: Pick<TressLook, 'zones' | 'shine'>[];
    /** Zones under a product: foam or cream hides them until a strand is wiped. */
    covered: PlaceId[];
    /** Zones whose hair is giving way. */
    failing: PlaceId[];
  }[];
}

/** Frames of a long service stand two minutes apart, so that none grows past what a phone takes at once. */
const EVERY_MINUTE_UNTIL = 120;
const MOST_MINUTES = 360;
const short = (value: number) => Math.round(value * 10) / 10;
const shortLab = ({ l, a, b }: { l: number; a: number; b: number }) => ({
  l: short(l),
  a: short(a),
  b: short(b),
});

/** Plays a plan and keeps what can be seen of it, minute by minute. */
export function showSimulation(
  clientCase: HeadAndWish,
  plan: Work,
  lineOf: LineOf,
  seed: number,
): ShownSimulation {
  const played = simulateCard(clientCase, plan, lineOf);
  const last = Math.min(MOST_MINUTES, played.minutes);
  const step = last > EVERY_MINUTE_UNTIL ? 2 : 1;
  const minutes = Array.from({ length: Math.floor(last / step) + 1 }, (_, i) => i * step);
  if (minutes[minutes.length - 1] !== last) minutes.push(last);
  const whole = played.parts.filter(({ woven }) => !woven);
  return {
    minutes: last,
    frames: minutes.map((minute) => {
      return {
        minute,
        strands: played.looksAt(minute, 'daylight', seed).map(({ zones, shine }) => ({
          zones: zones.map((zone) => ({ ...zone, colour: shortLab(zone.colour), grey: shortLab(zone.grey) })),
          shine: short(shine),
        })),
        covered: whole.flatMap((part) => (played.momentOf(part, minute).lying ? [part.zone] : [])),
        failing: whole.flatMap((part) =>
          isGivingWay(conditionOf(played.momentOf(part, minute).strand)) ? [part.zone] : [],
        ),
      };
    }),
  };
}

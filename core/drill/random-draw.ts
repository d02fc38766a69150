import { seededRandom } from '../random';

/** Seeded chance, in the few ways items need it. */
export interface Draw {
  /** Whole number from min to max, both included. */
  int: (min: number, max: number) => number;
  /** One of a list. @throws Unfit when it is empty. */
  pick: <T>(from: readonly T[]) => T;
  /** The list in another order; the one given is left alone. */
  shuffled: <T>(list: readonly T[]) => T[];
  /** True for this fraction 0–1 of the times. */
  chance: (share: number) => boolean;
  /** A seed for a picture. */
  seed: () => number;
}

/** A source of chance from a seed. */
export function drawFrom(seed: number): Draw {
  const random = seededRandom(seed);
  const int = (min: number, max: number) => min + Math.floor(random() * (max - min + 1));
  return {
    int,
    pick: (from) => {
      if (from.length === 0) throw new Unfit('nothing to pick from');
      return from[int(0, from.length - 1)];
    },
    shuffled: (list) => {
      const copy = [...list];
      for (let i = copy.length - 1; i > 0; i--) {
        const j = int(0, i);
        [copy[i], copy[j]] = [copy[j], copy[i]];
      }
      return copy;
    },
    chance: (share) => random() < share,
    seed: () => Math.floor(random() * 0xffffffff),
  };
}

/** Thrown while an item is made when what was drawn could be answered in two ways; another draw is then made. */
export class Unfit extends Error {}
/** Throws a draw away unless something holds. @throws Unfit */
export function insist(holds: boolean, what: string): asserts holds {
  if (!holds) throw new Unfit(what);
}

import { seedFrom } from '@cimbel/core';
import { equalVariant, markCard, type MarkingInput, type ProvedVariant } from '@cimbel/core/mark';
import { showSimulation } from '@cimbel/core/simulate';
import { type ModelAnswer, solveCase } from '@cimbel/core/solve';
import type { ClientCase } from '@cimbel/core/case';
import { type RecordCard, type HairWork, complete } from '@cimbel/core/card';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';
import { tressPng } from './picture';
import { secretRandom } from './secret-random';

/** Exercises that are marked at about the same time, of a few classes. */
const MOST_KEPT = 60;
const inputs = new LRUCache<string, MarkingInput>({ max: MOST_KEPT });

/**
 * The same input as the last time one like it was marked by. It comes from another thread, and so never is the same one;
 * but what answers are measured by is worked out once for an input, and takes as long as marking thirty of them.
 */
export function asBefore(input: MarkingInput): MarkingInput {
  const name = createHash('sha256').update(JSON.stringify(input)).digest('hex');
  const markingInput = inputs.get(name) ?? input;
  inputs.set(name, markingInput);
  return markingInput;
}

/**
 * What takes more than a few milliseconds of computation, by name: done in worker threads, so that light requests
 * never wait for it. Data in, data out; nothing here reads a clock, a file or the database.
 */
export const HEAVY = {
  solve: solveCase,
  /** Marks cards of one assignment, in their order. */
  mark: (input: MarkingInput, cards: readonly RecordCard[]) => {
    const known = asBefore(input);
    return cards.map((card) => markCard(known, card));
  },
  /** Plays a card on the head of an assignment, whose id seeds the drawing; told in words where it is not read by eye. */
  simulate: (id: string, clientCase: ClientCase, lines: readonly Line[], work: HairWork, tells: boolean) =>
    showSimulation(
      clientCase,
      complete(work),
      (lineId) => lines.find((line) => line.id === lineId),
      seedFrom(id),
      tells,
    ),
  /** Draws a variant of a case that turns on the same decisions; null where none was found. */
  variant: (
    secret: string,
    base: ProvedVariant,
    lines: readonly Line[],
    rules: HouseRules,
    keepsTones: boolean,
    besides: readonly ModelAnswer[],
  ) => equalVariant(base, lines, rules, keepsTones, secretRandom(secret), besides),
  picture: tressPng,
};
export type HeavyName = keyof typeof HEAVY;
type Given<N extends HeavyName> = Parameters<(typeof HEAVY)[N]>;
type Result<N extends HeavyName> = ReturnType<(typeof HEAVY)[N]>;

/** Has something heavy done. @throws HttpError 503 where too much waits already, or it takes too long. */
export type Heavy = <N extends HeavyName>(name: N, ...args: Given<N>) => Promise<Result<N>>;

export interface HeavyWork {
  /** On behalf of someone: one thing of theirs is done at a time, and what they have gone away from is not begun. */
  of: (who: string, isGone?: () => boolean) => Heavy;
  close: () => Promise<void>;
}

/** Does one thing here and now, by its name. */
export const doHeavy = <N extends HeavyName>(name: N, args: Given<N>): Result<N> =>
  (HEAVY[name] as (...args: unknown[]) => Result<N>)(...args);

/** Without threads: for seeding before anyone is there, and for tests of what comes of it. */
export const hereAndNow: Heavy = async (name, ...args) => doHeavy(name, args);

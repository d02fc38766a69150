import type { Knex } from 'knex';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { HttpError } from './errors';

/** Wrong tries are counted for ten minutes. */
const WINDOW_S = 600;
/** Tries at one account from one place, and from one place at all accounts: a class shares an address, so this is many. */
const LIMITS = { account: 10, source: 200, code: 100 } as const;
type Kind = keyof typeof LIMITS;

const tooMany = () => new HttpError(429, 'session.tooManyTries', 'Too many tries. Wait ten minutes.');

const limiters = new WeakMap<Knex, Record<Kind, RateLimiterPostgres>>();

/** Counted in the database, so that all processes of an installation count together. */
function limitersOf(db: Knex): Record<Kind, RateLimiterPostgres> {
  const known = limiters.get(db);
  if (known) return known;
  const of = (kind: Kind) =>
    new RateLimiterPostgres({
      storeClient: db,
      storeType: 'knex',
      tableName: 'tries',
      tableCreated: true,
      clearExpiredByTimeout: false,
      keyPrefix: kind,
      points: LIMITS[kind],
      duration: WINDOW_S,
    });
  const made = { account: of('account'), source: of('source'), code: of('code') };
  limiters.set(db, made);
  return made;
}

/** Counts a try before it is made, so that many at once are counted too. @throws HttpError 429 */
async function count(db: Knex, kind: Kind, key: string): Promise<void> {
  try {
    await limitersOf(db)[kind].consume(key);
  } catch (refused) {
    throw refused instanceof RateLimiterRes ? tooMany() : refused;
  }
}

/** Counts a wrong try that was made; how many there are by now is asked before the next. */
async function countWrong(db: Knex, kind: Kind, key: string): Promise<void> {
  await count(db, kind, key).catch((refused: unknown) => {
    if (!(refused instanceof HttpError)) throw refused;
  });
}

/** @throws HttpError 429 where there have been too many wrong ones. */
async function refuseIfMany(db: Knex, kind: Kind, key: string): Promise<void> {
  const counted = await limitersOf(db)[kind].get(key);
  if (counted && counted.consumedPoints >= LIMITS[kind]) throw tooMany();
}

/**
 * One try at an account. Whoever has signed in to it on this device before is counted apart, so that a neighbour who tries
 * its password cannot lock out its owner. Of an address, which a whole college may share, only wrong ones count.
 *
 * @param source The address it comes from.
 */
export async function countSignIn(
  db: Knex,
  { email, source, known }: { email: string; source: string; known: boolean },
): Promise<{ succeeded: () => Promise<void>; failed: () => Promise<void> }> {
  const account = `${email} ${known ? 'known' : source}`;
  if (!known) await refuseIfMany(db, 'source', source);
  await count(db, 'account', account);
  return {
    succeeded: async () => {
      await limitersOf(db).account.delete(account);
    },
    failed: async () => {
      if (!known) await countWrong(db, 'source', source);
    },
  };
}

/** One try at a one-time code; of an address only wrong ones count. What went wrong beside the code is no wrong code. */
export async function tryCode<T>(db: Knex, source: string, use: () => Promise<T>): Promise<T> {
  await refuseIfMany(db, 'code', source);
  try {
    return await use();
  } catch (error) {
    if (error instanceof HttpError && error.isOfField('code')) await countWrong(db, 'code', source);
    throw error;
  }
}

/** Forgets the tries at an account, wherever they came from. */
export async function unlock(db: Knex, email: string): Promise<void> {
  const from = `account:${email} `;
  await db('tries').whereRaw('left(key, ?) = ?', [from.length, from]).delete();
}

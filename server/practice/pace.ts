import { countedSeconds } from '@cimbel/core/drill';
import type { Request } from 'express';
import type { Knex } from 'knex';
import { publicOf } from '../http/session';

/** Clocks and networks are not exact, seconds. */
const SLACK_S = 15;
/** Longest that a device practises without a word, seconds; who has been away for days has not practised all the while. */
const LONGEST_S = 90 * 60;

/**
 * How long it is since a device was last heard of in practice, seconds, and hears of it now. The first time that is since
 * it signed in: a student who practises offline has at least opened the page before.
 */
export async function secondsSinceHeard(
  db: Knex,
  { session, sessionID }: Request,
  now: Date,
): Promise<number> {
  const since = session.startedAt ? new Date(session.startedAt) : now;
  const { rows } = await db.raw<{ rows: { before: Date | null }[] }>(
    `insert into practice_contacts as mine (session, heard_at) values (:session, :now)
     on conflict (session) do update set heard_at = excluded.heard_at
     returning (select heard_at from practice_contacts where session = :session) as before`,
    { session: publicOf(sessionID), now },
  );
  return Math.max(0, (now.getTime() - (rows[0].before ?? since).getTime()) / 1000);
}

/**
 * What of the seconds that answers are said to have taken can be counted, in their order: no more in all than has passed.
 * The rest was made up, or the same time counted twice.
 */
export function countedOf(claimed: readonly number[], passed: number): number[] {
  let left = Math.min(passed, LONGEST_S) + SLACK_S;
  return claimed.map((seconds) => {
    const counted = Math.min(countedSeconds(seconds), Math.max(0, left));
    left -= counted;
    return counted;
  });
}

import { countedSeconds } from '@cimbel/core/drill';
import type { Request } from 'express';
import type { Knex } from 'knex';
import { publicOf } from '../http/session';

/** Clocks and networks are not exact: so many seconds a session has once, before any have passed. */
const SLACK_S = 15;
/** Longest that a device practises without a word, seconds; who has been away for days has not practised all the while. */
const LONGEST_S = 90 * 60;

/** Time of a device that practice may be counted in, taken out for one request. */
export interface TimeHeard {
  /** Seconds that have passed and were not counted yet. */
  seconds: number;
  /** Gives back what of it was not counted: whoever asks again finds it there, and nothing twice. */
  giveBack: (left: number) => Promise<void>;
}

/**
 * Hears of a device, and takes out the time since it was last heard of with what was left then. The first time that is since
 * it signed in: a student who practises offline has at least opened the page before. Of two requests at once one has it.
 */
export async function hear(db: Knex, { session, sessionID }: Request, now: Date): Promise<TimeHeard> {
  const name = publicOf(sessionID);
  const since = session.startedAt ? new Date(session.startedAt) : now;
  const known = await db.transaction(async (trx) => {
    await trx('practice_contacts')
      .insert({ session: name, heard_at: since, left_s: SLACK_S })
      .onConflict('session')
      .ignore();
    const row: { heard_at: Date; left_s: number } = await trx('practice_contacts')
      .where({ session: name })
      .forUpdate()
      .first('heard_at', 'left_s');
    await trx('practice_contacts').where({ session: name }).update({ heard_at: now, left_s: 0 });
    return row;
  });
  const passed = Math.max(0, (now.getTime() - known.heard_at.getTime()) / 1000);
  return {
    seconds: Math.min(known.left_s + passed, LONGEST_S + SLACK_S),
    giveBack: async (left) => {
      await db('practice_contacts')
        .where({ session: name })
        .update({ left_s: db.raw('left_s + ?', [left]) });
    },
  };
}

/**
 * What of the seconds that answers are said to have taken can be counted, in their order: no more in all than there is of
 * time. The rest was made up, or the same time counted twice.
 */
export function countedOf(claimed: readonly number[], passed: number): number[] {
  let left = passed;
  return claimed.map((seconds) => {
    const counted = Math.min(countedSeconds(seconds), Math.max(0, left));
    left -= counted;
    return counted;
  });
}

import { createHash } from 'node:crypto';
import type { Plays, SimulationAsked } from '@cimbel/contract';
import type { Knex } from 'knex';
import type { AssignmentRow } from '../assignments/row';
import { HttpError } from '../http/errors';

export interface PlayRow {
  assignment_id: string;
  student_id: string;
  /** SHA-256 of the work that was played. */
  digest: string;
  at: Date;
}

type Played = Pick<AssignmentRow, 'id' | 'plays_allowed'>;

const digestOf = (work: SimulationAsked) => createHash('sha256').update(JSON.stringify(work)).digest('hex');

/** How often a student's cards have been played on the head of an assignment, over all attempts, and how often they may. */
export async function playsOf(db: Knex, { id, plays_allowed }: Played, studentId: string): Promise<Plays> {
  const used = await db('plays').where({ assignment_id: id, student_id: studentId }).pluck('digest');
  return { used: used.length, allowed: plays_allowed };
}

/** Nothing on the hair shows nothing but the head as it came in. */
const isNothing = ({ steps, care }: SimulationAsked) => steps.length === 0 && care.length === 0;

const spent = () =>
  new HttpError(
    409,
    'plays.spent',
    'All plays of this exercise are used. A card that was played before can be looked at again.',
  );

/** Whether a card may be played: it was before, or a play is left. */
async function isFree(
  db: Knex,
  assignment: Played,
  studentId: string,
  work: SimulationAsked,
): Promise<boolean> {
  const played: string[] = await db('plays')
    .where({ assignment_id: assignment.id, student_id: studentId })
    .pluck('digest');
  return played.length < assignment.plays_allowed || played.includes(digestOf(work));
}

/**
 * Plays a card and counts it once it has been played: what failed costs nothing, nor does a card that was played before.
 * Two at once never take more than is left.
 *
 * @throws HttpError 409 where none is left
 */
export async function playCounted<Shown>(
  db: Knex,
  assignment: Played,
  studentId: string,
  work: SimulationAsked,
  now: Date,
  play: () => Promise<Shown>,
): Promise<Shown & { plays: Plays }> {
  if (!isNothing(work) && !(await isFree(db, assignment, studentId, work))) throw spent();
  const shown = await play();
  if (!isNothing(work))
    await db.transaction(async (trx) => {
      await trx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [
        `${assignment.id} ${studentId}`,
      ]);
      if (!(await isFree(trx, assignment, studentId, work))) throw spent();
      await trx('plays')
        .insert({ assignment_id: assignment.id, student_id: studentId, digest: digestOf(work), at: now })
        .onConflict(['assignment_id', 'student_id', 'digest'])
        .ignore();
    });
  return { ...shown, plays: await playsOf(db, assignment, studentId) };
}

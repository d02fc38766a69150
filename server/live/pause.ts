import type { Collected } from '@cimbel/contract';
import type { Knex } from 'knex';
import { assignmentFor } from '../assignments/access';
import type { AssignmentRow } from '../assignments/row';
import { asItStands, handIn, underWay } from '../attempts/store';
import { endOf, endingsOf, isHeld } from '../attempts/time-limit';
import { rowOf } from '../db/rows';
import { HttpError } from '../http/errors';
import type { HeavyWork } from '../jobs/heavy';
import type { Jobs } from '../jobs/queue';
import { record } from '../log/store';

/** What one does in a class, and when. */
interface Doing {
  educatorId: string;
  now: Date;
}

/**
 * Stops the clocks of an exercise, or lets them go on: what they stood still is added to the time of each attempt that had time
 * left. Said twice it is done once.
 */
export async function setPaused(
  db: Knex,
  jobs: Jobs,
  assignment: Pick<AssignmentRow, 'id' | 'class_id'>,
  paused: boolean,
  { educatorId, now }: Doing,
): Promise<void> {
  const again = await db.transaction(async (trx) => {
    const row = rowOf(
      await trx('assignments').where({ id: assignment.id }).forUpdate().first(),
      'assignments',
    );
    const { paused_at } = row;
    if ((paused_at !== null) === paused) return [];
    await trx('assignments')
      .where({ id: assignment.id })
      .update({ paused_at: paused ? now : null });
    await record(trx, {
      at: now,
      actor: educatorId,
      action: paused ? 'assignment.paused' : 'assignment.goesOn',
      classId: assignment.class_id,
      subject: assignment.id,
    });
    if (paused_at === null || row.minutes === null) return [];
    const stood = now.getTime() - paused_at.getTime();
    const ends: { id: string; end: Date }[] = [];
    const endings = await endingsOf(trx, assignment.id);
    for (const attempt of await underWay(trx, assignment.id)) {
      const held = endings.get(attempt.student_id);
      if (!held || attempt.begun_at === null) continue;
      // One that was begun meanwhile stood still since then only; one whose time was up before gains nothing.
      const gained = isHeld({ ...held, paused_at }, attempt)
        ? Math.min(stood, now.getTime() - attempt.begun_at.getTime())
        : 0;
      const paused_ms = attempt.paused_ms + gained;
      if (gained > 0) await trx('attempts').where({ id: attempt.id }).update({ paused_ms });
      const end = endOf(held, { ...attempt, paused_ms });
      if (end) ends.push({ id: attempt.id, end });
    }
    return ends;
  });
  for (const { id, end } of again) await jobs.timeUp(id, end);
}

/** Hands in all that is under way as it stands, at a word. What nobody has written anything in stays open. */
export async function collect(
  db: Knex,
  work: HeavyWork,
  assignment: Pick<AssignmentRow, 'id' | 'class_id'>,
  { educatorId, now }: Doing,
): Promise<Collected> {
  const attempts = await underWay(db, assignment.id);
  const written = attempts.filter(({ version }) => version > 0);
  const notTaken: Collected['notTaken'] = [];
  let handedIn = 0;
  for (const attempt of written) {
    const mine = await assignmentFor(db, assignment.id, attempt.student_id);
    if (!mine) continue;
    try {
      await handIn(
        db,
        work.of(`collect ${assignment.id}`),
        mine,
        attempt.student_id,
        asItStands(attempt),
        now,
      );
      handedIn += 1;
    } catch (error) {
      if (!(error instanceof HttpError) || error.status >= 500) throw error;
      const user = await db('users').where({ id: attempt.student_id }).first('name');
      notTaken.push({ name: rowOf(user, 'users').name, code: error.code });
    }
  }
  await record(db, {
    at: now,
    actor: educatorId,
    action: 'assignment.collected',
    classId: assignment.class_id,
    subject: assignment.id,
    after: { handedIn },
  });
  return { handedIn, empty: attempts.length - written.length, notTaken };
}

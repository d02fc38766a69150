import type { Hint, HintWrite } from '@cimbel/contract';
import type { Knex } from 'knex';
import { HttpError } from '../http/errors';
import { record } from '../log/store';
import type { AssignmentRow } from '../assignments/row';

export interface HintRow {
  id: string;
  assignment_id: string;
  student_id: string;
  /** Number of the attempt it was said on, from 1. */
  attempt: number;
  educator_id: string;
  text: string;
  at: Date;
  read_at: Date | null;
}

/** Which attempt of whom a hint was given on. */
type OnAttempt = Pick<HintRow, 'assignment_id' | 'student_id' | 'attempt'>;

/** Names an attempt of an assignment. */
const attemptName = ({ student_id, attempt }: Pick<OnAttempt, 'student_id' | 'attempt'>) =>
  `${student_id} ${attempt}`;

/** Hints on one attempt, oldest first. */
export async function hintsOn(db: Knex, { assignment_id, student_id, attempt }: OnAttempt): Promise<Hint[]> {
  const on = { assignment_id, student_id, attempt };
  return (await hintsOf(db, on))(on);
}

/** Hints of an assignment, or of one attempt in it; what is answered gives those of an attempt, oldest first. */
export async function hintsOf(
  db: Knex,
  where: Pick<OnAttempt, 'assignment_id'> | OnAttempt,
): Promise<(on: Pick<OnAttempt, 'student_id' | 'attempt'>) => Hint[]> {
  const rows: (HintRow & { educator_name: string })[] = await db('hints')
    .join('users', 'users.id', 'hints.educator_id')
    .where(where)
    .orderBy(['at', 'hints.id'])
    .select('hints.*', 'users.name as educator_name');
  const byAttempt = new Map<string, Hint[]>();
  for (const row of rows) {
    const { id, text, educator_name: by, at, read_at } = row;
    const hint = { id, text, by, at: at.toISOString(), readAt: read_at?.toISOString() ?? null };
    byAttempt.set(attemptName(row), [...(byAttempt.get(attemptName(row)) ?? []), hint]);
  }
  return (on) => byAttempt.get(attemptName(on)) ?? [];
}

/**
 * Says the same to some students, on the attempt that each is at or begins with; whoever has handed in and is not at another
 * attempt gets none. @returns Ids of those it went to. @throws HttpError 409 where that is nobody
 */
export async function giveHint(
  db: Knex,
  assignment: Pick<AssignmentRow, 'id' | 'class_id'>,
  educatorId: string,
  { text, studentIds }: HintWrite,
  now: Date,
): Promise<string[]> {
  return db.transaction(async (trx) => {
    const { rows } = await trx.raw<{ rows: { student_id: string; attempt: number }[] }>(
      `select set_for.student_id, coalesce(last.number, 1) as attempt
         from set_for
         left join lateral (
           select number, submitted_at from attempts
            where attempts.assignment_id = set_for.assignment_id and attempts.student_id = set_for.student_id
            order by number desc limit 1
         ) last on true
        where set_for.assignment_id = :id and set_for.student_id = any(:students::uuid[])
          and last.submitted_at is null`,
      { id: assignment.id, students: studentIds },
    );
    if (rows.length === 0)
      throw new HttpError(409, 'live.nobodyThere', 'Everyone this was meant for has handed in.');
    await trx('hints').insert(
      rows.map((to) => ({ ...to, assignment_id: assignment.id, educator_id: educatorId, text, at: now })),
    );
    for (const { student_id } of rows)
      await record(trx, {
        at: now,
        actor: educatorId,
        action: 'attempt.hint',
        classId: assignment.class_id,
        subject: student_id,
        after: { text },
      });
    return rows.map(({ student_id }) => student_id);
  });
}

import type { LogAction, LogEntry } from '@cimbel/contract';
import type { Knex } from 'knex';

interface Done {
  at: Date;
  actor: string | null;
  action: LogAction;
  classId?: string;
  /** Whom or what it was done to. */
  subject?: string;
  before?: unknown;
  after?: unknown;
}

const json = (value: unknown) => (value === undefined ? null : JSON.stringify(value));

/** Writes down what was done, in the transaction that does it: both stand or neither. Nothing is ever taken out. */
export async function record(db: Knex, { at, actor, action, classId, subject, before, after }: Done) {
  await db('log').insert({
    at,
    actor_id: actor,
    action,
    class_id: classId ?? null,
    subject_id: subject ?? null,
    before: json(before),
    after: json(after),
  });
}

/** Entries that are told at once. */
const MOST_TOLD = 300;

/** What was done in a class, and when its students signed in; newest first. */
export async function logOfClass(db: Knex, classId: string): Promise<LogEntry[]> {
  const rows = await db('log')
    .leftJoin('users as actors', 'actors.id', 'log.actor_id')
    .leftJoin('users as subjects', 'subjects.id', 'log.subject_id')
    .leftJoin('assignments', 'assignments.id', 'log.subject_id')
    .where({ 'log.class_id': classId })
    .orWhere((mine) =>
      mine
        .whereNull('log.class_id')
        .whereIn('log.subject_id', db('members').where({ class_id: classId }).select('student_id')),
    )
    .orderBy('log.id', 'desc')
    .limit(MOST_TOLD)
    .select('log.*', 'actors.name as actor')
    .select(db.raw('coalesce(subjects.name, assignments.title) as subject'));
  return rows.map(({ id, at, actor, action, subject, before, after }) => ({
    id,
    at: at.toISOString(),
    actor,
    action,
    subject,
    before,
    after,
  }));
}

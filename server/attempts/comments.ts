import type { AnswerComment, CommentsWrite, Phrase } from '@cimbel/contract';
import type { Grade, Misconception } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import { notFound } from '../http/errors';
import { record } from '../log/store';
import type { MarkedAttempt } from './marks';

export interface CommentRow {
  id: string;
  attempt_id: string;
  educator_id: string;
  text: string;
  about: Misconception | null;
  made_at: Date;
}
export interface PhraseRow {
  id: string;
  educator_id: string;
  text: string;
  about: Misconception | null;
  used: number;
  used_at: Date;
}

/** An attempt with what of its marks says whether a comment still fits. */
interface Commented {
  id: string;
  grade: Pick<Grade, 'misconceptions'> | null;
}

/** What educators say of some answers, oldest first, by attempt. */
export async function commentsOf(
  db: Knex,
  attempts: readonly Commented[],
  askerId: string,
): Promise<Map<string, AnswerComment[]>> {
  const shows = new Map(
    attempts.map(({ id, grade }) => [id, new Set(grade?.misconceptions.map(({ name }) => name))]),
  );
  const rows: (CommentRow & { educator_name: string })[] = await db('comments')
    .join('users', 'users.id', 'comments.educator_id')
    .whereRaw('attempt_id = any(?)', [attempts.map(({ id }) => id)])
    .orderBy(['made_at', 'comments.id'])
    .select('comments.*', 'users.name as educator_name');
  const byAttempt = new Map<string, AnswerComment[]>();
  for (const { id, attempt_id, educator_id, text, about, made_at, educator_name } of rows) {
    const comment: AnswerComment = {
      id,
      text,
      about,
      by: educator_name,
      own: educator_id === askerId,
      at: made_at.toISOString(),
      stale: about !== null && !shows.get(attempt_id)?.has(about),
    };
    byAttempt.set(attempt_id, [...(byAttempt.get(attempt_id) ?? []), comment]);
  }
  return byAttempt;
}

/** Phrases that are offered at once. */
const MOST_PHRASES = 100;
/** Phrases of an educator, those most often said first. */
export async function phrasesOf(db: Knex, educatorId: string): Promise<Phrase[]> {
  return db('phrases')
    .where({ educator_id: educatorId })
    .orderBy([
      { column: 'used', order: 'desc' },
      { column: 'used_at', order: 'desc' },
    ])
    .limit(MOST_PHRASES)
    .select('id', 'text', 'about');
}

/**
 * Attempts of an assignment that are handed in, of those named; held to the end of the transaction, one after another in one
 * order, so that two who mark at once wait and never lock each other out. @throws HttpError 404 where one is not.
 */
export async function handedInOf(
  db: Knex,
  assignmentId: string,
  attemptIds: readonly string[],
): Promise<MarkedAttempt[]> {
  const ids = [...new Set(attemptIds)];
  const rows = await db('attempts')
    .where({ assignment_id: assignmentId })
    .whereNotNull('submitted_at')
    .whereIn('id', ids)
    .orderBy('id')
    .forUpdate()
    .select('id', 'grade', 'assignment_id', 'student_id');
  if (rows.length < ids.length) throw notFound();
  return rows;
}

/** Where and by whom something is said. */
interface Saying {
  assignmentId: string;
  classId: string;
  educatorId: string;
  now: Date;
}

/** Says the same of each of some answers, and keeps it as a phrase where that is wished. @returns Ids of the comments. */
export async function comment(
  db: Knex,
  { attemptIds, text, about, keep }: CommentsWrite,
  { assignmentId, classId, educatorId, now }: Saying,
): Promise<{ ids: string[] }> {
  return db.transaction(async (trx) => {
    const attempts = await handedInOf(trx, assignmentId, attemptIds);
    const made: { id: string }[] = await trx('comments')
      .insert(
        attempts.map(({ id }) => ({ attempt_id: id, educator_id: educatorId, text, about, made_at: now })),
      )
      .returning('id');
    for (const { student_id } of attempts)
      await record(trx, {
        at: now,
        actor: educatorId,
        action: 'attempt.comment',
        classId,
        subject: student_id,
        after: { text },
      });
    if (keep)
      await trx('phrases')
        .insert({ educator_id: educatorId, text, about, used: 1, used_at: now })
        .onConflict(['educator_id', 'text'])
        .merge({ used: trx.raw('phrases.used + 1'), used_at: now });
    return { ids: made.map(({ id }) => id) };
  });
}

/** Comments of an assignment that one has written oneself. */
const ownComments = (db: Knex, { assignmentId, educatorId }: Saying, ids: readonly string[]) =>
  db('comments')
    .join('attempts', 'attempts.id', 'comments.attempt_id')
    .where('attempts.assignment_id', assignmentId)
    .where('comments.educator_id', educatorId)
    .whereIn('comments.id', [...ids]);

/** Another wording of one's own comment. @throws HttpError 404 where it is not there, or somebody else's. */
export async function rewordComment(db: Knex, id: string, text: string, saying: Saying): Promise<void> {
  const row = await ownComments(db, saying, [id]).first('comments.id');
  if (!row) throw notFound();
  await db('comments').where({ id }).update({ text });
}

/** Takes one's own comments back; those that are gone already are gone. */
export async function takeBackComments(db: Knex, ids: readonly string[], saying: Saying): Promise<void> {
  await db.transaction(async (trx) => {
    const rows: { id: string; student_id: string; text: string }[] = await ownComments(
      trx,
      saying,
      ids,
    ).select('comments.id', 'attempts.student_id', 'comments.text');
    await trx('comments')
      .whereIn(
        'id',
        rows.map(({ id }) => id),
      )
      .delete();
    for (const { student_id, text } of rows)
      await record(trx, {
        at: saying.now,
        actor: saying.educatorId,
        action: 'attempt.commentBack',
        classId: saying.classId,
        subject: student_id,
        before: { text },
      });
  });
}

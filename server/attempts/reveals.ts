import { CONSULTATION_QUESTIONS, TESTS, type HairTest, type ConsultationQuestion } from '@cimbel/core/case';
import type { RecordCard } from '@cimbel/core/card';
import type { Knex } from 'knex';
import type { AssignmentRow } from '../assignments/row';

export interface RevealRow {
  assignment_id: string;
  student_id: string;
  attempt: number;
  kind: 'asked' | 'tests';
  name: string;
  at: Date;
}

/** Writes down that a student was told something, once. */
export async function recordReveal(
  db: Knex,
  assignmentId: string,
  studentId: string,
  attempt: number,
  told: { question: ConsultationQuestion } | { test: HairTest },
  now: Date,
): Promise<void> {
  const [kind, name] =
    'question' in told ? (['asked', told.question] as const) : (['tests', told.test] as const);
  await db('reveals')
    .insert({ assignment_id: assignmentId, student_id: studentId, attempt, kind, name, at: now })
    .onConflict(['assignment_id', 'student_id', 'attempt', 'kind', 'name'])
    .ignore();
}

/** What was told in one attempt is told in another that goes on with its card. */
export const copyReveals = (
  db: Knex,
  assignmentId: string,
  studentId: string,
  from: number,
  to: number,
): Promise<unknown> =>
  db.raw(
    `insert into reveals (assignment_id, student_id, attempt, kind, name, at)
     select assignment_id, student_id, ?, kind, name, at from reveals
      where assignment_id = ? and student_id = ? and attempt = ? on conflict do nothing`,
    [to, assignmentId, studentId, from],
  );

/**
 * A card with what the student really asked and tested, beside what a card that is to be put right came with; what it says
 * of that itself is not asked about.
 */
export async function asRevealed(
  db: Knex,
  { id, card }: Pick<AssignmentRow, 'id' | 'card'>,
  studentId: string,
  attempt: number,
  answer: RecordCard,
): Promise<RecordCard> {
  const rows = await db('reveals').where({ assignment_id: id, student_id: studentId, attempt });
  const told = (kind: RevealRow['kind']) =>
    new Set<string>([
      ...(card?.[kind] ?? []),
      ...rows.filter((row) => row.kind === kind).map(({ name }) => name),
    ]);
  const [asked, tests] = [told('asked'), told('tests')];
  // In the order of the card, and what it leaves out after that.
  return {
    ...answer,
    asked: [...new Set([...answer.asked, ...CONSULTATION_QUESTIONS])].filter((question) =>
      asked.has(question),
    ),
    tests: [...new Set([...answer.tests, ...TESTS])].filter((test) => tests.has(test)),
  };
}

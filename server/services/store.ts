import type { newServiceSchema, ServicePreview, ServiceSubmission } from '@cimbel/contract';
import {
  BENCH_STEPS,
  defaultServiceRubric,
  gradeService,
  nearMisses,
  slip,
  type ServiceGradeInput,
} from '@cimbel/core/grade';
import type { ServiceCase, ServicePlan } from '@cimbel/core/plan';
import { readLabel, type Line } from '@cimbel/core/shades';
import { solveService } from '@cimbel/core/solve';
import type { Knex } from 'knex';
import type { z } from 'zod';
import { keepHandedIn, type ServiceAttemptRow } from '../attempts/store';
import type { ClassRow } from '../classes/access';
import type { ServiceRow } from '../exercises/row';
import { HttpError, invalidField } from '../http/errors';
import { lineForCase } from '../shade-books/store';

/** The lines a case names, shipped or the educator's own, as they are now. */
async function linesOf(db: Knex, kase: ServiceCase, educatorId: string): Promise<Line[]> {
  const lines: Line[] = [];
  for (const [i, id] of kase.lineIds.entries()) {
    const line = await lineForCase(db, id, educatorId);
    if (!line)
      throw invalidField(
        `kase.lineIds.${i}`,
        'unknown',
        'No line of colour has this id. Pick one from the list.',
      );
    lines.push(line);
  }
  return lines;
}

/** What a case comes to under a class's rules. */
export async function previewService(
  db: Knex,
  kase: ServiceCase,
  { house_rules: rules, educator_id }: ClassRow,
): Promise<ServicePreview> {
  const lines = await linesOf(db, kase, educator_id);
  const solved = solveService(kase, lines, rules);
  if (!solved.ok) return solved;
  const { solution } = solved;
  const rubric = defaultServiceRubric(solution, solution.visit);
  const misses = nearMisses({ solution, rules, rubric, lines, open: [...BENCH_STEPS] });
  return { ok: true, solution, rubric, nearMisses: misses, lines };
}

export async function createService(
  db: Knex,
  owner: ClassRow,
  wanted: z.output<typeof newServiceSchema>,
  now: Date,
): Promise<{ id: string }> {
  const lines = await linesOf(db, wanted.kase, owner.educator_id);
  const solved = solveService(wanted.kase, lines, owner.house_rules);
  if (!solved.ok)
    throw new HttpError(
      422,
      'exercise.noAnswer',
      'The lines at hand cannot reach the wish.',
      undefined,
      solved.reasons,
    );
  const dueAt = new Date(wanted.dueAt);
  const card = wanted.slip
    ? slip(wanted.slip, { plan: solved.solution.best, solution: solved.solution, lines })
    : null;
  if (wanted.slip && !card)
    throw invalidField('slip', 'noRoom', 'This case leaves no room for that slip. Choose another one.');
  if (dueAt <= now) throw invalidField('dueAt', 'past', 'The due time has passed. Choose a later one.');
  const [row] = await db('exercises')
    .insert({
      class_id: owner.id,
      kind: 'service',
      title: wanted.title,
      kase: JSON.stringify(wanted.kase),
      line: JSON.stringify(lines),
      house_rules: JSON.stringify(owner.house_rules),
      rubric: JSON.stringify(wanted.rubric),
      key: JSON.stringify(solved.solution),
      open_steps: JSON.stringify(wanted.open),
      card: card ? JSON.stringify(card) : null,
      slip: wanted.slip,
      due_at: dueAt,
      release: wanted.release,
      created_at: now,
    })
    .returning('id');
  return row;
}

export const gradingOf = ({
  key,
  house_rules,
  rubric,
  line,
  open_steps,
}: Pick<ServiceRow, 'key' | 'house_rules' | 'rubric' | 'line' | 'open_steps'>): ServiceGradeInput => ({
  solution: key,
  rules: house_rules,
  rubric,
  lines: line,
  open: open_steps,
});

/** Labels have to be of the bowl's line, and bowls have to be there: a slip of typing is said now, not marked. */
export function checkPlan(
  { bowls, steps }: Pick<ServicePlan, 'bowls' | 'steps'>,
  lines: readonly Line[],
): void {
  const names = bowls.map(({ name }) => name);
  bowls.forEach((bowl, i) => {
    if (names.indexOf(bowl.name) !== i)
      throw invalidField(
        `answer.bowls.${i}.name`,
        'twice',
        `Two bowls are named ${bowl.name}. Give one another letter.`,
      );
    if (bowl.lineId === null) return;
    const line = lines.find(({ id }) => id === bowl.lineId);
    if (!line)
      throw invalidField(
        `answer.bowls.${i}.lineId`,
        'unknown',
        'This line is not at hand. Pick one from the shelf.',
      );
    bowl.shades.forEach(({ label }, j) => {
      if (!line.shades.includes(label) || !readLabel(line, label).ok)
        throw invalidField(
          `answer.bowls.${i}.shades.${j}.label`,
          'unknown',
          `${line.name} has no shade ${label}.`,
        );
    });
  });
  steps.forEach(({ bowl }, i) => {
    if (!names.includes(bowl))
      throw invalidField(
        `answer.steps.${i}.bowl`,
        'unknown',
        `There is no bowl ${bowl}. Mix it, or take the step out.`,
      );
  });
}

/** Marks a plan and hands it in. */
export async function handInService(
  db: Knex,
  service: ServiceRow,
  studentId: string,
  submission: ServiceSubmission,
  now: Date,
): Promise<ServiceAttemptRow> {
  checkPlan(submission.answer, service.line);
  const grade = gradeService(gradingOf(service), submission.answer);
  return keepHandedIn<ServiceAttemptRow>(db, service.id, studentId, submission, grade, now);
}

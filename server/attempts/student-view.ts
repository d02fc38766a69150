import type { Revealed, StudentAssignment, StudentAssignmentSummary } from '@cimbel/contract';
import {
  EMPTY_CARD,
  applicationsOf,
  answerTo,
  showsIn,
  stretchesOf,
  timesWhatIsGiven,
  type ClientCase,
  type HairTest,
  type Question,
  type RecordCard,
} from '@cimbel/core/card';
import { LIGHTS } from '@cimbel/core/colour';
import { withGiven } from '@cimbel/core/mark';
import { underlayChoices } from '@cimbel/core/theory';
import type { Knex } from 'knex';
import type { AssignmentOfClass } from '../assignments/access';
import { isReleased, looksOf, maxPoints, type AssignmentRow } from '../assignments/row';
import { attemptOf, pointsOf, standingOf, type AttemptRow } from './store';

const resultReady = (
  attempt: Pick<AttemptRow, 'submitted_at'> | undefined,
  assignment: AssignmentRow,
  now: Date,
) => Boolean(attempt?.submitted_at) && isReleased(assignment, now);

export const revealed = (
  clientCase: ClientCase,
  asked: { question: Question } | { test: HairTest },
): Revealed => ({
  reasons: 'question' in asked ? answerTo(clientCase, asked.question) : showsIn(clientCase, asked.test),
});

/** Everything a draft has asked and tested, with what came of it. */
function revealsOf(
  clientCase: ClientCase,
  { asked, tests }: Pick<RecordCard, 'asked' | 'tests'>,
): StudentAssignment['reveals'] {
  return Object.fromEntries([
    ...asked.map((question) => [question, answerTo(clientCase, question)]),
    ...tests.map((test) => [test, showsIn(clientCase, test)]),
  ]);
}

/** Chosen field by field: what is not named here (levels, grey, history, the model answer) cannot slip out to a student. */
export async function studentView(
  db: Knex,
  assignment: AssignmentOfClass,
  studentId: string,
  now: Date,
): Promise<StudentAssignment> {
  const attempt = await attemptOf(db, assignment.id, studentId);
  const { client_case: clientCase, open_steps: open, model_answer: model } = assignment;
  const { diameter, density, length, form, zones } = clientCase.head;
  const stretches = stretchesOf(clientCase.head);
  const start = assignment.card ?? EMPTY_CARD;
  return {
    id: assignment.id,
    title: assignment.title,
    className: assignment.class_name,
    client: clientCase.client,
    looks: looksOf(assignment),
    lit: Object.fromEntries(
      LIGHTS.map((light) => [light, looksOf(assignment, light)]),
    ) as StudentAssignment['lit'],
    zones: zones.map(({ zone, lengthCm }, i) => ({
      zone,
      lengthCm,
      from: stretches[i].from,
      to: stretches[i].to,
    })),
    hair: { diameter, density, length, form },
    wish: clientCase.wish,
    weave: clientCase.weave ?? null,
    lines: assignment.lines,
    houseRules: assignment.house_rules,
    underlayChoices: underlayChoices(assignment.house_rules),
    open,
    given: withGiven(start, model.best, open),
    applications: timesWhatIsGiven(open) ? applicationsOf(model.best.steps) : [],
    toCorrect: assignment.card !== null,
    rubric: assignment.rubric,
    reveals: revealsOf(clientCase, withGiven(attempt?.answer ?? start, model.best, open)),
    dueAt: assignment.due_at.toISOString(),
    late: !attempt?.submitted_at && now > assignment.due_at,
    draft: attempt
      ? { answer: attempt.answer, version: attempt.version, updatedAt: attempt.updated_at.toISOString() }
      : null,
    submittedAt: attempt?.submitted_at?.toISOString() ?? null,
    resultReady: resultReady(attempt, assignment, now),
  };
}

export async function studentList(
  db: Knex,
  studentId: string,
  now: Date,
): Promise<StudentAssignmentSummary[]> {
  const assignments: AssignmentOfClass[] = await db('assignments')
    .join('classes', 'classes.id', 'assignments.class_id')
    .join('memberships', 'memberships.class_id', 'classes.id')
    .where('memberships.student_id', studentId)
    .orderBy('assignments.due_at')
    .select('assignments.*', 'classes.name as class_name');
  const attempts: AttemptRow[] = await db('attempts').where({ student_id: studentId });
  const points = await pointsOf(db, attempts);
  return assignments.map((assignment) => {
    const attempt = attempts.find(({ assignment_id }) => assignment_id === assignment.id);
    const standing = standingOf(attempt, assignment, points);
    const ready = resultReady(attempt, assignment, now);
    return {
      id: assignment.id,
      title: assignment.title,
      className: assignment.class_name,
      clientName: assignment.client_case.client.name,
      now: looksOf(assignment).now,
      dueAt: assignment.due_at.toISOString(),
      state: standing.state,
      late: standing.late || (!attempt?.submitted_at && now > assignment.due_at),
      resultReady: ready,
      points: ready ? standing.points : null,
      max: maxPoints(assignment.rubric),
    };
  });
}

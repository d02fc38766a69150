import type { EducatorService, Revealed, ServiceResult, StudentService } from '@cimbel/contract';
import { LIGHTS } from '@cimbel/core/colour';
import { withGiven } from '@cimbel/core/grade';
import {
  EMPTY_PLAN,
  answerTo,
  showsIn,
  stretchesOf,
  type HairTest,
  type Question,
  type ServiceCase,
  type ServicePlan,
} from '@cimbel/core/plan';
import { underlayChoices } from '@cimbel/core/theory';
import type { Knex } from 'knex';
import {
  attemptOf,
  attemptsOf,
  changesOf,
  effectiveGrade,
  pointsOf,
  standingOf,
  type ServiceAttemptRow,
} from '../attempts/store';
import { resultReady } from '../attempts/student-view';
import { studentsOf } from '../classes/store';
import type { ServiceOfClass } from '../exercises/access';
import { isReleased, maxPoints, serviceLooksOf, type ServiceRow } from '../exercises/row';

export async function educatorService(
  db: Knex,
  service: ServiceOfClass,
  now: Date,
): Promise<EducatorService> {
  const [students, attempts] = await Promise.all([
    studentsOf(db, service.class_id),
    attemptsOf<ServiceAttemptRow>(db, [service.id]),
  ]);
  const [points, changes] = await Promise.all([
    pointsOf(db, attempts),
    changesOf(
      db,
      attempts.map(({ id }) => id),
    ),
  ]);
  const shown = new Map<string, number>();
  for (const { grade } of attempts)
    for (const { name } of grade?.misconceptions ?? []) shown.set(name, (shown.get(name) ?? 0) + 1);
  return {
    id: service.id,
    classId: service.class_id,
    className: service.class_name,
    title: service.title,
    kase: service.kase,
    lines: service.line,
    houseRules: service.house_rules,
    solution: service.key,
    open: service.open_steps,
    slip: service.slip,
    rubric: service.rubric,
    max: maxPoints(service.rubric),
    dueAt: service.due_at.toISOString(),
    release: service.release,
    released: isReleased(service, now),
    misconceptions: [...shown]
      .map(([name, count]) => ({ name, students: count }))
      .sort((a, b) => b.students - a.students),
    rows: students.map(({ id, name }) => {
      const attempt = attempts.find((one) => one.student_id === id);
      const own = attempt ? (changes.get(attempt.id) ?? []) : [];
      return {
        studentId: id,
        name,
        ...standingOf(attempt, service, points),
        grade: attempt?.grade ? effectiveGrade(attempt.grade, own) : null,
        changed: own.length > 0,
      };
    }),
  };
}

export const revealed = (
  kase: ServiceCase,
  asked: { question: Question } | { test: HairTest },
): Revealed => ({
  reasons: 'question' in asked ? answerTo(kase, asked.question) : showsIn(kase, asked.test),
});

/** Everything a draft has asked and tested, with what came of it. */
function revealsOf(
  kase: ServiceCase,
  { asked, tests }: Pick<ServicePlan, 'asked' | 'tests'>,
): StudentService['reveals'] {
  return Object.fromEntries([
    ...asked.map((question) => [question, answerTo(kase, question)]),
    ...tests.map((test) => [test, showsIn(kase, test)]),
  ]);
}

/** Chosen field by field: what is not named here (levels, grey, history, the solution) cannot slip out to a student. */
export async function studentService(
  db: Knex,
  service: ServiceOfClass,
  studentId: string,
  now: Date,
): Promise<StudentService> {
  const attempt = await attemptOf<ServiceAttemptRow>(db, service.id, studentId);
  const { kase, open_steps: open } = service;
  const { diameter, density, length, form, zones } = kase.head;
  const stretches = stretchesOf(kase.head);
  const start = service.card ?? EMPTY_PLAN;
  const given = withGiven(start, service.key.best, open);
  return {
    id: service.id,
    title: service.title,
    className: service.class_name,
    client: kase.client,
    looks: serviceLooksOf(service),
    lit: Object.fromEntries(
      LIGHTS.map((light) => [light, serviceLooksOf(service, light)]),
    ) as StudentService['lit'],
    zones: zones.map(({ zone, lengthCm }, i) => ({
      zone,
      lengthCm,
      from: stretches[i].from,
      to: stretches[i].to,
    })),
    hair: { diameter, density, length, form },
    wish: kase.wish,
    weave: kase.weave ?? null,
    lines: service.line,
    houseRules: service.house_rules,
    underlayChoices: underlayChoices(service.house_rules),
    open,
    given,
    toCorrect: service.card !== null,
    rubric: service.rubric,
    reveals: revealsOf(kase, withGiven(attempt?.answer ?? start, service.key.best, open)),
    dueAt: service.due_at.toISOString(),
    late: !attempt?.submitted_at && now > service.due_at,
    draft: attempt
      ? { answer: attempt.answer, version: attempt.version, updatedAt: attempt.updated_at.toISOString() }
      : null,
    submittedAt: attempt?.submitted_at?.toISOString() ?? null,
    resultReady: resultReady(attempt, service, now),
  };
}

export async function serviceResult(
  db: Knex,
  service: ServiceRow,
  attempt: ServiceAttemptRow,
  studentName: string,
): Promise<ServiceResult> {
  const changes = (await changesOf(db, [attempt.id])).get(attempt.id) ?? [];
  return {
    attemptId: attempt.id,
    exerciseId: service.id,
    title: service.title,
    studentName,
    kase: service.key.visit,
    lines: service.line,
    houseRules: service.house_rules,
    solution: service.key,
    open: service.open_steps,
    slip: service.slip,
    answer: withGiven(attempt.answer, service.key.best, service.open_steps),
    grade: effectiveGrade(attempt.grade!, changes),
    changes,
    submittedAt: attempt.submitted_at!.toISOString(),
    late: attempt.submitted_at! > service.due_at,
  };
}

import type { StudentAssignmentView, StudentAssignmentSummary, StudentTermsShown } from '@cimbel/contract';
import { exerciseForStudent, mainRegion } from '@cimbel/core/exercise';
import type { Knex } from 'knex';
import { OF_STUDENT, isAhead, opensLater, setForStudents, type AssignmentForMe } from '../assignments/access';
import { endsByDates, exerciseOf, isClosed, isShown, maxPoints } from '../assignments/row';
import { asOfStudent, variantsOf } from '../assignments/variants';
import { keptLit } from './look-cache';
import { pointsOf, standingOf } from './marks';
import { playsOf } from './plays';
import { asRevealed } from './reveals';
import { attemptsOfStudent, receiptOf, type AttemptRow } from './store';
import { minutesOf, timeOf } from './time-limit';

/** What a student is told of an assignment, whether or not they may begin yet. */
function shownTerms(
  assignment: AssignmentForMe,
  handedIn: readonly AttemptRow[],
  now: Date,
): StudentTermsShown {
  const closed = isClosed(assignment, now);
  return {
    id: assignment.id,
    title: assignment.title,
    className: assignment.class_name,
    dueAt: assignment.due_at.toISOString(),
    late: handedIn.length === 0 && now > assignment.due_at,
    latePercent: assignment.late === 'reduced' ? assignment.late_percent : null,
    closed,
    handedInAt: endsByDates(assignment)?.toISOString() ?? null,
    attempts: assignment.attempts_allowed,
    handedIn: handedIn.length,
    minutes: minutesOf(assignment),
  };
}

/** An assignment as its student sees it: what lies ahead, what is being worked, or what has been handed in last. */
export async function studentView(
  db: Knex,
  assignment: AssignmentForMe,
  studentId: string,
  now: Date,
): Promise<StudentAssignmentView> {
  const attempts = await attemptsOfStudent(db, assignment.id, studentId);
  const handedIn = attempts.filter(({ submitted_at }) => submitted_at !== null);
  const studentTermsShown = shownTerms(assignment, handedIn, now);
  if (isAhead(assignment, attempts.length, now)) {
    return {
      stage: 'ahead',
      ...studentTermsShown,
      opensAt: opensLater(assignment, now)?.toISOString() ?? null,
    };
  }
  const attempt = attempts.at(-1);
  const number = attempt?.number ?? 1;
  const answer = attempt && (await asRevealed(db, assignment, studentId, number, attempt.answer));
  const shown = isShown(assignment, handedIn.length, now);
  const another =
    Boolean(attempt?.submitted_at) &&
    !studentTermsShown.closed &&
    handedIn.length < assignment.attempts_allowed;
  return {
    ...exerciseForStudent(exerciseOf(assignment), answer ?? null, keptLit(assignment)),
    ...studentTermsShown,
    stage: 'work',
    rubric: assignment.rubric,
    attempt: number,
    time: attempt && !attempt.submitted_at ? timeOf(assignment, attempt, now) : null,
    draft: attempt
      ? { answer: answer!, version: attempt.version, updatedAt: attempt.updated_at.toISOString() }
      : null,
    submittedAt: attempt?.submitted_at?.toISOString() ?? null,
    receipt: attempt ? receiptOf(attempt) : null,
    notTaken: attempt?.not_taken ?? null,
    another,
    soFar: another && assignment.release === 'onSubmit' ? await soFar(db, assignment, attempts) : null,
    plays: await playsOf(db, assignment, studentId),
    resultReady: shown,
    release: assignment.release,
  };
}

/** Where results are shown on handing in, points and kinds of fault are told between attempts, the model answer after the last. */
async function soFar(db: Knex, assignment: AssignmentForMe, attempts: readonly AttemptRow[]) {
  const { points } = standingOf(attempts, assignment, await pointsOf(db, attempts));
  if (points === null) return null;
  const last = attempts.filter(({ submitted_at }) => submitted_at !== null).at(-1);
  const lost = (last?.grade?.criteria ?? []).flatMap(({ criterion, points: earned, max, findings }) =>
    earned < max
      ? [
          {
            criterion,
            rules: [
              ...new Set(findings.flatMap(({ loss, rule }) => ((loss ?? 0) > 0 && rule ? [rule] : []))),
            ],
          },
        ]
      : [],
  );
  return { points, max: maxPoints(assignment.rubric), lost };
}

/** What a list shows of an exercise; its lines and model answer, many times as much, stay where they are. */
const LISTED = [
  'assignments.id',
  'assignments.title',
  'assignments.variants',
  'assignments.client_case',
  'assignments.rubric',
  'assignments.release',
  'assignments.closed_at',
  'assignments.last_due_at',
  'assignments.counted',
  'assignments.late',
  'assignments.late_percent',
  'assignments.minutes',
  'classes.name as class_name',
] as const;

/** When something of a result was last said or changed by educators, by attempt. */
async function lastSaidOf(db: Knex, attemptIds: string[]): Promise<Map<string, Date>> {
  const { rows }: { rows: { attempt_id: string; at: Date }[] } = await db.raw(
    `select attempt_id, max(at) as at
       from (select attempt_id, made_at as at from mark_changes
             union all select attempt_id, made_at from comments
             union all select attempt_id, replaced_at from former_grades) as said
      where attempt_id = any(:attemptIds::uuid[])
      group by attempt_id`,
    { attemptIds },
  );
  return new Map(rows.map(({ attempt_id, at }) => [attempt_id, at]));
}

const isFresh = ({ result_seen_at }: AttemptRow, said: Date | undefined): boolean =>
  result_seen_at === null || (said !== undefined && said > result_seen_at);

export async function studentList(
  db: Knex,
  studentId: string,
  now: Date,
): Promise<StudentAssignmentSummary[]> {
  const listed: AssignmentForMe[] = await setForStudents(db)
    .where('set_for.student_id', studentId)
    // Of a class that is put away what was handed in stays to be read.
    .where((open) =>
      open
        .whereNull('classes.archived_at')
        .orWhereExists((mine) =>
          mine
            .from('attempts')
            .where('assignment_id', db.ref('assignments.id'))
            .where('student_id', studentId)
            .whereNotNull('submitted_at'),
        ),
    )
    .orderBy('set_for.due_at')
    .select(...LISTED, ...OF_STUDENT);
  const variants = await variantsOf(db, listed);
  const assignments = listed.map((assignment) =>
    asOfStudent(assignment, studentId, variants.get(assignment.id)),
  );
  const all: AttemptRow[] = await db('attempts').where({ student_id: studentId }).orderBy('number');
  const [points, said] = await Promise.all([
    pointsOf(db, all),
    lastSaidOf(
      db,
      all.map(({ id }) => id),
    ),
  ]);
  return assignments.map((assignment) => {
    const attempts = all.filter(({ assignment_id }) => assignment_id === assignment.id);
    const standing = standingOf(attempts, assignment, points);
    const underWay = attempts.some(({ submitted_at }) => submitted_at === null);
    const shown = isShown(assignment, standing.handedIn, now);
    const counting = attempts.find(({ id }) => id === standing.attemptId);
    return {
      id: assignment.id,
      title: assignment.title,
      className: assignment.class_name,
      clientName: assignment.client_case.client.name,
      now: isAhead(assignment, attempts.length, now)
        ? null
        : keptLit(assignment).daylight.now[mainRegion(assignment.client_case.head)],
      dueAt: assignment.due_at.toISOString(),
      opensAt: opensLater(assignment, now)?.toISOString() ?? null,
      state: underWay ? 'inWork' : standing.handedIn > 0 ? 'handedIn' : 'notStarted',
      late: standing.late || (standing.handedIn === 0 && now > assignment.due_at),
      closed: isClosed(assignment, now),
      attempts: assignment.attempts_allowed,
      handedIn: standing.handedIn,
      minutes: minutesOf(assignment),
      resultReady: shown,
      fresh: shown && counting !== undefined && isFresh(counting, said.get(counting.id)),
      points: shown ? standing.points : null,
      max: maxPoints(assignment.rubric),
    };
  });
}

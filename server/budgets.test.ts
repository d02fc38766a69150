import type { EducatorAssignment } from '@cimbel/contract';
import { SKILLS } from '@cimbel/core/drill';
import { randomUUID } from 'node:crypto';
import { ask, inClassroom, newId } from './testing/harness';

const { h, room } = inClassroom();

/** A college has thirty such classes: 20,000 submissions and 225,000 drill answers in all. */
const STUDENTS = 30;
const EXERCISES = 22;
const DRILL_ANSWERS = 7500;
/** Processor time that a page may cost the server, milliseconds. */
const BUDGET_MS = 60;
const ROUNDS = 7;

/** Fills the class by copies of what is there: one handed-in card for everyone in every exercise, a term of practice. */
async function fill(): Promise<void> {
  const { best } = (
    (await room.educator.get(`/api/assignments/${room.assignmentId}`).expect(200)).body as EducatorAssignment
  ).solution;
  await ask(room.student, room.assignmentId, best);
  await room.student
    .post(`/api/my/assignments/${room.assignmentId}/submission`, { id: newId(), answer: best })
    .expect(200);
  const students = Array.from({ length: STUDENTS - 2 }, (_, i) => ({
    id: randomUUID(),
    name: `Student ${i}`,
    role: 'student',
  }));
  await h.db('users').insert(students);
  await h.db('memberships').insert(students.map(({ id }) => ({ class_id: room.classId, student_id: id })));
  const columnsOf = async (table: string, without: readonly string[]) => {
    const all = Object.keys(await h.db(table).columnInfo());
    return all.filter((name) => !without.includes(name));
  };
  const names = (await columnsOf('assignments', ['id'])).map((name) => `"${name}"`).join(', ');
  for (let i = 1; i < EXERCISES; i++)
    await h.db.raw(`insert into assignments (${names}) select ${names} from assignments where id = ?`, [
      room.assignmentId,
    ]);
  const kept = await columnsOf('attempts', ['id', 'assignment_id', 'student_id', 'submission_id', 'receipt']);
  const copied = kept.map((name) => `one."${name}"`).join(', ');
  await h.db.raw(
    `insert into attempts (id, assignment_id, student_id, submission_id, receipt, ${kept.map((name) => `"${name}"`).join(', ')})
     select gen_random_uuid(), a.id, m.student_id, gen_random_uuid(), 1000 + row_number() over (), ${copied}
       from attempts one, assignments a, memberships m
      where one.assignment_id = ? and a.class_id = m.class_id and m.class_id = ?
        and not exists (select 1 from attempts x where x.assignment_id = a.id and x.student_id = m.student_id)`,
    [room.assignmentId, room.classId],
  );
  await h.db.raw(
    `insert into drill_answers (id, student_id, class_id, practice_id, skill, facet, step, seed, scope, response, score,
                                chance, light, assisted, seconds, claimed_seconds, answered_at, received_at, reading)
     select gen_random_uuid(), m.student_id, m.class_id, ?, (?::text[])[1 + n % ?], '5', 1 + n % 5, n, '{}'::jsonb,
            '{"kind":"figure","value":5}'::jsonb, (n % 3) / 2.0, 0.1, 'daylight', false, 8, 8,
            now() - n * interval '5 minutes', now() - n * interval '5 minutes', null
       from memberships m, generate_series(1, ?) n where m.class_id = ?`,
    [room.practiceId, [...SKILLS], SKILLS.length, Math.round(DRILL_ANSWERS / STUDENTS), room.classId],
  );
  await h.db.raw('analyze');
}

/** Processor time of this process while a page is made, the least of some rounds: what others do beside it is not in it. */
async function costOf(fetch: () => PromiseLike<unknown>): Promise<number> {
  let least = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    const before = process.cpuUsage();
    await fetch();
    const { user, system } = process.cpuUsage(before);
    least = Math.min(least, (user + system) / 1000);
  }
  return least;
}

describe('pages of a full class', () => {
  it('cost the server no more processor time than they may', async () => {
    await fill();
    const { id: attemptId } = await h.db('attempts').where({ assignment_id: room.assignmentId }).first('id');
    const pages = {
      classes: '/api/classes',
      class: `/api/classes/${room.classId}`,
      roster: `/api/classes/${room.classId}/roster`,
      log: `/api/classes/${room.classId}/log`,
      assignment: `/api/assignments/${room.assignmentId}`,
      answer: `/api/attempts/${attemptId}`,
      'reading desk': `/api/classes/${room.classId}/reading`,
      test: `/api/reading-tests/${room.testId}`,
      library: '/api/exercises',
    };
    const costs: [string, number][] = [];
    for (const [name, address] of Object.entries(pages))
      costs.push([name, await costOf(() => room.educator.get(address).expect(200))]);
    expect(costs.filter(([, ms]) => ms > BUDGET_MS)).toEqual([]);
    expect(await h.db('attempts').count('* as n').first()).toEqual({ n: String(STUDENTS * EXERCISES) });
  }, 120_000);
});

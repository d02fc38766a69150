import type { DrillAnswer, DrillAnswersKept, MyPractice, NewPractice, PracticeForMe } from '@cimbel/contract';
import {
  chanceOf,
  countedSeconds,
  DRILL_EDITION,
  readingProfileOf,
  fitsForm,
  generate,
  markItem,
  memoryOf,
  MOST_SECONDS,
  startOfWeek,
  type ReadingProfile,
  type ProfileAnswer,
  type Item,
  type Scope,
  type Skill,
  facetToday,
} from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';
import { houseRulesSchema, type HouseRules } from '@cimbel/core/rules';
import type { Knex } from 'knex';
import { countedOf, type TimeHeard } from './pace';
import { linesOfVersions, ownLinesOf } from '../shade-books/store';

export interface PracticeRow {
  id: string;
  class_id: string;
  title: string;
  skills: Skill[];
  scope: Scope;
  minutes_a_week: number;
  created_at: Date;
}

export interface DrillAnswerRow {
  id: string;
  student_id: string;
  class_id: string | null;
  practice_id: string | null;
  skill: Skill;
  facet: string;
  step: ProfileAnswer['step'];
  score: number;
  reading: ProfileAnswer['reading'];
  light: ProfileAnswer['light'];
  assisted: boolean;
  seconds: number;
  chance: number;
  answered_at: Date;
}

export async function createPractice(
  db: Knex,
  classId: string,
  { title, skills, scope, minutesAWeek }: NewPractice,
  now: Date,
): Promise<{ id: string }> {
  const [row] = await db('practices')
    .insert({
      class_id: classId,
      title,
      skills: JSON.stringify(skills),
      scope: JSON.stringify(scope),
      minutes_a_week: minutesAWeek,
      created_at: now,
    })
    .returning('id');
  return row;
}

/** What of an answer tells about the eye; question and answer themselves stay where they are. */
const OF_PROFILE = [
  'student_id',
  'skill',
  'facet',
  'step',
  'score',
  'assisted',
  'answered_at',
  'seconds',
  'light',
  'reading',
  'chance',
] as const satisfies readonly (keyof DrillAnswerRow)[];
type ProfileRow = Pick<DrillAnswerRow, (typeof OF_PROFILE)[number]>;

const asProfileAnswer = (row: ProfileRow): ProfileAnswer => ({
  skill: row.skill,
  facet: facetToday(row.skill, row.facet),
  step: row.step,
  score: row.score,
  assisted: row.assisted,
  at: row.answered_at.getTime(),
  seconds: row.seconds,
  light: row.light,
  reading: row.reading,
  chance: row.chance,
});

/** A student's answers, oldest first; with a class only those that were given for it. */
export async function answersOf(db: Knex, studentId: string, classId?: string): Promise<ProfileAnswer[]> {
  const rows: ProfileRow[] = await db('drill_answers')
    .where({ student_id: studentId, ...(classId ? { class_id: classId } : {}) })
    .orderBy('answered_at')
    .select(...OF_PROFILE);
  return rows.map(asProfileAnswer);
}
export const readingProfileOfStudent = async (
  db: Knex,
  studentId: string,
  classId?: string,
): Promise<ReadingProfile> => readingProfileOf(await answersOf(db, studentId, classId));

const minutesOf = (rows: readonly Pick<DrillAnswerRow, 'seconds'>[]) =>
  rows.reduce((sum, { seconds }) => sum + countedSeconds(seconds), 0) / 60;

/** What a class's answers come to for one student and skill, assisted ones left out. */
export interface PractisedSkill {
  skill: Skill;
  answers: number;
  /** Sums over the answers: what they scored, and what guessing earns at them. */
  score: number;
  chance: number;
  /** Step and score of each, oldest first. */
  steps: ProfileAnswer['step'][];
  scores: number[];
}
/** What a class's answers come to for one student. */
export interface Practised {
  minutesThisWeek: number;
  /** Mean of level given minus level true; null where no level was read. */
  levelBias: number | null;
  skills: PractisedSkill[];
}

/** The practice of everyone in a class, summed up where the answers lie. */
export async function practisedInClass(
  db: Knex,
  classId: string,
  now: Date,
): Promise<Map<string, Practised>> {
  const of = () => db('drill_answers').where({ class_id: classId });
  const [totals, skills]: [
    { student_id: string; minutes: number; bias: number | null }[],
    ({ student_id: string } & PractisedSkill)[],
  ] = await Promise.all([
    of()
      .groupBy('student_id')
      .select('student_id')
      .select({
        // As `countedSeconds` has it: a look that lasted longer was none.
        minutes: db.raw(
          'coalesce(sum(least(?, greatest(0, seconds))) filter (where answered_at >= ?), 0)::float / 60',
          [MOST_SECONDS, new Date(startOfWeek(now.getTime()))],
        ),
        bias: db.raw(
          `avg((reading->>'given')::float - (reading->>'truth')::float)
             filter (where reading->>'of' = 'level' and not assisted)`,
        ),
      }),
    of()
      .where({ assisted: false })
      .groupBy('student_id', 'skill')
      .select('student_id', 'skill')
      .select({
        answers: db.raw('count(*)::int'),
        score: db.raw('sum(score::float8)'),
        chance: db.raw('sum(chance::float8)'),
        steps: db.raw('json_agg(step order by answered_at)'),
        scores: db.raw('json_agg(score order by answered_at)'),
      }),
  ]);
  const byStudent = new Map(
    totals.map(({ student_id, minutes, bias }): [string, Practised] => [
      student_id,
      { minutesThisWeek: minutes, levelBias: bias, skills: [] },
    ]),
  );
  for (const { student_id, ...skill } of skills) byStudent.get(student_id)!.skills.push(skill);
  return byStudent;
}

/** Minutes this week by practice and student: `practice student` → minutes. Of one student alone where one is named. */
export async function minutesThisWeek(
  db: Knex,
  practiceIds: string[],
  now: Date,
  studentId?: string,
): Promise<Map<string, number>> {
  const rows: { practice_id: string; student_id: string; seconds: number }[] = await db('drill_answers')
    .whereIn('practice_id', practiceIds)
    .where('answered_at', '>=', new Date(startOfWeek(now.getTime())))
    .where(studentId === undefined ? {} : { student_id: studentId })
    .groupBy('practice_id', 'student_id')
    .select('practice_id', 'student_id')
    // As `countedSeconds` has it: a look that lasted longer was none.
    .select({ seconds: db.raw('sum(least(?, greatest(0, seconds)))::float', [MOST_SECONDS]) });
  return new Map(rows.map((row) => [`${row.practice_id} ${row.student_id}`, row.seconds / 60]));
}

interface MyClass {
  id: string;
  name: string;
  houseRules: HouseRules;
  educatorId: string;
}
async function classesOfStudent(db: Knex, studentId: string): Promise<MyClass[]> {
  const rows = await db('classes')
    .join('members', 'members.class_id', 'classes.id')
    .where({ student_id: studentId })
    .whereNull('classes.archived_at')
    .orderBy('joined_at')
    .select('classes.id', 'classes.name', 'classes.house_rules', 'classes.educator_id');
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    houseRules: houseRulesSchema.parse(row.house_rules),
    educatorId: row.educator_id,
  }));
}

export async function practiceOf(db: Knex, studentId: string, now: Date): Promise<MyPractice> {
  const classes = await classesOfStudent(db, studentId);
  const [rows, answers] = await Promise.all([
    db('practices')
      .whereIn(
        'class_id',
        classes.map(({ id }) => id),
      )
      .orderBy('created_at'),
    answersOf(db, studentId),
  ]);
  const minutes = await minutesThisWeek(
    db,
    rows.map(({ id }) => id),
    now,
    studentId,
  );
  const week = startOfWeek(now.getTime());
  const ownLines = new Map<string, Line[]>();
  for (const educatorId of new Set(classes.map((myClass) => myClass.educatorId)))
    ownLines.set(educatorId, await ownLinesOf(db, educatorId));
  return {
    classes: classes.map(({ educatorId, ...one }) => ({ ...one, ownLines: ownLines.get(educatorId)! })),
    practices: rows.map((row): PracticeForMe => ({
      id: row.id,
      classId: row.class_id,
      className: classes.find(({ id }) => id === row.class_id)!.name,
      title: row.title,
      skills: row.skills,
      scope: row.scope,
      minutesAWeek: row.minutes_a_week,
      minutesThisWeek: minutes.get(`${row.id} ${studentId}`) ?? 0,
    })),
    memory: memoryOf(answers),
    answers: answers.length,
    minutesThisWeek: minutesOf(answers.filter(({ at }) => at >= week)),
  };
}

/**
 * The item an answer is for, made again here: what the device thinks of its own answer counts for nothing. The college's
 * own lines are taken as they were in the version the device had.
 */
async function itemOf(
  db: Knex,
  { spec, rules, scope, ownLines, response }: DrillAnswer,
  educatorId: string | undefined,
): Promise<Item | null> {
  const lines = ownLines.length > 0 && educatorId ? await linesOfVersions(db, ownLines, educatorId) : [];
  try {
    const item = generate(spec, { rules, scope, ownLines: lines });
    return fitsForm(item, response) ? item : null;
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/**
 * Keeps answers once each, in the order they were given, and counts of their time what there is of it. An answer that is
 * refused is refused for good, so that a device does not send it for ever.
 */
export async function keepAnswers(
  db: Knex,
  studentId: string,
  answers: readonly DrillAnswer[],
  heard: TimeHeard,
  now: Date,
): Promise<DrillAnswersKept> {
  const counted = countedOf(
    answers.map(({ seconds }) => seconds),
    heard.seconds,
  );
  await heard.giveBack(Math.max(0, heard.seconds - counted.reduce((sum, seconds) => sum + seconds, 0)));
  const classes = await classesOfStudent(db, studentId);
  const practices = await db('practices').whereIn(
    'class_id',
    classes.map(({ id }) => id),
  );
  const result: DrillAnswersKept = { kept: [], refused: [] };
  for (const [i, answer] of answers.entries()) {
    const { id, spec, classId, practiceId } = answer;
    // A practice that was ended meanwhile takes nothing from the answer.
    const practice = practices.find(
      (practiceRow) => practiceRow.id === practiceId && practiceRow.class_id === classId,
    );
    const mine = classId === null || classes.some((myClass) => myClass.id === classId);
    if (mine && answer.edition !== DRILL_EDITION) {
      // The questions have been asked anew since: this answer belongs to one that is no longer there.
      result.refused.push({ id, code: 'olderEdition' });
      continue;
    }
    const educatorId = classes.find((myClass) => myClass.id === classId)?.educatorId;
    const item = mine ? await itemOf(db, answer, educatorId) : null;
    if (!item) {
      result.refused.push({ id, code: mine ? 'noSuchItem' : 'notYours' });
      continue;
    }
    const { score, reading } = markItem(item, answer.response);
    await db('drill_answers')
      .insert({
        id,
        student_id: studentId,
        class_id: classId,
        practice_id: practice?.id ?? null,
        skill: spec.skill,
        facet: spec.facet,
        step: spec.step,
        seed: spec.seed,
        scope: JSON.stringify(answer.scope),
        response: JSON.stringify(answer.response),
        score,
        reading: reading ? JSON.stringify(reading) : null,
        light: item.question.light,
        assisted: answer.assisted,
        seconds: counted[i],
        claimed_seconds: answer.seconds,
        chance: chanceOf(item),
        // A clock that is ahead must not put practice into next week.
        answered_at: new Date(Math.min(new Date(answer.at).getTime(), now.getTime())),
        received_at: now,
      })
      .onConflict('id')
      .ignore();
    const stored = await db('drill_answers').where({ id }).first();
    if (stored!.student_id === studentId) result.kept.push(id);
    else result.refused.push({ id, code: 'idTaken' });
  }
  return result;
}

import type { EducatorTest } from '@cimbel/contract';
import { analyseSlots, confusionOf, SKILLS, type Skill } from '@cimbel/core/drill';
import type { Knex } from 'knex';
import { csvOf } from '../http/csv';
import { hasEnded, testFacts, type SittingAnswerRow, type SittingRow, type TestOfClass } from './rows';
import { answersOfSittings, sittingScore } from './sitting-store';
import { bestSittings, meanOf } from './store';

interface Scored {
  sitting: SittingRow;
  answers: SittingAnswerRow[];
  score: number;
  /** Score of each slot of the plan. */
  bySlot: number[];
}

function scored(sitting: SittingRow, all: readonly SittingAnswerRow[]): Scored {
  const answers = all.filter(({ sitting_id }) => sitting_id === sitting.id);
  const bySlot = sitting.items.map(() => 0);
  for (const { position, score } of answers) bySlot[sitting.items[position].slot] = score;
  return { sitting, answers, score: sittingScore(sitting, answers), bySlot };
}

export async function educatorTest(db: Knex, test: TestOfClass, now: Date): Promise<EducatorTest> {
  const [members, sittings] = await Promise.all([
    db('members')
      .join('users', 'users.id', 'members.student_id')
      .where({ class_id: test.class_id })
      .orderBy('users.name')
      .select('users.id', 'users.name', 'members.extra_time_share'),
    db('sittings').where({ test_id: test.id }).orderBy('number'),
  ]);
  const answers = await answersOfSittings(
    db,
    sittings.map(({ id }) => id),
  );
  const finished = sittings
    .filter((sitting) => hasEnded(sitting, now))
    .map((sitting) => scored(sitting, answers));
  const best = bestSittings(finished);
  const counted = [...best.values()];
  const slotsOf = (skill: Skill) => test.plan.flatMap((slot, i) => (slot.skill === skill ? [i] : []));
  const skills = SKILLS.filter((skill) => slotsOf(skill).length > 0);
  const readings = counted.flatMap(({ answers: own }) => own.flatMap(({ reading }) => reading ?? []));
  const levels = readings.flatMap((reading) => (reading.of === 'level' ? [reading] : []));
  const tones = readings.flatMap((reading) => (reading.of === 'tone' ? [reading] : []));
  return {
    ...testFacts(test),
    classId: test.class_id,
    className: test.class_name,
    plan: test.plan,
    late: now > test.due_at,
    rows: members.map((member) => {
      const own = sittings.filter(({ student_id }) => student_id === member.id);
      const top = best.get(member.id);
      const open = own.find((sitting) => !hasEnded(sitting, now));
      return {
        studentId: member.id,
        name: member.name,
        extraTimeShare: member.extra_time_share,
        state: top ? 'finished' : open ? 'inWork' : 'notStarted',
        sittingId: top?.sitting.id ?? null,
        sittings: own.length,
        score: top?.score ?? null,
        minutes: top ? top.answers.reduce((sum, { seconds }) => sum + seconds, 0) / 60 : null,
        bySkill: top
          ? Object.fromEntries(
              skills.map((skill) => [skill, meanOf(slotsOf(skill).map((i) => top.bySlot[i]))]),
            )
          : {},
      };
    }),
    slots: analyseSlots(
      counted.map(({ bySlot }) => ({ scores: bySlot })),
      test.plan.length,
    ).map((facts) => {
      const apart = counted.flatMap(({ sitting }) => {
        const keptItem = sitting.items.find(({ slot }) => slot === facts.slot);
        return keptItem?.item.apart ? [keptItem.item.apart.deltaE] : [];
      });
      return { ...facts, ...test.plan[facts.slot], deltaE: meanOf(apart) };
    }),
    skills: skills.map((skill) => ({
      skill,
      questions: slotsOf(skill).length,
      accuracy: meanOf(counted.flatMap(({ bySlot }) => slotsOf(skill).map((i) => bySlot[i]))),
    })),
    confusion: { level: confusionOf(levels), tone: confusionOf(tones) },
  };
}

const percent = (share: number | null | undefined) =>
  share === null || share === undefined ? '' : Math.round(share * 1000) / 10;

/** One row a student, one column a skill. */
export function resultsCsv(test: EducatorTest): string {
  const skills = test.skills.map(({ skill }) => skill);
  const rows = test.rows.map((row) => [
    row.name,
    row.state,
    row.sittings,
    percent(row.score),
    row.minutes === null ? '' : Math.round(row.minutes * 10) / 10,
    Math.round(row.extraTimeShare * 100),
    ...skills.map((skill) => percent(row.bySkill[skill])),
  ]);
  return csvOf([
    [
      'student',
      'state',
      'attempts',
      'score_percent',
      'minutes',
      'extra_time_percent',
      ...skills.map((s) => `${s}_percent`),
    ],
    ...rows,
  ]);
}

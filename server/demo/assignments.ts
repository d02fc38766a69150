import { BENCH_STEPS, CARD_STEPS, type BenchStep, cardRubric, withGiven } from '@cimbel/core/exercise';
import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import { shippedCase } from '@cimbel/core/cases';
import { NO_RULING, defaultRubric, previewOf, cardWithSlip, type Misconception } from '@cimbel/core/mark';
import { shippedLine } from '@cimbel/core/product';
import { termsSchema, type Terms } from '@cimbel/contract';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { assignmentFor } from '../assignments/access';
import { changeAssignment, createAssignment } from '../assignments/store';
import type { AssignmentRow } from '../assignments/row';
import { recordReveal } from '../attempts/reveals';
import { changeMark } from '../attempts/marks';
import { handIn, saveDraft } from '../attempts/store';
import type { ClassRow } from '../classes/access';
import { hereAndNow } from '../jobs/heavy';
import { rowOf } from '../db/rows';

const HOUR_MS = 3600_000;
const DAY_MS = 24 * HOUR_MS;

/** What makes the computed plan a student's: slips, hair misread by so many levels, questions not asked. */
interface Slipped {
  slips: Misconception[];
  misread?: number;
  unasked?: number;
}
/** `draft` is half done, `almost` lacks the finish, null has not been begun. */
type DemoCard = Slipped | 'draft' | 'almost' | null;
const slips = (...names: Misconception[]): Slipped => ({ slips: names });

/** By student, in order. A spread from full marks to a bad evening. */
const HALF_GREY: readonly DemoCard[] = [
  slips(),
  { slips: ['noNaturalOnGrey'], misread: 1 },
  { slips: [], misread: -0.5 },
  slips('tooLittleProduct'),
  { slips: ['strongerThanNeeded'], misread: 1 },
  slips('ratioTurned'),
  slips('noNaturalOnGrey', 'greyTakenOffEarly'),
  null,
  { slips: ['greyTakenOffEarly'], misread: -1 },
  { slips: ['strongerThanNeeded', 'tooLittleProduct'], misread: 0.5 },
  { slips: ['greyTakenOffEarly'], misread: 0.5 },
  { slips: ['noNaturalOnGrey', 'ratioTurned', 'tooLittleProduct', 'greyTakenOffEarly'], misread: 2 },
];
const TWO_LIGHTER: readonly DemoCard[] = [
  'draft',
  slips(),
  { slips: ['depositForLift'], misread: 1 },
  slips('warmOnWarm'),
  null,
  { slips: ['warmOnWarm', 'ratioTurned'], misread: 0.5 },
  slips('strongerThanNeeded'),
  null,
  'draft',
  slips('tooLittleProduct'),
  null,
  { slips: ['warmOnWarm', 'strongerThanNeeded', 'tooLittleProduct'], misread: -1 },
];
const RETOUCH: readonly DemoCard[] = [
  slips(),
  slips('noNaturalOnGrey'),
  { slips: ['greyTakenOffEarly'], misread: 0.5 },
  slips('ratioTurned', 'tooLittleProduct'),
  { slips: ['overlap'], unasked: 2 },
  slips('strongerThanNeeded', 'noNaturalOnGrey'),
  null,
  { slips: ['strongerThanNeeded', 'greyTakenOffEarly'], misread: 1 },
  slips('tooLittleProduct'),
  { slips: [], misread: 0.5 },
  slips('noNaturalOnGrey', 'overlap'),
  null,
];
const BLONDE: readonly DemoCard[] = [
  'draft',
  slips('rootsFirst'),
  null,
  slips('strongOnScalp'),
  slips('tonerLighterThanHair'),
  null,
  { slips: ['warmOnWarm'], misread: -1, unasked: 1 },
  null,
  'almost',
  slips(),
  slips('tonerLightens'),
  null,
];

const FACE: readonly DemoCard[] = [
  null,
  slips('greyTakenOffEarly'),
  'almost',
  slips(),
  slips('pulledThrough'),
  ...Array<null>(7).fill(null),
];

function cardOf(
  { model_answer, lines }: AssignmentRow,
  { slips: names, misread = 0, unasked = 0 }: Slipped,
): RecordCard {
  const made = names.reduce(
    (card, name) => cardWithSlip(name, { card, modelAnswer: model_answer, lines }) ?? card,
    model_answer.card,
  );
  const readings = Object.fromEntries(
    Object.entries(made.readings).map(([zone, read]) => [
      zone,
      { ...read, level: read.level === null ? null : Math.min(10, Math.max(1, read.level + misread)) },
    ]),
  );
  return { ...made, readings, asked: made.asked.slice(unasked) };
}

/** Half a card, as it stands when someone is called away. */
const halfOf = ({ model_answer: { card } }: AssignmentRow): RecordCard => ({
  ...EMPTY_CARD,
  readings: { mids: card.readings.mids! },
  asked: ['lastColour', 'reactions'],
  tests: ['patch'],
  decision: 'goOn',
});

interface Wanted {
  made: Date;
  dueAt: Date;
  release: AssignmentRow['release'];
  open?: readonly BenchStep[];
  title?: string;
  wrong?: Misconception;
  tags?: string[];
  terms?: Partial<Terms>;
}

/** Assignments of the demo class: two marked and released, two due, some short. */
export async function seedAssignments(
  db: Knex,
  owner: ClassRow,
  students: string[],
  evening6: Date,
): Promise<void> {
  const after = (ms: number) => new Date(evening6.getTime() + ms);
  const set = async (id: string, wanted: Wanted): Promise<AssignmentRow> => {
    const { clientCase, open: usual = BENCH_STEPS } = shippedCase(id)!;
    const {
      made,
      dueAt,
      release,
      open = usual,
      title = clientCase.title,
      wrong = null,
      tags = [],
      terms = {},
    } = wanted;
    const lines = clientCase.lineIds.map((line) => shippedLine(line)!);
    const preview = previewOf(clientCase, lines, owner.house_rules);
    if (!preview.ok) throw new Error(`the demo case ${id} has no plan`);
    const miss = preview.typicalErrors.find(({ misconception }) => misconception === wrong);
    const rubric = miss ? cardRubric(miss.grade, open) : defaultRubric(preview.modelAnswer, clientCase, open);
    const exercise = {
      title,
      clientCase,
      open: [...open],
      slip: wrong,
      rubric,
      judgement: NO_RULING,
      tags,
    };
    const row = await createAssignment(
      db,
      hereAndNow,
      owner,
      owner.educator_id,
      {
        exercise,
        variants: 'asWritten',
        ...termsSchema.parse({ ...terms, dueAt: dueAt.toISOString(), release }),
      },
      made,
    );
    return rowOf(await db('assignments').where({ id: row.id }).first(), 'assignments');
  };
  const answer = async (row: AssignmentRow, cards: readonly DemoCard[], first: Date): Promise<string[]> => {
    const handedIn: string[] = [];
    for (const [i, card] of cards.entries()) {
      if (card === null) continue;
      const when = new Date(first.getTime() + i * 3.1 * HOUR_MS);
      const kept =
        card === 'draft'
          ? halfOf(row)
          : card === 'almost'
            ? { ...row.model_answer.card, aftercare: [], nextVisitWeeks: null }
            : null;
      const own = kept ?? (typeof card === 'string' ? null : cardOf(row, card));
      for (const question of own?.asked ?? [])
        await recordReveal(db, row.id, students[i], 1, { question }, when);
      for (const test of own?.tests ?? []) await recordReveal(db, row.id, students[i], 1, { test }, when);
      const theirs = (await assignmentFor(db, row.id, students[i]))!;
      if (kept)
        await saveDraft(
          db,
          theirs,
          students[i],
          { answer: kept, version: 0, writer: 'demo', attempt: 1 },
          when,
        );
      else if (typeof card !== 'string') {
        const submission = { id: randomUUID(), answer: own!, attempt: 1 };
        handedIn.push((await handIn(db, hereAndNow, theirs, students[i], submission, when)).id);
      }
    }
    return handedIn;
  };
  const release = (row: AssignmentRow, when: Date) =>
    changeAssignment(db, row, owner.educator_id, { released: true }, when);

  const grey = await set('half-grey-gold', {
    made: after(-12 * DAY_MS),
    dueAt: after(-4 * DAY_MS),
    release: 'manual',
    tags: ['grey', 'week 1'],
  });
  const marked = await answer(grey, HALF_GREY, after(-6 * DAY_MS));
  await release(grey, after(-3 * DAY_MS));
  const thick = rowOf(await db('attempts').where({ id: marked[3] }).first(), 'attempts');
  await changeMark(
    db,
    thick,
    owner.educator_id,
    {
      criterion: 'amount',
      points: 1,
      reason: 'Said in class that her model has very thin hair; the amount was right for it.',
    },
    after(-3 * DAY_MS),
  );
  const retouch = await set('retouch-grey', {
    made: after(-9 * DAY_MS),
    dueAt: after(-2 * DAY_MS),
    release: 'manual',
    tags: ['grey', 'retouch', 'week 2'],
  });
  await answer(retouch, RETOUCH, after(-5 * DAY_MS));
  await release(retouch, after(-DAY_MS));
  const lighter = await set('two-lighter-ash', {
    made: after(-5 * DAY_MS),
    dueAt: after(6 * HOUR_MS),
    release: 'onDue',
    tags: ['lift', 'week 2'],
  });
  await answer(lighter, TWO_LIGHTER, after(-3 * DAY_MS));
  const blonde = await set('first-blonde', {
    made: after(-3 * DAY_MS),
    dueAt: after(2 * DAY_MS),
    release: 'onDue',
    tags: ['lightening', 'week 3'],
    terms: {
      late: 'refused',
      // One was ill and has longer.
      students: [
        {
          studentId: students[5],
          opensAt: null,
          dueAt: after(5 * DAY_MS).toISOString(),
          attempts: null,
          extraTimeShare: null,
        },
      ],
    },
  });
  await answer(blonde, BLONDE, after(-2 * DAY_MS));
  await set('root-and-ends', {
    made: after(-DAY_MS),
    dueAt: after(3 * DAY_MS),
    release: 'onSubmit',
    open: CARD_STEPS,
    title: 'One slip on this card',
    wrong: 'overlap',
    tags: ['find the slip'],
  });
  const short = await set('two-lighter-cool', {
    made: after(-DAY_MS),
    dueAt: after(4 * DAY_MS),
    release: 'onSubmit',
    open: ['mix'],
    title: 'Mix only: cool, no brass',
    tags: ['short', 'lift'],
    terms: { attempts: 3 },
  });
  const face = await set('white-at-the-face', {
    made: after(-DAY_MS),
    dueAt: after(5 * DAY_MS),
    release: 'onSubmit',
  });
  await answer(face, FACE, after(-0.8 * DAY_MS));
  await set('winter-porous', {
    made: after(-DAY_MS),
    dueAt: after(6 * DAY_MS),
    release: 'onSubmit',
    tags: ['porous', 'week 4'],
  });
  await set('golden-gloss', {
    made: after(-DAY_MS),
    dueAt: after(7 * DAY_MS),
    release: 'manual',
    tags: ['gloss', 'week 4'],
    terms: { opensAt: after(DAY_MS).toISOString(), minutes: 40, late: 'reduced' },
  });
  // One has begun, with what the exercise gives and nothing else.
  await saveDraft(
    db,
    (await assignmentFor(db, short.id, students[2]))!,
    students[2],
    {
      answer: withGiven(EMPTY_CARD, short.model_answer.card, ['mix']),
      version: 0,
      writer: 'demo',
      attempt: 1,
    },
    after(-0.5 * DAY_MS),
  );
}

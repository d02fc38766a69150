import { shippedCase } from '@cimbel/core/cases';
import {
  BENCH_STEPS,
  CARD_STEPS,
  cardRubric,
  defaultServiceRubric,
  slip,
  withGiven,
  type BenchStep,
  type ServiceMisconception,
} from '@cimbel/core/grade';
import { EMPTY_PLAN, type ServicePlan } from '@cimbel/core/plan';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { saveDraft } from '../attempts/store';
import type { ClassRow } from '../classes/access';
import { changeExercise } from '../exercises/store';
import type { ServiceRow } from '../exercises/row';
import { createService, handInService, previewService } from '../services/store';

const HOUR_MS = 3600_000;
const DAY_MS = 24 * HOUR_MS;

/** A demo answer: the slips that make the computed plan a student's; `draft` is half done, `almost` lacks the finish. */
type DemoPlan =
  { slips: ServiceMisconception[]; misread?: number; unasked?: number } | 'draft' | 'almost' | null;
const slips = (...names: ServiceMisconception[]): DemoPlan => ({ slips: names });

const RETOUCH: readonly DemoPlan[] = [
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
const BLONDE: readonly DemoPlan[] = [
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

function planOf(
  row: ServiceRow,
  { slips: names, misread = 0, unasked = 0 }: Exclude<DemoPlan, string | null>,
): ServicePlan {
  const { key: solution, line: lines } = row;
  const made = names.reduce((plan, name) => slip(name, { plan, solution, lines }) ?? plan, solution.best);
  const readings = Object.fromEntries(
    Object.entries(made.readings).map(([zone, read]) => [
      zone,
      { ...read!, level: read!.level === null ? null : Math.min(10, Math.max(1, read!.level + misread)) },
    ]),
  );
  return { ...made, readings, asked: made.asked.slice(unasked) };
}

/** Half a plan, as it stands when someone is called away. */
const halfOf = ({ key: { best } }: ServiceRow): ServicePlan => ({
  ...EMPTY_PLAN,
  readings: { mids: best.readings.mids! },
  asked: ['lastColour', 'reactions'],
  tests: ['patch'],
  decision: 'goOn',
});

/** Whole services for the demo class: one marked and released, one due, one short. */
export async function seedServices(
  db: Knex,
  owner: ClassRow,
  students: string[],
  evening6: Date,
): Promise<void> {
  const after = (ms: number) => new Date(evening6.getTime() + ms);
  const set = async (
    id: string,
    made: Date,
    dueAt: Date,
    release: ServiceRow['release'],
    open: readonly BenchStep[] = BENCH_STEPS,
    title?: string,
    wrong: ServiceMisconception | null = null,
  ): Promise<ServiceRow> => {
    const { kase } = shippedCase(id)!;
    const preview = await previewService(db, kase, owner);
    if (!preview.ok) throw new Error(`the demo case ${id} has no plan`);
    const miss = preview.nearMisses.find(({ misconception }) => misconception === wrong);
    const rubric = miss ? cardRubric(miss.grade, open) : defaultServiceRubric(preview.solution, kase, open);
    const body = {
      title: title ?? kase.title,
      kase,
      open: [...open],
      slip: wrong,
      rubric,
      dueAt: dueAt.toISOString(),
      release,
    };
    const { id: rowId } = await createService(db, owner, body, made);
    return db('exercises').where({ id: rowId }).first();
  };
  const answer = async (row: ServiceRow, plans: readonly DemoPlan[], first: Date) => {
    for (const [i, plan] of plans.entries()) {
      if (plan === null) continue;
      const when = new Date(first.getTime() + i * 3.1 * HOUR_MS);
      const kept =
        plan === 'draft'
          ? halfOf(row)
          : plan === 'almost'
            ? { ...row.key.best, aftercare: [], nextVisitWeeks: null }
            : null;
      if (kept) await saveDraft(db, row, students[i], { answer: kept, version: 0, writer: 'demo' }, when);
      else if (typeof plan !== 'string')
        await handInService(db, row, students[i], { id: randomUUID(), answer: planOf(row, plan) }, when);
    }
  };
  const retouch = await set('retouch-grey', after(-9 * DAY_MS), after(-2 * DAY_MS), 'manual');
  await answer(retouch, RETOUCH, after(-5 * DAY_MS));
  await changeExercise(db, retouch, { released: true }, after(-DAY_MS));
  const blonde = await set('first-blonde', after(-3 * DAY_MS), after(2 * DAY_MS), 'onDue');
  await answer(blonde, BLONDE, after(-2 * DAY_MS));
  const short = await set(
    'two-lighter-cool',
    after(-DAY_MS),
    after(4 * DAY_MS),
    'onSubmit',
    ['mix'],
    'Mix only: cool, no brass',
  );
  await set(
    'root-and-ends',
    after(-DAY_MS),
    after(3 * DAY_MS),
    'onSubmit',
    CARD_STEPS,
    'One slip on this card',
    'overlap',
  );
  // One has begun, with what the exercise gives and nothing else.
  await saveDraft(
    db,
    short,
    students[2],
    { answer: withGiven(EMPTY_PLAN, short.key.best, ['mix']), version: 0, writer: 'demo' },
    after(-0.5 * DAY_MS),
  );
}

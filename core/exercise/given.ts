import type { Step, RecordCard, Bowl } from '../card';
import type { BenchStep } from './open-steps';

/** When a bowl goes on and how it is watched is timing; all else of a step is how it is applied. */
type Timing = Pick<Step, 'start' | 'minutes' | 'heat' | 'checkEvery' | 'checkAt' | 'watchedFor'>;
const timingOf = ({ minutes, heat, checkEvery, checkAt, watchedFor }: Step): Omit<Timing, 'start'> => ({
  minutes,
  heat,
  checkEvery,
  ...(checkAt ? { checkAt } : {}),
  ...(watchedFor ? { watchedFor } : {}),
});

/** A bowl applied, without its times: what stands before it and how long it waits, so that no time can be read off. */
export interface Application extends Omit<Step, keyof Timing> {
  /** Places in the list of what has to be rinsed before this goes on. */
  after: number[];
  /** Minutes it waits from then, or from the start of the service. */
  wait: number;
}

const endOf = ({ start, minutes }: Step) => start + minutes;

/** Steps in the order they begin, without their times. */
export function applicationsOf(steps: readonly Step[]): Application[] {
  const inOrder = [...steps].sort((a, b) => a.start - b.start);
  return inOrder.map((step, at): Application => {
    const { start, minutes: _m, heat: _h, checkEvery: _c, checkAt: _a, watchedFor: _f, ...applied } = step;
    const after = inOrder.slice(0, at).flatMap((other, i) => (endOf(other) <= start ? [i] : []));
    return { ...applied, after, wait: start - Math.max(0, ...after.map((i) => endOf(inOrder[i]))) };
  });
}

const isOf = (application: Application, { bowl, zones, share }: Step) =>
  application.bowl === bowl && application.zones.join() === zones.join() && application.share === share;

/** Applications with the times that a card gives them; what has not been timed is not on. */
export function timedBy(applications: readonly Application[], { steps }: Pick<RecordCard, 'steps'>): Step[] {
  const ends: (number | null)[] = [];
  return applications.flatMap((application): Step[] => {
    const own = steps.find((step) => isOf(application, step));
    if (!own) {
      ends.push(null);
      return [];
    }
    const { after, wait, ...applied } = application;
    const start = Math.max(0, ...after.map((i) => ends[i] ?? 0)) + wait;
    ends.push(start + own.minutes);
    return [{ ...applied, ...timingOf(own), start }];
  });
}

const onSameHair = (a: Step, b: Step) => a.bowl === b.bowl && a.zones.some((zone) => b.zones.includes(zone));

/** Steps with times that are given: those of the same bowl on the same hair, where there is one. */
export const timesFrom = (given: readonly Step[], steps: readonly Step[]): Step[] =>
  steps.map((step) => {
    const same = given.find((one) => onSameHair(one, step));
    return same ? { ...step, ...timingOf(same) } : step;
  });

/** Bowls as given, with what was poured into them. */
const poured = (bowls: readonly Bowl[], by: readonly Bowl[]): Bowl[] =>
  bowls.map((bowl) => ({ ...bowl, developer: by.find(({ name }) => name === bowl.name)?.developer ?? [] }));

/**
 * The plan with what the exercise gives: fields of steps that are off come from the computed plan. Where a student times
 * what is given, `applications` stand for its steps; by default they are those of the computed plan.
 */
export function withGiven(
  plan: RecordCard,
  best: RecordCard,
  open: readonly BenchStep[],
  applications: readonly Application[] = applicationsOf(best.steps),
): RecordCard {
  const own = (step: BenchStep) => open.includes(step);
  const station = own('consult') ? plan.station : best.station;
  return {
    readings: own('read') ? plan.readings : best.readings,
    asked: own('consult') ? plan.asked : best.asked,
    tests: own('consult') ? plan.tests : best.tests,
    decision: own('consult') ? plan.decision : best.decision,
    visits: own('consult') ? plan.visits : best.visits,
    ...(station ? { station } : {}),
    bowls: own('mix') ? plan.bowls : own('developer') ? poured(best.bowls, plan.bowls) : best.bowls,
    wash: own('apply') ? plan.wash : best.wash,
    steps: own('apply')
      ? own('process')
        ? plan.steps
        : timesFrom(best.steps, plan.steps)
      : own('process')
        ? timedBy(applications, plan)
        : best.steps,
    // Where times are worked, what is done beside the bowls must not tell when they begin.
    care: own('apply')
      ? plan.care
      : own('process')
        ? best.care.map((one) => ({ ...one, start: 0 }))
        : best.care,
    aftercare: own('finish') ? plan.aftercare : best.aftercare,
    nextVisitWeeks: own('finish') ? plan.nextVisitWeeks : best.nextVisitWeeks,
  };
}

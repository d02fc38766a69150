import type { Application, RecordCard, Bowl } from '../card';
import type { BenchStep } from './open-steps';

/** When a bowl goes on and how it is watched is timing; all else of a step is how it is applied. */
type Timing = Pick<
  Application,
  'start' | 'minutes' | 'heat' | 'checkEvery' | 'checkAt' | 'watchedFor' | 'untilLevel'
>;
const timingOf = ({
  minutes,
  heat,
  checkEvery,
  checkAt,
  watchedFor,
  untilLevel,
}: Application): Omit<Timing, 'start'> => ({
  minutes,
  heat,
  checkEvery,
  ...(checkAt ? { checkAt } : {}),
  ...(watchedFor ? { watchedFor } : {}),
  ...(untilLevel === undefined ? {} : { untilLevel }),
});

/** A bowl applied, without its times: what stands before it and how long it waits, so that no time can be read off. */
export interface UntimedApplication extends Omit<Application, keyof Timing> {
  /** Places in the list of what has to be rinsed before this goes on. */
  after: number[];
  /** Minutes it waits from then, or from the start of the service. */
  wait: number;
}

const endOf = ({ start, minutes }: Application) => start + minutes;

/** Steps in the order they begin, without their times. */
export function untimedApplications(steps: readonly Application[]): UntimedApplication[] {
  const inOrder = [...steps].sort((a, b) => a.start - b.start);
  return inOrder.map((application, at): UntimedApplication => {
    const {
      start,
      minutes: _m,
      heat: _h,
      checkEvery: _c,
      checkAt: _a,
      watchedFor: _f,
      untilLevel: _u,
      ...applied
    } = application;
    const after = inOrder.slice(0, at).flatMap((other, i) => (endOf(other) <= start ? [i] : []));
    return { ...applied, after, wait: start - Math.max(0, ...after.map((i) => endOf(inOrder[i]))) };
  });
}

const isOf = (application: UntimedApplication, { bowl, zones, share }: Application) =>
  application.bowl === bowl && application.zones.join() === zones.join() && application.share === share;

/** Applications with the times that a card gives them; what has not been timed is not on. */
export function timedApplications(
  applications: readonly UntimedApplication[],
  { steps }: Pick<RecordCard, 'steps'>,
): Application[] {
  const ends: (number | null)[] = [];
  return applications.flatMap((application): Application[] => {
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

const onSameHair = (a: Application, b: Application) =>
  a.bowl === b.bowl && a.zones.some((zone) => b.zones.includes(zone));

/** Steps with times that are given: those of the same bowl on the same hair, where there is one. */
export const timesFrom = (given: readonly Application[], steps: readonly Application[]): Application[] =>
  steps.map((application) => {
    const same = given.find((one) => onSameHair(one, application));
    return same ? { ...application, ...timingOf(same) } : application;
  });

/** Bowls as given, with what was poured into them. */
const poured = (bowls: readonly Bowl[], by: readonly Bowl[]): Bowl[] =>
  bowls.map((bowl) => ({ ...bowl, developer: by.find(({ name }) => name === bowl.name)?.developer ?? [] }));

/**
 * The plan with what the exercise gives: fields of steps that are off come from the computed plan. Where a student times
 * what is given, `applications` stand for its steps; by default they are those of the computed plan.
 */
export function withGiven(
  card: RecordCard,
  modelCard: RecordCard,
  open: readonly BenchStep[],
  applications: readonly UntimedApplication[] = untimedApplications(modelCard.steps),
): RecordCard {
  const own = (step: BenchStep) => open.includes(step);
  const station = own('consult') ? card.station : modelCard.station;
  return {
    readings: own('read') ? card.readings : modelCard.readings,
    asked: own('consult') ? card.asked : modelCard.asked,
    tests: own('consult') ? card.tests : modelCard.tests,
    decision: own('consult') ? card.decision : modelCard.decision,
    visits: own('consult') ? card.visits : modelCard.visits,
    ...(station ? { station } : {}),
    bowls: own('mix') ? card.bowls : own('developer') ? poured(modelCard.bowls, card.bowls) : modelCard.bowls,
    wash: own('apply') ? card.wash : modelCard.wash,
    steps: own('apply')
      ? own('process')
        ? card.steps
        : timesFrom(modelCard.steps, card.steps)
      : own('process')
        ? timedApplications(applications, card)
        : modelCard.steps,
    // Where times are worked, what is done beside the bowls must not tell when they begin.
    care: own('apply')
      ? card.care
      : own('process')
        ? modelCard.care.map((care) => ({ ...care, start: 0 }))
        : modelCard.care,
    aftercare: own('finish') ? card.aftercare : modelCard.aftercare,
    nextVisitWeeks: own('finish') ? card.nextVisitWeeks : modelCard.nextVisitWeeks,
    // What the model answer costs would tell what is in it.
    ...(own('finish') && card.quote ? { quote: card.quote } : {}),
  };
}

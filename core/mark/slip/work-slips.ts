import { pastOf, zoneOf } from '../../card';
import type { Misconception } from '../misconception';
import { bowlWhere, withSteps, type Slip } from './context';

/** Slips of the hand: time, order, and where it stops. */
export const WORK_SLIPS = {
  greyTakenOffEarly: ({ plan, solution }) => {
    const grey = solution.visit.head.zones.some(
      ({ zone, greyShare }) =>
        greyShare >= 0.25 && solution.choices.some(({ part, route }) => part === zone && route === 'deposit'),
    );
    const longest = Math.max(0, ...plan.steps.map(({ minutes }) => minutes));
    return grey && longest >= 10
      ? withSteps(plan, (step) =>
          step.minutes === longest ? { ...step, minutes: Math.round(longest / 2) } : step,
        )
      : null;
  },
  rootsFirst: ({ plan, solution }) => {
    const root = plan.steps.find(({ zones }) => zones.includes('regrowth'));
    const untouched = solution.visit.head.zones.every((zone) => pastOf(zone).kind === 'untouched');
    const lengths = plan.steps.some(
      ({ zones, start }) => root && !zones.includes('regrowth') && start < root.start,
    );
    return root && untouched && lengths && root.share === 1
      ? withSteps(plan, (step) => (step === root ? { ...step, start: 0 } : step))
      : null;
  },
  overlap: (context) => {
    const { plan, solution } = context;
    const { head } = solution.visit;
    const step = plan.steps.find(
      (one) =>
        one.zones.includes('regrowth') &&
        bowlWhere(
          context,
          ({ kind }, { name }) => name === one.bowl && kind !== 'demi' && kind !== 'acidGloss',
        ),
    );
    const next = head.zones[1];
    const other =
      next &&
      pastOf(zoneOf(head, next.zone)!).kind !== 'untouched' &&
      step &&
      !step.zones.includes(next.zone);
    return other ? withSteps(plan, (one) => (one === step ? { ...one, stopsAtLine: false } : one)) : null;
  },
} satisfies Partial<Record<Misconception, Slip>>;

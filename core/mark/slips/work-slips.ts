import { type Step, lastMinute } from '../../card';
import { pastOf } from '../../case';
import { isRegrowth, besideOf, zoneOf } from '../../hair';
import { isLightener } from '../../process';
import { hasDeveloper } from '../../product';
import { LIFTING } from '../../rules';
import type { Misconception } from '../misconception';
import { type SlipContext, bowlWhere, withSteps, type Slip } from './context';

const isOfLightener = (context: SlipContext, { bowl }: Step) =>
  bowlWhere(context, ({ kind }, { name }) => name === bowl && isLightener(kind)) !== undefined;
/** Minutes from which permanent colour has had more than a refreshing. */
const FULL_TIME = 20;

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
    const root = plan.steps.find(({ zones }) => zones.some(isRegrowth));
    const untouched = solution.visit.head.zones.every((zone) => pastOf(zone).kind === 'untouched');
    const lengths = plan.steps.some(
      ({ zones, start }) => root && !zones.some(isRegrowth) && start < root.start,
    );
    return root && untouched && lengths && root.share === 1
      ? withSteps(plan, (step) => (step === root ? { ...step, start: 0 } : step))
      : null;
  },
  lightenerUnwatched: (context) =>
    bowlWhere(context, ({ kind }) => isLightener(kind))
      ? withSteps(context.plan, (step) =>
          isOfLightener(context, step) ? { ...step, checkEvery: null } : step,
        )
      : null,
  rinseForgotten: (context) => {
    const { plan } = context;
    const last = plan.steps.findLast(({ bowl }) =>
      bowlWhere(context, ({ kind }, { name }) => name === bowl && hasDeveloper(kind)),
    );
    return last && last.start + last.minutes === lastMinute(plan)
      ? withSteps(plan, (step) => (step === last ? { ...step, ends: 'stay' } : step))
      : null;
  },
  pulledThrough: (context) => {
    const { plan, solution } = context;
    const coloured = solution.visit.head.zones
      .filter((zone) => pastOf(zone).kind === 'coloured')
      .map(({ zone }) => zone);
    const root = plan.steps.find(
      ({ bowl, zones }) =>
        zones.some(isRegrowth) &&
        bowlWhere(context, ({ kind }, { name }) => name === bowl && LIFTING.includes(kind)),
    );
    if (!root || coloured.length === 0 || root.minutes < FULL_TIME) return null;
    return {
      ...plan,
      steps: plan.steps
        .filter((step) => step === root || !step.zones.some((zone) => coloured.includes(zone)))
        .map((step) => (step === root ? { ...step, zones: [...step.zones, ...coloured] } : step)),
    };
  },
  overlap: (context) => {
    const { plan, solution } = context;
    const { head } = solution.visit;
    const step = plan.steps.find(
      (one) =>
        one.zones.some(isRegrowth) &&
        bowlWhere(
          context,
          ({ kind }, { name }) => name === one.bowl && kind !== 'demi' && kind !== 'acidGloss',
        ),
    );
    const other = step?.zones
      .flatMap((zone) => besideOf(head, zone))
      .some((next) => pastOf(zoneOf(head, next)!).kind !== 'untouched' && !step.zones.includes(next));
    return other ? withSteps(plan, (one) => (one === step ? { ...one, stopsAtLine: false } : one)) : null;
  },
} satisfies Partial<Record<Misconception, Slip>>;

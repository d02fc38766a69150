import { type Application, lastMinute } from '../../card';
import { uppermostHistory } from '../../case';
import { isRegrowth, neighboursOf, zoneOf } from '../../hair';
import { isLightener } from '../../process';
import { hasDeveloper } from '../../product';
import { LIFTING } from '../../rules';
import type { Misconception } from '../misconception';
import { type SlipContext, bowlWhere, withSteps, type SlipMaker } from './context';

const isOfLightener = (context: SlipContext, { bowl }: Application) =>
  bowlWhere(context, ({ kind }, { name }) => name === bowl && isLightener(kind)) !== undefined;
/** Minutes from which permanent colour has had more than a refreshing. */
const FULL_TIME = 20;

/** Slips of the hand: time, order, and where it stops. */
export const WORK_SLIPS = {
  greyTakenOffEarly: ({ card, modelAnswer }) => {
    const grey = modelAnswer.clientCase.head.zones.some(
      ({ zone, greyShare }) =>
        greyShare >= 0.25 &&
        modelAnswer.choices.some(({ part, technique }) => part === zone && technique === 'deposit'),
    );
    const longest = Math.max(0, ...card.steps.map(({ minutes }) => minutes));
    return grey && longest >= 10
      ? withSteps(card, (application) =>
          application.minutes === longest
            ? { ...application, minutes: Math.round(longest / 2) }
            : application,
        )
      : null;
  },
  rootsFirst: ({ card, modelAnswer }) => {
    const root = card.steps.find(({ zones }) => zones.some(isRegrowth));
    const untouched = modelAnswer.clientCase.head.zones.every(
      (zone) => uppermostHistory(zone).kind === 'untouched',
    );
    const lengths = card.steps.some(
      ({ zones, start }) => root && !zones.some(isRegrowth) && start < root.start,
    );
    return root && untouched && lengths && root.share === 1
      ? withSteps(card, (application) => (application === root ? { ...application, start: 0 } : application))
      : null;
  },
  lightenerUnwatched: (context) =>
    bowlWhere(context, ({ kind }) => isLightener(kind))
      ? withSteps(context.card, (application) =>
          isOfLightener(context, application) ? { ...application, checkEvery: null } : application,
        )
      : null,
  rinseForgotten: (context) => {
    const { card } = context;
    const last = card.steps.findLast(({ bowl }) =>
      bowlWhere(context, ({ kind }, { name }) => name === bowl && hasDeveloper(kind)),
    );
    return last && last.start + last.minutes === lastMinute(card)
      ? withSteps(card, (application) =>
          application === last ? { ...application, ends: 'stay' } : application,
        )
      : null;
  },
  pulledThrough: (context) => {
    const { card, modelAnswer } = context;
    const coloured = modelAnswer.clientCase.head.zones
      .filter((zone) => uppermostHistory(zone).kind === 'coloured')
      .map(({ zone }) => zone);
    const root = card.steps.find(
      ({ bowl, zones }) =>
        zones.some(isRegrowth) &&
        bowlWhere(context, ({ kind }, { name }) => name === bowl && LIFTING.includes(kind)),
    );
    if (!root || coloured.length === 0 || root.minutes < FULL_TIME) return null;
    return {
      ...card,
      steps: card.steps
        .filter(
          (application) => application === root || !application.zones.some((zone) => coloured.includes(zone)),
        )
        .map((application) =>
          application === root ? { ...application, zones: [...application.zones, ...coloured] } : application,
        ),
    };
  },
  overlap: (context) => {
    const { card, modelAnswer } = context;
    const { head } = modelAnswer.clientCase;
    const application = card.steps.find(
      (application) =>
        application.zones.some(isRegrowth) &&
        bowlWhere(
          context,
          ({ kind }, { name }) => name === application.bowl && kind !== 'demi' && kind !== 'acidGloss',
        ),
    );
    const other = application?.zones
      .flatMap((zone) => neighboursOf(head, zone))
      .some(
        (next) =>
          uppermostHistory(zoneOf(head, next)!).kind !== 'untouched' && !application.zones.includes(next),
      );
    return other
      ? withSteps(card, (one) => (one === application ? { ...one, stopsAtLine: false } : one))
      : null;
  },
} satisfies Partial<Record<Misconception, SlipMaker>>;

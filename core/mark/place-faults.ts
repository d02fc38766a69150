import { type Application, lookMinutesOf } from '../card';
import { type Part, partName } from '../case';
import { type Criterion, CRITERIA } from '../exercise';
import type { MarkingContext } from './context';
import type { Finding } from './finding';
import { areasLeftOut } from './outcome';

/** Findings of a whole card, by criterion. */
export type Findings = Partial<Record<Criterion, readonly Finding[]>>;

/** Criteria that decide what the hair of a place becomes; asking, reading, predicting and aftercare do not. */
const AT_PLACES: readonly Criterion[] = [
  'route',
  'depth',
  'tone',
  'greyShare',
  'developer',
  'ratio',
  'amount',
  'order',
  'timing',
];
/** An amount short by a fifth, as it is priced: less is no fault of what the hair becomes (M2). */
const AMOUNT_COUNTS_FROM = 0.2;
/** What the model sees of a place counts by so many times its worst fault. */
const BY_FAULT = 4;

/** The part that a finding speaks of: by its place, by the zone it names, or by the bowl. */
function isOf(context: MarkingContext, part: Part, { place, fault }: Finding): boolean {
  if (place !== null) return place === partName(part);
  const { zone, other, woven, bowl } = fault.params;
  if (bowl !== undefined)
    return context.parts.some(
      ({ goal, steps }) =>
        partName(goal.part) === partName(part) && steps.some((worked) => worked.bowl.name === bowl),
    );
  if (zone === undefined) return false;
  return (zone === part.zone && (woven ?? false) === part.woven) || (other === part.zone && !part.woven);
}

/**
 * Whether a watched step has the minutes of the model answer's, less a tenth or one look, whichever is more, at most a
 * quarter: what is taken off sooner was not waited for.
 */
function isWaitedOut(context: MarkingContext, part: Part): boolean {
  const own = context.parts.find(({ goal }) => partName(goal.part) === partName(part));
  const best = context.modelParts.find(({ goal }) => partName(goal.part) === partName(part));
  if (!own || !best) return true;
  return own.steps.every(({ role, written, line }) => {
    // Another line has its own time, and is timed by that.
    const model = best.steps.find(
      (worked) => worked.role === role && worked.line.id === line.id,
    )?.application;
    if (!model || lookMinutesOf(model).length === 0) return true;
    const look = model.checkEvery ?? 0;
    const slack = Math.min(model.minutes / 4, Math.max(model.minutes / 10, look));
    return written.every(({ minutes }: Application) => minutes >= model.minutes - slack);
  });
}

/**
 * How far what the hair model sees of a place counts, 0–1: a place on which a plan has no priced fault comes out as the
 * model answer's own does, whatever the model makes of it; with faults it counts by four times the worst of them.
 */
export function modelCountsAt(context: MarkingContext, found: Findings, part: Part): number {
  const own = context.parts.find(({ goal }) => partName(goal.part) === partName(part));
  if (own?.steps.some(({ isMixed }) => isMixed)) return 1;
  if (areasLeftOut(context, part).length > 0 || !isWaitedOut(context, part)) return 1;
  let worst = 0;
  for (const criterion of CRITERIA) {
    if (!AT_PLACES.includes(criterion)) continue;
    for (const finding of found[criterion] ?? []) {
      if (finding.loss <= worst || !isOf(context, part, finding)) continue;
      const isShort = finding.fault.name === 'amount.tooLittle' && finding.loss >= AMOUNT_COUNTS_FROM;
      if (criterion === 'amount' && !isShort) continue;
      worst = finding.loss;
    }
  }
  return Math.min(1, BY_FAULT * worst);
}

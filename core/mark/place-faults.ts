import { lookMinutesOf } from '../card';
import { type Part, partName } from '../case';
import { type Criterion, CRITERIA } from '../exercise';
import type { MixRole } from '../method';
import { type MarkingContext, isPromisedToday, minutesKey, workedAt } from './context';
import type { FaultName } from './faults';
import type { Finding } from './finding';
import { areasLeftOut } from './outcome';

/** Findings of a whole card, by criterion. */
export type Findings = Partial<Record<Criterion, readonly Finding[]>>;

/** Criteria that decide nothing of what the hair of a place becomes; all others do. */
const NOT_ON_HAIR: readonly Criterion[] = ['reading', 'prediction', 'safety', 'aftercare'];
/** An amount short by a fifth, as it is priced: less is no fault of what the hair becomes (M2). */
const AMOUNT_COUNTS_FROM = 0.2;
/** What the model sees of a place counts by so many times its worst fault. */
const BY_FAULT = 4;

/** The part that a finding speaks of: by its place, by the zone it names, or by the bowl. */
function isOf(context: MarkingContext, part: Part, { place, fault }: Finding): boolean {
  if (place !== null) return place === partName(part);
  const { zone, other, woven, bowl } = fault.params;
  if (bowl !== undefined)
    return workedAt(context.parts, part)?.steps.some((worked) => worked.bowl.name === bowl) ?? false;
  if (zone === undefined) return false;
  return (zone === part.zone && (woven ?? false) === part.woven) || (other === part.zone && !part.woven);
}

/** Fraction of the model answer's minutes missing beyond the slack, from which a watched step was not waited for at all. */
const NOT_WAITED_FOR = 0.6;

/**
 * How far a watched step falls short of the minutes of the model answer's, 0–1: not at all up to a tenth or one look,
 * whichever is more, at most a quarter; what is taken off sooner was not waited for. By what the bowl is there for; what is
 * not watched as the model answer watches it is not among them.
 */
function takenOffSooner(context: MarkingContext, part: Part): ReadonlyMap<MixRole, number> {
  const own = workedAt(context.parts, part);
  const best = workedAt(context.modelParts, part);
  const shares = new Map<MixRole, number>();
  if (!own || !best) return shares;
  for (const worked of own.steps) {
    const { role, written } = worked;
    // Another line has its own time, and is timed by that.
    const minutes = context.modelMinutes.get(minutesKey(own.goal, worked));
    const model = best.steps.find((step) => step.role === role)?.application;
    const looked = written.every((application) => lookMinutesOf(application).length > 0);
    if (!model || minutes === undefined || !looked || lookMinutesOf(model).length === 0) continue;
    const slack = Math.min(minutes / 4, Math.max(minutes / 10, model.checkEvery ?? 0));
    const given = Math.min(...written.map(({ minutes }) => minutes));
    const missing = (minutes - slack - given) / minutes;
    shares.set(role, Math.min(1, Math.max(0, missing / NOT_WAITED_FOR)));
  }
  return shares;
}

/** Faults that say the same of minutes; what they count for is read from the minutes themselves. */
const TOO_SHORT: readonly FaultName[] = ['timing.notThere', 'timing.tooShort'];

/**
 * How far what the hair model sees of a place counts, 0–1: a place on which a plan has no priced fault comes out as the
 * model answer's own does, whatever the model makes of it; with faults it counts by four times the worst of them.
 */
export function modelCountsAt(context: MarkingContext, found: Findings, part: Part): number {
  const own = workedAt(context.parts, part);
  if (own?.steps.some(({ isMixed }) => isMixed)) return 1;
  if (areasLeftOut(context, part).length > 0 || isPromisedToday(context)) return 1;
  const sooner = takenOffSooner(context, part);
  let worst = 0;
  for (const criterion of CRITERIA) {
    if (NOT_ON_HAIR.includes(criterion)) continue;
    for (const finding of found[criterion] ?? []) {
      if (finding.loss <= worst || !isOf(context, part, finding)) continue;
      const isShort = finding.fault.name === 'amount.tooLittle' && finding.loss >= AMOUNT_COUNTS_FROM;
      if (criterion === 'amount' && !isShort) continue;
      // Watched, and only taken off sooner than the model answer: by how much sooner.
      const isWatched = finding.role !== null && sooner.has(finding.role);
      if (isWatched && TOO_SHORT.includes(finding.fault.name)) continue;
      worst = finding.loss;
    }
  }
  return Math.min(1, Math.max(...sooner.values(), BY_FAULT * worst));
}

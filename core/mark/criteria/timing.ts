import { type Application, longestUnwatched, type WatchedFor } from '../../card';
import { partName } from '../../case';
import { levelOfPigmented } from '../../hair';
import { type RequiredMix, permanentTones, tonesBared } from '../../method';
import { isLightener, isOxidative, LATE_HEAT_FROM } from '../../process';
import type { Reason } from '../../reason';
import { PRICES, lossAt, hasGreyToCover, CHECKS } from '../../rules';
import { rootWaits, isWaitedFor } from '../../solve';
import { type MarkingContext, partOf, placeParams, workedAt } from '../context';
import { finding, type Finding } from '../finding';
import type { WorkedPlace, WorkedApplication } from '../worked-place';
import { directionsOfApplication } from './developer';
import { fault, type FaultOf } from '../faults';

/** Minutes that heated hair is left to cool before it is rinsed (R4). */
const COOLS_MINUTES = 5;
/** Colour within this many minutes less is timed to the minute (marks, ±1 under twelve). */
const SHORT_MINUTES = 12;

/** Fraction of the minutes of the model answer's own step that is missing, 0–1; 0 where it has none there. */
function missingOf(
  { modelParts }: MarkingContext,
  part: WorkedPlace,
  { role }: WorkedApplication,
  given: number,
): number {
  const best = workedAt(modelParts, part.goal.part);
  const minutes = best?.steps.find((worked) => worked.role === role)?.application.minutes;
  return minutes ? Math.max(0, (minutes - given) / minutes) : 0;
}

/** Lightener: by the level it has reached when it comes off, at a look or by the clock (R2). */
function byLevel(
  context: MarkingContext,
  part: WorkedPlace,
  required: RequiredMix,
  worked: WorkedApplication,
  application: Application,
): Finding {
  const { played } = context;
  const { line, role } = worked;
  const { start, end } = played.spellOf(application, part.goal.part.zone);
  const { strand } = played.momentOf(partOf(played, part.goal.part), end);
  const level = Math.round(levelOfPigmented(strand) * 10) / 10;
  const aim = application.untilLevel ?? required.aim!;
  const params = {
    ...placeParams(part.goal),
    expected: required.aim!,
    given: level,
    minutes: end - start,
    most: line.minutes.standard,
  };
  const is = (loss: number, code: FaultOf<'timing'>, rule: string) =>
    finding(partName(part.goal.part), loss, fault(`timing.${code}`, rule, params), role);
  const looked = longestUnwatched(application) !== null;
  // Said to come off at another level than the wish asks for, it is taken off there and marked by that.
  const meant = looked && aim !== required.aim ? Math.abs(aim - required.aim!) : 0;
  if (meant > 0)
    return is(lossAt(PRICES.timing.levelShort, meant), aim < required.aim! ? 'notThere' : 'past', 'R2');
  if (end - start > line.minutes.standard) return is(PRICES.timing.spent, 'pastActive', 'P4');
  const gap = level - required.aim!;
  const short = lossAt(PRICES.timing.levelShort, -gap);
  if (short > 0) {
    // Watched, it is short by the minutes it was not given; by the clock, by the level it did not reach.
    const missing = lossAt(PRICES.timing.off, missingOf(context, part, worked, application.minutes));
    return is(looked ? Math.min(short, missing) : short, 'notThere', 'R2');
  }
  const past = lossAt(PRICES.timing.levelPast, gap);
  if (past > 0) return is(past, 'past', 'R2');
  return is(0, 'caught', 'R2');
}

function byClock(
  context: MarkingContext,
  part: WorkedPlace,
  required: RequiredMix,
  worked: WorkedApplication,
  application: Application,
): Finding {
  const { goal, technique } = part;
  const lengths = context.parts.some((other) => other !== part && rootWaits(other, { role: 'colour' }));
  const directions = directionsOfApplication(part, required, worked, context, lengths && isWaitedFor(part));
  const { start, end } = context.played.spellOf(application, goal.part.zone);
  // What is looked at in time comes off there, however long it may have had.
  const taken = end - start;
  const given = taken < application.minutes ? taken : application.minutes;
  const at = { ...placeParams(goal), line: worked.line.name, given };
  const is = (loss: number, code: FaultOf<'timing'>, rule: string, params = {}) =>
    finding(partName(goal.part), loss, fault(`timing.${code}`, rule, { ...at, ...params }), required.role);
  if (!directions) return is(1, 'lineCannot', 'R7');
  const { min, max, best } = directions.minutes;
  // Taken off at a look that found the aim met: the look decides, not the clock.
  if (taken < application.minutes) return is(0, 'caught', 'R2', { expected: best, given: taken });
  const tolerance = Math.min(context.rules.minutesTolerance, best < SHORT_MINUTES ? 1 : Infinity);
  const params = { expected: best, min, max };
  const short = min - tolerance - given;
  const long = given - max - tolerance;
  if (short > 0) {
    const grey = hasGreyToCover(goal.greyShare) && technique !== 'refresh' && goal.target.grey !== 'blend';
    return is(
      lossAt(PRICES.timing.off, (min - given) / min),
      grey ? 'greyShort' : 'tooShort',
      grey ? 'F8' : 'R7',
      params,
    );
  }
  if (long > 0) {
    const over = lossAt(PRICES.timing.long, (given - max) / max);
    // Looked at, a toner planned too long is no worse than minutes beyond the longest that it works.
    const looked = isToner(part, worked, context) && longestUnwatched(application) !== null;
    return is(looked ? Math.min(over, PRICES.timing.spent) : over, 'tooLong', 'R7', params);
  }
  return is(0, 'right', 'R7', params);
}

/** Whether the colour of a part goes over bared hair, where a toner is watched. */
const isToner = (
  { technique, goal }: WorkedPlace,
  { role, line }: WorkedApplication,
  { rules }: Pick<MarkingContext, 'rules'>,
) =>
  role === 'colour' &&
  technique !== 'fillThenColour' &&
  tonesBared(goal, technique) &&
  (line.kind === 'demi' ||
    line.kind === 'acidGloss' ||
    (line.kind === 'permanent' && permanentTones(goal, technique, rules)));

function checks(context: MarkingContext, part: WorkedPlace, worked: WorkedApplication): Finding[] {
  const toner = isToner(part, worked, context);
  if (worked.role !== 'lighten' && !toner) return [];
  const every = longestUnwatched(worked.application);
  const { most } = toner ? CHECKS.toner : CHECKS.lightener;
  const params = { ...placeParams(part.goal), most, given: every ?? 0 };
  const is = (loss: number, code: FaultOf<'timing'>) =>
    finding(partName(part.goal.part), loss, fault(`timing.${code}`, 'R2', params), worked.role);
  if (every === null) return [is(PRICES.timing.neverLookedAt, toner ? 'noChecks' : 'neverLookedAt')];
  const sign: WatchedFor = toner ? 'tone' : 'level';
  const { watchedFor } = worked.application;
  return [
    every <= most ? is(0, 'checked') : is(PRICES.timing.seldom, 'seldom'),
    ...(watchedFor === undefined
      ? []
      : [
          finding(
            partName(part.goal.part),
            watchedFor === sign ? 0 : PRICES.timing.otherSign,
            fault(`timing.${watchedFor === sign ? 'signSeen' : 'otherSign'}`, 'R2', {
              ...placeParams(part.goal),
              expected: sign,
              given: watchedFor,
            }),
            worked.role,
          ),
        ]),
  ];
}

/** R4: only where the line allows it, early, so that the hair cools down before it is rinsed. */
function heated(
  place: string,
  { application, line, role }: WorkedApplication,
  params: Reason['params'],
): Finding[] {
  const { heat } = application;
  if (!heat) return [];
  if (!line.mayHeat) return [finding(place, PRICES.timing.heat, fault('timing.warmth', 'R4', params), role)];
  const late = heat.to > Math.max(LATE_HEAT_FROM, application.minutes - COOLS_MINUTES);
  return late
    ? [finding(place, PRICES.timing.heatLate, fault('timing.heatLate', 'R4', params), role)]
    : [finding(place, 0, fault('timing.heatEarly', 'R4', params), role)];
}

/** Whether what was put on still lies there when the visit ends (R8). */
function staysOn({ played }: MarkingContext, part: WorkedPlace, { mix }: WorkedApplication): boolean {
  if (!mix || !(isLightener(mix.product) || isOxidative(mix.product))) return false;
  return played
    .areaMomentsOf(partOf(played, part.goal.part), played.minutes)
    .some(({ moment }) => moment.lying?.mix.product === mix.product);
}

/** Findings on minutes, looks, heat and rinsing (R1–R8). */
export function markTiming(context: MarkingContext): Finding[] {
  return context.parts.flatMap((part): Finding[] => {
    const place = partName(part.goal.part);
    const open = () => finding(place, 1, fault('timing.open', undefined, placeParams(part.goal)));
    if (part.requiredMixes.length === 0 && !part.ruling.allowed) return [open()];
    return part.requiredMixes.flatMap(({ mix, worked }): Finding[] => {
      if (!worked) return [{ ...open(), role: mix.role }];
      const timeOf = (application: Application) =>
        mix.role === 'lighten' && mix.aim !== null
          ? byLevel(context, part, mix, worked, application)
          : byClock(context, part, mix, worked, application);
      // Each of its lines is timed for itself; the worst counts once.
      const time = worked.written.map(timeOf).reduce((a, b) => (b.loss > a.loss ? b : a));
      const params = { ...placeParams(part.goal), line: worked.line.name };
      const stays = staysOn(context, part, worked);
      return [
        time,
        ...(stays
          ? [
              finding(
                place,
                PRICES.timing.neverRinsed,
                fault('timing.neverRinsed', 'R5', params),
                worked.role,
              ),
            ]
          : []),
        ...checks(context, part, worked),
        ...heated(place, worked, params),
      ];
    });
  });
}

import { longestUnwatched, isNeverRinsed, type WatchedFor } from '../../card';
import { partName } from '../../case';
import { levelOfPigmented } from '../../hair';
import { type RequiredMix, tonesBared } from '../../method';
import { LATE_HEAT_FROM } from '../../process';
import type { Reason } from '../../reason';
import { PRICES, lossAt, hasGreyToCover, CHECKS } from '../../rules';
import { rootWaits, isWaitedFor } from '../../solve';
import { type MarkingContext, partOf, placeParams } from '../context';
import { finding, type Finding } from '../finding';
import type { WorkedPlace, WorkedApplication } from '../worked-place';
import { directionsOfApplication } from './developer';
import { fault, type FaultOf } from '../faults';

/** Minutes that heated hair is left to cool before it is rinsed (R4). */
const COOLS_MINUTES = 5;
/** Colour within this many minutes less is timed to the minute (marks, ±1 under twelve). */
const SHORT_MINUTES = 12;

function watched(
  { played }: MarkingContext,
  part: WorkedPlace,
  required: RequiredMix,
  { application, line, role }: WorkedApplication,
) {
  const { strand } = played.momentOf(partOf(played, part.goal.part), application.start + application.minutes);
  const level = Math.round(levelOfPigmented(strand) * 10) / 10;
  const params = {
    ...placeParams(part.goal),
    expected: required.aim!,
    given: level,
    minutes: application.minutes,
    most: line.minutes.standard,
  };
  const is = (loss: number, code: FaultOf<'timing'>, rule: string) =>
    finding(partName(part.goal.part), loss, fault(`timing.${code}`, rule, params), role);
  if (application.minutes > line.minutes.standard) return is(PRICES.timing.spent, 'pastActive', 'P4');
  const gap = level - required.aim!;
  const short = lossAt(PRICES.timing.levelShort, -gap);
  if (short > 0) return is(short, 'notThere', 'R2');
  const past = lossAt(PRICES.timing.levelPast, gap);
  if (past > 0) return is(past, 'past', 'R2');
  return is(0, 'caught', 'R2');
}

function byClock(
  context: MarkingContext,
  part: WorkedPlace,
  required: RequiredMix,
  worked: WorkedApplication,
): Finding {
  const { goal, technique } = part;
  const lengths = context.parts.some((other) => other !== part && rootWaits(other, { role: 'colour' }));
  const directions = directionsOfApplication(part, required, worked, context, lengths && isWaitedFor(part));
  const given = worked.application.minutes;
  const at = { ...placeParams(goal), line: worked.line.name, given };
  const is = (loss: number, code: FaultOf<'timing'>, rule: string, params = {}) =>
    finding(partName(goal.part), loss, fault(`timing.${code}`, rule, { ...at, ...params }), required.role);
  if (!directions) return is(1, 'lineCannot', 'R7');
  const { min, max, best } = directions.minutes;
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
  if (long > 0) return is(lossAt(PRICES.timing.long, (given - max) / max), 'tooLong', 'R7', params);
  return is(0, 'right', 'R7', params);
}

/** Whether the colour of a part goes over bared hair, where a toner is watched. */
const isToner = ({ technique, goal }: WorkedPlace, { role, line }: WorkedApplication) =>
  role === 'colour' &&
  technique !== 'fillThenColour' &&
  tonesBared(goal, technique) &&
  (line.kind === 'demi' || line.kind === 'acidGloss');

function checks(part: WorkedPlace, worked: WorkedApplication): Finding[] {
  const toner = isToner(part, worked);
  if (worked.role !== 'lighten' && !toner) return [];
  const every = longestUnwatched(worked.application);
  const { most } = toner ? CHECKS.toner : CHECKS.lightener;
  const params = { ...placeParams(part.goal), most, given: every ?? 0 };
  const is = (loss: number, code: FaultOf<'timing'>) =>
    finding(partName(part.goal.part), loss, fault(`timing.${code}`, 'R2', params), worked.role);
  // A toner that is off before it would be looked at again was looked at when it came off.
  if (every === null)
    return [toner ? is(PRICES.timing.seldom, 'noChecks') : is(PRICES.timing.neverLookedAt, 'neverLookedAt')];
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

/** Findings on minutes, looks, heat and rinsing (R1–R8). */
export function markTiming(context: MarkingContext): Finding[] {
  return context.parts.flatMap((part): Finding[] => {
    const place = partName(part.goal.part);
    const open = () => finding(place, 1, fault('timing.open', undefined, placeParams(part.goal)));
    if (part.requiredMixes.length === 0 && !part.ruling.allowed) return [open()];
    return part.requiredMixes.flatMap(({ mix, worked }): Finding[] => {
      if (!worked) return [{ ...open(), role: mix.role }];
      const time =
        mix.role === 'lighten' && mix.aim !== null
          ? watched(context, part, mix, worked)
          : byClock(context, part, mix, worked);
      const params = { ...placeParams(part.goal), line: worked.line.name };
      const stays = isNeverRinsed(worked.application, context.card, context.lineOf);
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
        ...checks(part, worked),
        ...heated(place, worked, params),
      ];
    });
  });
}

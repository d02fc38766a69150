import { longestUnwatched, isNeverRinsed, type WatchedFor } from '../../card';
import { partName } from '../../case';
import { levelOfPigmented } from '../../hair';
import { type Layer, tonesBared } from '../../method';
import { LATE_HEAT_FROM } from '../../process';
import { reason, type Reason } from '../../reason';
import { PRICES, lossAt, hasGreyToCover, CHECKS } from '../../rules';
import { rootWaits, isWaitedFor } from '../../solve';
import { type JudgeContext, partOf, zoneReason } from '../context';
import { finding, type Finding } from '../finding';
import type { SeenPart, SeenStep } from '../worked-place';
import { termsSeen } from './developer';

/** Minutes that heated hair is left to cool before it is rinsed (R4). */
const COOLS_MINUTES = 5;
/** Colour within this many minutes less is timed to the minute (marks, ±1 under twelve). */
const SHORT_MINUTES = 12;

function watched({ played }: JudgeContext, part: SeenPart, layer: Layer, { step, line, role }: SeenStep) {
  const { strand } = played.momentOf(partOf(played, part.task.part), step.start + step.minutes);
  const level = Math.round(levelOfPigmented(strand) * 10) / 10;
  const params = {
    ...zoneReason(part.task),
    expected: layer.aim!,
    given: level,
    minutes: step.minutes,
    most: line.minutes.standard,
  };
  const is = (loss: number, code: string, rule: string) =>
    finding(partName(part.task.part), loss, reason(`mark.timing.${code}`, rule, params), role);
  if (step.minutes > line.minutes.standard) return is(PRICES.timing.spent, 'pastActive', 'P4');
  const gap = level - layer.aim!;
  const short = lossAt(PRICES.timing.levelShort, -gap);
  if (short > 0) return is(short, 'notThere', 'R2');
  const past = lossAt(PRICES.timing.levelPast, gap);
  if (past > 0) return is(past, 'past', 'R2');
  return is(0, 'caught', 'R2');
}

function byClock(context: JudgeContext, part: SeenPart, layer: Layer, seen: SeenStep): Finding {
  const { task, route } = part;
  const lengths = context.parts.some((other) => other !== part && rootWaits(other, { role: 'colour' }));
  const terms = termsSeen(part, layer, seen, context, lengths && isWaitedFor(part));
  const given = seen.step.minutes;
  const at = { ...zoneReason(task), line: seen.line.name, given };
  const is = (loss: number, code: string, rule: string, params = {}) =>
    finding(partName(task.part), loss, reason(`mark.timing.${code}`, rule, { ...at, ...params }), layer.role);
  if (!terms) return is(1, 'lineCannot', 'R7');
  const { min, max, best } = terms.minutes;
  const tolerance = Math.min(context.rules.minutesTolerance, best < SHORT_MINUTES ? 1 : Infinity);
  const params = { expected: best, min, max };
  const short = min - tolerance - given;
  const long = given - max - tolerance;
  if (short > 0) {
    const grey = hasGreyToCover(task.greyShare) && route !== 'refresh' && task.target.grey !== 'blend';
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
const isToner = ({ route, task }: SeenPart, { role, line }: SeenStep) =>
  role === 'colour' &&
  route !== 'fillThenColour' &&
  tonesBared(task, route) &&
  (line.kind === 'demi' || line.kind === 'acidGloss');

function checks(part: SeenPart, seen: SeenStep): Finding[] {
  const toner = isToner(part, seen);
  if (seen.role !== 'lighten' && !toner) return [];
  const every = longestUnwatched(seen.step);
  const { most } = toner ? CHECKS.toner : CHECKS.lightener;
  const params = { ...zoneReason(part.task), most, given: every ?? 0 };
  const is = (loss: number, code: string) =>
    finding(partName(part.task.part), loss, reason(`mark.timing.${code}`, 'R2', params), seen.role);
  // A toner that is off before it would be looked at again was looked at when it came off.
  if (every === null)
    return [toner ? is(PRICES.timing.seldom, 'noChecks') : is(PRICES.timing.neverLookedAt, 'neverLookedAt')];
  const sign: WatchedFor = toner ? 'tone' : 'level';
  const { watchedFor } = seen.step;
  return [
    every <= most ? is(0, 'checked') : is(PRICES.timing.seldom, 'seldom'),
    ...(watchedFor === undefined
      ? []
      : [
          finding(
            partName(part.task.part),
            watchedFor === sign ? 0 : PRICES.timing.otherSign,
            reason(`mark.timing.${watchedFor === sign ? 'signSeen' : 'otherSign'}`, 'R2', {
              ...zoneReason(part.task),
              expected: sign,
              given: watchedFor,
            }),
            seen.role,
          ),
        ]),
  ];
}

/** R4: only where the line allows it, early, so that the hair cools down before it is rinsed. */
function heated(place: string, { step, line, role }: SeenStep, params: Reason['params']): Finding[] {
  const { heat } = step;
  if (!heat) return [];
  if (!line.mayHeat)
    return [finding(place, PRICES.timing.heat, reason('mark.timing.warmth', 'R4', params), role)];
  const late = heat.to > Math.max(LATE_HEAT_FROM, step.minutes - COOLS_MINUTES);
  return late
    ? [finding(place, PRICES.timing.heatLate, reason('mark.timing.heatLate', 'R4', params), role)]
    : [finding(place, 0, reason('mark.timing.heatEarly', 'R4', params), role)];
}

export function markTiming(context: JudgeContext): Finding[] {
  return context.parts.flatMap((part): Finding[] => {
    const place = partName(part.task.part);
    const open = () => finding(place, 1, reason('mark.timing.open', undefined, zoneReason(part.task)));
    if (part.layers.length === 0 && !part.ruling.allowed) return [open()];
    return part.layers.flatMap(({ layer, seen }): Finding[] => {
      if (!seen) return [{ ...open(), role: layer.role }];
      const time =
        layer.role === 'lighten' && layer.aim !== null
          ? watched(context, part, layer, seen)
          : byClock(context, part, layer, seen);
      const params = { ...zoneReason(part.task), line: seen.line.name };
      const stays = isNeverRinsed(seen.step, context.plan, context.lineOf);
      return [
        time,
        ...(stays
          ? [
              finding(
                place,
                PRICES.timing.neverRinsed,
                reason('mark.timing.neverRinsed', 'R5', params),
                seen.role,
              ),
            ]
          : []),
        ...checks(part, seen),
        ...heated(place, seen, params),
      ];
    });
  });
}

import { levelOfPigmented } from '../hair';
import { reason } from '../reason';
import { rootWaits, type Layer } from '../solve';
import { CHECKS } from '../theory';
import { falling } from './marked';
import { mean, scored, zoneReason, type JudgeContext, type Scored } from './context';
import { termsSeen } from './mark-developer';
import type { SeenPart, SeenStep } from './seen';

/** Levels short of, and past, the level watched for that still count as caught. */
const CAUGHT = { short: 0.35, past: 0.6 };
const LEVELS_NONE = 2;
const MINUTES_NONE = 15;

function watched(context: JudgeContext, part: SeenPart, layer: Layer, { step, line }: SeenStep): Scored {
  const { played } = context;
  const mine = played.parts.find(
    ({ zone, woven }) => zone === part.task.part.zone && woven === part.task.part.woven,
  )!;
  const { strand } = played.momentOf(mine, step.start + step.minutes);
  const level = Math.round(levelOfPigmented(strand) * 10) / 10;
  const params = { ...zoneReason(part.task), expected: layer.aim!, given: level, minutes: step.minutes };
  if (step.minutes > line.minutes.standard)
    return scored(0.5, reason('mark.timing.pastActive', 'P4', { ...params, most: line.minutes.standard }));
  const gap = level - layer.aim!;
  if (gap < -CAUGHT.short)
    return scored(falling(-gap, CAUGHT.short, LEVELS_NONE), reason('mark.timing.notThere', 'R2', params));
  if (gap > CAUGHT.past)
    return scored(falling(gap, CAUGHT.past, LEVELS_NONE), reason('mark.timing.past', 'R2', params));
  return scored(1, reason('mark.timing.caught', 'R2', params));
}

function byClock(context: JudgeContext, part: SeenPart, layer: Layer, seen: SeenStep): Scored {
  const { task, route } = part;
  const lengths = context.parts.some((other) => other !== part && rootWaits(other, { role: 'colour' }));
  const terms = termsSeen(part, layer, seen, context, lengths && task.place === 'offScalp');
  const at = zoneReason(task);
  const given = seen.step.minutes;
  if (!terms)
    return scored(0, reason('mark.timing.lineCannot', 'R7', { ...at, line: seen.line.name, given }));
  const { min, max, best } = terms.minutes;
  const tolerance = context.rules.minutesTolerance;
  const params = { ...at, expected: best, min, max, given, line: seen.line.name };
  const gap = given < min ? min - given : given > max ? given - max : 0;
  const share = falling(gap, tolerance, tolerance + MINUTES_NONE);
  if (share === 1) return scored(1, reason('mark.timing.right', 'R7', params));
  const grey = given < min && task.greyShare >= 0.25 && route === 'deposit';
  return scored(
    share,
    reason(
      grey ? 'mark.timing.greyShort' : given < min ? 'mark.timing.tooShort' : 'mark.timing.tooLong',
      grey ? 'F8' : 'R7',
      params,
    ),
  );
}

function checks(part: SeenPart, seen: SeenStep): Scored[] {
  const at = zoneReason(part.task);
  const every = seen.step.checkEvery;
  const bared = part.route === 'lightenThenTone' || part.task.history.kind === 'lightened';
  const toner =
    seen.role === 'colour' && bared && (seen.line.kind === 'demi' || seen.line.kind === 'acidGloss');
  if (seen.role !== 'lighten' && !toner) return [];
  const { most } = toner ? CHECKS.toner : CHECKS.lightener;
  const params = { ...at, most, given: every ?? 0 };
  if (every === null) return [scored(0, reason('mark.timing.noChecks', 'R2', params))];
  return [
    every <= most
      ? scored(1, reason('mark.timing.checked', 'R2', params))
      : scored(0.5, reason('mark.timing.seldom', 'R2', params)),
  ];
}

export function markTiming(context: JudgeContext): Scored | null {
  return mean(
    context.parts.flatMap((part): Scored[] => {
      if (part.layers.length === 0 && !part.ruling.allowed)
        return [scored(0, reason('mark.timing.open', undefined, zoneReason(part.task)))];
      return part.layers.flatMap(({ layer, seen }): Scored[] => {
        if (!seen) return [scored(0, reason('mark.timing.open', undefined, zoneReason(part.task)))];
        const time =
          layer.role === 'lighten'
            ? watched(context, part, layer, seen)
            : byClock(context, part, layer, seen);
        const warm =
          seen.step.warmth && !seen.line.mayHeat
            ? [
                scored(
                  0,
                  reason('mark.timing.warmth', 'R4', { ...zoneReason(part.task), line: seen.line.name }),
                ),
              ]
            : [];
        return [time, ...checks(part, seen), ...warm];
      });
    }),
  );
}

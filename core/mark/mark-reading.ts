import { NO_READING, presentLevel } from '../card';
import { reason } from '../reason';
import { countersOf, underlayDistance } from '../theory';
import { falling } from './marked';
import { mean, scored, type JudgeContext, type Scored } from './context';

/** Levels off at which a reading is of other hair; grey is read to the quarter. */
const LEVELS_NONE = 2;
const GREY = { full: 0.13, none: 0.45 };

export function markReading({ clientCase, plan }: JudgeContext): Scored | null {
  const all = clientCase.head.zones.flatMap((zone): Scored[] => {
    const read = plan.readings[zone.zone] ?? NO_READING;
    const expected = presentLevel(zone);
    const at = { zone: zone.zone };
    const scores: Scored[] = [];
    if (read.level === null) scores.push(scored(0, reason('mark.reading.open', undefined, at)));
    else {
      const gap = Math.abs(read.level - expected);
      const code = gap === 0 ? 'right' : read.level < expected ? 'tooDark' : 'tooLight';
      scores.push(
        scored(
          falling(gap, 0, LEVELS_NONE),
          reason(`mark.reading.${code}`, gap === 0 ? 'L1' : 'L2', {
            ...at,
            expected,
            given: read.level,
            gap,
          }),
        ),
      );
    }
    if (zone.greyShare > 0) {
      const params = { ...at, expected: zone.greyShare, given: read.greyShare ?? 0 };
      const share =
        read.greyShare === null
          ? 0
          : falling(Math.abs(read.greyShare - zone.greyShare), GREY.full, GREY.none);
      scores.push(scored(share, reason(share === 1 ? 'mark.grey.right' : 'mark.grey.off', 'L3', params)));
    }
    return scores;
  });
  return mean(all);
}

export function markPrediction({ clientCase, plan, solution, rules }: JudgeContext): Scored | null {
  const all = clientCase.head.zones.flatMap(({ zone }): Scored[] => {
    const expected = solution.best.readings[zone];
    if (!expected?.underlay || !expected.counter) return [];
    const { underlay, counter } = plan.readings[zone] ?? NO_READING;
    const target = solution.visit.wish[zone] ?? solution.visit.weave?.target;
    const params = { zone, expected: expected.underlay, given: underlay ?? '', level: target?.level ?? 0 };
    const rows = underlay ? underlayDistance(underlay, params.level, rules) : Infinity;
    const warmth =
      underlay === expected.underlay
        ? scored(1, reason('mark.prediction.right', 'U1', params))
        : rows <= 1
          ? scored(0.5, reason('mark.prediction.neighbour', 'U1', params))
          : scored(0, reason(underlay ? 'mark.prediction.wrong' : 'mark.prediction.open', 'U1', params));
    const counters = { zone, expected: expected.counter, given: counter ?? '', underlay: expected.underlay };
    // What cancels the pigment that was named is right for it: a wrong name is paid for once (U2).
    const followed =
      underlay && counter && counter !== 'keep' && countersOf(underlay, rules).includes(counter);
    const answer =
      counter === expected.counter
        ? scored(1, reason('mark.counter.right', expected.counter === 'keep' ? 'U3' : 'U2', counters))
        : followed && expected.counter !== 'keep'
          ? scored(1, reason('mark.counter.followed', 'U2', counters))
          : scored(
              0,
              reason(
                counter === null
                  ? 'mark.counter.open'
                  : expected.counter === 'keep'
                    ? 'mark.counter.shouldKeep'
                    : counter === 'keep'
                      ? 'mark.counter.kept'
                      : 'mark.counter.wrong',
                expected.counter === 'keep' ? 'U3' : 'U2',
                counters,
              ),
            );
    return [warmth, answer];
  });
  return mean(all);
}

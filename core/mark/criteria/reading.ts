import { NO_READING } from '../../card';
import { presentLevel, placementOn } from '../../case';
import { lossAt, PRICES, type Counter, underlayDistance, countersOf } from '../../rules';
import type { MarkingContext } from '../context';
import { type Finding, finding } from '../finding';
import { fault } from '../faults';

/** Findings on level and grey as they were read (L1–L3). */
export function markReading({ clientCase, card }: MarkingContext): Finding[] {
  return clientCase.head.zones.flatMap((zone): Finding[] => {
    const read = card.readings[zone.zone] ?? NO_READING;
    const expected = presentLevel(zone);
    const at = { zone: zone.zone };
    const found: Finding[] = [];
    if (read.level === null) found.push(finding(zone.zone, 1, fault('reading.open', undefined, at)));
    else {
      const gap = Math.abs(read.level - expected);
      const code = gap === 0 ? 'right' : read.level < expected ? 'tooDark' : 'tooLight';
      found.push(
        finding(
          zone.zone,
          lossAt(PRICES.reading.level, gap),
          fault(`reading.${code}`, gap === 0 ? 'L1' : 'L2', {
            ...at,
            expected,
            given: read.level,
            gap,
          }),
        ),
      );
    }
    if (zone.greyShare > 0) {
      const { greyShare: given } = read;
      if (given === null) found.push(finding(zone.zone, 1, fault('grey.open', 'L3', at)));
      else {
        const loss = lossAt(PRICES.reading.grey, Math.abs(given - zone.greyShare));
        const params = { ...at, expected: zone.greyShare, given };
        found.push(finding(zone.zone, loss, fault(loss === 0 ? 'grey.right' : 'grey.off', 'L3', params)));
      }
    }
    return found;
  });
}

/** Opposites of one kind, in doses. */
const VIOLETS: readonly string[] = ['violet', 'softViolet', 'traceViolet'] satisfies Counter[];
const otherDose = (given: string, expected: string) => VIOLETS.includes(given) && VIOLETS.includes(expected);

/** Findings on underlying pigment and what neutralises it (U1–U3). */
export function markPrediction({ clientCase, card, modelAnswer, rules }: MarkingContext): Finding[] {
  return clientCase.head.zones.flatMap(({ zone }): Finding[] => {
    const expected = modelAnswer.card.readings[zone];
    if (!expected?.underlay || !expected.counter) return [];
    const { underlay, counter } = card.readings[zone] ?? NO_READING;
    const target = modelAnswer.clientCase.wish[zone] ?? placementOn(modelAnswer.clientCase, zone)?.target;
    const params = { zone, expected: expected.underlay, given: underlay ?? '', level: target?.level ?? 0 };
    const rows = underlay ? underlayDistance(underlay, params.level, rules) : Infinity;
    const warmth =
      underlay === expected.underlay
        ? finding(zone, 0, fault('prediction.right', 'U1', params))
        : rows <= 1
          ? finding(zone, PRICES.prediction.neighbour, fault('prediction.neighbour', 'U1', params))
          : finding(
              zone,
              PRICES.prediction.other,
              fault(underlay ? 'prediction.wrong' : 'prediction.open', 'U1', params),
            );
    const counters = { zone, expected: expected.counter, given: counter ?? '', underlay: expected.underlay };
    if (counter === expected.counter)
      return [
        warmth,
        finding(zone, 0, fault('counter.right', expected.counter === 'keep' ? 'U3' : 'U2', counters)),
      ];
    // What cancels the pigment that was named is right for it: a wrong name is paid for once (U2).
    const followed =
      underlay && counter && counter !== 'keep' && countersOf(underlay, rules).includes(counter);
    if (followed && expected.counter !== 'keep')
      return [warmth, finding(zone, 0, fault('counter.followed', 'U2', counters))];
    if (counter && otherDose(counter, expected.counter))
      return [warmth, finding(zone, PRICES.prediction.otherDose, fault('counter.otherDose', 'U5', counters))];
    const code =
      counter === null
        ? 'open'
        : expected.counter === 'keep'
          ? 'shouldKeep'
          : counter === 'keep'
            ? 'kept'
            : 'wrong';
    const rule = expected.counter === 'keep' ? 'U3' : 'U2';
    return [warmth, finding(zone, PRICES.prediction.other, fault(`counter.${code}`, rule, counters))];
  });
}

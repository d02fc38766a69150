import fc from 'fast-check';
import type { Application } from '../card';
import { PLACE_IDS } from '../hair';
import { step } from '../testing/cards';
import { untimedApplications, timedApplications, timesFrom } from './given';

/** Lengths first, the root ten minutes later; both rinsed, then a toner on all. */
const BLONDE: Application[] = [
  step({ zones: ['mids', 'ends'], minutes: 24, checkEvery: 5 }),
  step({ zones: ['regrowth'], start: 10, minutes: 14, checkEvery: 5 }),
  step({ bowl: 'B', zones: ['regrowth', 'mids', 'ends'], start: 29, minutes: 13, checkEvery: 3 }),
];

describe('a card without its times', () => {
  it('says what comes after what, and how long it waits', () => {
    expect(untimedApplications(BLONDE).map(({ after, wait }) => [after, wait])).toEqual([
      [[], 0],
      [[], 10],
      [[0, 1], 5],
    ]);
  });

  it('holds no time of the card: two that differ in times alone are told alike', () => {
    const longer = BLONDE.map((application) => ({
      ...application,
      start: application.bowl === 'B' ? 44 : application.start,
    }));
    const other = [
      { ...longer[0], minutes: 39, checkEvery: 10 },
      { ...longer[1], minutes: 29, heat: { from: 0, to: 10 } },
      { ...longer[2], minutes: 20 },
    ];
    expect(untimedApplications(other)).toEqual(untimedApplications(BLONDE));
    expect(JSON.stringify(untimedApplications(BLONDE))).not.toMatch(/minutes|start"|checkEvery|heat|watched/);
  });

  it('timed as it was, it is the card again', () => {
    const zones = fc.subarray([...PLACE_IDS], { minLength: 1 });
    const any = fc.record({ zones, start: fc.nat(60), minutes: fc.integer({ min: 1, max: 60 }) });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 5 }), (made) => {
        // One application of a bowl to the same hair: two would be told apart by nothing.
        const steps = made.map((one, i) => step({ ...one, bowl: 'ABCDE'[i] }));
        const inOrder = [...steps].sort((a, b) => a.start - b.start);
        expect(timedApplications(untimedApplications(steps), { steps })).toEqual(inOrder);
      }),
    );
  });

  it('what lies longer holds up all that waits for its rinse, and nothing else', () => {
    const [lengths, root, toner] = BLONDE;
    const slow = { steps: [{ ...lengths, minutes: 40 }, root, toner] };
    expect(timedApplications(untimedApplications(BLONDE), slow).map(({ start }) => start)).toEqual([
      0, 10, 45,
    ]);
  });

  it('what has not been timed is not on; what comes after it begins when the others are off', () => {
    const [lengths, , toner] = BLONDE;
    const timed = timedApplications(untimedApplications(BLONDE), { steps: [lengths, toner] });
    expect(timed.map(({ zones, start }) => [zones.length, start])).toEqual([
      [2, 0],
      [3, 29],
    ]);
    expect(timedApplications(untimedApplications(BLONDE), { steps: [] })).toEqual([]);
  });
});

describe('times that are given to steps of one’s own', () => {
  it('are those of the same bowl on the same hair; a step that the answer has not keeps its own', () => {
    const own = [step({ zones: ['ends'], start: 3, minutes: 99 }), step({ bowl: 'C', minutes: 7 })];
    expect(timesFrom(BLONDE, own)).toEqual([{ ...own[0], minutes: 24, checkEvery: 5 }, own[1]]);
  });
});

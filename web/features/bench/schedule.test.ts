import fc from 'fast-check';
import type { PlaceId } from '@cimbel/core/hair';
import { type Application, applicationSchema } from '@cimbel/core/card';
import { shippedLine } from '@cimbel/core/product';
import { axisMinutes, barsOf, moved, newStep, rinsedAt } from './schedule';

const step = (start: number, minutes: number, ...zones: PlaceId[]): Application => ({
  ...newStep('A', shippedLine('tarnwick'), zones, ['nape'], { steps: [] }),
  start,
  minutes,
});

describe('steps on a timeline', () => {
  it('stay within what a card can say, however they are pushed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -999, max: 999 }),
        fc.integer({ min: -999, max: 999 }),
        (start, minutes) => {
          const pushed = moved(step(10, 30, 'mids'), { start, minutes });
          expect(applicationSchema.safeParse(pushed).success).toBe(true);
        },
      ),
    );
    expect(moved(step(10, 30, 'mids'), { start: 5 })).toMatchObject({ start: 15, minutes: 30 });
  });

  it('begin after what is there', () => {
    const first = step(0, 45, 'regrowth');
    expect(newStep('B', shippedLine('quillet'), ['ends'], ['nape'], { steps: [first] })).toMatchObject({
      start: 45,
      zones: ['ends'],
    });
    expect(newStep('C', shippedLine('hobday'), ['ends'], ['nape'], { steps: [] })).toMatchObject({
      ends: 'stay',
      minutes: 15,
    });
  });

  it('are one bar for each zone, from the root down, on an axis that holds them', () => {
    const steps = [step(0, 40, 'ends', 'mids'), step(15, 25, 'regrowth')];
    expect(barsOf(['regrowth', 'mids', 'ends'], steps).map(({ zone, index }) => [zone, index])).toEqual([
      ['regrowth', 1],
      ['mids', 0],
      ['ends', 0],
    ]);
    expect(axisMinutes(steps)).toBe(60);
    expect(axisMinutes([step(60, 45, 'mids')])).toBe(120);
  });

  it('are rinsed for one zone and go on for the others', () => {
    const steps = [step(0, 40, 'mids', 'ends'), step(50, 10, 'mids')];
    const rinsed = rinsedAt(steps, 'ends', 25);
    expect(rinsed.map(({ zones, start, minutes }) => [zones, start, minutes])).toEqual([
      [['mids'], 0, 40],
      [['ends'], 0, 25],
      [['mids'], 50, 10],
    ]);
    expect(rinsedAt(steps, 'ends', 45)).toEqual(steps);
    expect(rinsedAt([step(5, 30, 'mids')], 'mids', 20)).toMatchObject([{ start: 5, minutes: 15 }]);
  });
});

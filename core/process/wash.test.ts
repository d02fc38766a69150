import fc from 'fast-check';
import { naturalStrand, dyeOf, levelOfStrand, POROSITY_OF, loadOf } from '../hair';
import { after, tonerMix, permanent } from '../testing/bowls';
import { withHistory } from './past-services';
import { washed, sealed } from './wash';
import { zoneAt } from './zone-timeline';

const pale = withHistory(naturalStrand(6), [{ kind: 'lightened', level: 9 }]);
const toned = after(tonerMix('9-U'), pale, 20);
const load = (strand: typeof toned) => loadOf(dyeOf(strand));

describe('washing', () => {
  it('takes toner, a clarifying wash more than a gentle one, and never natural pigment (C6)', () => {
    expect(load(washed(toned, 'gentle', 1)) / load(toned)).toBeGreaterThan(0.95);
    expect(load(washed(toned, 'clarifying', 1)) / load(toned)).toBeLessThan(0.9);
    expect(washed(pale, 'clarifying', 3).brownBlack).toBe(pale.brownBlack);
    expect(levelOfStrand(washed(naturalStrand(6), 'clarifying', 3))).toBeCloseTo(
      levelOfStrand(naturalStrand(6)),
      6,
    );
  });

  it('hardly touches permanent colour', () => {
    const dyed = after(permanent('5:0', 20), naturalStrand(5), 35);
    expect(load(washed(dyed, 'clarifying', 3)) / load(dyed)).toBeGreaterThan(0.9);
  });

  it('more washes take more and never all, and cost moisture only where they clarify', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3 }), fc.constantFrom('gentle', 'clarifying'), (times, how) => {
        const [some, more] = [washed(toned, how, times), washed(toned, how, times + 1)];
        expect(load(more)).toBeLessThan(load(some));
        expect(load(more)).toBeGreaterThan(0);
        if (how === 'gentle') expect(more.moisture).toBe(toned.moisture);
        else expect(more.moisture).toBeLessThan(some.moisture);
      }),
    );
  });
});

describe('sealing', () => {
  it('flattens the surface and closes hair as far as low porosity, no further', () => {
    const open = naturalStrand(6, { porosity: 'high' });
    const closed = sealed(open);
    expect(closed.surface).toBeGreaterThan(open.surface);
    expect(closed.porosity).toBeLessThan(open.porosity);
    const low = naturalStrand(6, { porosity: 'low' });
    expect(sealed(low).porosity).toBe(POROSITY_OF.low);
  });

  it('takes nothing off what is not rinsed, and does nothing to it; a wash takes it off as a rinse does', () => {
    const coat = { mix: tonerMix('9-U') };
    const plan = (end: 'rinse' | 'seal' | 'wash') => ({
      start: pale,
      events: [
        { at: 0, do: 'apply' as const, coat },
        end === 'wash'
          ? { at: 10, do: 'wash' as const, how: 'gentle' as const, times: 1 }
          : { at: 10, do: end },
      ],
    });
    for (const end of ['rinse', 'wash'] as const) {
      expect(zoneAt(plan(end), 9).lying).not.toBeNull();
      expect(zoneAt(plan(end), 30).lying).toBeNull();
    }
    const unsealed = { start: pale, events: [{ at: 0, do: 'apply' as const, coat }] };
    expect(zoneAt(plan('seal'), 30)).toEqual(zoneAt(unsealed, 30));
    expect(load(zoneAt(plan('wash'), 30).strand)).toBeLessThan(load(zoneAt(plan('rinse'), 30).strand));
  });
});

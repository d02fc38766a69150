import fc from 'fast-check';
import { SHIPPED_CASES } from '../cases';
import { PLACE_IDS, AREAS } from '../hair';
import { clientCaseSchema } from './client-case';
import { caseFaults, withRegionsJoined, withAreaIn, withRegion, withZone } from './editing';

const kases = SHIPPED_CASES.map(({ clientCase }) => clientCase);

describe('a case in the form', () => {
  it('keeps its zones in order and its wishes on the head, whatever is put on and taken off', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kases),
        fc.array(fc.tuple(fc.constantFrom(...PLACE_IDS), fc.boolean()), { maxLength: 6 }),
        (clientCase, changes) => {
          const changed = changes.reduce((sofar, [zone, on]) => withZone(sofar, zone, on), clientCase);
          const parsed = clientCaseSchema.safeParse(changed);
          // A head may be left without a wish; that the form says. Nothing else may go wrong.
          const faults = parsed.success ? [] : parsed.error.issues.map(({ path }) => path.join('.'));
          expect(faults.filter((path) => path !== 'wish')).toEqual([]);
          expect(changed.head.zones.length).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('tells regions apart and joins them again, always with a head that holds together', () => {
    const change = fc.tuple(
      fc.constantFrom('apart', 'paint', 'join'),
      fc.constantFrom(...AREAS),
      fc.nat({ max: 5 }),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...kases),
        fc.array(change, { minLength: 1, maxLength: 8 }),
        (clientCase, changes) => {
          const changed = changes.reduce((sofar, [what, area, pick]) => {
            const { regions = [] } = sofar.head;
            if (what === 'apart') return withRegion(sofar, area);
            if (regions.length === 0) return sofar;
            const [to, from] = [regions[pick % regions.length], regions[(pick + 1) % regions.length]];
            return what === 'paint'
              ? withAreaIn(sofar, area, to.name)
              : withRegionsJoined(sofar, from.name, to.name);
          }, clientCase);
          const parsed = clientCaseSchema.safeParse(changed);
          const faults = parsed.success ? [] : parsed.error.issues.map(({ path }) => path.join('.'));
          expect(faults.filter((path) => path !== 'wish')).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('gives an area told apart the hair and the wish it had', () => {
    const apart = withRegion(kases[0], 'nape');
    const named = (at: string) => apart.head.zones.find(({ zone }) => zone === `${at}-mids`)!;
    expect({ ...named('nape'), zone: 'mids' }).toEqual({ ...named('rest'), zone: 'mids' });
    expect(apart.wish['nape-mids']).toEqual(kases[0].wish.mids);
    expect(withRegionsJoined(apart, 'nape', 'rest')).toMatchObject({
      head: { zones: kases[0].head.zones },
      wish: kases[0].wish,
    });
  });

  it('gives a new zone the natural level and the white of the hair it grows on', () => {
    const [first] = kases;
    const head = {
      ...first.head,
      zones: first.head.zones
        .filter(({ zone }) => zone === 'mids')
        .map((zone) => ({ ...zone, naturalLevel: 4.5, greyShare: 0.3 })),
    };
    const grown = withZone({ ...first, head }, 'regrowth', true);
    expect(grown.head.zones.map(({ zone }) => zone)).toEqual(['regrowth', 'mids']);
    expect(grown.head.zones[0]).toMatchObject({ naturalLevel: 4.5, greyShare: 0.3, history: [] });
  });

  it('names all that is wrong, each field of each place once', () => {
    const [first] = kases;
    expect(caseFaults(first)).toEqual([]);
    expect(caseFaults({ ...first, lineIds: [] })).toEqual(['lineIds']);
    const zones = first.head.zones.map((zone) => ({ ...zone, lengthCm: 0, greyShare: 2 }));
    const faults = caseFaults({ ...first, lineIds: [], head: { ...first.head, zones } });
    expect(faults).toHaveLength(1 + 2 * zones.length);
    expect(new Set(faults).size).toBe(faults.length);
  });
});

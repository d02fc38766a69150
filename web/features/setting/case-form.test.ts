import fc from 'fast-check';
import { SHIPPED_CASES } from '@cimbel/core/cases';
import { HEAD_ZONES, clientCaseSchema } from '@cimbel/core/card';
import { firstFault, withZone } from './case-form';

const kases = SHIPPED_CASES.map(({ clientCase }) => clientCase);

describe('a case in the form', () => {
  it('keeps its zones in order and its wishes on the head, whatever is put on and taken off', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kases),
        fc.array(fc.tuple(fc.constantFrom(...HEAD_ZONES), fc.boolean()), { maxLength: 6 }),
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

  it('names the first field that is wrong', () => {
    expect(firstFault(kases[0])).toBeNull();
    expect(firstFault({ ...kases[0], lineIds: [] })).toBe('lineIds');
  });
});

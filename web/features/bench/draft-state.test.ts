import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import fc from 'fast-check';
import { draftReducer, type DraftAction, type DraftState } from './draft-state';

const start: DraftState<RecordCard> = { past: [], present: EMPTY_CARD, future: [] };
const apply = (actions: DraftAction<RecordCard>[]) => actions.reduce(draftReducer<RecordCard>, start);

describe('an answer being written', () => {
  it('goes back and forth one change at a time; a new change drops what lay ahead', () => {
    const twice: DraftAction<RecordCard>[] = [
      { type: 'change', part: { visits: 2 } },
      { type: 'change', part: { visits: 3 } },
    ];
    expect(apply([...twice, { type: 'undo' }]).present.visits).toBe(2);
    expect(apply([...twice, { type: 'undo' }, { type: 'redo' }]).present.visits).toBe(3);
    const branched = apply([...twice, { type: 'undo' }, { type: 'change', part: { nextVisitWeeks: 6 } }]);
    expect(branched.future).toEqual([]);
    expect(branched.present).toMatchObject({ visits: 2, nextVisitWeeks: 6 });
  });

  it('does not count a change that changes nothing, nor going back from the start', () => {
    expect(apply([{ type: 'change', part: { visits: null } }]).past).toEqual([]);
    expect(apply([{ type: 'undo' }])).toBe(start);
  });

  it('undoing everything always leads back to the start', () => {
    const change = fc.record({
      type: fc.constant('change' as const),
      part: fc.record({ visits: fc.integer({ min: 1, max: 9 }) }),
    });
    fc.assert(
      fc.property(fc.array(change, { maxLength: 30 }), (changes) => {
        let state = apply(changes);
        while (state.past.length > 0) state = draftReducer(state, { type: 'undo' });
        expect(state.present).toEqual(EMPTY_CARD);
      }),
    );
  });
});

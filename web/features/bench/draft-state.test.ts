import { EMPTY_ANSWER, type Answer } from '@cimbel/core/grade';
import fc from 'fast-check';
import { draftReducer, type DraftAction, type DraftState } from './draft-state';

const start: DraftState<Answer> = { past: [], present: EMPTY_ANSWER, future: [] };
const apply = (actions: DraftAction<Answer>[]) => actions.reduce(draftReducer<Answer>, start);

describe('an answer being written', () => {
  it('goes back and forth one change at a time; a new change drops what lay ahead', () => {
    const twice: DraftAction<Answer>[] = [
      { type: 'change', part: { minutes: 30 } },
      { type: 'change', part: { minutes: 35 } },
    ];
    expect(apply([...twice, { type: 'undo' }]).present.minutes).toBe(30);
    expect(apply([...twice, { type: 'undo' }, { type: 'redo' }]).present.minutes).toBe(35);
    const branched = apply([...twice, { type: 'undo' }, { type: 'change', part: { ratio: 2 } }]);
    expect(branched.future).toEqual([]);
    expect(branched.present).toMatchObject({ minutes: 30, ratio: 2 });
  });

  it('does not count a change that changes nothing, nor going back from the start', () => {
    expect(apply([{ type: 'change', part: { minutes: null } }]).past).toEqual([]);
    expect(apply([{ type: 'undo' }])).toBe(start);
  });

  it('undoing everything always leads back to the start', () => {
    const change = fc.record({
      type: fc.constant('change' as const),
      part: fc.record({ minutes: fc.integer({ min: 1, max: 9 }) }),
    });
    fc.assert(
      fc.property(fc.array(change, { maxLength: 30 }), (changes) => {
        let state = apply(changes);
        while (state.past.length > 0) state = draftReducer(state, { type: 'undo' });
        expect(state.present).toEqual(EMPTY_ANSWER);
      }),
    );
  });
});

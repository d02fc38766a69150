/** An answer with its way back and forth. */
export interface DraftState<A> {
  past: A[];
  present: A;
  future: A[];
}
export type DraftAction<A> =
  { type: 'change'; part: Partial<A> } | { type: 'replace'; answer: A } | { type: 'undo' } | { type: 'redo' };

const STEPS_KEPT = 100;

export function draftReducer<A extends object>(state: DraftState<A>, action: DraftAction<A>): DraftState<A> {
  const { past, present, future } = state;
  switch (action.type) {
    case 'change': {
      const next = { ...present, ...action.part };
      if (JSON.stringify(next) === JSON.stringify(present)) return state;
      return { past: [...past, present].slice(-STEPS_KEPT), present: next, future: [] };
    }
    case 'replace':
      return { past: [], present: action.answer, future: [] };
    case 'undo':
      return past.length === 0
        ? state
        : { past: past.slice(0, -1), present: past[past.length - 1], future: [present, ...future] };
    case 'redo':
      return future.length === 0
        ? state
        : { past: [...past, present], present: future[0], future: future.slice(1) };
  }
}

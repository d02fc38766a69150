import type { Answer } from '@cimbel/core/grade';

/** An answer with its way back and forth. */
export interface DraftState {
  past: Answer[];
  present: Answer;
  future: Answer[];
}
export type DraftAction =
  | { type: 'change'; part: Partial<Answer> }
  | { type: 'replace'; answer: Answer }
  | { type: 'undo' }
  | { type: 'redo' };

const STEPS_KEPT = 100;

export function draftReducer(state: DraftState, action: DraftAction): DraftState {
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

import { useState } from 'react';

const MOST_STEPS = 100;

/** A state with its past: every change can be taken back and made again. */
export function useUndo<T>(start: () => T) {
  const [{ past, present, future }, set] = useState(() => ({
    past: [] as T[],
    present: start(),
    future: [] as T[],
  }));
  return {
    value: present,
    change: (next: T) =>
      set((was) => ({ past: [...was.past, was.present].slice(-MOST_STEPS), present: next, future: [] })),
    undo:
      past.length > 0
        ? () =>
            set((was) => ({
              past: was.past.slice(0, -1),
              present: was.past[was.past.length - 1],
              future: [was.present, ...was.future],
            }))
        : null,
    redo:
      future.length > 0
        ? () =>
            set((was) => ({
              past: [...was.past, was.present],
              present: was.future[0],
              future: was.future.slice(1),
            }))
        : null,
  };
}

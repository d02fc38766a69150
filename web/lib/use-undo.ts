import { useState } from 'react';

const MOST_STEPS = 100;

interface Past<T> {
  past: T[];
  present: T;
  future: T[];
  /** What the last change was of; null where the next is a step of its own. */
  of: string | null;
}

/**
 * A state with its past: every change can be taken back and made again. Changes of the same thing one after the other (the
 * letters of a word) are one step where the thing is named.
 */
export function useUndo<T>(start: () => T) {
  const [{ past, present, future }, set] = useState<Past<T>>(() => ({
    past: [],
    present: start(),
    future: [],
    of: null,
  }));
  return {
    value: present,
    change: (next: T | ((was: T) => T), of: string | null = null) =>
      set((was) => ({
        past: of !== null && of === was.of ? was.past : [...was.past, was.present].slice(-MOST_STEPS),
        present: typeof next === 'function' ? (next as (was: T) => T)(was.present) : next,
        future: [],
        of,
      })),
    undo:
      past.length > 0
        ? () =>
            set((was) => ({
              past: was.past.slice(0, -1),
              present: was.past[was.past.length - 1],
              future: [was.present, ...was.future],
              of: null,
            }))
        : null,
    redo:
      future.length > 0
        ? () =>
            set((was) => ({
              past: [...was.past, was.present],
              present: was.future[0],
              future: was.future.slice(1),
              of: null,
            }))
        : null,
  };
}

import { useEffect, useLayoutEffect, useRef } from 'react';
import { keep, readKept } from './storage';

const WRITING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
/** Letters mean nothing in a field for figures, so there they may stay shortcuts. */
const TAKES_FIGURES = 'figures';
const isWriting = (target: EventTarget | null, key: string) =>
  target instanceof HTMLElement &&
  (WRITING.has(target.tagName) || target.isContentEditable) &&
  !(target.dataset.takes === TAKES_FIGURES && /^\p{L}$/u.test(key));

/** Enter, Escape and arrows are no single characters, and stay. */
const isNamed = (key: string) => key.length > 1;

const PLACE = 'cimbel.single-keys';
/** Whether single keys act at all: who speaks to the device, or strikes keys unmeant, switches them off. */
export const singleKeysAct = (): boolean => readKept<boolean>(PLACE) ?? true;
export const letSingleKeysAct = (act: boolean): void => keep(PLACE, act);

/** Single keys, outside of fields; `mod+` stands for Ctrl or Command and works in fields too. */
export function useShortcuts(shortcuts: Record<string, () => void>): void {
  const current = useRef(shortcuts);
  // With the screen, not after it: a key pressed at once must not act for what was there before.
  useLayoutEffect(() => {
    current.current = shortcuts;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const mod = event.ctrlKey || event.metaKey;
      if (event.altKey || document.querySelector('[role="dialog"]')) return;
      const name = `${mod ? 'mod+' : ''}${event.shiftKey && mod ? 'shift+' : ''}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`;
      const act = current.current[name];
      if (!act || (!mod && (isWriting(event.target, event.key) || !(singleKeysAct() || isNamed(event.key)))))
        return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

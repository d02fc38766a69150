import { useEffect, useLayoutEffect, useRef } from 'react';

const WRITING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
/** Letters mean nothing in a field for figures, so there they may stay shortcuts. */
const TAKES_FIGURES = 'figures';
const isWriting = (target: EventTarget | null, key: string) =>
  target instanceof HTMLElement &&
  (WRITING.has(target.tagName) || target.isContentEditable) &&
  !(target.dataset.takes === TAKES_FIGURES && /^\p{L}$/u.test(key));

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
      if (!act || (!mod && isWriting(event.target, event.key))) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

import { useEffect, useRef } from 'react';

const WRITING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
const isWriting = (target: EventTarget | null) =>
  target instanceof HTMLElement && (WRITING.has(target.tagName) || target.isContentEditable);

/** Single keys, outside of fields; `mod+` stands for Ctrl or Command and works in fields too. */
export function useShortcuts(shortcuts: Record<string, () => void>): void {
  const current = useRef(shortcuts);
  useEffect(() => {
    current.current = shortcuts;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const mod = event.ctrlKey || event.metaKey;
      if (event.altKey || document.querySelector('[role="dialog"]')) return;
      const name = `${mod ? 'mod+' : ''}${event.shiftKey && mod ? 'shift+' : ''}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`;
      const act = current.current[name];
      if (!act || (!mod && isWriting(event.target))) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

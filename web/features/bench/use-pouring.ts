import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { STILL, isStill, pourOn, type Pouring } from './pour';

/**
 * What runs while something is held, by the pointer or the space bar, and drips a moment longer. With `onStill` what has
 * run is handed over once nothing moves any more, and the count begins anew.
 */
export function usePouring(onStill?: (grams: number) => void) {
  const [state, setState] = useState<Pouring>(STILL);
  const held = useRef(false);
  const current = useRef<Pouring>(STILL);
  const hand = useRef(onStill);
  useLayoutEffect(() => {
    hand.current = onStill;
  });
  useEffect(() => {
    let last = performance.now();
    let frame = 0;
    const tick = (now: number) => {
      // A tab that was away must not come back to an overflowing bowl.
      const seconds = Math.min(0.1, (now - last) / 1000);
      last = now;
      if (held.current || !isStill(current.current)) {
        current.current = pourOn(current.current, held.current, seconds);
        if (hand.current && isStill(current.current)) {
          hand.current(current.current.grams);
          current.current = STILL;
        }
        setState(current.current);
      }
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    const stop = () => (held.current = false);
    window.addEventListener('blur', stop);
    window.addEventListener('pointerup', stop);
    return () => {
      cancelAnimationFrame(frame);
      window.removeEventListener('blur', stop);
      window.removeEventListener('pointerup', stop);
    };
  }, []);
  const hold = (on: boolean) => (held.current = on);
  return {
    grams: state.grams,
    still: isStill(state),
    /** Takes what has run so far off the count. */
    reset: () => {
      current.current = STILL;
      setState(STILL);
    },
    /** For the button that is held; `begin` is called as it is taken hold of. */
    handlers: (begin: () => void = () => undefined) => {
      const take = () => {
        begin();
        hold(true);
      };
      return {
        onPointerDown: take,
        onPointerUp: () => hold(false),
        onPointerCancel: () => hold(false),
        onContextMenu: (event: { preventDefault: () => void }) => event.preventDefault(),
        onKeyDown: (event: { key: string; repeat: boolean; preventDefault: () => void }) => {
          if (event.key === ' ' && !event.repeat) take();
          if (event.key === ' ') event.preventDefault();
        },
        onKeyUp: (event: { key: string }) => {
          if (event.key === ' ') hold(false);
        },
        onBlur: () => hold(false),
      };
    },
  };
}

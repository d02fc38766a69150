import { useCallback, useEffect, useRef, type KeyboardEvent } from 'react';

const CELLS = 'button:not(:disabled)';
const STEPS: Partial<Record<string, readonly [number, number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};

const middle = (cell: Element) => {
  const { left, top, width, height } = cell.getBoundingClientRect();
  return { x: left + width / 2, y: top + height / 2 };
};

/** The nearest cell that way on the screen: along it counts once, aside of it much more. */
export function cellThatWay(
  from: { x: number; y: number },
  cells: readonly { x: number; y: number }[],
  [dx, dy]: readonly [number, number],
): number {
  let best = -1;
  let least = Infinity;
  cells.forEach(({ x, y }, i) => {
    const [along, aside] =
      dx !== 0 ? [(x - from.x) * dx, Math.abs(y - from.y)] : [(y - from.y) * dy, Math.abs(x - from.x)];
    if (along <= 1) return;
    const far = along + 8 * aside;
    if (far < least) [best, least] = [i, far];
  });
  return best;
}

/**
 * A chart of buttons as one stop of the Tab key: arrows move through it as it lies on the screen, Home and End to its first
 * and last.
 */
export function useGridKeys<E extends HTMLElement>() {
  const grid = useRef<E>(null);
  const cells = () => [...(grid.current?.querySelectorAll<HTMLElement>(CELLS) ?? [])];
  const stopAt = useCallback((cell: HTMLElement | undefined) => {
    for (const hTMLElement of cells()) hTMLElement.tabIndex = hTMLElement === cell ? 0 : -1;
  }, []);
  // What is drawn anew has one stop again: what was focused, else what is chosen, else the first.
  useEffect(() => {
    const all = cells();
    const now = all.find(
      (cell) =>
        cell === document.activeElement ||
        (cell.tabIndex === 0 && all.some((hTMLElement) => hTMLElement.tabIndex === -1)),
    );
    stopAt(now ?? all.find((cell) => cell.ariaPressed === 'true') ?? all[0]);
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const all = cells();
    const from = all.find((cell) => cell === event.target);
    const step = STEPS[event.key];
    const to =
      event.key === 'Home'
        ? all[0]
        : event.key === 'End'
          ? all[all.length - 1]
          : from && step
            ? all[cellThatWay(middle(from), all.map(middle), step)]
            : undefined;
    if (!to) return;
    event.preventDefault();
    stopAt(to);
    to.focus();
  };
  return {
    ref: grid,
    onKeyDown,
    onFocus: (event: { target: EventTarget }) => stopAt(event.target as HTMLElement),
  };
}

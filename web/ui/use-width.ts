import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** How wide an element is on screen, CSS pixels, and goes on being; 0 before it is there. */
export function useWidth<E extends Element>(): [RefObject<E | null>, number] {
  const element = useRef<E>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(([{ contentRect }]) => setWidth(contentRect.width));
    observer.observe(element.current!);
    return () => observer.disconnect();
  }, []);
  return [element, width];
}

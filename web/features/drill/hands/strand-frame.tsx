import { useEffect, useRef, type PointerEvent, type ReactNode } from 'react';

/** The drawing, in its own units. */
export const WIDTH = 200;
export const HEIGHT = 372;

/** The drawing a strand is handled in, and below it what the hand is told. A hand that has taken hold may leave the drawing. */
export function StrandFrame({
  closed,
  onHold,
  onMove,
  onLetGo,
  said,
  buttons,
  children,
}: {
  closed: boolean;
  /** Where the pointer is, in units of the drawing from its top. */
  onHold: (y: number) => void;
  onMove: (y: number) => void;
  onLetGo: () => void;
  said: string;
  buttons: ReactNode;
  children: ReactNode;
}) {
  const holding = useRef(false);
  const yOf = (event: PointerEvent<SVGSVGElement>) => {
    const { top, height } = event.currentTarget.getBoundingClientRect();
    return ((event.clientY - top) / height) * HEIGHT;
  };
  const letGo = () => {
    holding.current = false;
    onLetGo();
  };
  // Behind another window the release would go unseen.
  useEffect(() => {
    window.addEventListener('blur', letGo);
    return () => window.removeEventListener('blur', letGo);
  });
  return (
    <div className="flex flex-col items-center gap-2 pb-2">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="wide:h-[31rem] h-64 w-auto max-w-full touch-none"
        onPointerDown={(event) => {
          if (closed) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          holding.current = true;
          onHold(yOf(event));
        }}
        onPointerMove={(event) => holding.current && onMove(yOf(event))}
        onPointerUp={letGo}
        onPointerCancel={letGo}
      >
        {children}
      </svg>
      <p role="status" className="min-h-6 text-center text-sm">
        {said}
      </p>
      <div className="flex gap-2">{buttons}</div>
    </div>
  );
}

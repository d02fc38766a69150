import type { DrawnStretch } from '@cimbel/core/hair';
import { useDrag } from '@use-gesture/react';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import '../../lib/words/bench';

const STEP_CM = 0.5;
const LEAST_CM = 0.5;
const halves = (cm: number) => Math.round(cm / STEP_CM) * STEP_CM;

/** Lengths of two zones with the border between them moved by so many centimetres, towards the ends where it is more. */
export function withBorder(above: number, below: number, byCm: number): [above: number, below: number] {
  const both = above + below;
  const next = Math.min(both - LEAST_CM, Math.max(LEAST_CM, halves(above + byCm)));
  return [next, both - next];
}

/** A border between two zones of the drawn strand: dragged, or moved by the arrow keys, half a centimetre at a time. */
function Border({
  above,
  below,
  height,
  onMove,
}: {
  above: DrawnStretch;
  below: DrawnStretch;
  /** Of the drawn strand, CSS pixels. */
  height: number;
  onMove: (lengths: [above: number, below: number]) => void;
}) {
  const { t } = useTranslation();
  const from = useRef<[number, number] | null>(null);
  // A short zone is drawn longer than it is: the pixels of both zones together are their centimetres together.
  const cmOfPx = (above.lengthCm + below.lengthCm) / ((below.to - above.from) * height);
  const bind = useDrag(
    ({ first, last, movement: [, y] }) => {
      if (first) from.current = [above.lengthCm, below.lengthCm];
      if (from.current) onMove(withBorder(...from.current, y * cmOfPx));
      if (last) from.current = null;
    },
    { filterTaps: true, pointer: { touch: true } },
  );
  return (
    <div
      {...bind()}
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={t('head.border', { above: above.zone, below: below.zone })}
      aria-valuemin={LEAST_CM}
      aria-valuemax={above.lengthCm + below.lengthCm - LEAST_CM}
      aria-valuenow={above.lengthCm}
      aria-valuetext={t('head.borderAt', { cm: above.lengthCm })}
      className="absolute inset-x-0 flex h-4 -translate-y-1/2 cursor-ns-resize touch-none items-center"
      style={{ top: above.to * height }}
      onKeyDown={(event) => {
        const by = { ArrowDown: STEP_CM, ArrowUp: -STEP_CM, PageDown: 2, PageUp: -2 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onMove(withBorder(above.lengthCm, below.lengthCm, by));
      }}
    >
      <span aria-hidden className="bg-on-surround h-0.5 w-full shadow-[0_0_0_1px_rgb(255_255_255/0.7)]" />
    </div>
  );
}

/** The borders of a drawn strand, for the educator who makes the head: what one zone loses the next one gets. */
export function ZoneBorders({
  zones,
  height,
  onLengths,
}: {
  zones: readonly DrawnStretch[];
  height: number;
  onLengths: (lengths: Partial<Record<DrawnStretch['zone'], number>>) => void;
}) {
  return zones
    .slice(1)
    .map((below, i) => (
      <Border
        key={below.zone}
        above={zones[i]}
        below={below}
        height={height}
        onMove={([value, other]) => onLengths({ [zones[i].zone]: value, [below.zone]: other })}
      />
    ));
}

import type { PlaceId } from '@cimbel/core/hair';
import type { Application } from '@cimbel/core/card';
import { useDrag } from '@use-gesture/react';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { axisMinutes, barsOf, moved, type Bar } from './schedule';
import '../../lib/words/craft';
import '../../lib/words/bench';

const ROW = 46;
const EDGE_PX = 14;

/** Minutes run the way the page is read: to the left where it is read from the right. */
const onward = (element: Element) => (getComputedStyle(element).direction === 'rtl' ? -1 : 1);

/** A step on a zone: dragged to start elsewhere, its end dragged to lie longer; arrow keys do both. */
function StepBar({
  bar,
  row,
  axis,
  chosen,
  name,
  onChoose,
  onMove,
}: {
  bar: Bar;
  row: number;
  axis: number;
  chosen: boolean;
  name: string;
  onChoose: () => void;
  onMove: (application: Application) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { step } = bar;
  const from = useRef<{ step: Application; stretches: boolean } | null>(null);
  const bind = useDrag(
    ({ first, last, event, movement: [x], currentTarget }) => {
      const element = currentTarget as HTMLElement;
      const width = element.parentElement!.clientWidth;
      if (first) {
        const { left, right } = element.getBoundingClientRect();
        const at = (event as PointerEvent).clientX;
        const toEnd = onward(element) === 1 ? right - at : at - left;
        from.current = { step, stretches: toEnd < EDGE_PX };
        onChoose();
      }
      if (!from.current) return;
      const by = onward(element) * Math.round((x / width) * axis);
      onMove(moved(from.current.step, from.current.stretches ? { minutes: by } : { start: by }));
      if (last) from.current = null;
    },
    { filterTaps: true, pointer: { touch: true } },
  );
  const onKey = (event: React.KeyboardEvent) => {
    const arrow = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (arrow === undefined) return;
    event.preventDefault();
    const by = arrow * onward(event.currentTarget);
    const minutes = event.ctrlKey ? 5 * by : by;
    onMove(moved(step, event.shiftKey ? { minutes } : { start: minutes }));
  };
  return (
    <button
      type="button"
      {...bind()}
      onClick={onChoose}
      onKeyDown={onKey}
      aria-pressed={chosen}
      aria-label={t('bench.bar', {
        bowl: step.bowl,
        zone: bar.zone,
        start: step.start,
        end: step.start + step.minutes,
      })}
      className="border-ink bg-raised text-ink aria-pressed:bg-accent aria-pressed:text-on-accent absolute flex touch-none items-center overflow-hidden rounded-sm border-2 px-1.5 text-sm font-semibold whitespace-nowrap"
      style={{
        insetInlineStart: `${(step.start / axis) * 100}%`,
        width: `${(step.minutes / axis) * 100}%`,
        top: row * ROW + 6,
        height: ROW - 12,
      }}
    >
      {name}
      <span
        aria-hidden
        className="border-strong-line absolute inset-y-1 end-1 w-1.5 cursor-ew-resize border-x-2"
      />
    </button>
  );
}

/** The service from first to last minute, a row for each zone from the root down. */
export function Timeline({
  zones,
  steps,
  chosen,
  minute,
  onChoose,
  onMove,
}: {
  zones: readonly PlaceId[];
  steps: readonly Application[];
  chosen: number | null;
  /** Where the clock stands; null while it has not been started. */
  minute: number | null;
  onChoose: (index: number) => void;
  onMove: (index: number, application: Application) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const axis = axisMinutes(steps);
  const tick = axis > 120 ? 30 : 10;
  const ticks = Array.from({ length: Math.floor(axis / tick) + 1 }, (_, i) => i * tick);
  return (
    <div
      className="border-line bg-sheet grid grid-cols-[7rem_minmax(0,1fr)] rounded-sm border p-3"
      role="group"
      aria-label={t('bench.timeline')}
    >
      <div>
        {zones.map((zone) => (
          <div
            key={zone}
            className="flex items-center text-sm font-semibold first-letter:uppercase"
            style={{ height: ROW }}
          >
            {placeWord(t, zone)}
          </div>
        ))}
      </div>
      <div className="relative" style={{ height: zones.length * ROW + 22 }}>
        {ticks.map((at) => (
          <div
            key={at}
            aria-hidden
            className="border-line absolute top-0 border-s"
            style={{ insetInlineStart: `${(at / axis) * 100}%`, height: zones.length * ROW }}
          >
            <span className="text-quiet absolute -bottom-5 -translate-x-1/2 text-xs rtl:translate-x-1/2">
              {at}
            </span>
          </div>
        ))}
        {zones.map((zone, row) => (
          <div
            key={zone}
            aria-hidden
            className="border-line absolute inset-x-0 border-b"
            style={{ top: (row + 1) * ROW }}
          />
        ))}
        {barsOf(zones, steps).map((bar) => (
          <StepBar
            key={`${bar.zone} ${bar.index}`}
            bar={bar}
            row={zones.indexOf(bar.zone)}
            axis={axis}
            chosen={chosen === bar.index}
            name={t('bench.barName', { bowl: bar.step.bowl, minutes: bar.step.minutes })}
            onChoose={() => onChoose(bar.index)}
            onMove={(application) => onMove(bar.index, application)}
          />
        ))}
        {minute === null ? null : (
          <div
            aria-hidden
            className="bg-ink absolute top-0 w-0.5"
            style={{
              insetInlineStart: `${(Math.min(minute, axis) / axis) * 100}%`,
              height: zones.length * ROW,
            }}
          />
        )}
      </div>
    </div>
  );
}

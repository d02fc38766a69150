import { useRef, type PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { HairPicture, type PictureSource } from '../../ui/hair-picture';
import '../../lib/words/reading';

const clamp = (at: number) => Math.min(1, Math.max(0, Math.round(at * 100) / 100));
const BY_KEY: Record<string, number> = { ArrowUp: -0.01, ArrowDown: 0.01, PageUp: -0.05, PageDown: 0.05 };

/** A lock with lines across it to be moved along its length: by pointer, or with the arrow keys. */
export function MarkForm({
  hair,
  size,
  label,
  names,
  at,
  truth,
  brushed = false,
  onChange,
}: {
  hair: PictureSource;
  size: { width: number; height: number };
  label: string;
  names: readonly string[];
  at: readonly number[];
  /** Where the lines belong, once that may be seen; the marks then stay where they are. */
  truth: readonly number[] | null;
  /** Product lies from the root down to the line, as the brush has laid it. */
  brushed?: boolean;
  onChange: (at: number[]) => void;
}) {
  const { t } = useTranslation();
  const box = useRef<HTMLDivElement>(null);
  const held = useRef<number | null>(null);
  const put = (which: number, place: number) =>
    onChange(at.map((other, i) => (i === which ? clamp(place) : other)));
  const placeOf = ({ clientY }: PointerEvent) => {
    const { top, height } = box.current!.getBoundingClientRect();
    return (clientY - top) / height;
  };
  const down = (event: PointerEvent) => {
    if (truth) return;
    const place = placeOf(event);
    held.current = at.reduce(
      (best, other, i) => (Math.abs(other - place) < Math.abs(at[best] - place) ? i : best),
      0,
    );
    event.currentTarget.setPointerCapture(event.pointerId);
    put(held.current, place);
  };
  return (
    <div
      ref={box}
      className="relative touch-none"
      onPointerDown={down}
      onPointerMove={(event) => held.current !== null && put(held.current, placeOf(event))}
      onPointerUp={() => (held.current = null)}
      onPointerCancel={() => (held.current = null)}
    >
      <HairPicture hair={hair} {...size} label={label} />
      {brushed ? (
        <div
          aria-hidden
          style={{ height: `${at[0] * 100}%` }}
          className="pointer-events-none absolute inset-x-[18%] top-0 rounded-b-xl bg-[#e8e8e8]/80"
        />
      ) : null}
      {at.map((place, i) => (
        <div
          key={names[i]}
          role="slider"
          tabIndex={truth ? -1 : 0}
          aria-label={names[i]}
          aria-orientation="vertical"
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(place * 100)}
          aria-valuetext={t('reading.markAt', { share: place })}
          aria-disabled={truth !== null}
          onKeyDown={(event) => {
            const by = BY_KEY[event.key];
            if (by === undefined || truth) return;
            event.preventDefault();
            put(i, place + by);
          }}
          style={{ top: `${place * 100}%` }}
          className="group absolute -inset-x-4 -mt-3 flex h-6 cursor-ns-resize items-center outline-offset-0"
        >
          <span className="bg-on-surround h-0.5 flex-1 shadow-[0_0_0_1px_rgb(255_255_255/0.7)]" />
          <span className="bg-on-surround absolute start-full rounded-sm px-1.5 text-xs font-semibold whitespace-nowrap text-white">
            {names[i]}
          </span>
        </div>
      ))}
      {truth?.map((place, i) => (
        <div
          key={names[i]}
          style={{ top: `${place * 100}%` }}
          className="pointer-events-none absolute -inset-x-4 -mt-3 flex h-6 items-center"
        >
          <span className="absolute end-full rounded-sm bg-white px-1.5 text-xs font-semibold whitespace-nowrap text-black">
            {t('reading.here')}
          </span>
          <span className="h-0 flex-1 border-t-2 border-dashed border-white" />
        </div>
      ))}
    </div>
  );
}

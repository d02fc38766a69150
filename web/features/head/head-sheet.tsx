import { AREAS, type Area } from '@cimbel/core/hair';
import type { HeadLook } from '@cimbel/core/draw';
import { useId } from 'react';
import { useTranslation } from 'react-i18next';
import { DrawnHair } from '../../ui/drawn-hair';
import { useWidth } from '../../ui/use-width';
import { DRAWN, VIEWS, VIEW_SIZE, pathOf } from './sheet-views';
import '../../lib/words/craft';

const BOX = `0 0 ${VIEW_SIZE.width} ${VIEW_SIZE.height}`;
/** Widest that a view is shown, and in what steps it is drawn anew as it grows, CSS pixels. */
const WIDEST = 160;
const WIDER = 20;

/**
 * The head in four drawings, each area with its own hair: its colour, its white, how dense it grows. Areas can be chosen
 * by pressing; the page that uses it gives a list of them beside it for keyboards and screen readers.
 */
export function HeadSheet({
  look,
  label,
  chosen = [],
  order = [],
  onArea,
  className = '',
}: {
  look: HeadLook;
  label: string;
  /** Areas with a heavy edge. */
  chosen?: readonly Area[];
  /** Areas numbered in the order they are worked; one may come twice. */
  order?: readonly Area[];
  onArea?: (area: Area) => void;
  className?: string;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const id = useId();
  const [figure, figureWidth] = useWidth<HTMLElement>();
  const width = Math.min(WIDEST, WIDER * Math.ceil(figureWidth / WIDER));
  const numberOf = (area: Area) => order.flatMap((one, i) => (one === area ? [i + 1] : [])).join('·');
  return (
    <div
      role="img"
      aria-label={label}
      // Left and right are the head's, whichever way the page is read.
      dir="ltr"
      className={`bg-surround text-on-surround grid grid-cols-2 gap-1 sm:grid-cols-4 rounded-sm p-1.5 ${className}`}
    >
      {VIEWS.map((view) => {
        const { skin, hair, areas, numbers, partings } = DRAWN[view];
        const there = AREAS.filter((area) => areas[area]);
        return (
          <figure
            key={view}
            ref={view === VIEWS[0] ? figure : undefined}
            className="flex min-w-0 flex-col items-center"
          >
            <div className="relative w-full max-w-40">
              <svg viewBox={BOX} className="block h-auto w-full">
                {skin.map((d) => (
                  <path key={d} d={d} fill="#a3a3a3" stroke="#4a4a4a" strokeWidth={1} />
                ))}
                <path d={hair} fill="#8f8f8f" />
              </svg>
              {width > 0 ? (
                <DrawnHair
                  drawing={{
                    kind: 'head',
                    view,
                    look: Object.fromEntries(there.map((area) => [area, look[area]])),
                  }}
                  width={width}
                  height={(width * VIEW_SIZE.height) / VIEW_SIZE.width}
                  label=""
                  className="absolute inset-0 size-full"
                />
              ) : null}
              <svg viewBox={BOX} className="absolute inset-0 size-full">
                <clipPath id={`${id}${view}`}>
                  <path d={hair} />
                </clipPath>
                <g clipPath={`url(#${id}${view})`}>
                  {partings.map((d) => (
                    <path
                      key={d}
                      d={d}
                      fill="none"
                      stroke="#f2f2f2"
                      strokeWidth={0.8}
                      strokeDasharray="3 3"
                    />
                  ))}
                  {there.map((area) => (
                    <path
                      key={area}
                      d={pathOf(areas[area]!)}
                      fill="transparent"
                      stroke={chosen.includes(area) ? '#ffffff' : '#1a1a1a'}
                      strokeWidth={chosen.includes(area) ? 2.6 : 0.7}
                      strokeOpacity={chosen.includes(area) ? 1 : 0.55}
                      className={onArea ? 'cursor-pointer hover:fill-white/20' : ''}
                      onClick={onArea ? () => onArea(area) : undefined}
                    >
                      <title>{t(`craft:area.${area}`)}</title>
                    </path>
                  ))}
                </g>
                {there.map((area) => {
                  const middle = numbers[area];
                  const number = numberOf(area);
                  return middle && number !== '' ? (
                    <g key={area} aria-hidden className="pointer-events-none">
                      <rect
                        x={middle[0] - 3.5 * number.length - 3}
                        y={middle[1] - 8}
                        width={7 * number.length + 6}
                        height={16}
                        rx={3}
                        fill="#f2f2f2"
                        stroke="#1a1a1a"
                      />
                      <text
                        x={middle[0]}
                        y={middle[1] + 4.5}
                        textAnchor="middle"
                        fontSize={12}
                        fontWeight={700}
                        fill="#0d0d0d"
                      >
                        {number}
                      </text>
                    </g>
                  ) : null;
                })}
              </svg>
            </div>
            <figcaption className="text-xs">{t(`craft:view.${view}`)}</figcaption>
          </figure>
        );
      })}
    </div>
  );
}

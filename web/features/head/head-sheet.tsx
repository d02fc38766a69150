import { seededRandom } from '@cimbel/core';
import { type Lab } from '@cimbel/core/colour';
import { AREAS, type Area, type Density } from '@cimbel/core/hair';
import type { HairForm } from '@cimbel/core/tress';
import { memo, useId } from 'react';
import { useTranslation } from 'react-i18next';
import { cssOf } from '../../lib/css-colour';
import { DRAWN, VIEWS, VIEW_SIZE, hairsOf, pathOf, type View } from './sheet-views';
import '../../lib/words/craft';

/** Hair of an area as it is drawn on the sheet: in its own form. */
export interface AreaPaint {
  colour: Lab;
  /** Fraction 0–1 of white or woven strands among the others, and their colour. */
  grey: { share: number; colour: Lab };
  density: Density;
  form: HairForm;
}

/** Fraction of the hairs that are drawn, so that thin hair lets the scalp through. */
const DRAWN_OF: Record<Density, number> = { sparse: 0.45, medium: 0.8, dense: 1 };
/** How far a hair is drawn from the colour of its area, L*. */
const SHADES = [-7, 0, 7] as const;
const SCALP: Lab = { l: 62, a: 0, b: 0 };

const shaded = ({ l, a, b }: Lab, by: number): Lab => ({ l: Math.min(96, Math.max(3, l + by)), a, b });

/** Hundreds of hairs: drawn anew only when their area looks otherwise, not with every key that is pressed beside them. */
const AreaDrawing = memo(
  function AreaDrawing({
    view,
    area,
    paint: { colour, grey, density, form },
  }: {
    view: View;
    area: Area;
    paint: AreaPaint;
  }) {
    const hairs = hairsOf(view, area, form, seededRandom);
    const shown = hairs.slice(0, Math.round(hairs.length * DRAWN_OF[density]));
    const of = (isGrey: boolean, by: number) =>
      shown
        .filter(
          ({ rank, shade }) =>
            rank < grey.share === isGrey && SHADES[Math.min(2, Math.floor((shade + 1) * 1.5))] === by,
        )
        .map(({ path }) => path)
        .join('');
    return (
      <>
        <path
          d={pathOf(DRAWN[view].areas[area]!)}
          fill={cssOf(shaded(colour, -4))}
          fillOpacity={DRAWN_OF[density]}
        />
        {SHADES.map((by) => (
          <path
            key={by}
            d={of(false, by)}
            fill="none"
            stroke={cssOf(shaded(colour, by))}
            strokeWidth={0.9}
            strokeLinecap="round"
          />
        ))}
        {grey.share > 0
          ? SHADES.map((by) => (
              <path
                key={`grey ${by}`}
                d={of(true, by)}
                fill="none"
                stroke={cssOf(shaded(grey.colour, by))}
                strokeWidth={0.9}
                strokeLinecap="round"
              />
            ))
          : null}
      </>
    );
  },
  (before, after) => JSON.stringify(before) === JSON.stringify(after),
);

/**
 * The head in four drawings, each area with its own hair: its colour, its white, how dense it grows. Areas can be chosen
 * by pressing; whoever uses it gives a list of them beside it for keyboards and screen readers.
 */
export function HeadSheet({
  paintOf,
  label,
  chosen = [],
  order = [],
  onArea,
  className = '',
}: {
  paintOf: (area: Area) => AreaPaint;
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
  const numberOf = (area: Area) => order.flatMap((one, i) => (one === area ? [i + 1] : [])).join('·');
  return (
    <div
      role="img"
      aria-label={label}
      // Left and right are the head's, whichever way the page is read.
      dir="ltr"
      className={`bg-surround text-on-surround grid grid-cols-4 gap-1 rounded-sm p-1.5 ${className}`}
    >
      {VIEWS.map((view) => {
        const { skin, hair, areas, numbers, partings } = DRAWN[view];
        const there = AREAS.filter((area) => areas[area]);
        return (
          <figure key={view} className="flex min-w-0 flex-col items-center">
            <svg viewBox={`0 0 ${VIEW_SIZE.width} ${VIEW_SIZE.height}`} className="h-auto w-full max-w-40">
              <clipPath id={`${id}${view}`}>
                <path d={hair} />
              </clipPath>
              {skin.map((d) => (
                <path key={d} d={d} fill="#a3a3a3" stroke="#4a4a4a" strokeWidth={1} />
              ))}
              <g clipPath={`url(#${id}${view})`}>
                <path d={hair} fill={cssOf(SCALP)} />
                {there.map((area) => (
                  <AreaDrawing key={area} view={view} area={area} paint={paintOf(area)} />
                ))}
                {partings.map((d) => (
                  <path key={d} d={d} fill="none" stroke="#f2f2f2" strokeWidth={0.8} strokeDasharray="3 3" />
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
              <path d={hair} fill="none" stroke="#1a1a1a" strokeWidth={1.2} />
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
            <figcaption className="text-xs">{t(`craft:view.${view}`)}</figcaption>
          </figure>
        );
      })}
    </div>
  );
}

import { placeParts, type PlaceId, type DrawnStretch } from '@cimbel/core/hair';
import type { Looks, VisibleRegion } from '@cimbel/core/exercise';
import type { AreaStrand } from '@cimbel/core/simulate';
import { HAIR_SIZES } from '@cimbel/contract/hair-pictures';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { capital, figure } from '../../lib/i18n';
import { HungHair } from '../hair/hung-hair';
import { Tress } from '../../ui/tress';
import { useIsWide } from '../../ui/use-is-wide';
import { HeadSheet } from '../head/head-sheet';
import { headLook } from '../head/places';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Zones marked in the margin like a ruler: a bracket from where each begins to where it ends. */
export function ZoneRuler({
  zones,
  height,
  active,
}: {
  zones: readonly DrawnStretch[];
  height: number;
  active?: PlaceId | null;
}) {
  const { t } = useTranslation(['craft', 'ui']);
  return (
    <svg aria-hidden width={84} height={height} className="shrink-0">
      {zones.map(({ zone, from, to, lengthCm }) => {
        const [y, end] = [from * height + 1, to * height - 1];
        return (
          <g key={zone}>
            <path
              d={`M84 ${y} H76 V${end} H84`}
              fill="none"
              stroke="#0d0d0d"
              strokeWidth={active === zone ? 4 : 1.5}
            />
            {/* As wide as the margin, so that a long name takes two lines. */}
            <foreignObject x={0} y={(y + end) / 2 - 24} width={72} height={52}>
              <p
                dir="auto"
                className="text-on-surround flex h-full flex-col justify-center text-end text-xs leading-tight font-bold break-words hyphens-auto"
              >
                {t(`headZone.${placeParts(zone).zone}`)}
                <span className="text-[11px] font-normal">
                  {t('ui:measured.cm', { value: figure(lengthCm) })}
                </span>
              </p>
            </foreignObject>
          </g>
        );
      })}
    </svg>
  );
}

/**
 * The head as one long tress, in view through the whole service: as it is now or as the clock has it, and beside it the
 * wish. Zones stand in the margin. Where the hair is not alike all over, the head sheet below it says of which region the
 * tress is, and another is chosen there.
 */
export function HeadStrand({
  regions,
  at,
  onRegion,
  looks,
  areas,
  active = null,
  nowLabel,
  caption,
  onStrand,
}: {
  regions: readonly VisibleRegion[];
  /** Which region hangs there, by its number. */
  at: number;
  onRegion: (at: number) => void;
  looks: Looks;
  /** Strands of areas that are worked otherwise than their region. */
  areas?: readonly AreaStrand[];
  active?: PlaceId | null;
  nowLabel: string;
  caption: string;
  /** What is laid over the drawn strand, where it can be worked on: its zones and its height in CSS pixels. */
  onStrand?: (zones: readonly DrawnStretch[], height: number) => ReactNode;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const wide = useIsWide();
  const several = regions.length > 1;
  const sizeName = !wide ? 'phone' : several ? 'region' : 'strand';
  const size = HAIR_SIZES[sizeName];
  const wish = wide ? { width: 92, height: Math.round(size.height * 0.72) } : { width: 46, height: 180 };
  const region = regions[at] ?? regions[0];
  const name = region.name === null ? null : capital(t(`craft:region.${region.name}`));
  return (
    <aside
      aria-label={t('bench.strand')}
      className="bg-surround text-on-surround sticky top-0 flex h-fit max-h-dvh min-h-[calc(100dvh-6rem)] sm:top-[3.1rem] sm:max-h-[calc(100dvh-3.1rem)] sm:min-h-[calc(100dvh-3.1rem)] flex-col gap-2 overflow-y-auto pt-3"
    >
      {several ? (
        <div
          role="group"
          aria-label={t('head.regions')}
          className="flex flex-wrap justify-center gap-1 px-2 max-wide:flex-col max-wide:px-1"
        >
          {regions.map(({ name: regionName }, i) => (
            <button
              key={regionName}
              type="button"
              aria-pressed={i === at}
              className="border-on-surround aria-pressed:bg-on-surround aria-pressed:text-surround min-h-9 rounded-sm border px-2 text-sm font-semibold max-wide:min-h-11 max-wide:px-0.5 max-wide:text-xs"
              onClick={() => onRegion(i)}
            >
              {capital(t(`craft:region.${regionName}`))}
            </button>
          ))}
        </div>
      ) : null}
      <div className="flex justify-center gap-2 wide:px-2 max-wide:flex-col max-wide:items-center">
        <figure className="flex flex-col items-center">
          {/* The ruler is drawn to the left of the tress in every language. */}
          <div className="flex" dir="ltr">
            {wide ? <ZoneRuler zones={region.zones} height={size.height} active={active} /> : null}
            <div className="relative">
              <HungHair
                hair={looks.now[at] ?? looks.now[0]}
                size={sizeName}
                label={name === null ? nowLabel : `${nowLabel}, ${name}`}
              />
              {onStrand?.(region.zones, size.height)}
            </div>
          </div>
          <figcaption className="mt-1 ps-2 text-center text-sm font-semibold">{caption}</figcaption>
        </figure>
        <figure className="flex flex-col items-center">
          <Tress
            look={looks.target[at] ?? looks.target[0]}
            {...wish}
            label={name === null ? t('bench.wishLabel') : `${t('bench.wishLabel')}, ${name}`}
          />
          <figcaption className="mt-1 text-sm font-semibold text-center">{t('bench.target')}</figcaption>
        </figure>
      </div>
      {wide ? (
        <HeadSheet
          look={headLook(regions, looks.now, areas)}
          label={t('head.sheet')}
          chosen={several ? region.areas : []}
          onArea={
            several ? (area) => onRegion(regions.findIndex(({ areas }) => areas.includes(area))) : undefined
          }
          className="mt-auto"
        />
      ) : null}
    </aside>
  );
}

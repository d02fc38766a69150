import type { StudentAssignment } from '@cimbel/contract';
import type { HeadZone } from '@cimbel/core/card';
import type { TressLook } from '@cimbel/core/tress';
import { useTranslation } from 'react-i18next';
import { Tress } from '../../ui/tress';
import { useIsWide } from '../../ui/use-is-wide';

type Zones = StudentAssignment['zones'];

/** Zones marked in the margin like a ruler: a bracket from where each begins to where it ends. */
export function ZoneRuler({
  zones,
  height,
  active,
}: {
  zones: Zones;
  height: number;
  active?: HeadZone | null;
}) {
  const { t } = useTranslation('craft');
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
            <text x={71} y={(y + end) / 2} textAnchor="end" fontSize={12} fontWeight={700} fill="#0d0d0d">
              {t(`headZone.${zone}`)}
            </text>
            <text x={71} y={(y + end) / 2 + 13} textAnchor="end" fontSize={11} fill="#0d0d0d">
              {`${lengthCm} cm`}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/**
 * The head as one long tress, in view through the whole service: as it is now or as the clock has it, and beside it the
 * wish. Zones stand in the margin.
 */
export function HeadStrand({
  zones,
  looks,
  active = null,
  nowLabel,
  caption,
}: {
  zones: Zones;
  looks: { now: TressLook; target: TressLook };
  active?: HeadZone | null;
  nowLabel: string;
  caption: string;
}) {
  const { t } = useTranslation();
  const wide = useIsWide();
  const size = wide ? { width: 128, height: 470 } : { width: 60, height: 260 };
  const wish = wide ? { width: 92, height: 338 } : { width: 46, height: 180 };
  return (
    <aside
      aria-label={t('bench.strand')}
      className="bg-surround text-on-surround sticky top-[3.1rem] flex h-fit max-h-[calc(100dvh-3.1rem)] min-h-[calc(100dvh-3.1rem)] flex-col pt-3"
    >
      <div className="flex justify-center gap-2 wide:px-2 max-wide:flex-col max-wide:items-center">
        <figure className="flex flex-col items-center">
          {/* The ruler is drawn to the left of the tress in every language. */}
          <div className="flex" dir="ltr">
            {wide ? <ZoneRuler zones={zones} height={size.height} active={active} /> : null}
            <Tress look={looks.now} {...size} label={nowLabel} />
          </div>
          <figcaption className="mt-1 ps-2 text-center text-sm font-semibold">{caption}</figcaption>
        </figure>
        <figure className="flex flex-col items-center">
          <Tress look={looks.target} {...wish} label={t('service.wishLabel')} />
          <figcaption className="mt-1 text-sm font-semibold text-center">{t('bench.target')}</figcaption>
        </figure>
      </div>
    </aside>
  );
}

import type { Service } from '@cimbel/core/hair';
import type { TressLook } from '@cimbel/core/tress';
import { useTranslation } from 'react-i18next';
import { Tress } from '../../ui/tress';
import { useIsWide } from '../../ui/use-is-wide';

/** Length of hair the ruler in the margin is marked for, cm. */
const LENGTH_CM: Record<Service, number> = {
  retouch: 20,
  shortAllOver: 10,
  shoulderAllOver: 30,
  longAllOver: 50,
};

/** Centimetres from the root, like a ruler laid beside the lock. */
function Ruler({ cm, height }: { cm: number; height: number }) {
  const step = cm <= 10 ? 1 : 5;
  const marks = Array.from({ length: Math.floor(cm / step) + 1 }, (_, i) => i * step);
  return (
    <svg aria-hidden width={26} height={height} className="shrink-0">
      {marks.map((at) => {
        const y = 0.5 + (at / cm) * (height - 1);
        return (
          <g key={at}>
            <line x1={18} x2={26} y1={y} y2={y} stroke="#0d0d0d" />
            {at > 0 && at < cm ? (
              <text x={15} y={y + 4} fontSize={11} textAnchor="end" fill="#0d0d0d">
                {at}
              </text>
            ) : null}
          </g>
        );
      })}
    </svg>
  );
}

interface StrandProps {
  looks: { now: TressLook; target: TressLook };
  service: Service;
  nowLabel: string;
  targetLabel: string;
  /** What came out, where something has. */
  children?: React.ReactNode;
}

/**
 * The one object all screens share: the client's hair hanging from a rail in a neutral surround, root at the top, and
 * beside it what is wanted. On a phone it becomes a narrow strip that stays in view.
 */
export function Strand({ looks, service, nowLabel, targetLabel, children }: StrandProps) {
  const { t } = useTranslation();
  const wide = useIsWide();
  const [now, target] = wide
    ? [
        { width: 132, height: 480 },
        { width: 96, height: 350 },
      ]
    : [
        { width: 62, height: 260 },
        { width: 50, height: 180 },
      ];
  return (
    <aside
      aria-label={t('bench.strand')}
      className="bg-surround text-on-surround sticky top-[3.1rem] flex h-fit max-h-[calc(100dvh-3.1rem)] min-h-[calc(100dvh-3.1rem)] flex-col pt-3"
    >
      <div className="flex justify-center gap-3 wide:gap-4 wide:px-3 max-wide:flex-col max-wide:items-center">
        <figure className="flex flex-col items-center">
          <div className="flex">
            {wide ? <Ruler cm={LENGTH_CM[service]} height={now.height} /> : null}
            <Tress look={looks.now} {...now} label={nowLabel} />
          </div>
          <figcaption className="mt-1 text-sm font-semibold">{t('bench.now')}</figcaption>
        </figure>
        <figure className="flex flex-col items-center">
          <Tress look={looks.target} {...target} label={targetLabel} />
          <figcaption className="mt-1 text-sm font-semibold">{t('bench.target')}</figcaption>
        </figure>
        {children}
      </div>
    </aside>
  );
}

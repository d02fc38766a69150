import { naturalLab } from '@cimbel/core/hair';
import { Droplet } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { cssOf } from '../../../lib/css-colour';
import { Button } from '../../../ui/button';
import { Grip } from './grip';
import { StrandFrame } from './strand-frame';
import '../../../lib/words/reading';

const TOP = 20;
const BOTTOM = 352;
const FIBRES = 30;
const DROP_AT = 120;
const DROP_STEPS = 12;
const BY_KEY: Record<string, number> = { ArrowUp: -18, ArrowDown: 18 };
/** Drag, in units of the drawing, below which none is felt, and above which it is much. */
const SLIGHT = 10;
const MUCH = 60;

/** A strand to be stroked from the tip upward, and a drop of water to be set on it. */
export function StrandFeel({
  drag: heldBack,
  standsSeconds,
  closed,
}: {
  /** Part of the way 0–1 that the strand holds the fingers back. */
  drag: number;
  /** Seconds a drop of water stands on it. */
  standsSeconds: number;
  closed: boolean;
}) {
  const { t } = useTranslation();
  const [hand, setHand] = useState(BOTTOM);
  const [at, setAt] = useState(BOTTOM);
  const [felt, setFelt] = useState<number | null>(null);
  const [drop, setDrop] = useState<number | null>(null);

  const strokeTo = (y: number) => {
    if (closed) return;
    const next = Math.min(BOTTOM, Math.max(TOP, y));
    setHand(next);
    // Only against the lie of the cuticle, upward, is anything felt.
    const moved = at + (next - at) * (next < at ? 1 - heldBack : 1);
    setAt(moved);
    if (next < at) setFelt(Math.max(0, moved - next));
  };
  useEffect(() => {
    if (drop === null || drop >= DROP_STEPS) return;
    const timer = setTimeout(() => setDrop(drop + 1), (standsSeconds * 1000) / DROP_STEPS);
    return () => clearTimeout(timer);
  }, [drop, standsSeconds]);
  const sunk = drop === null ? 0 : drop / DROP_STEPS;
  const bunch = Math.min(14, (at - hand) * 0.16);
  const drag = felt === null ? null : felt < SLIGHT ? 'smooth' : felt < MUCH ? 'slight' : 'rough';
  const lab = naturalLab(6);
  const said = drag ? t(`reading.hands.feel.${drag}`) : t('reading.hands.feel.hint');
  return (
    <StrandFrame
      closed={closed}
      onHold={(y) => {
        setAt(y);
        setHand(y);
      }}
      onMove={strokeTo}
      onLetGo={() => setHand(at)}
      said={
        drop === null
          ? said
          : `${said} · ${t(sunk >= 1 ? 'reading.hands.feel.gone' : 'reading.hands.feel.stands')}`
      }
      buttons={
        <Button
          icon={<Droplet aria-hidden className="size-4" />}
          disabled={closed}
          onClick={() => setDrop(0)}
        >
          {t('reading.hands.feel.drop')}
        </Button>
      }
    >
      <g fill="none" strokeWidth={1.3}>
        {Array.from({ length: FIBRES }, (_, i) => {
          const across = 100 + ((i + 0.5) / FIBRES - 0.5) * 40;
          // Above the fingers a rough strand is pushed together.
          const push = bunch * Math.sin(i * 1.7);
          return (
            <path
              key={i}
              stroke={cssOf({ ...lab, l: lab.l + ((i * 11) % 7) * 2 - 6 })}
              d={`M${across} ${TOP}Q${across + push} ${(TOP + at) / 2} ${across} ${at}L${across} ${BOTTOM}`}
            />
          );
        })}
      </g>
      {drop !== null && sunk < 1 ? (
        <ellipse
          cx={100}
          cy={DROP_AT}
          rx={9 + sunk * 16}
          ry={Math.max(1.5, 9 * (1 - sunk))}
          className="fill-white/70 stroke-white"
        />
      ) : null}
      <Grip
        label={t('reading.hands.feel.label')}
        value={((BOTTOM - at) / (BOTTOM - TOP)) * 100}
        valueText={said}
        y={at}
        width={60}
        closed={closed}
        onKey={(key) => {
          const by = BY_KEY[key];
          if (by !== undefined) strokeTo(hand + by);
          return by !== undefined;
        }}
      />
    </StrandFrame>
  );
}

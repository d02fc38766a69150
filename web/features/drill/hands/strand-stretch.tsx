import { naturalLab } from '@cimbel/core/hair';
import { PULLED_TOO_FAR, type StretchTest } from '@cimbel/core/process';
import { useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { cssOf } from '../../../lib/css-colour';
import { Button } from '../../../ui/button';
import { Grip } from './grip';
import { HEIGHT, StrandFrame } from './strand-frame';
import '../../../lib/words/reading';

/** Strand and ruler, in units of the drawing. */
const TOP = 26;
const LONG = 132;
const FIBRES = 34;
/** Further than this nothing is pulled. */
const MOST = 1.4;
/** Once the hair has given what it gives it resists: of what the hand moves on, this part. */
const STIFF = 0.3;
const BY_KEY: Record<string, number> = { ArrowDown: 0.05, ArrowUp: -0.05, PageDown: 0.2, PageUp: -0.2 };

type Phase = 'rest' | 'held' | 'let go' | 'snapped';

/** How far the strand gives when the hand has moved so far: easily up to its own stretch, then hardly; over-soft hair goes on. */
function given({ outcome, stretches }: StretchTest, hand: number): number {
  if (outcome === 'runsOn') return hand;
  return hand <= stretches ? hand : stretches + (hand - stretches) * STIFF;
}

/** A wet strand between clip and fingers: pulled, let go, and judged by what it does. */
export function StrandStretch({
  test,
  closed,
  onPulled,
}: {
  test: StretchTest;
  closed: boolean;
  /** The furthest it has been pulled, as a fraction of its length. */
  onPulled: (most: number) => void;
}) {
  const { t } = useTranslation();
  const [hand, setHand] = useState(0);
  const [phase, setPhase] = useState<Phase>('rest');
  const [left, setLeft] = useState(0);
  const most = useRef(0);
  /** Where the fingers took hold, less what was pulled already: units of the drawing. */
  const grip = useRef(0);
  const pulled = phase === 'held' ? given(test, hand) : left;

  const pull = (to: number) => {
    if (closed || phase === 'snapped') return;
    const next = Math.min(MOST, Math.max(0, to));
    const gives = given(test, next);
    most.current = Math.max(most.current, gives);
    onPulled(most.current);
    setHand(next);
    const breaks =
      test.outcome !== 'runsOn' &&
      gives > (test.outcome === 'snaps' ? test.stretches : Math.max(PULLED_TOO_FAR, test.stretches));
    setPhase(breaks ? 'snapped' : 'held');
    if (breaks) setLeft(test.outcome === 'snaps' ? test.stretches : gives);
  };
  const letGo = () => {
    if (phase !== 'held') return;
    setLeft(pulled * (1 - test.returns));
    setHand(0);
    setPhase('let go');
  };
  const again = () => {
    setPhase('rest');
    setHand(0);
    setLeft(0);
  };
  const end = TOP + LONG * (1 + pulled);
  const curled = phase === 'let go' && test.outcome === 'curls';
  const limp = phase === 'let go' && test.outcome === 'runsOn';
  const said = t(
    phase === 'snapped'
      ? 'reading.hands.stretch.snapped'
      : phase === 'let go'
        ? curled
          ? 'reading.hands.stretch.curled'
          : limp
            ? 'reading.hands.stretch.limp'
            : 'reading.hands.stretch.back'
        : phase === 'held'
          ? hand > given(test, hand) + 0.02
            ? 'reading.hands.stretch.resists'
            : 'reading.hands.stretch.gives'
          : 'reading.hands.stretch.hint',
    { share: pulled },
  );
  return (
    <StrandFrame
      closed={closed || phase === 'snapped'}
      onHold={(y) => {
        const from = phase === 'held' ? hand : left;
        grip.current = y - from * LONG;
        pull(from);
      }}
      onMove={(y) => pull((y - grip.current) / LONG)}
      onLetGo={letGo}
      said={said}
      buttons={
        <>
          <Button onClick={letGo} disabled={closed || phase !== 'held'}>
            {t('reading.hands.stretch.letGo')}
          </Button>
          <Button onClick={again} disabled={closed || phase === 'rest' || phase === 'held'}>
            {t('reading.hands.stretch.again')}
          </Button>
        </>
      }
    >
      <Ruler />
      <Fibres end={end} pulled={pulled} curled={curled} limp={limp} snapped={phase === 'snapped'} />
      <rect x={86} y={TOP - 16} width={28} height={18} rx={3} className="fill-on-surround" />
      <Grip
        label={t('reading.hands.stretch.label')}
        value={(pulled / MOST) * 100}
        valueText={said}
        y={phase === 'snapped' ? HEIGHT - 21 : end + 9}
        width={48}
        closed={closed}
        onKey={(key) => {
          const by = BY_KEY[key];
          if (by !== undefined) pull((phase === 'held' ? hand : left) + by);
          if (key === ' ') letGo();
          return by !== undefined || key === ' ';
        }}
      />
    </StrandFrame>
  );
}

/** Tenths of the strand's own length beyond its end, the half marked. */
function Ruler() {
  const { t } = useTranslation();
  return (
    <g className="stroke-on-surround fill-on-surround">
      {Array.from({ length: 15 }, (_, i) => {
        const y = TOP + LONG * (1 + i / 10);
        return (
          <line
            key={i}
            x1={i % 5 === 0 ? 136 : 144}
            x2={154}
            y1={y}
            y2={y}
            strokeWidth={i % 5 === 0 ? 1.5 : 0.75}
          />
        );
      })}
      {[0, 0.5, 1].map((share) => (
        <text key={share} x={158} y={TOP + LONG * (1 + share) + 4} stroke="none" fontSize={11}>
          {t('reading.share', { share })}
        </text>
      ))}
    </g>
  );
}

/** Wet fibres, drawn together as they are stretched; curled or limp where the hair has come back so. */
function Fibres({
  end,
  pulled,
  curled,
  limp,
  snapped,
}: {
  end: number;
  pulled: number;
  curled: boolean;
  limp: boolean;
  snapped: boolean;
}) {
  const lab = naturalLab(4.5);
  const narrow = 1 / (1 + 0.7 * pulled);
  const pathOf = (i: number, from: number, to: number, wave: number, turns: number) => {
    const across = ((i + 0.5) / FIBRES - 0.5) * 26 * narrow;
    const steps = 64;
    return Array.from({ length: steps + 1 }, (_, step) => {
      const share = step / steps;
      const sway = wave * Math.sin(share * turns * 2 * Math.PI + i * 0.12) * Math.sin(Math.PI * share);
      const x = 100 + across + sway;
      return `${step === 0 ? 'M' : 'L'}${x.toFixed(1)} ${(from + (to - from) * share).toFixed(1)}`;
    }).join('');
  };
  const wave = curled ? 11 : limp ? 7 : 1.2;
  const turns = curled ? 5 : limp ? 1.5 : 2;
  const breakAt = TOP + (end - TOP) * 0.55;
  return (
    <g fill="none" strokeWidth={1.1} strokeLinecap="round">
      {Array.from({ length: FIBRES }, (_, i) => {
        const stroke = cssOf({ ...lab, l: lab.l + ((i * 7) % 5) * 2.2 - 4 });
        const ragged = ((i * 13) % 9) * 2.5;
        return snapped ? (
          <g key={i} stroke={stroke}>
            <path d={pathOf(i, TOP, breakAt - 14 + ragged, 4, 3)} />
            <path d={pathOf(i, HEIGHT - 62 - ragged, HEIGHT - 26, 3, 2)} />
          </g>
        ) : (
          <path key={i} stroke={stroke} d={pathOf(i, TOP, end, wave, turns)} />
        );
      })}
    </g>
  );
}

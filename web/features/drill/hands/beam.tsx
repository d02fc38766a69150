import type { Response, Term } from '@cimbel/core/drill';
import { useTranslation } from 'react-i18next';
import type { AnswerFeedback } from '../feedback';
import { termWords } from '../words';
import '../../../lib/words/reading';

/** Colours of the opposites, as pigment in a pan. */
const PIGMENT: Record<string, string> = {
  green: '#2f7d46',
  blueGreen: '#1f7a7d',
  blue: '#2d56b5',
  blueViolet: '#4a3fae',
  violet: '#7a3aa8',
};
/** Warmth of hair of level 5 to 9, red-orange to light yellow. */
const WARMTH = ['#a4482a', '#bf652b', '#cf8a34', '#dcb24a', '#e6cc78'];
const WARMTH_FROM = 5;
/** How large a heap of each dose is, of the pan. */
const HEAPS = [0.45, 0.75, 1];
/** Degrees of the beam when one side is heavier. */
const LEANS = { right: 0, tooMuch: 11, tooLittle: -8, other: -14 } as const;
type Lean = keyof typeof LEANS;

function leanOf(told: AnswerFeedback | null): Lean | null {
  if (!told?.response) return null;
  if (told.mark?.right) return 'right';
  const code = told.mark?.slip?.code.split('.').at(-1);
  return code === 'tooMuch' || code === 'tooLittle' ? code : 'other';
}

/** A beam with the warmth in one pan: held while its opposite is laid in the other, and let go when it is answered. */
export function Beam({
  level,
  things,
  doses,
  given,
  told,
}: {
  /** Of the hair whose warmth lies in the pan. */
  level: number;
  things: readonly Term[];
  doses: readonly Term[];
  given: Response | null;
  told: AnswerFeedback | null;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const index = given?.kind === 'choice' ? given.index : null;
  const thing = index === null ? null : things[Math.floor(index / doses.length)];
  const dose = index === null ? null : index % doses.length;
  const lean = leanOf(told);
  const colour = PIGMENT[String(thing?.params.counter)];
  const said = lean ? t(`reading.hands.beam.lean.${lean}`) : t('reading.hands.beam.held');
  const laid = thing && dose !== null ? `${termWords(t, thing)}, ${termWords(t, doses[dose])}` : '';
  return (
    <figure className="flex flex-col items-center pb-2">
      <svg
        viewBox="0 0 320 150"
        role="img"
        aria-label={[said, laid].filter(Boolean).join(' ')}
        className="w-full max-w-sm"
      >
        <path d="M150 146 H170 L164 44 H156 Z" className="fill-on-surround" />
        <g
          style={{ transform: `rotate(${lean ? LEANS[lean] : 0}deg)`, transformOrigin: '160px 44px' }}
          className="transition-transform duration-700 motion-reduce:transition-none"
        >
          <rect x={40} y={41} width={240} height={6} rx={3} className="fill-on-surround" />
          {[60, 260].map((x) => (
            <g key={x} className="stroke-on-surround" strokeWidth={1.5} fill="none">
              <path d={`M${x} 47 L${x - 34} 96 M${x} 47 L${x + 34} 96`} />
              <path d={`M${x - 38} 96 Q${x} 116 ${x + 38} 96 Z`} className="fill-surround" />
            </g>
          ))}
          <ellipse
            cx={60}
            cy={92}
            rx={26}
            ry={13}
            fill={WARMTH[level - WARMTH_FROM]}
            className="stroke-on-surround"
          />
          {colour && dose !== null ? (
            <ellipse
              cx={260}
              cy={96 - 5 * HEAPS[dose]}
              rx={30 * HEAPS[dose]}
              ry={15 * HEAPS[dose]}
              fill={colour}
              className="stroke-on-surround"
            />
          ) : null}
        </g>
        <circle cx={160} cy={44} r={5} className="fill-surround stroke-on-surround" strokeWidth={2} />
        {lean ? null : <rect x={156} y={22} width={8} height={20} className="fill-on-surround" />}
      </svg>
      <figcaption className="min-h-6 text-center text-sm">{said}</figcaption>
    </figure>
  );
}

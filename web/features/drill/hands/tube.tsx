import type { Line } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import '../../../lib/words/reading';

/** A tube lying on its side: cap, body with the line's name and the label, crimped end. */
export function Tube({ line, label, large = false }: { line: Line; label: string; large?: boolean }) {
  const { t } = useTranslation();
  return (
    <svg
      viewBox="0 0 240 84"
      role="img"
      aria-label={t('reading.hands.tube', { line: line.name, label })}
      className={large ? 'h-40 w-auto max-w-full' : 'h-14 w-auto'}
    >
      <rect x={2} y={24} width={26} height={36} rx={3} className="fill-on-surround" />
      <path d="M28 30 L40 22 V62 L28 54 Z" className="fill-[#bdbdbd] stroke-on-surround" />
      <path
        d="M40 16 H206 L224 6 V78 L206 68 H40 Z"
        className="fill-white stroke-on-surround"
        strokeWidth={1.5}
      />
      <rect x={222} y={4} width={14} height={76} className="fill-[#9a9a9a] stroke-on-surround" />
      {[226, 229.5, 233].map((x) => (
        <line key={x} x1={x} x2={x} y1={6} y2={78} className="stroke-on-surround" strokeWidth={0.6} />
      ))}
      <text x={52} y={34} fontSize={13} fill="#1a1a1a">
        {line.name}
      </text>
      <text x={52} y={62} fontSize={27} fontWeight={700} fill="#0d0d0d">
        {label}
      </text>
      <text x={204} y={62} fontSize={11} textAnchor="end" fill="#333">
        {t('reading.hands.grams', { grams: line.tubeGrams })}
      </text>
    </svg>
  );
}

import { balanceOf, nameTone, underlayAt, type HouseRules } from '@cimbel/core/rules';
import { mixTone, type ShadePart } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import { Sheet } from '../../ui/panel';
import '../../lib/words/craft';
import '../../lib/words/bench';

const strengthOf = ({ x, y }: { x: number; y: number }) => Math.min(1.6, Math.hypot(x, y));
const MOST_DEGREES = 11;

/** Two weights on a beam: the warmth that shows, and what the mix adds; the tilt is what is left. */
export function BalanceBeam({
  levelReached,
  mix,
  rules,
  title,
}: {
  levelReached: number;
  mix: readonly ShadePart[];
  rules: Pick<HouseRules, 'underlay'>;
  /** Which of two, where two stand side by side. */
  title?: string;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { warmth, added, leftover, tilt } = balanceOf(levelReached, mix);
  const left = nameTone(leftover);
  // A mix with a tone of its own is called by that; a neutral one by what it cancels.
  const addedName = nameTone(mixTone(mix)) ?? nameTone(added);
  const leftoverWords = left
    ? t('result.leftoverText', { tone: left.family, strength: left.strength })
    : t('result.even');
  const degrees = -tilt * MOST_DEGREES;
  const block = (x: number, strength: number) => {
    const side = 14 + 26 * Math.sqrt(strength);
    return <rect x={x - side / 2} y={68 - side} width={side} height={side} className="fill-ink" rx={1} />;
  };
  return (
    <Sheet className="flex flex-col gap-1">
      <h3 className="text-lg">{[t('result.balance'), title].filter(Boolean).join(' ')}</h3>
      <svg
        viewBox="0 0 360 120"
        role="img"
        aria-label={`${[t('result.balanceLabel'), title].filter(Boolean).join(' ')}: ${leftoverWords}`}
        className="w-full max-w-md"
      >
        <g transform={`rotate(${degrees} 180 72)`}>
          <rect x={30} y={68} width={300} height={5} className="fill-ink" />
          {block(66, strengthOf(warmth))}
          {mix.length > 0 ? block(294, strengthOf(added)) : null}
        </g>
        <path d="M180 74 L196 112 H164 Z" className="fill-strong-line" />
        <rect x={120} y={112} width={120} height={3} className="fill-strong-line" />
      </svg>
      <dl className="grid max-w-md grid-cols-3 text-sm">
        <div>
          <dt className="text-quiet">{t('result.warmSide')}</dt>
          <dd className="font-semibold">{t(`craft:underlay.${underlayAt(levelReached, rules)}`)}</dd>
        </div>
        <div className="text-center">
          <dt className="text-quiet">{t('result.leftover')}</dt>
          <dd className="font-semibold">{leftoverWords}</dd>
        </div>
        <div className="text-end">
          <dt className="text-quiet">{t('result.mixSide')}</dt>
          <dd className="font-semibold">
            {addedName ? t(`craft:tone.${addedName.family}`) : t('result.even')}
          </dd>
        </div>
      </dl>
    </Sheet>
  );
}

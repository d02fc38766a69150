import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useScaleFigure } from '../../lib/units';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { usePouring } from './use-pouring';
import '../../lib/words/bench';

/**
 * The scale under the bowl, a stand-in for a real one: hold to pour, with the pointer or the space bar, and let go a
 * little early. What it shows when it is taken is what is graded.
 */
export function BowlScale({
  what,
  wanted,
  inBowl,
  onTake,
  onClose,
}: {
  what: string;
  /** Grams worked out before, as a help; null where nothing was. */
  wanted: number | null;
  /** Grams of this that are in the bowl already. */
  inBowl: number;
  onTake: (grams: number) => void;
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const pouring = usePouring();
  const [tared, setTared] = useState(0);
  const [poured, setPoured] = useState(inBowl);
  const total = Math.round((poured + pouring.grams) * 10) / 10;
  const { figure, unit } = useScaleFigure()(Math.round((total - tared) * 10) / 10);
  const empty = () => {
    pouring.reset();
    setPoured(0);
    setTared(0);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('bench.scale.title', { what })}
      actions={
        <>
          <Button onClick={onClose}>{t('action.cancel')}</Button>
          <Button weight="main" disabled={!pouring.still || total <= 0} onClick={() => onTake(total)}>
            {t('bench.scale.take')}
          </Button>
        </>
      }
    >
      <div className="border-strong-line bg-raised flex items-baseline justify-between rounded-sm border-2 px-5 py-3">
        <output
          aria-label={t('bench.scale.shows')}
          className="font-display text-5xl font-semibold tabular-nums"
        >
          {figure}
        </output>
        <span className="text-2xl">{unit}</span>
      </div>
      <p className="text-quiet text-sm">
        {wanted === null ? t('bench.scale.hint') : t('bench.scale.wanted', { grams: wanted })}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <button
          type="button"
          autoFocus
          className="bg-surround text-on-surround border-on-surround col-span-2 min-h-20 touch-none rounded-sm border-2 text-xl font-semibold select-none active:brightness-90"
          {...pouring.handlers()}
        >
          {t('bench.scale.pour')}
        </button>
        <Button onClick={() => setTared(total)}>{t('bench.scale.tare')}</Button>
        <Button onClick={empty}>{t('bench.scale.empty')}</Button>
      </div>
    </Dialog>
  );
}

import { zoneMeanLab } from '@cimbel/core/draw';
import type { Item } from '@cimbel/core/drill';
import { useTranslation } from 'react-i18next';
import '../../lib/words/reading';

/** Measured colour of what is shown: help for a student who wants or needs it. Such answers are marked as assisted. */
export function Figures({ item }: { item: Item }) {
  const { t } = useTranslation();
  const zones = item.question.pictures.flatMap(({ look }) => look.zones.map(zoneMeanLab));
  return (
    <span className="flex flex-wrap justify-end gap-x-4 font-semibold">
      {zones.map(({ l, a, b }, i) => (
        <span key={i}>{t('reading.figures', { l, a, b })}</span>
      ))}
    </span>
  );
}

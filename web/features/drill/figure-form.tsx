import { useTranslation } from 'react-i18next';
import type { Unit } from '@cimbel/core/drill';
import '../../lib/words/drills';
import '../../lib/words/bench';

/** A free figure with its unit. Enter answers. A comma is taken for a point. */
export function FigureForm({
  unit,
  text,
  onText,
  label,
}: {
  unit: Unit;
  text: string;
  onText: (text: string) => void;
  label: string;
}) {
  const { t } = useTranslation('drill');
  return (
    <label className="flex items-center gap-3">
      <span className="sr-only">{label}</span>
      <input
        // The one thing to do on this screen.
        autoFocus
        inputMode="decimal"
        data-takes="figures"
        autoComplete="off"
        className="border-strong-line bg-raised w-36 rounded-sm border px-3 py-2 text-end text-2xl"
        value={text}
        onChange={({ target }) => onText(target.value)}
      />
      <span className="text-xl">{t(`unit.${unit}`)}</span>
    </label>
  );
}

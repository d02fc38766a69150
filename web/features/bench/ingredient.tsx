import { Scale, X } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { WeightInput } from '../../lib/units';
import { NumberInput } from '../../ui/field';
import '../../lib/words/bench';

/** One thing in the bowl: its parts, its weight, and the scale. */
export function Ingredient({
  name,
  parts,
  weight,
  onParts,
  onWeight,
  onScale,
  onRemove,
}: {
  name: string;
  parts: number | null;
  weight: number;
  onParts?: (parts: number) => void;
  onWeight: (grams: number) => void;
  onScale: () => void;
  onRemove?: () => void;
}) {
  const { t } = useTranslation();
  return (
    <li className="border-line flex flex-wrap items-center gap-1 border-b py-1.5 last:border-b-0">
      <span className="font-display min-w-12 flex-1 text-lg font-semibold">{name}</span>
      {parts !== null && onParts ? (
        <NumberInput
          aria-label={t('bench.mix.parts', { label: name })}
          value={parts}
          min={0.25}
          step={0.25}
          className="w-14! px-1!"
          onValue={(value) => onParts(value ?? 1)}
        />
      ) : null}
      <WeightInput
        aria-label={t('bench.amountOf', { label: name })}
        value={weight > 0 ? weight : null}
        min={0}
        max={2000}
        step={0.1}
        className="w-16! px-1.5!"
        onValue={(value) => onWeight(value ?? 0)}
      />
      <button
        type="button"
        className="border-strong-line bg-raised hover:bg-sheet inline-flex size-10 items-center justify-center rounded-sm border"
        aria-label={t('bench.weigh', { label: name })}
        title={t('bench.weigh', { label: name })}
        onClick={onScale}
      >
        <Scale aria-hidden className="size-5" />
      </button>
      {onRemove ? (
        <button
          type="button"
          className="hover:bg-raised rounded-sm p-1"
          aria-label={t('bench.mix.removeShade', { label: name })}
          onClick={onRemove}
        >
          <X aria-hidden className="size-5" />
        </button>
      ) : null}
    </li>
  );
}

import { BOWL_ADDITIONS, additionGrams, type Bowl } from '@cimbel/core/card';
import { useTranslation } from 'react-i18next';
import { WeightInput } from '../../lib/units';
import { Field } from '../../ui/field';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Shampoo or conditioner in the bowl: thins a leftover, makes a cleanse of a lightener. */
export function Additions({ bowl, onChange }: { bowl: Bowl; onChange: (bowl: Bowl) => void }) {
  const { t } = useTranslation(['ui', 'craft']);
  const set = (kind: (typeof BOWL_ADDITIONS)[number], grams: number) => {
    const { others = [], ...rest } = bowl;
    const next = [...others.filter((other) => other.kind !== kind), ...(grams > 0 ? [{ kind, grams }] : [])];
    onChange(next.length > 0 ? { ...rest, others: next } : rest);
  };
  return (
    <details open={(bowl.others ?? []).length > 0}>
      <summary className="cursor-pointer text-sm font-semibold">{t('bench.mix.additions')}</summary>
      <div className="mt-1 flex flex-wrap gap-3">
        {BOWL_ADDITIONS.map((kind) => {
          const grams = additionGrams(bowl, kind);
          const label = t('bench.amountOf', { label: t(`craft:addition.${kind}`) });
          return (
            <Field key={kind} label={t(`craft:addition.${kind}`)}>
              <WeightInput
                aria-label={label}
                value={grams > 0 ? grams : null}
                min={0}
                max={2000}
                step={1}
                className="w-20!"
                onValue={(value) => set(kind, value ?? 0)}
              />
            </Field>
          );
        })}
      </div>
    </details>
  );
}

import { bowlGrams, complete, type Bowl } from '@cimbel/core/card';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { WeightInput } from '../../lib/units';
import { Field } from '../../ui/field';
import { Facts, Sheet } from '../../ui/panel';
import { Additions } from './additions';
import { pourName } from './words';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** A bowl begun from what is left of another: how much of it, and what thins it. */
export function LeftoverForm({
  bowl,
  bowls,
  onChange,
}: {
  bowl: Bowl;
  bowls: readonly Bowl[];
  onChange: (bowl: Bowl) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const from = bowl.from!;
  const water = bowl.developer.find(({ vol }) => vol === 0)?.grams ?? 0;
  const origin = bowls.find(({ name }) => name === from.bowl);
  const whole = origin ? bowlGrams(complete({ bowls: [origin] }).bowls[0]) : 0;
  return (
    <Sheet className="flex flex-col gap-3">
      <div className="flex flex-wrap items-end gap-4">
        <Field label={capital(t('bench.leftoverOf', from))}>
          <WeightInput
            aria-label={t('bench.amountOf', { label: t('bench.leftoverOf', from) })}
            value={from.grams > 0 ? from.grams : null}
            min={0}
            max={whole}
            step={1}
            className="w-24!"
            onValue={(grams) => onChange({ ...bowl, from: { ...from, grams: Math.min(whole, grams ?? 0) } })}
          />
        </Field>
        <Field label={capital(pourName(t, 0))}>
          <WeightInput
            aria-label={t('bench.amountOf', { label: pourName(t, 0) })}
            value={water > 0 ? water : null}
            min={0}
            max={2000}
            step={1}
            className="w-24!"
            onValue={(grams) =>
              onChange({ ...bowl, developer: grams && grams > 0 ? [{ vol: 0, grams }] : [] })
            }
          />
        </Field>
        <Additions bowl={bowl} onChange={onChange} />
      </div>
      <Facts
        rows={[
          {
            term: t('bench.inOrigin', { bowl: from.bowl }),
            value: t('bench.weightAlone', { weight: whole }),
          },
          {
            term: t('bench.leftoverAll'),
            value: t('bench.weightAlone', { weight: from.grams + bowlGrams(bowl) }),
          },
        ]}
      />
      <p className="text-quiet text-sm">{t('bench.leftoverHint', { bowl: from.bowl })}</p>
    </Sheet>
  );
}

import type { Line } from '@cimbel/core/product';
import { type PriceList, SAMPLE_PRICES, packPrice } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Field, NumberInput, Select } from '../../ui/field';
import '../../lib/words/appointments';

/** Currencies that the browser can name, by their names. */
function currenciesIn(language: string): { code: string; name: string }[] {
  const names = new Intl.DisplayNames(language, { type: 'currency' });
  return Intl.supportedValuesOf('currency')
    .map((code) => ({ code, name: names.of(code) ?? code }))
    .sort((a, b) => a.name.localeCompare(b.name, language));
}

const MONEY = ['hour', 'developerLitre', 'additive100', 'sundries'] as const;
const MINUTES = ['beforeMinutes', 'afterMinutes'] as const;

/** What a school reckons with when it says what a service costs. */
export function PriceListFields({
  list,
  lines,
  onChange,
}: {
  /** Undefined while the sample holds. */
  list: PriceList | undefined;
  lines: readonly Line[];
  onChange: (list: PriceList | undefined) => void;
}) {
  const { t, i18n } = useTranslation('appointments');
  const prices = list ?? SAMPLE_PRICES;
  const { currency } = prices;
  const set = (part: Partial<PriceList>) => onChange({ ...prices, ...part });
  return (
    <section className="border-line border-t py-3">
      <h2 className="text-lg">{t('prices.title')}</h2>
      <p className="mt-1 mb-2 max-w-prose text-sm">{t('prices.text')}</p>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Field label={t('prices.currency')} className="w-64 max-w-full">
          <Select value={currency} onChange={({ target }) => set({ currency: target.value })}>
            {currenciesIn(i18n.language).map(({ code, name }) => (
              <option key={code} value={code}>{`${name} (${code})`}</option>
            ))}
          </Select>
        </Field>
        {MONEY.map((name) => (
          <Field key={name} label={t(`prices.${name}`)}>
            <NumberInput
              value={prices[name]}
              max={100_000}
              zero
              className="w-24!"
              unit={currency}
              onValue={(value) => value !== null && set({ [name]: value })}
            />
          </Field>
        ))}
        {MINUTES.map((name) => (
          <Field key={name} label={t(`prices.${name}`)}>
            <NumberInput
              value={prices[name]}
              max={180}
              step={5}
              zero
              className="w-20!"
              onValue={(value) => value !== null && set({ [name]: Math.min(180, Math.round(value)) })}
            />
          </Field>
        ))}
      </div>
      <details className="mt-2">
        <summary className="min-h-10 cursor-pointer py-2 font-semibold">{t('prices.tubes')}</summary>
        <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 wide:grid-cols-3">
          {lines.map((line) => (
            <Field key={line.id} label={t('prices.tube', { line: line.name, grams: line.tubeGrams })}>
              <NumberInput
                value={packPrice(line, prices)}
                max={100_000}
                zero
                className="w-24!"
                unit={currency}
                onValue={(value) => value !== null && set({ packs: { ...prices.packs, [line.id]: value } })}
              />
            </Field>
          ))}
        </div>
      </details>
      <Button className="mt-2" disabled={list === undefined} onClick={() => onChange(undefined)}>
        {t('prices.sample')}
      </Button>
    </section>
  );
}

import type { Quote } from '@cimbel/core/card';
import type { Line } from '@cimbel/core/product';
import { type PriceList, packPrice } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { Facts } from '../../ui/panel';
import { Field, NumberInput } from '../../ui/field';
import '../../lib/words/appointments';

const OPEN: Quote = { price: null, minutes: null };

/** What the client is told it costs and how long it takes, with the prices it is reckoned by. */
export function QuoteFields({
  quote = OPEN,
  prices,
  lines,
  onChange,
}: {
  quote?: Quote;
  prices: PriceList;
  lines: readonly Line[];
  onChange: (quote: Quote) => void;
}) {
  const { t } = useTranslation('appointments');
  const { currency } = prices;
  const money = (price: number) => t('money', { price, currency });
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="font-display mb-1 text-lg font-semibold">{t('quote.title')}</legend>
      <p className="text-quiet text-sm">{t('quote.hint')}</p>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Field label={t('quote.price')}>
          <NumberInput
            value={quote.price}
            max={100_000}
            zero
            className="w-24!"
            unit={currency}
            onValue={(price) => onChange({ ...quote, price })}
          />
        </Field>
        <Field label={t('quote.minutes')}>
          <NumberInput
            value={quote.minutes}
            max={900}
            step={5}
            className="w-20!"
            onValue={(minutes) =>
              onChange({ ...quote, minutes: minutes === null ? null : Math.min(900, Math.round(minutes)) })
            }
          />
        </Field>
      </div>
      <details>
        <summary className="min-h-10 cursor-pointer py-2 font-semibold">{t('prices.list')}</summary>
        <Facts
          rows={[
            { term: t('prices.hour'), value: money(prices.hour) },
            { term: t('prices.beforeMinutes'), value: prices.beforeMinutes },
            { term: t('prices.afterMinutes'), value: prices.afterMinutes },
            ...lines.map((line) => ({
              term: line.name,
              value: t('prices.perTube', {
                price: packPrice(line, prices),
                grams: line.tubeGrams,
                currency,
              }),
            })),
            { term: t('prices.developerLitre'), value: money(prices.developerLitre) },
            { term: t('prices.additive100'), value: money(prices.additive100) },
            { term: t('prices.sundries'), value: money(prices.sundries) },
          ]}
        />
      </details>
    </fieldset>
  );
}

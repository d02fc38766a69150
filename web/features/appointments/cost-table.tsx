import type { ServiceCost } from '@cimbel/core/card';
import type { Line } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import '../../lib/words/appointments';

/** What a service costs, item by item. */
export function CostTable({
  cost,
  currency,
  lines,
}: {
  cost: ServiceCost;
  /** Currency it is reckoned in, by its three letters. */
  currency: string;
  lines: readonly Line[];
}) {
  const { t } = useTranslation('appointments');
  const money = (price: number) => t('money', { price, currency });
  const nameOf = (lineId: string) => lines.find(({ id }) => id === lineId)?.name ?? lineId;
  const rows: { name: string; grams?: number; packs?: number; price: number }[] = [
    ...cost.products.map(({ lineId, label, grams, packs, price }) => ({
      name: label === null ? nameOf(lineId) : `${nameOf(lineId)} ${label}`,
      grams,
      packs,
      price,
    })),
    ...(cost.developerGrams > 0
      ? [
          {
            name: t('cost.developer'),
            grams: cost.developerGrams,
            price: cost.developerPrice,
          },
        ]
      : []),
    ...(cost.additiveGrams > 0
      ? [
          {
            name: t('cost.additive'),
            grams: cost.additiveGrams,
            price: cost.additivePrice,
          },
        ]
      : []),
    { name: t('cost.chair', { minutes: cost.chairMinutes }), price: cost.chairPrice },
    { name: t('cost.sundries'), price: cost.sundries },
  ];
  return (
    <>
      <table className="w-full text-sm">
        <caption className="sr-only">{t('cost.title')}</caption>
        <thead>
          <tr className="text-quiet border-line border-b">
            <th scope="col" className="py-1 text-start font-normal">
              {t('cost.item')}
            </th>
            {(['grams', 'opened', 'price'] as const).map((name) => (
              <th key={name} scope="col" className="py-1 ps-2 text-end font-normal">
                {t(`cost.${name}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, grams, packs, price }) => (
            <tr key={name} className="border-line border-b">
              <th scope="row" className="py-1 text-start font-normal">
                {name}
              </th>
              <td className="py-1 ps-2 text-end tabular-nums">
                {grams === undefined ? '' : t('weight', { grams })}
              </td>
              <td className="py-1 ps-2 text-end tabular-nums">{packs ?? ''}</td>
              <td className="py-1 ps-2 text-end tabular-nums">{money(price)}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" colSpan={3} className="py-1 text-start">
              {t('cost.total')}
            </th>
            <td className="py-1 ps-2 text-end font-semibold tabular-nums">{money(cost.total)}</td>
          </tr>
        </tfoot>
      </table>
      <p className="text-quiet text-sm">
        {cost.wastePrice > 0 ? `${t('cost.waste', { price: cost.wastePrice, currency })} ` : ''}
        {t('cost.tubes', { price: cost.openedPrice, currency })}
      </p>
    </>
  );
}

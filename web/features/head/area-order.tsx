import type { Area } from '@cimbel/core/hair';
import { AREA_ORDERS } from '@cimbel/core/rules';
import type { HeadLook } from '@cimbel/core/draw';
import { ArrowUpToLine } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Choice } from '../../ui/choice';
import { Tick } from '../../ui/field';
import { HeadSheet } from './head-sheet';
import { again, begunAt, isTwice, orderName } from './places';
import '../../lib/words/craft';
import '../../lib/words/bench';

const PRESETS = Object.keys(AREA_ORDERS) as (keyof typeof AREA_ORDERS)[];

/** The order in which areas are worked, on the head sheet and as a list: press one to begin with it. */
export function AreaOrder({
  order,
  look,
  onChange,
}: {
  /** Every area there is to work, one perhaps again at the end. */
  order: readonly Area[];
  look: HeadLook;
  onChange: (order: Area[]) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const once = order.filter((area, i) => order.indexOf(area) === i);
  const preset = (name: keyof typeof AREA_ORDERS) => AREA_ORDERS[name].filter((area) => once.includes(area));
  return (
    <fieldset className="flex min-w-0 flex-col gap-2">
      <legend className="font-semibold">{t('head.order')}</legend>
      <HeadSheet
        look={look}
        label={t('head.orderOn')}
        chosen={once.slice(0, 1)}
        order={order}
        onArea={(area) => (once.includes(area) ? onChange(begunAt(order, area)) : undefined)}
      />
      {once.length > 1 ? (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <Choice
            label={t('head.order')}
            value={orderName(order)}
            options={PRESETS.map((value) => ({ value, text: t(`craft:areaOrder.${value}`) }))}
            onChange={(name) => onChange(preset(name))}
          />
          {once.includes('hairline') ? (
            <Tick
              label={t('head.hairlineAgain')}
              on={isTwice(order, 'hairline')}
              onChange={() => onChange(again(order, 'hairline'))}
            />
          ) : null}
        </div>
      ) : null}
      <ol aria-label={t('head.order')} className="flex flex-wrap gap-1.5 text-sm">
        {order.map((area, i) => (
          <li key={`${area} ${i}`}>
            {i > 0 && i === order.indexOf(area) ? (
              <button
                type="button"
                title={t('head.beginWith', { area })}
                aria-label={t('head.beginWith', { area })}
                className="border-strong-line bg-raised flex min-h-9 items-center gap-1 rounded-sm border px-2 max-wide:min-h-11"
                onClick={() => onChange(begunAt(order, area))}
              >
                <span className="tabular-nums">{i + 1}</span> {t(`craft:area.${area}`)}
                <ArrowUpToLine aria-hidden className="size-4" />
              </button>
            ) : (
              <span className="border-line flex min-h-9 items-center gap-1 rounded-sm border px-2 max-wide:min-h-11">
                <span className="tabular-nums">{i + 1}</span> {t(`craft:area.${area}`)}
              </span>
            )}
          </li>
        ))}
      </ol>
    </fieldset>
  );
}

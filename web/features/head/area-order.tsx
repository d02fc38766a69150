import type { Area } from '@cimbel/core/hair';
import { AREA_ORDERS } from '@cimbel/core/rules';
import type { HeadLook } from '@cimbel/core/draw';
import { ArrowUpToLine, Plus, X } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Choice } from '../../ui/choice';
import { Tick } from '../../ui/field';
import { HeadSheet } from './head-sheet';
import { again, begunAt, isTwice, orderName } from './places';
import '../../lib/words/craft';
import '../../lib/words/bench';

const PRESETS = Object.keys(AREA_ORDERS) as (keyof typeof AREA_ORDERS)[];

/**
 * The order in which areas are worked, on the head sheet and as a list: press one to begin with it. One can be left out and
 * brought back; what is left out stays as it is.
 */
export function AreaOrder({
  order,
  areas,
  look,
  onChange,
}: {
  /** Areas that are worked, one perhaps again at the end. */
  order: readonly Area[];
  /** Every area of the places that are worked. */
  areas: readonly Area[];
  look: HeadLook;
  onChange: (order: Area[]) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const once = order.filter((area, i) => order.indexOf(area) === i);
  const leftOut = areas.filter((area) => !once.includes(area));
  const without = (area: Area) => onChange(order.filter((one) => one !== area));
  const preset = (name: keyof typeof AREA_ORDERS) => AREA_ORDERS[name].filter((area) => once.includes(area));
  return (
    <fieldset className="flex min-w-0 flex-col gap-2">
      <legend className="font-semibold">{t('head.order')}</legend>
      <HeadSheet
        look={look}
        label={t('head.orderOn')}
        chosen={once.slice(0, 1)}
        order={order}
        onArea={(area) => {
          if (once.includes(area)) onChange(begunAt(order, area));
          else if (areas.includes(area)) onChange([...order, area]);
        }}
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
          <li key={`${area} ${i}`} className="flex">
            {i > 0 && i === order.indexOf(area) ? (
              <button
                type="button"
                title={t('head.beginWith', { area })}
                aria-label={t('head.beginWith', { area })}
                className="border-strong-line bg-raised flex min-h-9 items-center gap-1 rounded-s-sm border px-2 max-wide:min-h-11"
                onClick={() => onChange(begunAt(order, area))}
              >
                <span className="tabular-nums">{i + 1}</span> {t(`craft:area.${area}`)}
                <ArrowUpToLine aria-hidden className="size-4" />
              </button>
            ) : (
              <span className="border-line flex min-h-9 items-center gap-1 rounded-s-sm border px-2 max-wide:min-h-11">
                <span className="tabular-nums">{i + 1}</span> {t(`craft:area.${area}`)}
              </span>
            )}
            {i === order.indexOf(area) && once.length > 1 ? (
              <button
                type="button"
                title={t('head.leaveOut', { area })}
                aria-label={t('head.leaveOut', { area })}
                className="border-line flex min-h-9 min-w-8 items-center justify-center rounded-e-sm border border-s-0 max-wide:min-h-11 max-wide:min-w-11"
                onClick={() => without(area)}
              >
                <X aria-hidden className="size-4" />
              </button>
            ) : null}
          </li>
        ))}
      </ol>
      {leftOut.length > 0 ? (
        <p className="flex flex-wrap items-center gap-1.5 text-sm">
          {t('head.leftOut')}
          {leftOut.map((area) => (
            <button
              key={area}
              type="button"
              aria-label={t('head.bringBack', { area })}
              className="border-strong-line flex min-h-9 items-center gap-1 rounded-sm border border-dashed px-2 max-wide:min-h-11"
              onClick={() => onChange([...order, area])}
            >
              <Plus aria-hidden className="size-4" /> {t(`craft:area.${area}`)}
            </button>
          ))}
        </p>
      ) : null}
    </fieldset>
  );
}

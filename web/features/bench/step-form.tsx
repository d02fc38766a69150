import { PLACEMENTS, type Bowl, type Application } from '@cimbel/core/card';
import { areasOf } from '@cimbel/core/hair';
import type { PlacementWish } from '@cimbel/core/case';
import type { HeadLook } from '@cimbel/core/draw';
import type { VisibleRegion } from '@cimbel/core/exercise';
import type { Line } from '@cimbel/core/product';
import { TAKEN_AS } from '@cimbel/core/rules';
import { Trash2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { NumberInput, Select, Tick } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { AreaOrder } from '../head/area-order';
import { PlaceTicks } from '../head/place-ticks';
import { fittedOrder, placesOf } from '../head/places';
import '../../lib/words/craft';
import '../../lib/words/bench';

const SHARES = [0.2, 0.3, 0.4, 0.5, 0.6];

/** What is left between foils that take so much of the hair. */
const between = (woven: number) => Math.round((1 - woven) * 100) / 100;

/** A figure that a card may leave out. */
function OptionalNumber({
  label,
  value,
  min = 0,
  max,
  unit,
  onValue,
}: {
  label: string;
  value: number | undefined;
  min?: number;
  max: number;
  unit: string;
  onValue: (value: number | undefined) => void;
}) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <NumberInput
        aria-label={label}
        value={value ?? null}
        min={min}
        max={max}
        step={1}
        className="w-20!"
        unit={unit}
        onValue={(next) =>
          onValue(next === null ? undefined : Math.min(max, Math.max(min, Math.round(next))))
        }
      />
    </label>
  );
}

/** How a bowl is applied, in words and figures; its times are a step of their own. */
export function StepForm({
  step,
  regions,
  headLook,
  bowls,
  lines,
  placements,
  onChange,
  onRemove,
}: {
  step: Application;
  regions: readonly VisibleRegion[];
  headLook: HeadLook;
  bowls: readonly Bowl[];
  lines: readonly Line[];
  onChange: (application: Application) => void;
  onRemove: () => void;
  /** Placements that the case asks for. */
  placements: readonly PlacementWish[];
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const set = (part: Partial<Application>) => onChange({ ...step, ...part });
  const zones = placesOf({ regions }).map(({ zone }) => zone);
  const woven =
    placements.find((placement) => placement.zones.some((zone) => step.zones.includes(zone)))?.share ?? null;
  const lineName = (bowl: Bowl) => lines.find(({ id }) => id === bowl.lineId)?.name ?? t('answer.none');
  return (
    <Sheet
      className="grid gap-x-6 gap-y-3 lg:grid-cols-2"
      aria-label={t('bench.stepOf', { bowl: step.bowl })}
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="flex items-center gap-2 font-semibold">
          {t('bench.bowl')}
          <span className="w-52">
            <Select value={step.bowl} onChange={({ target }) => set({ bowl: target.value })}>
              {bowls.map((bowl) => (
                <option key={bowl.name} value={bowl.name}>
                  {t('bench.bowlTab', { name: bowl.name, line: lineName(bowl) })}
                </option>
              ))}
            </Select>
          </span>
        </label>
        <PlaceTicks
          label={t('bench.onZones')}
          places={zones}
          chosen={step.zones}
          onChange={(next) =>
            set({
              zones: next,
              areas: fittedOrder(step.areas, areasOf(regions, next), areasOf(regions, step.zones)),
            })
          }
        />
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="flex items-center gap-2 font-semibold">
          {t('bench.start')}
          <NumberInput
            aria-label={t('bench.start')}
            value={step.start}
            min={0}
            max={300}
            step={1}
            className="w-20!"
            unit={t('unit.min')}
            onValue={(start) => set({ start: Math.min(300, Math.round(start ?? 0)) })}
          />
        </label>
        <OptionalNumber
          label={t('bench.takes')}
          value={step.takesMinutes}
          max={90}
          unit={t('unit.min')}
          onValue={(takesMinutes) => set({ takesMinutes })}
        />
        <OptionalNumber
          label={t('bench.parting')}
          value={step.partingMm}
          min={2}
          max={40}
          unit={t('unit.mm')}
          onValue={(partingMm) => set({ partingMm })}
        />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Choice
          label={t('bench.placement')}
          value={step.placement}
          options={PLACEMENTS.filter((value) => value !== 'between' || woven || step.placement === value).map(
            (value) => ({ value, text: t(`craft:placement.${value}`) }),
          )}
          onChange={(placement) =>
            set(
              placement === 'foils'
                ? { placement, share: step.placement === 'foils' ? step.share : 0.3 }
                : {
                    placement,
                    share: placement === 'between' && woven ? between(woven) : 1,
                    taken: undefined,
                  },
            )
          }
        />
        {step.placement === 'foils' ? (
          <label className="flex items-center gap-2">
            {t('bench.taken')}
            <span className="w-44">
              <Select
                value={step.taken ?? ''}
                onChange={({ target }) =>
                  set({ taken: TAKEN_AS.find((takenAs) => takenAs === target.value) })
                }
              >
                <option value="">{t('answer.none')}</option>
                {TAKEN_AS.map((taken) => (
                  <option key={taken} value={taken}>
                    {t(`craft:taken.${taken}`)}
                  </option>
                ))}
              </Select>
            </span>
          </label>
        ) : null}
        {step.placement === 'foils' ? (
          <label className="flex items-center gap-2">
            {t('bench.wovenShare')}
            <span className="w-24">
              <Select
                value={String(step.share)}
                onChange={({ target }) => set({ share: Number(target.value) })}
              >
                {[...SHARES, 1].map((share) => (
                  <option key={share} value={share}>
                    {t('bench.share', { share })}
                  </option>
                ))}
              </Select>
            </span>
          </label>
        ) : null}
      </div>
      <div className="flex flex-wrap items-center gap-x-5">
        <Tick
          label={t('bench.stopsAtLine')}
          on={step.stopsAtLine}
          onChange={(stopsAtLine) => set({ stopsAtLine })}
        />
        <Tick label={t('bench.wet')} on={step.wet} onChange={(wet) => set({ wet })} />
        <Tick
          label={t('bench.staysIn')}
          on={step.ends === 'stay'}
          onChange={(stays) => set({ ends: stays ? 'stay' : 'rinse' })}
        />
      </div>
      <div className="lg:col-span-2">
        <AreaOrder
          order={step.areas}
          areas={areasOf(regions, step.zones)}
          look={headLook}
          onChange={(areas) => set({ areas })}
        />
      </div>
      <div className="flex items-center justify-end lg:col-span-2">
        <Button weight="quiet" icon={<Trash2 aria-hidden className="size-4" />} onClick={onRemove}>
          {t('bench.removeStep')}
        </Button>
      </div>
    </Sheet>
  );
}

import { DIAMETERS, POROSITIES } from '@cimbel/core/hair';
import { HISTORIES, LAB_ZONES, VIVIDS, lineFor, type LabZone, type Side } from '@cimbel/core/lab';
import { PRODUCT_KINDS, type ProductKind } from '@cimbel/core/process';
import { HAIR_FORMS } from '@cimbel/core/tress';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';

const SMALL = 'rounded-sm border border-strong-line bg-raised px-1.5 py-0.5 text-sm min-h-8';
const HALVES = Array.from({ length: 19 }, (_, i) => 1 + i / 2);
const TENTHS = Array.from({ length: 11 }, (_, i) => i / 10);
const VOLS = [0, 5, 7, 10, 15, 20, 25, 30, 35, 40];
const RATIOS = [1, 1.5, 2, 2.5, 3];
const STARTS = [0, 5, 10, 15, 20, 25, 30, 40];
const RINSES = [5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 60, 75, 90];

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <label className="flex items-center justify-between gap-2 text-sm">
      <span>{label}</span>
      {children}
    </label>
  );
}

interface PickProps<T extends string | number> {
  label: string;
  value: T;
  options: readonly T[];
  text?: (value: T) => string;
  onPick: (value: T) => void;
}

function Pick<T extends string | number>({ label, value, options, text = String, onPick }: PickProps<T>) {
  const all = options.includes(value) ? options : [...options, value];
  return (
    <Row label={label}>
      <select
        className={`${SMALL} max-w-36`}
        value={value}
        onChange={({ target }) => onPick(all.find((option) => String(option) === target.value)!)}
      >
        {all.map((option) => (
          <option key={option} value={option}>
            {text(option)}
          </option>
        ))}
      </select>
    </Row>
  );
}

const DEFAULT_SHADE: Partial<Record<ProductKind, string>> = {
  permanent: '7:0',
  express: '6:0',
  highLift: '10:0',
  demi: '7-L',
  acidGloss: '9-U',
};
const WITHOUT_DEVELOPER: readonly ProductKind[] = ['direct', 'filler', 'remover'];

function Shades({ side, onChange }: { side: Side; onChange: (part: Partial<Side>) => void }) {
  const { t } = useTranslation();
  const line = lineFor(side.product);
  if (!line) return null;
  const set = (at: number, change: { label?: string; parts?: number }) => {
    const shades = [...side.shades];
    if (change.label === '') shades.splice(at, 1);
    else shades[at] = { ...(shades[at] ?? { label: line.shades[0], parts: 1 }), ...change };
    onChange({ shades });
  };
  const rows = Math.min(3, side.shades.length + 1);
  return (
    <>
      {Array.from({ length: rows }, (_, i) => {
        const shade = side.shades[i];
        const label = t('lab.shade', { n: i + 1 });
        return (
          <Row key={i} label={label}>
            <span className="flex gap-1">
              {shade ? (
                <input
                  type="number"
                  aria-label={`${label}: ${t('lab.parts')}`}
                  className={`${SMALL} w-14`}
                  min={0.5}
                  max={20}
                  step={0.5}
                  value={shade.parts}
                  onChange={({ target }) =>
                    set(i, { parts: target.valueAsNumber > 0 ? target.valueAsNumber : 1 })
                  }
                />
              ) : null}
              <select
                className={`${SMALL} w-20`}
                value={shade?.label ?? ''}
                onChange={({ target }) => set(i, { label: target.value })}
              >
                <option value="">{t('lab.noShade')}</option>
                {line.shades.map((name) => (
                  <option key={name}>{name}</option>
                ))}
              </select>
            </span>
          </Row>
        );
      })}
    </>
  );
}

/** Everything about one side, small and dense: the picture in the middle is what counts. */
export function SideForm({
  name,
  side,
  onChange,
}: {
  name: string;
  side: Side;
  onChange: (part: Partial<Side>) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const craft = (list: string) => (value: string) => t(`craft:${list}.${value}`);
  const levels = (value: number) => String(value);
  const percent = (value: number) => `${Math.round(value * 100)} %`;
  const start = (zone: LabZone) => (
    <Row key={zone} label={t('lab.start', { zone: t(`craft:zone.${zone}`) })}>
      <select
        className={SMALL}
        value={side.starts[zone] ?? ''}
        onChange={({ target }) =>
          onChange({ starts: { ...side.starts, [zone]: target.value === '' ? null : Number(target.value) } })
        }
      >
        <option value="">{t('lab.leave')}</option>
        {STARTS.map((minute) => (
          <option key={minute} value={minute}>{`${minute} min`}</option>
        ))}
      </select>
    </Row>
  );
  const tick = (label: string, value: boolean, key: 'heat' | 'historyAtRoot') => (
    <Row label={label}>
      <input
        type="checkbox"
        className="accent-accent size-5"
        checked={value}
        onChange={({ target }) => onChange({ [key]: target.checked })}
      />
    </Row>
  );
  const group = (legend: string, children: ReactNode) => (
    <fieldset className="border-line flex flex-col gap-1 border-t pt-1">
      <legend className="text-quiet pe-2 text-xs">{legend}</legend>
      {children}
    </fieldset>
  );
  const changeProduct = (product: ProductKind) => {
    const line = lineFor(product);
    const keeps = line !== null && side.shades.every(({ label }) => line.shades.includes(label));
    const shades = keeps
      ? side.shades
      : DEFAULT_SHADE[product]
        ? [{ label: DEFAULT_SHADE[product], parts: 1 }]
        : [];
    onChange({ product, shades });
  };
  return (
    <section
      aria-label={t('lab.side', { side: name })}
      className="bg-sheet border-line flex flex-col gap-2 rounded-sm border p-3"
    >
      <h2 className="text-lg">{t('lab.side', { side: name })}</h2>
      {group(
        t('lab.hair'),
        <>
          <Pick
            label={t('lab.natural')}
            value={side.natural}
            options={HALVES}
            text={levels}
            onPick={(natural) => onChange({ natural })}
          />
          <Pick
            label={t('lab.white')}
            value={side.white}
            options={TENTHS}
            text={percent}
            onPick={(white) => onChange({ white })}
          />
          <Pick
            label={t('lab.form')}
            value={side.form}
            options={HAIR_FORMS}
            text={craft('form')}
            onPick={(form) => onChange({ form })}
          />
          <Pick
            label={t('lab.diameter')}
            value={side.diameter}
            options={DIAMETERS}
            text={craft('diameter')}
            onPick={(diameter) => onChange({ diameter })}
          />
          <Pick
            label={t('lab.porosity')}
            value={side.porosity}
            options={POROSITIES}
            text={craft('porosity')}
            onPick={(porosity) => onChange({ porosity })}
          />
          <Pick
            label={t('lab.endsPorosity')}
            value={side.endsPorosity}
            options={POROSITIES}
            text={craft('porosity')}
            onPick={(endsPorosity) => onChange({ endsPorosity })}
          />
          <Pick
            label={t('lab.history')}
            value={side.history}
            options={HISTORIES}
            text={craft('history')}
            onPick={(history) => onChange({ history })}
          />
          {side.history === 'untouched' ? null : (
            <>
              <Pick
                label={t('lab.historyLevel')}
                value={side.historyLevel}
                options={HALVES}
                text={levels}
                onPick={(historyLevel) => onChange({ historyLevel })}
              />
              {tick(t('lab.historyAtRoot'), side.historyAtRoot, 'historyAtRoot')}
            </>
          )}
        </>,
      )}
      {group(
        t('lab.bowl'),
        <>
          <Pick
            label={t('lab.product')}
            value={side.product}
            options={PRODUCT_KINDS}
            text={craft('product')}
            onPick={changeProduct}
          />
          <Shades side={side} onChange={onChange} />
          {side.product === 'direct' ? (
            <Pick
              label={t('lab.vivid')}
              value={side.vivid}
              options={VIVIDS}
              text={craft('vivid')}
              onPick={(vivid) => onChange({ vivid })}
            />
          ) : null}
          {side.product === 'filler' ? (
            <Pick
              label={t('lab.fills')}
              value={side.fillsLevel}
              options={HALVES}
              text={levels}
              onPick={(fillsLevel) => onChange({ fillsLevel })}
            />
          ) : null}
          {WITHOUT_DEVELOPER.includes(side.product) ? null : (
            <>
              <Pick
                label={t('lab.vol')}
                value={side.vol}
                options={VOLS}
                text={(vol) => t('answer.pour', { vol })}
                onPick={(vol) => onChange({ vol })}
              />
              <Pick
                label={t('lab.ratio')}
                value={side.ratio}
                options={RATIOS}
                onPick={(ratio) => onChange({ ratio })}
              />
            </>
          )}
        </>,
      )}
      {group(
        t('lab.order'),
        <>
          {LAB_ZONES.map(start)}
          <Pick
            label={t('lab.rinse')}
            value={side.rinseAt}
            options={RINSES}
            text={(minute) => `${minute} min`}
            onPick={(rinseAt) => onChange({ rinseAt })}
          />
          {tick(t('lab.heat'), side.heat, 'heat')}
        </>,
      )}
    </section>
  );
}

import {
  LAB_HEATS,
  LAB_ZONES,
  VIVIDS,
  WITHOUT_DEVELOPER,
  lineFor,
  type LabCoat,
  type LabZone,
} from '@cimbel/core/simulate';
import { PRODUCT_KINDS, isLightener, type ProductKind } from '@cimbel/core/process';
import { NumberInput } from '../../ui/field';
import { useTranslation } from 'react-i18next';
import { HairGroup, HALF_LEVELS, PickRow, Row, SMALL, TickRow } from '../hair/rows';
import '../../lib/words/craft';
import '../../lib/words/lab';
import '../../lib/words/bench';

const VOLS = [0, 5, 7, 10, 15, 20, 25, 30, 35, 40];
const RATIOS = [1, 1.5, 2, 2.5, 3];
const STARTS = [0, 5, 10, 15, 20, 25, 30, 35, 40, 50, 55, 60, 75];
const RINSES = [5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60, 75, 90, 105, 120];
const THINNED = [0, 0.5, 1, 2, 3];
const AMOUNTS = [0.1, 0.25, 0.5, 0.75, 1, 2];

const DEFAULT_SHADE: Partial<Record<ProductKind, string>> = {
  permanent: '7:0',
  express: '6:0',
  highLift: '11:0',
  demi: '7-L',
  acidGloss: '9-U',
};

interface Fields {
  coat: LabCoat;
  onChange: (part: Partial<LabCoat>) => void;
}

function Shades({ coat, onChange }: Fields) {
  const { t } = useTranslation();
  const line = lineFor(coat.product);
  if (!line) return null;
  const set = (at: number, change: { label?: string; parts?: number }) => {
    const shades = [...coat.shades];
    if (change.label === '') shades.splice(at, 1);
    else shades[at] = { ...(shades[at] ?? { label: line.shades[0], parts: 1 }), ...change };
    onChange({ shades });
  };
  const rows = Math.min(3, coat.shades.length + 1);
  return (
    <>
      {Array.from({ length: rows }, (_, i) => {
        const shade = coat.shades[i];
        const label = t('lab.shade', { n: i + 1 });
        return (
          <Row key={i} label={label}>
            <span className="flex gap-1">
              {shade ? (
                <NumberInput
                  aria-label={`${label}: ${t('lab.parts')}`}
                  className="w-14! px-1!"
                  min={0.1}
                  max={20}
                  step={0.1}
                  value={shade.parts}
                  onValue={(parts) => set(i, { parts: parts ?? 1 })}
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

/** One thing put on: what it is mixed of, how it is put on, where, when and how long. */
export function CoatFields({ coat, onChange }: Fields) {
  const { t } = useTranslation(['ui', 'craft']);
  const changeProduct = (product: ProductKind) => {
    const line = lineFor(product);
    const keeps = line !== null && coat.shades.every(({ label }) => line.shades.includes(label));
    const shades = keeps
      ? coat.shades
      : DEFAULT_SHADE[product]
        ? [{ label: DEFAULT_SHADE[product], parts: 1 }]
        : [];
    onChange({ product, shades, conditioner: isLightener(product) && coat.conditioner });
  };
  const start = (zone: LabZone) => (
    <Row key={zone} label={t('lab.start', { zone: t(`craft:zone.${zone}`) })}>
      <select
        className={SMALL}
        value={coat.starts[zone] ?? ''}
        onChange={({ target }) =>
          onChange({
            starts: { ...coat.starts, [zone]: target.value === '' ? null : Number(target.value) },
          })
        }
      >
        <option value="">{t('lab.leave')}</option>
        {STARTS.map((minute) => (
          <option key={minute} value={minute}>
            {t('lab.minutes', { minute })}
          </option>
        ))}
      </select>
    </Row>
  );
  return (
    <>
      <HairGroup legend={t('lab.bowl')}>
        <PickRow
          label={t('lab.product')}
          value={coat.product}
          options={PRODUCT_KINDS}
          text={(kind) => t(`craft:product.${kind}`)}
          onPick={changeProduct}
        />
        <Shades coat={coat} onChange={onChange} />
        {coat.product === 'direct' ? (
          <PickRow
            label={t('lab.vivid')}
            value={coat.vivid}
            options={VIVIDS}
            text={(dye) => t(`craft:vivid.${dye}`)}
            onPick={(vivid) => onChange({ vivid })}
          />
        ) : null}
        {coat.product === 'filler' ? (
          <PickRow
            label={t('lab.fills')}
            value={coat.fillsLevel}
            options={HALF_LEVELS}
            onPick={(fillsLevel) => onChange({ fillsLevel })}
          />
        ) : null}
        {WITHOUT_DEVELOPER.includes(coat.product) ? null : (
          <>
            <PickRow
              label={t('lab.vol')}
              value={coat.vol}
              options={VOLS}
              text={(vol) => t('answer.pour', { vol })}
              onPick={(vol) => onChange({ vol })}
            />
            <PickRow
              label={t('lab.ratio')}
              value={coat.ratio}
              options={RATIOS}
              onPick={(ratio) => onChange({ ratio })}
            />
            <PickRow
              label={t('lab.thinned')}
              value={coat.thinned}
              options={THINNED}
              text={(parts) => (parts === 0 ? t('lab.notThinned') : t('lab.waterParts', { parts }))}
              onPick={(thinned) => onChange({ thinned })}
            />
          </>
        )}
        {isLightener(coat.product) ? (
          <TickRow
            label={t('lab.conditioner')}
            value={coat.conditioner}
            onTick={(conditioner) => onChange({ conditioner })}
          />
        ) : null}
      </HairGroup>
      <HairGroup legend={t('lab.order')}>
        <TickRow label={t('lab.wet')} value={coat.wet} onTick={(wet) => onChange({ wet })} />
        <PickRow
          label={t('lab.amount')}
          value={coat.amount}
          options={AMOUNTS}
          text={(share) => t('lab.percent', { share })}
          onPick={(amount) => onChange({ amount })}
        />
        {LAB_ZONES.map(start)}
        <Row label={t('lab.rinse')}>
          <select
            className={SMALL}
            value={coat.rinseAt ?? ''}
            onChange={({ target }) =>
              onChange({ rinseAt: target.value === '' ? null : Number(target.value) })
            }
          >
            {[...new Set([...RINSES, ...(coat.rinseAt === null ? [] : [coat.rinseAt])])].map((minute) => (
              <option key={minute} value={minute}>
                {t('lab.minutes', { minute })}
              </option>
            ))}
            <option value="">{t('lab.never')}</option>
          </select>
        </Row>
        <PickRow
          label={t('lab.heat')}
          value={coat.heat}
          options={LAB_HEATS}
          text={(heat) => t(`lab.heats.${heat}`)}
          onPick={(heat) => onChange({ heat })}
        />
      </HairGroup>
    </>
  );
}

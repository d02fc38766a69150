import { TOP_OF_TEN } from '@cimbel/core/colour';
import { POROSITIES, MOST_LAYERS, type ZoneOfHead } from '@cimbel/core/hair';
import { conditionOfZone, presentLevel, type ClientCase } from '@cimbel/core/case';
import { CONDITIONS, TYPICAL } from '@cimbel/core/process';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Field, NumberInput, Tick } from '../../ui/field';
import { Pick } from '../bench/pick';
import { PastFields } from '../hair/past-fields';
import { PlacePictures } from './place-pictures';
import { levelsUpTo } from './wish-fields';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

const GREYS = Array.from({ length: 11 }, (_, i) => i / 10);

/** One zone of the head: what it is, and what was done to it. */
export function ZoneFields({
  clientCase,
  zone,
  onChange,
}: {
  clientCase: ClientCase;
  zone: ZoneOfHead;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const name = placeWord(t, zone.zone);
  const set = (next: ZoneOfHead) =>
    onChange({
      ...clientCase,
      head: {
        ...clientCase.head,
        zones: clientCase.head.zones.map((one) => (one.zone === zone.zone ? next : one)),
      },
    });
  const level = presentLevel(zone);
  return (
    <fieldset
      data-field={`place.${zone.zone}`}
      className="border-line grid grid-cols-2 gap-x-3 gap-y-2 rounded-sm border p-3 sm:grid-cols-4"
    >
      <legend className="font-display px-1 text-lg font-semibold first-letter:uppercase">{name}</legend>
      <Field label={t('bench.lengthCm')}>
        <NumberInput
          aria-label={t('bench.lengthCm')}
          value={zone.lengthCm}
          min={0.5}
          max={80}
          step={0.5}
          className="w-20!"
          unit={t('unit.cm')}
          onValue={(lengthCm) => lengthCm !== null && set({ ...zone, lengthCm: Math.min(80, lengthCm) })}
        />
      </Field>
      <Pick
        label={t('set.natural')}
        value={zone.naturalLevel}
        options={levelsUpTo(TOP_OF_TEN).map((value) => ({ value, text: String(value) }))}
        onChange={(naturalLevel) => set({ ...zone, naturalLevel })}
      />
      <Pick
        label={t('set.grey')}
        value={zone.greyShare}
        options={GREYS.map((value) => ({ value, text: t('bench.share', { share: value }) }))}
        onChange={(greyShare) => set({ ...zone, greyShare })}
      />
      <Pick
        label={t('bench.consult.porosity')}
        value={zone.porosity}
        options={POROSITIES.map((value) => ({ value, text: t(`craft:porosity.${value}`) }))}
        onChange={(porosity) => set({ ...zone, porosity })}
      />
      <Pick
        label={t('bench.condition')}
        value={conditionOfZone(zone)}
        options={CONDITIONS.map((value) => ({ value, text: t(`craft:condition.${value}`) }))}
        onChange={(condition) => set({ ...zone, ...TYPICAL[condition] })}
      />
      {zone.greyShare > 0 ? (
        <div className="col-span-2 self-end sm:col-span-3">
          <Tick
            label={t('set.resistant')}
            on={zone.resistant === true}
            onChange={(on) => {
              const { resistant: _, ...plain } = zone;
              set(on ? { ...plain, resistant: true } : plain);
            }}
          />
        </div>
      ) : null}
      <PlacePictures clientCase={clientCase} zone={zone} />
      <div className="col-span-2 flex flex-col gap-1 sm:col-span-4">
        <h4 className="text-sm font-semibold">{t('bench.history')}</h4>
        <PastFields
          past={zone.history}
          most={MOST_LAYERS}
          onChange={(history) => set({ ...zone, history })}
        />
        {zone.history.length > 0 ? (
          <p className="text-quiet text-sm">{t('bench.showsToday', { level })}</p>
        ) : null}
      </div>
    </fieldset>
  );
}

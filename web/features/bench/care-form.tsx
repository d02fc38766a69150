import { CARE_KINDS, MOST_CARE, RINSE_WATER, type CareKind, type CareStep } from '@cimbel/core/card';
import { type PlaceId, TREATMENTS } from '@cimbel/core/hair';
import { WASH_KINDS } from '@cimbel/core/process';
import { Plus, Trash2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { NumberInput } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { PlaceTicks } from '../head/place-ticks';
import { Pick } from './pick';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** A thing to be done besides the bowls as it begins: on the first place, at a minute. */
function newCare(kind: CareKind, places: readonly PlaceId[], start: number): CareStep {
  const zones = [places[0]];
  switch (kind) {
    case 'protect':
    case 'seal':
      return { do: kind, zones, start };
    case 'emulsify':
      return { do: 'emulsify', zones: [...places], start };
    case 'rinse':
      return { do: 'rinse', zones, start, water: 'lukewarm' };
    case 'wash':
      return { do: 'wash', zones: [...places], start, how: 'gentle', times: 1 };
    case 'treat':
      return { do: 'treat', zones: [...places], start, treatment: 'bond' };
    case 'melt':
      return { do: 'melt', zones: [places[0], places[1] ?? places[0]], start };
  }
}

/** Places of one thing, and what else is to be said of it. */
function CareFields({
  care,
  places,
  onChange,
}: {
  care: CareStep;
  places: readonly PlaceId[];
  onChange: (care: CareStep) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const options = places.map((value) => ({ value, text: placeWord(t, value) }));
  if (care.do === 'melt') {
    const [above, below] = care.zones;
    return (
      <>
        <Pick
          label={t('care.between')}
          value={above}
          options={options.filter(({ value }) => value !== below)}
          onChange={(place) => onChange({ ...care, zones: [place, below] })}
        />
        <Pick
          label={t('care.into')}
          value={below}
          options={options.filter(({ value }) => value !== above)}
          onChange={(place) => onChange({ ...care, zones: [above, place] })}
        />
      </>
    );
  }
  return (
    <>
      <PlaceTicks
        label={t('care.places')}
        places={places}
        chosen={care.zones}
        onChange={(zones) => onChange({ ...care, zones })}
      />
      {care.do === 'wash' ? (
        <>
          <Pick
            label={t('care.how')}
            value={care.how}
            options={WASH_KINDS.map((value) => ({ value, text: t(`craft:washKind.${value}`) }))}
            onChange={(how) => onChange({ ...care, how })}
          />
          <Pick
            label={t('care.times')}
            value={care.times}
            options={[1, 2, 3].map((value) => ({ value, text: String(value) }))}
            onChange={(times) => onChange({ ...care, times })}
          />
        </>
      ) : null}
      {care.do === 'rinse' ? (
        <Pick
          label={t('care.water')}
          value={care.water}
          options={RINSE_WATER.map((value) => ({ value, text: t(`craft:rinseWater.${value}`) }))}
          onChange={(water) => onChange({ ...care, water })}
        />
      ) : null}
      {care.do === 'treat' ? (
        <Pick
          label={t('care.treatment')}
          value={care.treatment}
          options={TREATMENTS.map((value) => ({ value, text: t(`craft:treatment.${value}`) }))}
          onChange={(treatment) => onChange({ ...care, treatment })}
        />
      ) : null}
    </>
  );
}

/** What is done to hair besides the bowls: protection, washes, treatments, an acid rinse, a melt. */
export function CareForm({
  care,
  places,
  atMinute,
  onChange,
}: {
  care: readonly CareStep[];
  places: readonly PlaceId[];
  /** Where the last bowl ends: a new thing begins there, protection at the start. */
  atMinute: number;
  onChange: (care: CareStep[]) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const set = (at: number, one: CareStep) => onChange(care.map((other, i) => (i === at ? one : other)));
  const kinds = CARE_KINDS.filter((kind) => kind !== 'melt' || places.length > 1);
  return (
    <Sheet className="flex flex-col gap-3" aria-label={t('care.title')}>
      <h3 className="text-lg">{t('care.title')}</h3>
      {care.length === 0 ? <p className="text-quiet text-sm">{t('care.none')}</p> : null}
      <ul className="flex flex-col">
        {care.map((one, at) => {
          const what = t(`craft:care.${one.do}`);
          return (
            <li
              key={at}
              className="border-line flex flex-wrap items-end gap-x-4 gap-y-2 border-b py-2 last:border-b-0"
            >
              <strong className="min-w-40">{what}</strong>
              <label className="flex items-center gap-2">
                {t('care.at')}
                <NumberInput
                  aria-label={`${t('care.at')}: ${what}`}
                  value={one.start}
                  min={0}
                  max={300}
                  step={1}
                  className="w-20!"
                  onValue={(start) => set(at, { ...one, start: Math.min(300, Math.round(start ?? 0)) })}
                />
              </label>
              <CareFields care={one} places={places} onChange={(next) => set(at, next)} />
              <Button
                weight="quiet"
                className="ms-auto"
                aria-label={t('care.remove', { what })}
                icon={<Trash2 aria-hidden className="size-4" />}
                onClick={() => onChange(care.filter((_, i) => i !== at))}
              />
            </li>
          );
        })}
      </ul>
      {care.length < MOST_CARE ? (
        <div className="flex flex-wrap items-center gap-2">
          <span className="text-sm font-semibold">{t('care.add')}</span>
          {kinds.map((kind) => (
            <Button
              key={kind}
              icon={<Plus aria-hidden className="size-4" />}
              onClick={() =>
                onChange([...care, newCare(kind, places, kind === 'protect' ? 0 : Math.min(300, atMinute))])
              }
            >
              {t(`craft:care.${kind}`)}
            </Button>
          ))}
        </div>
      ) : null}
    </Sheet>
  );
}

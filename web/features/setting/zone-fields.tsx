import { TONE_FAMILIES, TOP_OF_TEN, topLevel, type LevelScale } from '@cimbel/core/colour';
import { POROSITIES } from '@cimbel/core/hair';
import { conditionOfZone, type ClientCase, type Target, type ZoneOfHead } from '@cimbel/core/card';
import { CONDITIONS, TYPICAL } from '@cimbel/core/process';
import { DIRECT_DYES } from '@cimbel/core/shades';
import { useTranslation } from 'react-i18next';
import { Field, NumberInput, Tick } from '../../ui/field';
import { withHistory } from './case-form';
import { Pick } from '../bench/pick';
import { WishFields, levelsUpTo } from './wish-fields';

const GREYS = Array.from({ length: 11 }, (_, i) => i / 10);
const FADES = [0, 0.2, 0.4, 0.6];
const HISTORIES = ['untouched', 'coloured', 'lightened', 'vivid'] as const;

/** One zone of the head: what it is, what was done to it, and what is wished for it. */
export function ZoneFields({
  clientCase,
  zone,
  scale,
  onChange,
}: {
  clientCase: ClientCase;
  zone: ZoneOfHead;
  scale: LevelScale;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const name = t(`craft:headZone.${zone.zone}`);
  const set = (next: ZoneOfHead) =>
    onChange({
      ...clientCase,
      head: {
        ...clientCase.head,
        zones: clientCase.head.zones.map((one) => (one.zone === zone.zone ? next : one)),
      },
    });
  const { history } = zone;
  const wish = clientCase.wish[zone.zone];
  const setWish = (next: Target | null) => {
    const { [zone.zone]: _, ...others } = clientCase.wish;
    onChange({ ...clientCase, wish: next ? { ...others, [zone.zone]: next } : others });
  };
  const level = history.kind === 'untouched' ? zone.naturalLevel : history.level;
  return (
    <fieldset className="border-line grid grid-cols-2 gap-x-3 gap-y-2 rounded-sm border p-3 sm:grid-cols-4">
      <legend className="font-display px-1 text-lg font-semibold first-letter:uppercase">{name}</legend>
      <Field label={t('service.lengthCm')}>
        <NumberInput
          aria-label={t('service.lengthCm')}
          value={zone.lengthCm}
          min={0.5}
          max={80}
          step={0.5}
          className="w-20!"
          unit="cm"
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
        options={GREYS.map((value) => ({ value, text: t('service.share', { share: value }) }))}
        onChange={(greyShare) => set({ ...zone, greyShare })}
      />
      <Pick
        label={t('bench.consult.porosity')}
        value={zone.porosity}
        options={POROSITIES.map((value) => ({ value, text: t(`craft:porosity.${value}`) }))}
        onChange={(porosity) => set({ ...zone, porosity })}
      />
      <Pick
        label={t('service.history')}
        value={history.kind}
        options={HISTORIES.map((value) => ({ value, text: t(`craft:history.${value}`) }))}
        onChange={(kind) => set(withHistory(zone, kind))}
      />
      {history.kind === 'untouched' ? null : (
        <Pick
          label={t('service.levelToday')}
          value={history.level}
          options={levelsUpTo(topLevel(scale)).map((value) => ({ value, text: String(value) }))}
          onChange={(today) => set({ ...zone, history: { ...history, level: today } })}
        />
      )}
      {history.kind === 'coloured' ? (
        <Pick
          label={t('set.tone')}
          value={history.tone.primary}
          options={TONE_FAMILIES.map((value) => ({ value, text: t(`craft:tone.${value}`) }))}
          onChange={(primary) => set({ ...zone, history: { ...history, tone: { primary } } })}
        />
      ) : null}
      {history.kind === 'vivid' ? (
        <Pick
          label={t('service.dye')}
          value={history.dye}
          options={DIRECT_DYES.map((value) => ({ value, text: t(`craft:vivid.${value}`) }))}
          onChange={(dye) => set({ ...zone, history: { ...history, dye } })}
        />
      ) : null}
      {history.kind === 'coloured' || history.kind === 'vivid' ? (
        <Pick
          label={t('service.faded')}
          value={history.faded}
          options={[...new Set([...FADES, history.faded])].map((value) => ({
            value,
            text: t('service.share', { share: value }),
          }))}
          onChange={(faded) => set({ ...zone, history: { ...history, faded } })}
        />
      ) : null}
      <Pick
        label={t('service.condition')}
        value={conditionOfZone(zone)}
        options={CONDITIONS.map((value) => ({ value, text: t(`craft:condition.${value}`) }))}
        onChange={(condition) => set({ ...zone, ...TYPICAL[condition] })}
      />
      <div className="col-span-2 flex flex-wrap items-end gap-3 sm:col-span-4">
        <Tick
          label={t('service.hasWish')}
          on={Boolean(wish)}
          onChange={(on) => setWish(on ? { level, tone: { primary: 'neutral' } } : null)}
        />
        {wish ? <WishFields wish={wish} scale={scale} onChange={setWish} /> : null}
      </div>
    </fieldset>
  );
}

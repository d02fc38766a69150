import { DENSITIES, DIAMETERS, POROSITIES, SERVICES } from '@cimbel/core/hair';
import { TONE_FAMILIES } from '@cimbel/core/colour';
import { HEAD_ZONES, type HeadZone, type ServiceCase, type Target, type ZoneOfHead } from '@cimbel/core/plan';
import { CONDITIONS, conditionOf } from '@cimbel/core/process';
import { DIRECT_DYES, type Line } from '@cimbel/core/shades';
import { HAIR_FORMS } from '@cimbel/core/tress';
import { useTranslation } from 'react-i18next';
import { Field, Input, NumberInput, Select, Textarea, Tick } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { DAMAGE_OF, withHistory, withZone } from './case-form';

const LEVELS = Array.from({ length: 19 }, (_, i) => 1 + i / 2);
const GREYS = Array.from({ length: 11 }, (_, i) => i / 10);
const FADES = [0, 0.2, 0.4, 0.6];
const HISTORIES = ['untouched', 'coloured', 'lightened', 'vivid'] as const;

function Pick<T extends string | number>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <Field label={label}>
      <Select
        value={String(value)}
        onChange={({ target }) => onChange(options.find((one) => String(one.value) === target.value)!.value)}
      >
        {options.map((one) => (
          <option key={one.value} value={String(one.value)}>
            {one.text}
          </option>
        ))}
      </Select>
    </Field>
  );
}

/** A wish: level and tone, or a ready-made dye over the level. */
function WishFields({ wish, onChange }: { wish: Target; onChange: (wish: Target) => void }) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <>
      <Pick
        label={t('service.wishLevel')}
        value={wish.level}
        options={LEVELS.map((value) => ({ value, text: String(value) }))}
        onChange={(level) => onChange({ ...wish, level })}
      />
      <Pick
        label={t('set.tone')}
        value={wish.vivid ?? wish.tone.primary}
        options={[
          ...TONE_FAMILIES.map((value) => ({ value, text: t(`craft:tone.${value}`) })),
          ...DIRECT_DYES.map((value) => ({ value, text: t(`craft:vivid.${value}`) })),
        ]}
        onChange={(chosen) => {
          const dye = DIRECT_DYES.find((one) => one === chosen);
          const tone = TONE_FAMILIES.find((one) => one === chosen);
          onChange(
            dye
              ? { level: wish.level, tone: { primary: 'neutral' }, vivid: dye }
              : { level: wish.level, tone: { primary: tone! } },
          );
        }}
      />
    </>
  );
}

function ZoneFields({
  kase,
  zone,
  onChange,
}: {
  kase: ServiceCase;
  zone: ZoneOfHead;
  onChange: (kase: ServiceCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const name = t(`craft:headZone.${zone.zone}`);
  const set = (next: ZoneOfHead) =>
    onChange({
      ...kase,
      head: { ...kase.head, zones: kase.head.zones.map((one) => (one.zone === zone.zone ? next : one)) },
    });
  const { history } = zone;
  const wish = kase.wish[zone.zone];
  const setWish = (next: Target | null) => {
    const { [zone.zone]: _, ...others } = kase.wish;
    onChange({ ...kase, wish: next ? { ...others, [zone.zone]: next } : others });
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
        options={LEVELS.map((value) => ({ value, text: String(value) }))}
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
          options={LEVELS.map((value) => ({ value, text: String(value) }))}
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
        value={conditionOf(zone)}
        options={CONDITIONS.map((value) => ({ value, text: t(`craft:condition.${value}`) }))}
        onChange={(condition) => set({ ...zone, damage: DAMAGE_OF[condition] })}
      />
      <div className="col-span-2 flex flex-wrap items-end gap-3 sm:col-span-4">
        <Tick
          label={t('service.hasWish')}
          on={Boolean(wish)}
          onChange={(on) => setWish(on ? { level, tone: { primary: 'neutral' } } : null)}
        />
        {wish ? <WishFields wish={wish} onChange={setWish} /> : null}
      </div>
    </fieldset>
  );
}

const SHARES = [0.2, 0.3, 0.4, 0.5];

/** The whole case: client, head zone by zone, what the client knows, the wish, and the lines at hand. */
export function CaseFields({
  kase,
  lines,
  onChange,
}: {
  kase: ServiceCase;
  lines: readonly Line[];
  onChange: (kase: ServiceCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { head, facts, client, weave } = kase;
  const setHead = (part: Partial<ServiceCase['head']>) => onChange({ ...kase, head: { ...head, ...part } });
  const setFacts = (part: Partial<ServiceCase['facts']>) =>
    onChange({ ...kase, facts: { ...facts, ...part } });
  const has = (zone: HeadZone) => head.zones.some((one) => one.zone === zone);
  return (
    <div className="flex flex-col gap-4">
      <Sheet className="flex flex-col gap-3">
        <h2 className="text-lg">{t('set.head')}</h2>
        <Field label={t('set.client')}>
          <Input
            maxLength={60}
            value={client.name}
            onChange={({ target }) => onChange({ ...kase, client: { ...client, name: target.value } })}
          />
        </Field>
        <Field label={t('set.note')}>
          <Textarea
            rows={2}
            maxLength={600}
            value={client.note}
            onChange={({ target }) => onChange({ ...kase, client: { ...client, note: target.value } })}
          />
        </Field>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <Pick
            label={t('bench.consult.service')}
            value={head.length}
            options={SERVICES.map((value) => ({ value, text: t(`craft:service.${value}`) }))}
            onChange={(length) => setHead({ length })}
          />
          <Pick
            label={t('bench.consult.density')}
            value={head.density}
            options={DENSITIES.map((value) => ({ value, text: t(`craft:density.${value}`) }))}
            onChange={(density) => setHead({ density })}
          />
          <Pick
            label={t('bench.consult.diameter')}
            value={head.diameter}
            options={DIAMETERS.map((value) => ({ value, text: t(`craft:diameter.${value}`) }))}
            onChange={(diameter) => setHead({ diameter })}
          />
          <Pick
            label={t('service.form')}
            value={head.form}
            options={HAIR_FORMS.map((value) => ({ value, text: t(`craft:form.${value}`) }))}
            onChange={(form) => setHead({ form })}
          />
        </div>
        <fieldset className="flex flex-wrap gap-x-5">
          <legend className="text-sm font-semibold">{t('service.zonesOfHead')}</legend>
          {HEAD_ZONES.map((zone) => (
            <Tick
              key={zone}
              label={t(`craft:headZone.${zone}`)}
              on={has(zone)}
              onChange={(on) => onChange(withZone(kase, zone, on))}
            />
          ))}
        </fieldset>
        {head.zones.map((zone) => (
          <ZoneFields key={zone.zone} kase={kase} zone={zone} onChange={onChange} />
        ))}
        <fieldset className="flex flex-wrap items-end gap-3">
          <legend className="text-sm font-semibold">{t('service.weaveWish')}</legend>
          <Tick
            label={t('service.weaveAsked')}
            on={Boolean(weave)}
            onChange={(on) =>
              onChange({
                ...kase,
                weave: on
                  ? {
                      share: 0.3,
                      zones: head.zones.map(({ zone }) => zone),
                      target: { level: 9, tone: { primary: 'neutral' } },
                    }
                  : undefined,
              })
            }
          />
          {weave ? (
            <>
              <Pick
                label={t('service.wovenShare')}
                value={weave.share}
                options={SHARES.map((value) => ({ value, text: t('service.share', { share: value }) }))}
                onChange={(share) => onChange({ ...kase, weave: { ...weave, share } })}
              />
              <WishFields
                wish={weave.target}
                onChange={(target) => onChange({ ...kase, weave: { ...weave, target } })}
              />
            </>
          ) : null}
        </fieldset>
      </Sheet>
      <Sheet className="grid gap-x-6 gap-y-2 sm:grid-cols-2">
        <h2 className="text-lg sm:col-span-2">{t('service.clientKnows')}</h2>
        <Tick
          label={t('service.factReaction')}
          on={facts.reaction}
          onChange={(reaction) => setFacts({ reaction })}
        />
        <Tick
          label={t('service.factScalp')}
          on={facts.scalp === 'irritated'}
          onChange={(on) => setFacts({ scalp: on ? 'irritated' : 'sound' })}
        />
        <Tick
          label={t('service.factSalts')}
          on={facts.metallicSalts}
          onChange={(metallicSalts) => setFacts({ metallicSalts })}
        />
        <Field label={t('service.factWeeks')}>
          <NumberInput
            aria-label={t('service.factWeeks')}
            value={facts.weeksSinceColour}
            min={1}
            max={520}
            step={1}
            className="w-20!"
            onValue={(weeks) =>
              setFacts({ weeksSinceColour: weeks === null ? null : Math.min(520, Math.round(weeks)) })
            }
          />
        </Field>
      </Sheet>
      <Sheet>
        <fieldset className="grid gap-x-6 sm:grid-cols-2">
          <legend className="font-display mb-1 text-lg font-semibold">{t('service.linesAtHand')}</legend>
          {lines.map(({ id, name, kind }) => (
            <Tick
              key={id}
              label={t('set.lineKind', { name, kind: t(`craft:kind.${kind}`) })}
              on={kase.lineIds.includes(id)}
              onChange={(on) =>
                onChange({
                  ...kase,
                  lineIds: lines
                    .map((line) => line.id)
                    .filter((one) => (one === id ? on : kase.lineIds.includes(one))),
                })
              }
            />
          ))}
        </fieldset>
      </Sheet>
    </div>
  );
}

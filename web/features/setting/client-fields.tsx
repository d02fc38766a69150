import {
  DENSITIES,
  DIAMETERS,
  APPLICATION_AREAS,
  ZONES,
  placeIn,
  regionsOf,
  HAIR_FORMS,
} from '@cimbel/core/hair';
import { TOLD, type ClientCase } from '@cimbel/core/case';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Field, Input, NumberInput, Textarea, Tick } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { withZone } from '@cimbel/core/case';
import { Pick } from '../bench/pick';
import { RegionFields } from './region-fields';
import { ZoneFields } from './zone-fields';
import '../../lib/words/appointments';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** Who comes: the client, the head zone by zone, and what the client knows and says. */
export function ClientFields({
  clientCase,
  onChange,
}: {
  clientCase: ClientCase;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft', 'appointments']);
  const { head, facts, client } = clientCase;
  const setHead = (part: Partial<ClientCase['head']>) =>
    onChange({ ...clientCase, head: { ...head, ...part } });
  const setFacts = (part: Partial<ClientCase['facts']>) =>
    onChange({ ...clientCase, facts: { ...facts, ...part } });
  return (
    <div className="flex flex-col gap-4">
      <Sheet className="flex flex-col gap-3">
        <h2 className="text-lg">{t('set.head')}</h2>
        <Field label={t('set.client')}>
          <Input
            data-field="client"
            maxLength={60}
            value={client.name}
            onChange={({ target }) => onChange({ ...clientCase, client: { ...client, name: target.value } })}
          />
        </Field>
        <Field label={t('set.note')}>
          <Textarea
            rows={2}
            maxLength={600}
            value={client.note}
            onChange={({ target }) => onChange({ ...clientCase, client: { ...client, note: target.value } })}
          />
        </Field>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
          {/* Its words are long. */}
          <div className="col-span-full">
            <Pick
              label={t('bench.consult.service')}
              value={head.length}
              options={APPLICATION_AREAS.map((value) => ({ value, text: t(`craft:service.${value}`) }))}
              onChange={(length) => setHead({ length })}
            />
          </div>
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
            label={t('bench.form')}
            value={head.form}
            options={HAIR_FORMS.map((value) => ({ value, text: t(`craft:form.${value}`) }))}
            onChange={(form) => setHead({ form })}
          />
        </div>
        <RegionFields clientCase={clientCase} onChange={onChange} />
        {regionsOf(head).map(({ name, zones }) => (
          <section key={name ?? 'all'} className="flex flex-col gap-3">
            {name === null ? null : <h3 className="text-xl">{capital(t(`craft:region.${name}`))}</h3>}
            <fieldset className="flex flex-wrap gap-x-5">
              <legend className="text-sm font-semibold">{t('bench.zonesOfHead')}</legend>
              {ZONES.map((zone) => (
                <Tick
                  key={zone}
                  label={t(`craft:headZone.${zone}`)}
                  on={zones.some((one) => one.zone === placeIn(name, zone))}
                  onChange={(on) => onChange(withZone(clientCase, placeIn(name, zone), on))}
                />
              ))}
            </fieldset>
            {zones.map((zone) => (
              <ZoneFields key={zone.zone} clientCase={clientCase} zone={zone} onChange={onChange} />
            ))}
          </section>
        ))}
      </Sheet>
      <Sheet className="grid gap-x-6 gap-y-2 sm:grid-cols-2">
        <h2 className="text-lg sm:col-span-2">{t('bench.clientKnows')}</h2>
        <div className="sm:col-span-2">
          <Tick
            label={t('bench.stationPart')}
            on={clientCase.station ?? false}
            onChange={(station) => onChange({ ...clientCase, station: station || undefined })}
          />
          <Tick
            label={t('appointments:quote.part')}
            on={clientCase.quote ?? false}
            onChange={(quote) => onChange({ ...clientCase, quote: quote || undefined })}
          />
        </div>
        <Tick
          label={t('bench.factReaction')}
          on={facts.reaction}
          onChange={(reaction) => setFacts({ reaction })}
        />
        <Tick
          label={t('bench.factScalp')}
          on={facts.scalp === 'irritated'}
          onChange={(on) => setFacts({ scalp: on ? 'irritated' : 'sound' })}
        />
        <Tick
          label={t('bench.factSalts')}
          on={facts.metallicSalts}
          onChange={(metallicSalts) => setFacts({ metallicSalts })}
        />
        <Tick
          label={t('bench.factHenna')}
          on={facts.plainHenna === true}
          onChange={(plainHenna) => setFacts({ plainHenna })}
        />
        <Field label={t('bench.factUpkeep')}>
          <NumberInput
            aria-label={t('bench.factUpkeep')}
            value={facts.upkeepWeeks}
            min={1}
            max={52}
            step={1}
            className="w-20!"
            onValue={(weeks) =>
              weeks !== null && setFacts({ upkeepWeeks: Math.min(52, Math.max(1, Math.round(weeks))) })
            }
          />
        </Field>
        <Field label={t('bench.factWeeks')}>
          <NumberInput
            aria-label={t('bench.factWeeks')}
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
      <Sheet className="flex flex-col gap-3">
        <h2 className="text-lg">{t('bench.clientSays')}</h2>
        <p className="text-quiet text-sm">{t('bench.clientSaysHint')}</p>
        {TOLD.map((question) => (
          <Field key={question} label={capital(t(`craft:question.${question}`))}>
            <Input
              maxLength={200}
              value={facts.told?.[question] ?? ''}
              onChange={({ target }) => {
                const { [question]: _, ...others } = facts.told ?? {};
                // A space at the end is one that a word comes after.
                const said = target.value.replace(/^\s+/, '');
                setFacts({ told: said ? { ...others, [question]: said } : others });
              }}
            />
          </Field>
        ))}
      </Sheet>
    </div>
  );
}

import { type ClientCase, nowLooks } from '@cimbel/core/case';
import { AREAS, DENSITIES, DIAMETERS, type Area } from '@cimbel/core/hair';
import { visibleRegions } from '@cimbel/core/exercise';
import { Merge, Split } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Pick } from '../bench/pick';
import { HeadSheet } from '../head/head-sheet';
import { headLook } from '../head/places';
import { canDivide, withRegionsJoined, withAreaIn, withRegion } from '@cimbel/core/case';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** The picture of the head is always the same: it is being made. */
const SEED = 1;

/**
 * The head told apart into regions whose hair is alike, on the head sheet: tell an area apart, then give further ones to
 * its region by pressing them.
 */
export function RegionFields({
  clientCase,
  onChange,
}: {
  clientCase: ClientCase;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { head } = clientCase;
  const regions = visibleRegions(head);
  const [name, setName] = useState(regions[0].name);
  const current = regions.find((region) => region.name === name) ?? regions[0];
  const press = (area: Area) => {
    if (current.name === null) return;
    if (current.areas.includes(area)) return;
    onChange(withAreaIn(clientCase, area, current.name));
  };
  const divide = (area: Area) => {
    const next = withRegion(clientCase, area);
    onChange(next);
    setName(next.head.regions?.[0].name ?? null);
  };
  const setRegion = (part: object) =>
    onChange({
      ...clientCase,
      head: {
        ...head,
        regions: head.regions?.map((region) =>
          region.name === current.name ? { ...region, ...part } : region,
        ),
      },
    });
  return (
    <fieldset className="flex min-w-0 flex-col gap-3">
      <legend className="font-display text-lg font-semibold">{t('head.regions')}</legend>
      <p className="text-quiet text-sm">{t(head.regions ? 'head.paintHint' : 'head.alikeHint')}</p>
      <HeadSheet
        look={headLook(
          regions,
          nowLooks(clientCase, 'daylight', SEED).map((look) => ({ look })),
        )}
        label={t('head.sheet')}
        chosen={head.regions ? current.areas : []}
        onArea={head.regions ? press : undefined}
      />
      {head.regions ? (
        <>
          <Choice
            label={t('head.regions')}
            value={current.name}
            options={head.regions.map((region) => ({
              value: region.name,
              text: `${capital(t(`craft:region.${region.name}`))} (${region.areas
                .map((area) => t(`craft:area.${area}`))
                .join(', ')})`,
            }))}
            onChange={setName}
          />
          <div
            role="group"
            aria-label={t('head.giveTo', { region: current.name })}
            className="flex flex-wrap gap-1.5"
          >
            {AREAS.map((area) => (
              <button
                key={area}
                type="button"
                aria-pressed={current.areas.includes(area)}
                className="border-strong-line bg-raised aria-pressed:bg-accent aria-pressed:text-on-accent min-h-9 rounded-sm border px-2.5 text-sm font-semibold max-wide:min-h-11"
                onClick={() => press(area)}
              >
                {t(`craft:area.${area}`)}
              </button>
            ))}
          </div>
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
            <Pick
              label={t('bench.consult.density')}
              value={current.density}
              options={DENSITIES.map((value) => ({ value, text: t(`craft:density.${value}`) }))}
              onChange={(density) => setRegion({ density })}
            />
            <Pick
              label={t('bench.consult.diameter')}
              value={current.diameter}
              options={DIAMETERS.map((value) => ({ value, text: t(`craft:diameter.${value}`) }))}
              onChange={(diameter) => setRegion({ diameter })}
            />
          </div>
        </>
      ) : null}
      <div className="flex flex-wrap items-center gap-2">
        {canDivide(head) ? (
          <>
            <span className="text-sm font-semibold">{t('head.tellApart')}</span>
            {AREAS.filter((area) =>
              regions.some(({ areas }) => areas.includes(area) && areas.length > 1),
            ).map((area) => (
              <Button
                key={area}
                weight="quiet"
                icon={<Split aria-hidden className="size-4" />}
                onClick={() => divide(area)}
              >
                {t(`craft:area.${area}`)}
              </Button>
            ))}
          </>
        ) : null}
        {head.regions && current.name !== null ? (
          <Button
            weight="quiet"
            icon={<Merge aria-hidden className="size-4" />}
            onClick={() => {
              const other = regions.find((region) => region.name !== current.name)!.name!;
              onChange(withRegionsJoined(clientCase, current.name!, other));
              setName(other);
            }}
          >
            {t('head.join', {
              region: current.name,
              other: regions.find((region) => region.name !== current.name)!.name,
            })}
          </Button>
        ) : null}
      </div>
    </fieldset>
  );
}

import type { LevelScale } from '@cimbel/core/colour';
import { regionsOf } from '@cimbel/core/hair';
import type { ClientCase } from '@cimbel/core/case';
import type { Line } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Tick } from '../../ui/field';
import { Sheet } from '../../ui/panel';
import { MeltFields } from './melt-fields';
import { PlaceWish } from './place-wish';
import { PlacementFields } from './placement-fields';
import { ShelfFields } from './shelf-fields';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** What is wished, place by place and strand by strand, and what of which lines is there to do it with. */
export function WishAndShelf({
  clientCase,
  lines,
  scale,
  onChange,
}: {
  clientCase: ClientCase;
  lines: readonly Line[];
  /** Levels the class has numbers for. */
  scale: LevelScale;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <div className="flex flex-col gap-4">
      <Sheet className="flex flex-col gap-3">
        <h2 className="text-lg">{t('set.wish')}</h2>
        <div data-field="wish" className="flex flex-col gap-3">
          {regionsOf(clientCase.head).map(({ name, zones }) => (
            <section key={name ?? 'all'} className="flex flex-col gap-3">
              {name === null ? null : <h3 className="text-xl">{capital(t(`craft:region.${name}`))}</h3>}
              {zones.map((zone) => (
                <PlaceWish
                  key={zone.zone}
                  clientCase={clientCase}
                  zone={zone}
                  scale={scale}
                  onChange={onChange}
                />
              ))}
            </section>
          ))}
        </div>
        <div data-field="placements">
          <PlacementFields clientCase={clientCase} scale={scale} onChange={onChange} />
        </div>
        <div data-field="melts">
          <MeltFields clientCase={clientCase} onChange={onChange} />
        </div>
      </Sheet>
      <Sheet>
        <fieldset data-field="lines" className="grid gap-x-6 sm:grid-cols-2">
          <legend className="font-display mb-1 text-lg font-semibold">{t('bench.linesAtHand')}</legend>
          {lines.map(({ id, name, kind }) => (
            <Tick
              key={id}
              label={t('set.lineKind', { name, kind: t(`craft:kind.${kind}`) })}
              on={clientCase.lineIds.includes(id)}
              onChange={(on) =>
                onChange({
                  ...clientCase,
                  lineIds: lines
                    .map((line) => line.id)
                    .filter((name) => (name === id ? on : clientCase.lineIds.includes(name))),
                })
              }
            />
          ))}
        </fieldset>
        <ShelfFields clientCase={clientCase} lines={lines} onChange={onChange} />
      </Sheet>
    </div>
  );
}

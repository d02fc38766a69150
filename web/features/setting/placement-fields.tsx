import { MOST_PLACEMENTS, type ClientCase, type PlacementWish } from '@cimbel/core/case';
import type { LevelScale } from '@cimbel/core/colour';
import { TAKEN_AS } from '@cimbel/core/rules';
import { Plus, Trash2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Pick } from '../bench/pick';
import { PlaceTicks } from '../head/place-ticks';
import { WishFields } from './wish-fields';
import '../../lib/words/craft';
import '../../lib/words/bench';

const SHARES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7];
const OPEN = '';

/** Strands that are to be woven out and taken to a colour of their own: any number of placements, each on its places. */
export function PlacementFields({
  clientCase,
  scale,
  onChange,
}: {
  clientCase: ClientCase;
  scale: LevelScale;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { head, placements = [] } = clientCase;
  const setAll = (next: PlacementWish[]) =>
    onChange({ ...clientCase, placements: next.length > 0 ? next : undefined });
  const set = (at: number, part: Partial<PlacementWish>) =>
    setAll(placements.map((placementWish, i) => (i === at ? { ...placementWish, ...part } : placementWish)));
  const free = head.zones
    .map(({ zone }) => zone)
    .filter((zone) => !placements.some(({ zones }) => zones.includes(zone)));
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="text-sm font-semibold">{t('bench.weaveWish')}</legend>
      {placements.map((placement, at) => (
        <div
          key={at}
          role="group"
          aria-label={t('bench.placementOf', { count: at + 1 })}
          className="border-line flex flex-wrap items-end gap-3 rounded-sm border p-3"
        >
          <div className="w-full">
            <PlaceTicks
              label={t('care.places')}
              places={head.zones
                .map(({ zone }) => zone)
                .filter((zone) => placement.zones.includes(zone) || free.includes(zone))}
              chosen={placement.zones}
              onChange={(zones) => set(at, { zones })}
            />
          </div>
          <Pick
            label={t('bench.wovenShare')}
            value={placement.share}
            options={[...new Set([...SHARES, placement.share])]
              .sort((a, b) => a - b)
              .map((value) => ({ value, text: t('bench.share', { share: value }) }))}
            onChange={(share) => set(at, { share })}
          />
          <Pick
            label={t('bench.taken')}
            value={placement.taken ?? OPEN}
            options={[
              { value: OPEN, text: t('bench.takenOpen') },
              ...TAKEN_AS.map((value) => ({ value, text: t(`craft:taken.${value}`) })),
            ]}
            onChange={(taken) => set(at, { taken: TAKEN_AS.find((takenAs) => takenAs === taken) })}
          />
          <WishFields wish={placement.target} scale={scale} onChange={(target) => set(at, { target })} />
          <Button
            weight="quiet"
            icon={<Trash2 aria-hidden className="size-4" />}
            onClick={() => setAll(placements.filter((_, i) => i !== at))}
          >
            {t('bench.removePlacement')}
          </Button>
        </div>
      ))}
      {placements.length < MOST_PLACEMENTS && free.length > 0 ? (
        <div>
          <Button
            icon={<Plus aria-hidden className="size-4" />}
            onClick={() =>
              setAll([
                ...placements,
                { share: 0.3, zones: free, target: { level: 9, tone: { primary: 'neutral' } } },
              ])
            }
          >
            {t('bench.addPlacement')}
          </Button>
        </div>
      ) : null}
    </fieldset>
  );
}

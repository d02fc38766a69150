import type { LevelScale } from '@cimbel/core/colour';
import { presentLevel, type ClientCase, type Target } from '@cimbel/core/case';
import type { ZoneOfHead } from '@cimbel/core/hair';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Tick } from '../../ui/field';
import { WishFields } from './wish-fields';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** What is wished for one place; a place that is not in the service stays as it is. */
export function PlaceWish({
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
  const wish = clientCase.wish[zone.zone];
  const setWish = (next: Target | null) => {
    const { [zone.zone]: _, ...others } = clientCase.wish;
    onChange({ ...clientCase, wish: next ? { ...others, [zone.zone]: next } : others });
  };
  const level = presentLevel(zone);
  return (
    <fieldset className="border-line flex flex-wrap items-end gap-3 rounded-sm border p-3">
      <legend className="font-display px-1 text-lg font-semibold first-letter:uppercase">
        {placeWord(t, zone.zone)}
      </legend>
      <p className="text-quiet w-full text-sm">{t('bench.showsToday', { level })}</p>
      <Tick
        label={t('bench.hasWish')}
        on={Boolean(wish)}
        onChange={(on) => setWish(on ? { level, tone: { primary: 'neutral' } } : null)}
      />
      {wish && !wish.vivid && Math.abs(wish.level - level) <= 0.5 ? (
        <Tick
          label={t('set.shine')}
          on={wish.shine === true}
          onChange={(on) => {
            const { shine: _, ...plain } = wish;
            setWish(on ? { ...plain, shine: true } : plain);
          }}
        />
      ) : null}
      {wish ? (
        <WishFields wish={wish} scale={scale} overGrey={zone.greyShare > 0} onChange={setWish} />
      ) : null}
    </fieldset>
  );
}

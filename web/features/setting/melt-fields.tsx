import { neighboursOf, placeParts, type PlaceId } from '@cimbel/core/hair';
import type { ClientCase } from '@cimbel/core/case';
import { useTranslation } from 'react-i18next';
import { NumberInput, Tick } from '../../ui/field';
import '../../lib/words/bench';

const USUAL_CM = 4;
const MOST_CM = 30;

/** Where two colours that meet on a strand are to flow into one another: a tick for every two neighbours that are worked. */
export function MeltFields({
  clientCase,
  onChange,
}: {
  clientCase: ClientCase;
  onChange: (clientCase: ClientCase) => void;
}) {
  const { t } = useTranslation();
  const { head, wish, melts = [] } = clientCase;
  const pairs = head.zones.flatMap(({ zone }): [PlaceId, PlaceId][] => {
    const below = neighboursOf(head, zone).find(
      (other) =>
        head.zones.findIndex((zone) => zone.zone === other) >
        head.zones.findIndex((one) => one.zone === zone),
    );
    return below && wish[zone] && wish[below] ? [[zone, below]] : [];
  });
  if (pairs.length === 0) return null;
  const isOf =
    ([above, below]: [PlaceId, PlaceId]) =>
    (melt: { zones: readonly PlaceId[] }) =>
      melt.zones[0] === above && melt.zones[1] === below;
  const setAll = (next: NonNullable<ClientCase['melts']>) =>
    onChange({ ...clientCase, melts: next.length > 0 ? next : undefined });
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="text-sm font-semibold">{t('care.meltWish')}</legend>
      <p className="text-quiet text-sm">{t('care.meltWishHint')}</p>
      {pairs.map((pair) => {
        const melt = melts.find(isOf(pair));
        const name = t('care.meltOf', { above: pair[0], below: pair[1] });
        return (
          <div
            key={`${placeParts(pair[0]).region} ${pair.join()}`}
            className="flex flex-wrap items-center gap-3"
          >
            <Tick
              label={name}
              on={Boolean(melt)}
              onChange={(on) =>
                setAll(
                  on
                    ? [...melts, { zones: [...pair], overCm: USUAL_CM }]
                    : melts.filter((melt) => !isOf(pair)(melt)),
                )
              }
            />
            {melt ? (
              <label className="flex items-center gap-2">
                {t('care.overCm')}
                <NumberInput
                  aria-label={`${t('care.overCm')}: ${name}`}
                  value={melt.overCm}
                  min={1}
                  max={MOST_CM}
                  step={1}
                  className="w-20!"
                  onValue={(overCm) =>
                    overCm !== null &&
                    setAll(
                      melts.map((one) =>
                        one === melt ? { ...one, overCm: Math.min(MOST_CM, Math.max(1, overCm)) } : one,
                      ),
                    )
                  }
                />
              </label>
            ) : null}
          </div>
        );
      })}
    </fieldset>
  );
}

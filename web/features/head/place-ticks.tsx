import type { PlaceId } from '@cimbel/core/hair';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Tick } from '../../ui/field';
import '../../lib/words/craft';

/** The places something is done to, one tick each; the last of them cannot be taken away. */
export function PlaceTicks({
  label,
  places,
  chosen,
  onChange,
}: {
  /** Read out by a screen reader in place of the ticks. */
  label: string;
  /** Those that can be chosen, in their order on the head. */
  places: readonly PlaceId[];
  chosen: readonly PlaceId[];
  onChange: (places: PlaceId[]) => void;
}) {
  const { t } = useTranslation('craft');
  return (
    <fieldset className="flex flex-wrap gap-x-4">
      <legend className="sr-only">{label}</legend>
      {places.map((place) => (
        <Tick
          key={place}
          label={placeWord(t, place)}
          on={chosen.includes(place)}
          onChange={(on) => {
            const next = places.filter((one) => (one === place ? on : chosen.includes(one)));
            if (next.length > 0) onChange(next);
          }}
        />
      ))}
    </fieldset>
  );
}

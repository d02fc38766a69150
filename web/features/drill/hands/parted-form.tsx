import type { Term } from '@cimbel/core/drill';
import { useTranslation } from 'react-i18next';
import { termWords } from '../words';
import '../../../lib/words/reading';

export interface Parted {
  shares: number[];
  natural: number | null;
}

/** The share of white in each parting, in tenths, and the natural share for the bowl. */
export function PartedForm({
  places,
  naturals,
  value,
  onChange,
  closed,
}: {
  places: readonly Term[];
  naturals: readonly Term[];
  value: Parted;
  onChange: (value: Parted) => void;
  closed: boolean;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  return (
    <div className="flex flex-col gap-4">
      <div className="grid max-w-md grid-cols-[auto_1fr_auto] items-center gap-x-3">
        {places.map((place, i) => {
          const name = termWords(t, place);
          return (
            <label key={name} className="contents">
              <span>{name}</span>
              <input
                type="range"
                className="accent-ink h-11"
                aria-label={t('reading.hands.shareOf', { place: name })}
                min={0}
                max={10}
                step={1}
                disabled={closed}
                value={Math.round(value.shares[i] * 10)}
                aria-valuetext={t('reading.share', { share: value.shares[i] })}
                onChange={({ target }) =>
                  onChange({
                    ...value,
                    shares: value.shares.map((own, j) => (j === i ? Number(target.value) / 10 : own)),
                  })
                }
              />
              <output className="w-14 text-end font-semibold">
                {t('reading.share', { share: value.shares[i] })}
              </output>
            </label>
          );
        })}
      </div>
      <fieldset disabled={closed} className="flex flex-col gap-1">
        <legend className="pb-1 text-sm font-semibold">{t('reading.hands.natural')}</legend>
        <div className="grid gap-1.5 sm:grid-cols-2">
          {naturals.map((natural, i) => (
            <label
              key={natural.code}
              className="border-strong-line bg-raised has-checked:border-accent has-checked:bg-accent has-checked:text-on-accent flex min-h-11 items-center gap-2 rounded-sm border px-3"
            >
              <input
                type="radio"
                name="natural-share"
                className="accent-accent size-4"
                checked={value.natural === i}
                onChange={() => onChange({ ...value, natural: i })}
              />
              {termWords(t, natural)}
            </label>
          ))}
        </div>
      </fieldset>
    </div>
  );
}

import { Plus, X } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { NumberInput } from '../../ui/field';
import '../../lib/words/shade-books';

interface Row {
  from: number;
  natural: number;
}
const MOST_ROWS = 6;
/** Where a new row begins: the usual steps of such tables. */
const NEXT: readonly Row[] = [
  { from: 0.25, natural: 0.25 },
  { from: 0.5, natural: 0.5 },
  { from: 0.75, natural: 0.75 },
];

/** The maker's own table over grey, row by row; none where the class's holds. */
export function GreyShareRows({
  rows,
  error,
  onChange,
}: {
  rows: readonly Row[];
  error: string | null;
  onChange: (rows: Row[]) => void;
}) {
  const { t } = useTranslation();
  const set = (at: number, part: Partial<Row>) =>
    onChange(rows.map((row, i) => (i === at ? { ...row, ...part } : row)));
  const percent = (at: number, name: keyof Row, label: string) => (
    <NumberInput
      aria-label={label}
      value={Math.round(rows[at][name] * 100)}
      min={0}
      max={100}
      step={5}
      className="w-20!"
      unit={t('unit.percent')}
      onValue={(value) => set(at, { [name]: Math.min(1, (value ?? 0) / 100) })}
    />
  );
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="text-sm font-semibold">{t('shadeBooks.greyShares')}</legend>
      <p className="text-quiet text-sm">{t('shadeBooks.greySharesHint')}</p>
      <ul className="flex flex-col gap-1">
        {rows.map((_, i) => (
          <li key={i} className="flex flex-wrap items-center gap-2">
            {t('shadeBooks.greyFrom')}
            {percent(i, 'from', t('shadeBooks.greyFromOf', { row: i + 1 }))}
            {t('shadeBooks.greyNatural')}
            {percent(i, 'natural', t('shadeBooks.greyNaturalOf', { row: i + 1 }))}
            <button
              type="button"
              className="hover:bg-raised rounded-sm p-2"
              aria-label={t('shadeBooks.greyRemove', { row: i + 1 })}
              onClick={() => onChange(rows.filter((__, at) => at !== i))}
            >
              <X aria-hidden className="size-5" />
            </button>
          </li>
        ))}
      </ul>
      {error ? (
        <p role="alert" className="text-bad text-sm font-semibold">
          {error}
        </p>
      ) : null}
      <div>
        <Button
          icon={<Plus aria-hidden className="size-4" />}
          disabled={rows.length >= MOST_ROWS}
          onClick={() => onChange([...rows, NEXT[rows.length] ?? { from: 1, natural: 1 }])}
        >
          {t('shadeBooks.greyAdd')}
        </Button>
      </div>
    </fieldset>
  );
}

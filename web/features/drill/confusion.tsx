import type { ConfusionCell } from '@cimbel/core/drill';
import { useTranslation } from 'react-i18next';
import '../../lib/words/reading';

/** Rows are what it was, columns what was answered; the diagonal is right. Darker grey is more often. */
export function Confusion<T extends string | number>({
  cells,
  name,
  of,
}: {
  cells: readonly ConfusionCell<T>[];
  name: (value: T) => string;
  of: 'level' | 'tone';
}) {
  const { t } = useTranslation();
  const values = [...new Set(cells.flatMap(({ truth, given }) => [truth, given]))].sort((a, b) =>
    typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b)),
  );
  const most = Math.max(...cells.map(({ count }) => count));
  const countOf = (truth: T, given: T) =>
    cells.find((cell) => cell.truth === truth && cell.given === given)?.count ?? 0;
  return (
    <div className="overflow-x-auto" role="region" aria-label={t(`reading.confusion.${of}`)} tabIndex={0}>
      <table className="border-separate border-spacing-px text-center text-sm">
        <caption className="text-quiet pb-1 text-start">{t(`reading.confusion.${of}Hint`)}</caption>
        <thead>
          <tr>
            <td />
            {values.map((value) => (
              <th key={value} scope="col" className="min-w-7 px-1 font-semibold">
                {name(value)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {values.map((truth) => (
            <tr key={truth}>
              <th scope="row" className="pe-2 text-end font-semibold">
                {name(truth)}
              </th>
              {values.map((given) => {
                const count = countOf(truth, given);
                const share = count / most;
                return (
                  <td
                    key={given}
                    className={`h-6 ${truth === given ? 'outline-strong-line outline outline-1' : ''}`}
                    style={{
                      background: `color-mix(in srgb, var(--ink) ${Math.round(share * 85)}%, var(--raised))`,
                      color: share > 0.5 ? 'var(--raised)' : 'var(--ink)',
                    }}
                  >
                    {count > 0 ? count : ''}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

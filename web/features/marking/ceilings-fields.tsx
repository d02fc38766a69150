import {
  CEILINGS,
  CEILING_ROWS,
  WRONG_COUNTS,
  ceilingsSchema,
  withCeiling,
  type Ceilings,
} from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { NumberInput } from '../../ui/field';
import { Notice } from '../../ui/panel';
import '../../lib/words/house-rules';

/** The first cell of a table of ceilings that is higher than it may be, and the most it may be; null where all is well. */
export function risingCell(ceilings: Ceilings) {
  const read = ceilingsSchema.safeParse(ceilings);
  const issue = read.success ? undefined : read.error.issues.find(({ code }) => code === 'custom');
  if (issue?.code !== 'custom') return null;
  const [row, wrong] = issue.path as [(typeof CEILING_ROWS)[number], (typeof WRONG_COUNTS)[number]];
  return { row, wrong, most: Number(issue.params?.most) };
}

/** The table of ceilings: what the head a plan leaves, and wrong decisions, leave of a hundred. */
export function CeilingsFields({
  ceilings,
  onChange,
}: {
  ceilings: Ceilings;
  onChange: (ceilings: Ceilings) => void;
}) {
  const { t } = useTranslation();
  const rising = risingCell(ceilings);
  const words = (row: (typeof CEILING_ROWS)[number], wrong: number) => ({
    row: t(`houseRules.ceilings.row.${row}`),
    wrong: t(`houseRules.ceilings.wrong.${wrong}`),
  });
  return (
    <section className="border-line border-t py-3">
      <h2 className="text-lg">{t('houseRules.ceilings.title')}</h2>
      <p className="mt-1 max-w-prose text-sm">{t('houseRules.ceilings.text')}</p>
      <div className="relative mt-2 overflow-x-auto">
        <table className="border-collapse text-sm">
          <caption className="sr-only">{t('houseRules.ceilings.table')}</caption>
          <thead>
            <tr className="text-quiet">
              <th scope="col" className="pe-4 text-start font-normal">
                {t('houseRules.ceilings.head')}
              </th>
              {WRONG_COUNTS.map((wrong) => (
                <th key={wrong} scope="col" className="px-1 text-end font-normal">
                  {t(`houseRules.ceilings.wrong.${wrong}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {CEILING_ROWS.map((row) => (
              <tr key={row}>
                <th scope="row" className="min-w-36 py-1 pe-4 text-start font-normal first-letter:uppercase">
                  {t(`houseRules.ceilings.row.${row}`)}
                </th>
                {WRONG_COUNTS.map((wrong) => {
                  const isWrong = rising?.row === row && rising.wrong === wrong;
                  return (
                    <td key={wrong} className="p-1 text-end">
                      <NumberInput
                        className={`w-16! ${isWrong ? 'border-bad' : ''}`}
                        aria-label={t('houseRules.ceilings.cell', words(row, wrong))}
                        aria-invalid={isWrong || undefined}
                        value={ceilings[row][wrong]}
                        max={100}
                        step={5}
                        zero
                        onValue={(most) => {
                          if (most === null) return;
                          onChange(withCeiling(ceilings, row, wrong, Math.round(Math.min(100, most))));
                        }}
                      />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {rising ? (
        <Notice kind="bad">
          {t('houseRules.ceilings.rises', { ...words(rising.row, rising.wrong), most: rising.most })}
        </Notice>
      ) : null}
      <Button
        weight="quiet"
        disabled={JSON.stringify(ceilings) === JSON.stringify(CEILINGS)}
        onClick={() => onChange(CEILINGS)}
      >
        {t('houseRules.ceilings.standard')}
      </Button>
    </section>
  );
}

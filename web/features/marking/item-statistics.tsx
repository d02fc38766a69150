import type { Grade, ItemFacts } from '@cimbel/core/mark';
import { LEAST_ANSWERS, itemStatistics } from '@cimbel/core/mark';
import { TriangleAlert } from 'lucide-react';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { capital } from '../../lib/i18n';
import { Sheet } from '../../ui/panel';
import { useDecisionWords } from './decided';
import '../../lib/words/craft';
import '../../lib/words/educating';

/** What each criterion and each decision of an exercise says over its answers, what is to be looked at first. */
export function ItemStatistics({ grades }: { grades: readonly Grade[] }) {
  const { t } = useTranslation(['ui', 'craft']);
  const decisionWords = useDecisionWords();
  const facts = useMemo(() => itemStatistics(grades), [grades]);
  if (facts.length === 0) return null;
  const nameOf = ({ item }: ItemFacts) =>
    item.kind === 'criterion'
      ? t(`craft:criterion.${item.criterion}`)
      : capital(decisionWords(item.decision));
  return (
    <Sheet className="flex flex-col gap-2">
      <details>
        <summary className="cursor-pointer text-lg font-semibold">{t('exercise.items.title')}</summary>
        <table className="mt-2 w-full text-sm">
          <thead className="text-quiet">
            <tr>
              {(['item', 'difficulty', 'discrimination'] as const).map((head, i) => (
                <th
                  key={head}
                  scope="col"
                  title={t(`exercise.items.hint.${head}`)}
                  className={`py-1 pe-2 font-normal ${i === 0 ? 'text-start' : 'text-end'}`}
                >
                  {t(`exercise.items.${head}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {facts.map((one) => (
              <tr key={JSON.stringify(one.item)} className="border-line border-t align-top">
                <th scope="row" className="py-1 pe-2 text-start font-normal">
                  {nameOf(one)}
                  {one.flag && one.flag !== 'everybody' ? (
                    <span className="text-warn flex items-center gap-1.5 font-semibold">
                      <TriangleAlert aria-hidden className="size-4 shrink-0" />
                      {t(`exercise.items.flag.${one.flag}`)}
                    </span>
                  ) : null}
                </th>
                <td className="py-1 pe-2 text-end tabular-nums">
                  {t('exercise.items.share', { share: one.difficulty })}
                </td>
                <td className="py-1 pe-2 text-end tabular-nums">
                  {one.discrimination === null
                    ? '–'
                    : t('exercise.items.figure', { value: one.discrimination })}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="text-quiet mt-2 text-sm">
          {grades.length < LEAST_ANSWERS
            ? t('exercise.items.tooFew', { count: LEAST_ANSWERS })
            : t('exercise.items.read')}
        </p>
      </details>
    </Sheet>
  );
}

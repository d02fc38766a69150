import type { MarkChange, Result } from '@cimbel/contract';
import type { CriterionMark } from '@cimbel/core/grade';
import { Check, CircleDashed, CircleSlash, CornerDownRight, CircleDot } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useAnswerWords, useKeyWords } from './answer-words';
import { ReasonText } from './reasons';

const VERDICTS = {
  right: { icon: Check, className: 'text-good' },
  followed: { icon: CornerDownRight, className: 'text-good' },
  near: { icon: CircleDot, className: 'text-warn' },
  wrong: { icon: CircleSlash, className: 'text-bad' },
  open: { icon: CircleDashed, className: 'text-quiet' },
};

/** Right, near, wrong or open: a word and a shape. */
export function VerdictMark({ mark }: { mark: Pick<CriterionMark, 'verdict' | 'followed'> }) {
  const { t } = useTranslation();
  const name = mark.followed ? 'followed' : mark.verdict;
  const { icon: Icon, className } = VERDICTS[name];
  return (
    <span className={`inline-flex items-center gap-1 whitespace-nowrap ${className}`}>
      <Icon aria-hidden className="size-4 shrink-0" />
      {t(`result.verdict.${name}`)}
    </span>
  );
}

/** What an educator changed of a mark, and why. */
export function MarkChanges({ changes }: { changes: readonly MarkChange[] }) {
  const { t } = useTranslation();
  return changes.map((change) => (
    <li key={change.at} className="border-accent mt-1 border-s-4 ps-2">
      {t('result.changed', { name: change.by, from: change.from, to: change.to, reason: change.reason })}
    </li>
  ));
}

/** Every criterion: what was given beside the key, the mark, and why. `action` adds a cell for the educator. */
export function CriteriaTable({
  result,
  action,
}: {
  result: Result;
  action?: (mark: CriterionMark) => ReactNode;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const answerWords = useAnswerWords();
  const keyWords = useKeyWords();
  return (
    <table className="w-full border-collapse text-start max-md:block">
      <caption className="sr-only">{t('result.criteria')}</caption>
      <thead className="max-md:sr-only">
        <tr className="border-strong-line text-quiet border-b text-sm">
          <th scope="col" className="py-1 pe-3 text-start font-normal">
            {t('result.criterion')}
          </th>
          <th scope="col" className="py-1 pe-3 text-start font-normal">
            {t('result.given')}
          </th>
          <th scope="col" className="py-1 pe-3 text-start font-normal">
            {t('result.expected')}
          </th>
          <th scope="col" className="py-1 text-end font-normal">
            {t('result.marks')}
          </th>
          {action ? <td /> : null}
        </tr>
      </thead>
      <tbody className="max-md:block">
        {result.grade.criteria.map((mark) => {
          const { criterion, points, max, findings } = mark;
          const changes = result.changes.filter((change) => change.criterion === criterion);
          return (
            <tr
              key={criterion}
              className="border-line border-b align-top max-md:grid max-md:grid-cols-2 max-md:gap-x-3 max-md:py-2"
            >
              <th scope="row" className="py-2 pe-3 text-start max-md:col-span-2 md:w-[44%]">
                <span className="flex flex-wrap items-baseline gap-x-3">
                  <span className="font-semibold">{t(`craft:criterion.${criterion}`)}</span>
                  <span className="text-sm font-normal">
                    <VerdictMark mark={mark} />
                  </span>
                </span>
                <ul className="text-sm font-normal">
                  {findings.map((finding) => (
                    <li key={finding.code}>
                      <ReasonText reason={finding} />
                    </li>
                  ))}
                  <MarkChanges changes={changes} />
                </ul>
              </th>
              <td className="py-2 pe-3 md:w-[20%]">
                <span className="text-quiet block text-xs md:hidden">{t('result.given')}</span>
                {answerWords(criterion, result.answer) ?? (
                  <span className="text-quiet">{t('answer.none')}</span>
                )}
              </td>
              <td className="py-2 pe-3 md:w-[20%]">
                <span className="text-quiet block text-xs md:hidden">{t('result.expected')}</span>
                {keyWords(criterion, result.key, result.kase.zone.naturalLevel)}
              </td>
              <td className="py-2 text-end whitespace-nowrap max-md:col-span-2">
                <strong className="text-lg">{points}</strong> / {max}
              </td>
              {action ? <td className="py-1 ps-3 text-end">{action(mark)}</td> : null}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

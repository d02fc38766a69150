import type { Result } from '@cimbel/contract';
import type { CriterionMark, Said } from '@cimbel/core/mark';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { MarkChanges, VerdictMark } from './verdict';
import { ReasonText } from './reasons';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** Codes that are right in grades of older versions, which do not say what a finding cost. */
const IS_RIGHT =
  /\.(right|rightBlend|caught|checked|rootWaits|stopsAtLine|foils|greyFirst|darkestFirst|inTurn|refreshLast|goesOn|visits|plain|vivid|highLift|washRight|leftover)$|developer\.none$/;

/** What was right is said once and shortly; what costs marks is said whole. */
const isRight = ({ code, loss }: Said) => (loss === undefined ? IS_RIGHT.test(code) : loss === 0);
/** The worst first: what lost most of its points. */
const byLoss = (a: CriterionMark, b: CriterionMark) => a.share - b.share;

/** Every criterion with its mark and why; `action` adds a cell for the educator, `below` what comes under the reasons. */
export function CriteriaTable({
  result,
  action,
  below,
}: {
  result: Pick<Result, 'grade' | 'changes'>;
  action?: (mark: CriterionMark) => ReactNode;
  below?: (mark: CriterionMark) => ReactNode;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">{t('result.criteria')}</caption>
      <tbody>
        {[...result.grade.criteria].sort(byLoss).map((mark) => {
          const { criterion, points, max, findings } = mark;
          const wrong = findings.filter((said) => !isRight(said));
          const right = findings.filter(isRight);
          const changes = result.changes.filter((change) => change.criterion === criterion);
          return (
            <tr key={criterion} className="border-line border-b align-top last:border-b-0">
              <th scope="row" className="py-2 pe-3 text-start font-normal">
                <span className="flex flex-wrap items-baseline gap-x-3">
                  <span className="font-semibold">{t(`craft:criterion.${criterion}`)}</span>
                  <span className="text-sm">
                    <VerdictMark mark={mark} />
                  </span>
                </span>
                <ul className="text-sm">
                  {wrong.map((finding) => (
                    <li key={JSON.stringify(finding)}>
                      <ReasonText reason={finding} />
                    </li>
                  ))}
                  {right.length > 0 ? (
                    <li>
                      <details>
                        <summary className="text-quiet cursor-pointer">
                          {t('bench.rightToo', { count: right.length })}
                        </summary>
                        <ul>
                          {right.map((finding) => (
                            <li key={JSON.stringify(finding)}>
                              <ReasonText reason={finding} />
                            </li>
                          ))}
                        </ul>
                      </details>
                    </li>
                  ) : null}
                  <MarkChanges changes={changes} />
                </ul>
                {below?.(mark)}
              </th>
              <td className="py-2 text-end whitespace-nowrap">
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

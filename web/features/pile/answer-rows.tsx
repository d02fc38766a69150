import { ANSWER_STATES, type AnswerState, type PileAnswer } from '@cimbel/contract';
import { MessageSquare, Pencil } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Select } from '../../ui/field';
import { ReasonText } from '../marking/reasons';
import '../../lib/words/craft';
import '../../lib/words/pile';

/** What an answer has besides its group: the heaviest of it in words. */
function Besides({ besides }: Pick<PileAnswer, 'besides'>) {
  const { t } = useTranslation('pile');
  if (besides.length === 0) return <span className="text-quiet">{t('nothingBesides')}</span>;
  const [first, ...rest] = besides;
  return (
    <>
      <ReasonText reason={first.said} />{' '}
      {rest.length > 0 ? <span className="text-quiet">{t('more', { count: rest.length })}</span> : null}
    </>
  );
}

/** The answers of a group: whose, points, how far it is, and what is in it besides. */
export function AnswerRows({
  answers,
  chosen,
  nameOf,
  onChoose,
  onState,
}: {
  answers: readonly PileAnswer[];
  chosen: string;
  /** Name that is shown for an answer. */
  nameOf: (answer: PileAnswer) => string;
  onChoose: (attemptId: string) => void;
  onState: (answer: PileAnswer, to: AnswerState) => void;
}) {
  const { t } = useTranslation('pile');
  return (
    <div className="max-h-80 overflow-auto" tabIndex={0} role="group" aria-label={t('answers')}>
      <table className="w-full border-collapse text-sm">
        <caption className="sr-only">{t('answers')}</caption>
        <thead>
          <tr className="text-quiet border-line border-b text-start">
            {(['student', 'points', 'besides'] as const).map((head) => (
              <th
                key={head}
                scope="col"
                className={`px-2 py-1 text-start font-normal ${head === 'besides' ? 'max-sm:hidden' : ''}`}
              >
                {t(head)}
              </th>
            ))}
            <th scope="col" className="px-2 py-1 text-start font-normal">
              {t('state.label')}
            </th>
          </tr>
        </thead>
        <tbody>
          {answers.map((answer) => {
            const { attemptId, points, state, stateBy, moved, changed, late, comments, besides } = answer;
            const name = nameOf(answer);
            return (
              <tr
                key={attemptId}
                className={`border-line border-b align-top last:border-b-0 ${attemptId === chosen ? 'bg-raised' : ''}`}
              >
                <th scope="row" className="px-2 py-1.5 text-start font-normal sm:whitespace-nowrap">
                  <button
                    type="button"
                    aria-current={attemptId === chosen ? 'true' : undefined}
                    className={`min-h-6 underline underline-offset-4 ${attemptId === chosen ? 'font-semibold' : ''}`}
                    onClick={() => onChoose(attemptId)}
                  >
                    {name}
                  </button>
                  {late ? <span className="text-warn ms-2">{t('late')}</span> : null}
                  {comments.length > 0 ? (
                    <span className="text-quiet ms-2 inline-flex items-center gap-1">
                      <MessageSquare
                        aria-label={t('comment.count', { count: comments.length })}
                        className="size-3.5"
                      />
                      {comments.length}
                    </span>
                  ) : null}
                  {/* On a phone there is no room beside. */}
                  <span className="text-quiet block sm:hidden">
                    <Besides besides={besides} />
                  </span>
                </th>
                <td className="px-2 py-1.5 tabular-nums">
                  {points}
                  {changed ? (
                    <Pencil aria-label={t('changedByHand')} className="ms-1 inline size-3.5" />
                  ) : null}
                </td>
                <td className="px-2 py-1.5 max-sm:hidden">
                  <Besides besides={besides} />
                </td>
                <td className="px-2 py-1">
                  <Select
                    aria-label={`${t('state.label')}, ${name}`}
                    className="w-auto py-1 text-sm"
                    value={state}
                    onChange={(event) => onState(answer, event.target.value as AnswerState)}
                  >
                    {ANSWER_STATES.map((one) => (
                      <option key={one} value={one}>
                        {t(`state.${one}`)}
                      </option>
                    ))}
                  </Select>
                  {stateBy ? <span className="text-quiet block">{t('by', { name: stateBy })}</span> : null}
                  {moved ? <span className="text-warn block">{t('moved')}</span> : null}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

import type { CriterionMark } from '@cimbel/core/mark';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { answerQuery } from '../features/marking/answer-query';
import { ChangeMarkDialog } from '../features/marking/change-mark';
import { AnswerComments } from '../features/pile/answer-comments';
import { AcceptDialog } from '../features/marking/regrade-dialog';
import { ReviewHeading } from '../features/marking/result-headings';
import { ResultView } from '../features/marking/result-view';
import { InUnits } from '../lib/units';
import { Button } from '../ui/button';
import { Failure, Loading } from '../ui/panel';
import '../lib/words/craft';
import '../lib/words/educating';
import '../lib/words/bench';

/** What of the mark is being changed: a criterion, or the ceiling. */
type Changing = Pick<CriterionMark, 'points' | 'max'> & { criterion: CriterionMark['criterion'] | 'ceiling' };

export function ReviewPage() {
  const { t } = useTranslation(['ui', 'craft']);
  const { attemptId } = useParams();
  const client = useQueryClient();
  const [changing, setChanging] = useState<Changing | null>(null);
  const [accepting, setAccepting] = useState(false);
  const query = useQuery(answerQuery(attemptId!));
  const { previousId = null, nextId = null } = query.data ?? {};
  useEffect(() => {
    for (const id of [nextId, previousId]) if (id) void client.prefetchQuery(answerQuery(id));
  }, [client, nextId, previousId]);
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const result = query.data;
  const nameOf = ({ criterion }: Pick<Changing, 'criterion'>) =>
    criterion === 'ceiling' ? t('result.ceilingName') : t(`craft:criterion.${criterion}`);
  const { capPoints, dangers, max } = result.grade;
  return (
    <>
      <InUnits units={result.houseRules.units}>
        <ResultView
          result={result}
          action={(mark) => (
            <Button
              weight="quiet"
              className="text-sm"
              aria-label={t('review.changeFor', { criterion: nameOf(mark) })}
              onClick={() => setChanging(mark)}
            >
              {t('review.change')}
            </Button>
          )}
          comments={<AnswerComments result={result} />}
          answerAction={
            dangers.length === 0 && result.grade.points < max ? (
              <Button onClick={() => setAccepting(true)}>{t('regrade.accept')}</Button>
            ) : null
          }
          ceilingAction={
            capPoints !== null && dangers.length === 0 ? (
              <Button
                weight="quiet"
                className="text-sm"
                onClick={() => setChanging({ criterion: 'ceiling', points: capPoints, max })}
              >
                {t('result.raise')}
              </Button>
            ) : null
          }
          heading={<ReviewHeading result={result} />}
        />
      </InUnits>
      {accepting ? (
        <AcceptDialog
          assignmentId={result.assignmentId}
          attemptId={result.attemptId}
          onClose={() => setAccepting(false)}
        />
      ) : null}
      {changing ? (
        <ChangeMarkDialog
          attemptId={result.attemptId}
          mark={changing}
          name={nameOf(changing)}
          stale={[['answer', result.attemptId], ['assignment', result.assignmentId], ['class']]}
          onClose={() => setChanging(null)}
        />
      ) : null}
    </>
  );
}

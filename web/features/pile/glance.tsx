import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { ButtonLink } from '../../ui/button';
import { Loading, Refused, Sheet } from '../../ui/panel';
import { InUnits } from '../../lib/units';
import { answerQuery } from '../marking/answer-query';
import { CommentList } from '../marking/comments';
import { OutcomeView } from '../marking/outcome-view';
import { ReasonText } from '../marking/reasons';
import '../../lib/words/pile';

/** One answer at a glance: what decided its mark, the hair as it came out beside the model answer's, what was said of it. */
export function Glance({ attemptId, name }: { attemptId: string; name: string }) {
  const { t } = useTranslation('pile');
  const query = useQuery(answerQuery(attemptId));
  if (query.isPending)
    return (
      <Sheet>
        <Loading />
      </Sheet>
    );
  if (query.isError) return <Refused error={query.error} />;
  const result = query.data;
  return (
    <div className="flex min-w-0 flex-col gap-3">
      <Sheet className="flex flex-col gap-2 text-sm">
        <h2 className="text-lg">{t('glance.title', { name })}</h2>
        {result.grade.decided ? (
          <p>
            <ReasonText reason={result.grade.decided} />
          </p>
        ) : null}
        <CommentList comments={result.comments} assignmentId={result.assignmentId} editable />
        <div>
          <ButtonLink to={`/answers/${attemptId}`}>{t('glance.read')}</ButtonLink>
        </div>
      </Sheet>
      <InUnits units={result.houseRules.units}>
        <OutcomeView key={attemptId} result={result} />
      </InUnits>
    </div>
  );
}

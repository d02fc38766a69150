import type { Result } from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { markCard } from '@cimbel/core/mark';
import { withGiven } from '@cimbel/core/exercise';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { PracticeBench, type KnownExercise } from '../features/bench/practice-bench';
import { PointsLine } from '../features/marking/result-headings';
import { ResultView } from '../features/marking/result-view';
import { api } from '../lib/api';
import { InUnits } from '../lib/units';
import { Button, ButtonLink } from '../ui/button';
import { Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/bench';

/** The same head again, for practice: marked on the device, as often as one likes. */
function Again({ result }: { result: Result }) {
  const { t } = useTranslation();
  const { lines, modelAnswer, houseRules, open, judgement, assignmentId: id } = result;
  const exercise = useMemo((): KnownExercise => ({ ...result, id: result.assignmentId }), [result]);
  const [marked, setMarked] = useState<RecordCard | null>(null);
  const back = `/due/${id}/result`;
  if (marked) {
    const rubric = Object.fromEntries(result.grade.criteria.map(({ criterion, max }) => [criterion, max]));
    const grade = markCard(
      { modelAnswer, rules: houseRules, rubric, lines, open, ruling: judgement },
      marked,
    );
    return (
      <ResultView
        result={{ ...result, answer: withGiven(marked, modelAnswer.card, open), grade, changes: [] }}
        heading={
          <div className="flex flex-wrap items-end justify-between gap-3">
            <div>
              <PageTitle back={{ to: back, text: t('bench.backToResult') }} className="text-xl">
                {t('bench.practiceOf', { title: result.title })}
              </PageTitle>
              <p className="text-quiet text-sm">{t('bench.practiceNote')}</p>
            </div>
            <div className="flex items-center gap-4">
              <Button onClick={() => setMarked(null)}>{t('bench.backToBench')}</Button>
              <PointsLine result={{ grade, houseRules }} />
            </div>
          </div>
        }
      />
    );
  }
  return (
    <PracticeBench
      exercise={exercise}
      note={t('bench.practiceNote')}
      end={(card) => (
        <>
          <Button weight="main" onClick={() => setMarked(card)}>
            {t('bench.markIt')}
          </Button>
          <ButtonLink to={back}>{t('bench.backToResult')}</ButtonLink>
        </>
      )}
    />
  );
}

export function StudentAgainPage() {
  const { assignmentId } = useParams();
  const query = useQuery({
    queryKey: ['my-result', assignmentId, null],
    queryFn: () => api<Result>('GET', `/api/my/assignments/${assignmentId}/result`),
    staleTime: Infinity,
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <InUnits units={query.data.houseRules.units}>
      <Again result={query.data} />
    </InUnits>
  );
}

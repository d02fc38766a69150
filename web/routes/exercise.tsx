import type { EducatorExercise } from '@cimbel/contract';
import { CRITERIA } from '@cimbel/core/grade';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { AnswersTable } from '../features/marking/answers-table';
import { ExerciseActions } from '../features/marking/exercise-actions';
import { HouseRulesUsed, KeyCard } from '../features/marking/key-card';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { InUnits } from '../lib/units';
import { Empty, Failure, Loading, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

export function ExercisePage() {
  const { t } = useTranslation(['ui', 'craft']);
  const { exerciseId } = useParams();
  const query = useQuery({
    queryKey: ['exercise', exerciseId],
    queryFn: () => api<EducatorExercise>('GET', `/api/exercises/${exerciseId}`),
  });
  const rubric = query.data?.rubric;
  const marked = useMemo(
    () =>
      CRITERIA.filter((criterion) => (rubric?.[criterion] ?? 0) > 0).map((criterion) => ({
        criterion,
        short: t(`craft:criterionShort.${criterion}`),
        name: t(`craft:criterion.${criterion}`),
      })),
    [rubric, t],
  );
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const exercise = query.data;
  const done = exercise.rows.filter(({ state }) => state === 'handedIn').length;
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <div className="me-auto">
          <PageTitle back={{ to: `/classes/${exercise.classId}`, text: exercise.className }}>
            {exercise.title}
          </PageTitle>
          <p className="text-quiet text-sm">
            {t('exercise.due', { when: dateTime(exercise.dueAt) })} ·{' '}
            {t('exercise.in', { done, all: exercise.rows.length })}
          </p>
        </div>
        <ExerciseActions exercise={exercise} queryKey={['exercise', exercise.id]} />
      </div>
      {exercise.rows.length === 0 ? (
        <Empty>{t('exercise.noStudents')}</Empty>
      ) : (
        <AnswersTable rows={exercise.rows} marked={marked} answerAt="/answers" />
      )}
      <div className="grid gap-4 wide:grid-cols-[3fr_2fr]">
        <Sheet className="flex flex-col gap-3">
          <h2 className="text-lg">{t('result.keyTitle')}</h2>
          <InUnits units={exercise.houseRules.units}>
            <KeyCard computed={exercise.key} naturalLevel={exercise.kase.zone.naturalLevel} />
          </InUnits>
        </Sheet>
        <Sheet>
          <HouseRulesUsed uses={exercise.key.houseRules} />
        </Sheet>
      </div>
    </div>
  );
}

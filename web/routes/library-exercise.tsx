import type { ClassSummary, Exercise, ShadeBooks } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useParams, useSearchParams } from 'react-router';
import { EditExercise } from '../features/setting/edit-exercise';
import { copyOf } from '../features/setting/exercise-form';
import { ApiError, api } from '../lib/api';
import { Failure, Loading } from '../ui/panel';
import '../lib/words/bench';

/** One exercise of the library, or a new one; `?from` names one that it is made from. */
export function LibraryExercisePage() {
  const { t } = useTranslation();
  const { exerciseId } = useParams();
  const [params] = useSearchParams();
  const from = params.get('from');
  const books = useQuery({
    queryKey: ['shade-books'],
    queryFn: () => api<ShadeBooks>('GET', '/api/shade-books'),
  });
  const own = useQuery({ queryKey: ['exercises'], queryFn: () => api<Exercise[]>('GET', '/api/exercises') });
  const classes = useQuery({
    queryKey: ['classes'],
    queryFn: () => api<ClassSummary[]>('GET', '/api/classes'),
  });
  const failed = [books, own, classes].find(({ isError }) => isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (books.isPending || own.isPending || classes.isPending) return <Loading />;
  const [exercise, source] = [exerciseId, from].map(
    (wanted) => own.data!.find(({ id }) => id === wanted) ?? null,
  );
  if (exerciseId && !exercise) return <Failure error={new ApiError(404, 'access.notFound', '')} />;
  return (
    <EditExercise
      key={exerciseId ?? from ?? ''}
      exercise={exercise}
      from={source && `copy.${source.id}`}
      start={source ? copyOf(source, t('bench.copyOf', { title: source.title })) : null}
      books={books.data!}
      own={own.data!}
      classes={classes.data!.filter(({ archived }) => !archived)}
    />
  );
}

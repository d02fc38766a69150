import type { ClassDetail, EducatorAssignment, Exercise, ShadeBooks } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { WithClass } from '../features/reading/with-class';
import { ExerciseEditor } from '../features/setting/exercise-editor';
import { ofExercise } from '../features/setting/exercise-form';
import { api } from '../lib/api';
import { Failure, Loading, Notice } from '../ui/panel';

/** `?edit` names an assignment to be changed, `?from` an exercise that another is made from. */
function Editor({ detail }: { detail: ClassDetail }) {
  const { t } = useTranslation();
  const [params] = useSearchParams();
  const [edit, from] = [params.get('edit'), params.get('from')];
  const books = useQuery({
    queryKey: ['shade-books'],
    queryFn: () => api<ShadeBooks>('GET', '/api/shade-books'),
  });
  const own = useQuery({
    queryKey: ['exercises'],
    queryFn: () => api<Exercise[]>('GET', '/api/exercises'),
  });
  const editing = useQuery({
    queryKey: ['assignment', edit],
    queryFn: () => api<EducatorAssignment>('GET', `/api/assignments/${edit}`),
    enabled: edit !== null,
  });
  if (books.isPending || own.isPending || (edit && editing.isPending)) return <Loading />;
  const failed = [books, own, editing].find(({ isError }) => isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (edit && !editing.data!.editable) return <Notice kind="warn">{t('error.exercise.begun')}</Notice>;
  const source = own.data!.find(({ id }) => id === from);
  const start = source
    ? { ...ofExercise(source), title: t('service.copyOf', { title: source.title }).slice(0, 120) }
    : null;
  return (
    <ExerciseEditor
      key={edit ?? from ?? ''}
      detail={detail}
      books={books.data!}
      own={own.data!}
      start={start}
      editing={edit ? editing.data! : null}
    />
  );
}

export const NewExercisePage = () => <WithClass>{(detail) => <Editor detail={detail} />}</WithClass>;

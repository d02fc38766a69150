import type { ClassDetail, EducatorAssignment, Exercise, ShadeBooks } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { WithClass } from '../features/reading/with-class';
import { AssignExercise } from '../features/setting/assign-exercise';
import { copyOf, ofLibrary } from '../features/setting/exercise-form';
import { api } from '../lib/api';
import { Failure, Loading, Notice } from '../ui/panel';
import '../lib/words/bench';

/** `?edit` names an assignment to be changed, `?exercise` one of the library, `?from` one that another is made from. */
function Editor({ detail }: { detail: ClassDetail }) {
  const { t } = useTranslation();
  const [params] = useSearchParams();
  const [edit, from, exercise] = ['edit', 'from', 'exercise'].map((name) => params.get(name));
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
  const [source, mine] = [from, exercise].map((wanted) => own.data!.find(({ id }) => id === wanted));
  const start = mine
    ? ofLibrary(mine)
    : source
      ? copyOf(source, t('bench.copyOf', { title: source.title }))
      : null;
  return (
    <AssignExercise
      key={edit ?? exercise ?? from ?? ''}
      detail={detail}
      books={books.data!}
      own={own.data!}
      start={start}
      from={mine ? mine.id : source ? `copy.${source.id}` : null}
      editing={edit ? editing.data! : null}
    />
  );
}

export const NewExercisePage = () => <WithClass>{(detail) => <Editor detail={detail} />}</WithClass>;

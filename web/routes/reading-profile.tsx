import type { StudentReadingProfile } from '@cimbel/contract';
import type { ReadingProfile } from '@cimbel/core/drill';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { queueOf } from '../features/drill/answer-queue';
import { ReadingProfileView } from '../features/drill/reading-profile-view';
import { api } from '../lib/api';
import { useMe } from '../lib/session';
import { Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/educating';
import '../lib/words/reading';

/** My profile: what my own answers say about how I read. */
export function MyReadingProfilePage() {
  const { t } = useTranslation();
  const me = useMe();
  const query = useQuery({
    queryKey: ['my-reading-profile'],
    queryFn: () => api<ReadingProfile>('GET', '/api/my/reading-profile'),
  });
  const { refetch } = query;
  useEffect(() => {
    const queue = queueOf(me.id);
    // What still waited on this device belongs into the picture.
    if (queue.waiting().length > 0) void queue.flush().then(() => refetch());
  }, [me.id, refetch]);
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 p-4 py-6">
      <PageTitle back={{ to: '/reading', text: t('nav.reading') }}>{t('reading.profile.title')}</PageTitle>
      <ReadingProfileView profile={query.data} />
    </div>
  );
}

/** A student's profile, for the educator: what was done for this class. */
export function StudentReadingProfilePage() {
  const { t } = useTranslation();
  const { classId, studentId } = useParams();
  const query = useQuery({
    queryKey: ['student-reading-profile', classId, studentId],
    queryFn: () =>
      api<StudentReadingProfile>('GET', `/api/classes/${classId}/students/${studentId}/reading-profile`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 p-4 py-6">
      <PageTitle back={{ to: `/classes/${classId}/reading`, text: t('class.reading') }}>
        {t('reading.profile.of', { name: query.data.studentName })}
      </PageTitle>
      <ReadingProfileView profile={query.data.profile} />
    </div>
  );
}

import type { ClassDetail } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { api } from '../../lib/api';
import { Failure, Loading } from '../../ui/panel';

/** A page about the class its address names. */
export function WithClass({ children }: { children: (detail: ClassDetail) => ReactNode }) {
  const { classId } = useParams();
  const query = useQuery({
    queryKey: ['class', classId],
    queryFn: () => api<ClassDetail>('GET', `/api/classes/${classId}`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return children(query.data);
}

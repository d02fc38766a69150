import type { ClassDetail, Rights } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { api } from '../../lib/api';

/** How far one leads a class; until that is known, and the server has the last word anyway, everything is offered. */
export function useRights(classId: string): Rights {
  const { data } = useQuery({
    queryKey: ['class', classId],
    queryFn: () => api<ClassDetail>('GET', `/api/classes/${classId}`),
  });
  return data?.rights ?? 'owner';
}

import type { ClassDetail, Rights } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { api } from '../../lib/api';

export const useClass = (classId: string, enabled = true) =>
  useQuery({
    queryKey: ['class', classId],
    queryFn: () => api<ClassDetail>('GET', `/api/classes/${classId}`),
    enabled,
  });

/** How far one leads a class; until that is known, and the server has the last word anyway, everything is offered. */
export const useRights = (classId: string): Rights => useClass(classId).data?.rights ?? 'owner';

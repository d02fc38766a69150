import type { EducatorResult } from '@cimbel/contract';
import { api } from '../../lib/api';

/** An answer as its educator reads it. */
export const answerQuery = (attemptId: string) => ({
  queryKey: ['answer', attemptId],
  queryFn: () => api<EducatorResult>('GET', `/api/attempts/${attemptId}`),
});

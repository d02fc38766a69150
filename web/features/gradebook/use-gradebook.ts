import type { GradeEntryWrite, Gradebook } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '../../lib/api';

const keyOf = (classId: string) => ['gradebook', classId] as const;

export const useGradebook = (classId: string) =>
  useQuery({
    queryKey: keyOf(classId),
    queryFn: () => api<Gradebook>('GET', `/api/classes/${classId}/gradebook`),
  });

/** What changes a gradebook; it is asked for again after each, also after what was refused. */
export function useGradebookChange<Sent>(classId: string, send: (sent: Sent) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSettled: () =>
      Promise.all(
        [keyOf(classId), ['log', classId]].map((queryKey) => client.invalidateQueries({ queryKey })),
      ),
  });
}

/** Writes down an educator's word on one piece of one student. */
export const putEntry = (classId: string, columnId: string, studentId: string, entry: GradeEntryWrite) =>
  api('PUT', `/api/classes/${classId}/gradebook/columns/${columnId}/students/${studentId}`, entry);

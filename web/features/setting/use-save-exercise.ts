import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../../lib/api';
import type { Composed } from './use-composed';

/** Writes what is composed to the library: over the educator's own exercise that it is, or as a new one. */
export function useSaveExercise({ form, exercise, set }: Composed) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () =>
      form.own
        ? api<{ id: string; version: number }>('PUT', `/api/exercises/${form.own}`, exercise)
        : api<{ id: string; version: number }>('POST', '/api/exercises', exercise),
    onSuccess: async ({ id }) => {
      set({ own: id, caseId: `own:${id}` });
      await client.invalidateQueries({ queryKey: ['exercises'] });
    },
  });
}

import type { PlaceChange, Roster, Slip } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '../../lib/api';

export const rosterKey = (classId: string) => ['roster', classId] as const;

export const useRoster = (classId: string) =>
  useQuery({
    queryKey: rosterKey(classId),
    queryFn: () => api<Roster>('GET', `/api/classes/${classId}/roster`),
  });

/** What changes a roster; what it shows is asked for again after each. */
export function useRosterChange<Sent, Told>(classId: string, send: (sent: Sent) => Promise<Told>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSettled: () =>
      Promise.all(
        [rosterKey(classId), ['class', classId], ['log', classId], ['classes']].map((queryKey) =>
          client.invalidateQueries({ queryKey }),
        ),
      ),
  });
}

export const usePlaceChange = (classId: string) =>
  useRosterChange(classId, async (changes: readonly { id: string; change: PlaceChange }[]) => {
    for (const { id, change } of changes)
      await api('PATCH', `/api/classes/${classId}/students/${id}`, change);
  });

export const useSlips = (classId: string) =>
  useRosterChange(classId, (studentIds: readonly string[]) =>
    api<Slip[]>('POST', `/api/classes/${classId}/slips`, { studentIds }),
  );

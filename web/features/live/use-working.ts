import type { Working, WorkingWrite, WorkStep } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../../lib/api';
import { useLive } from '../../lib/live';

/** A student who stays at one step is heard of this often, milliseconds. */
const HEARD_EVERY_MS = 60_000;

/** What a student is told while at work; the page is fetched anew once the attempt is handed in elsewhere, or collected. */
export function useWorking(assignmentId: string) {
  const client = useQueryClient();
  const queryKey = ['working', assignmentId];
  const path = `/api/working/${assignmentId}`;
  const query = useQuery({ queryKey, queryFn: () => api<Working>('GET', path), gcTime: 0 });
  const refresh = () => client.invalidateQueries({ queryKey });
  useLive(assignmentId, refresh);
  const handedIn = query.data?.handedIn ?? false;
  useEffect(() => {
    if (!handedIn) return;
    void client.invalidateQueries({ queryKey: ['my-assignment', assignmentId] });
    void client.invalidateQueries({ queryKey: ['my-assignments'] });
  }, [client, assignmentId, handedIn]);
  const hand = useMutation({
    mutationFn: (up: boolean) => api('PUT', path, { hand: up } satisfies WorkingWrite),
    onSettled: refresh,
  });
  const read = useMutation({
    mutationFn: () => api('POST', `${path}/hints-read`, {}),
    onSettled: refresh,
  });
  return { working: query.data ?? null, hand, read };
}

/** Tells where the student is, now and while it stays so; what cannot be told is told with the next. */
export function useTellStep(assignmentId: string, step: WorkStep): void {
  useEffect(() => {
    const say = () =>
      void api('PUT', `/api/working/${assignmentId}`, { step } satisfies WorkingWrite).catch(() => undefined);
    say();
    const timer = setInterval(say, HEARD_EVERY_MS);
    return () => clearInterval(timer);
  }, [assignmentId, step]);
}

import type { Regrade, RegradeAsked, RegradePreview } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../../lib/api';

/** Milliseconds between two looks at how far marking again has come. */
export const LOOKS_AGAIN_MS = 400;

/** Marking every answer of an assignment again: what it would change, begun, and how far it has come. */
export function useRegrade(assignmentId: string) {
  const client = useQueryClient();
  const path = `/api/assignments/${assignmentId}/regrade`;
  const preview = useMutation({
    mutationFn: (asked: RegradeAsked) => api<RegradePreview>('POST', `${path}/preview`, asked),
  });
  const start = useMutation({
    mutationFn: (asked: RegradeAsked) => api<{ regrade: Regrade }>('POST', path, asked),
  });
  const progress = useQuery({
    queryKey: ['regrade', assignmentId],
    queryFn: () => api<{ regrade: Regrade | null }>('GET', path),
    enabled: start.isSuccess,
    gcTime: 0,
    refetchInterval: ({ state }) => (state.data?.regrade?.finished ? false : LOOKS_AGAIN_MS),
  });
  const regrade = start.isSuccess ? (progress.data?.regrade ?? start.data.regrade) : null;
  const finished = regrade?.finished ?? false;
  useEffect(() => {
    if (!finished) return;
    void client.invalidateQueries({ queryKey: ['assignment', assignmentId] });
    void client.invalidateQueries({ queryKey: ['answer'] });
    void client.invalidateQueries({ queryKey: ['class'] });
  }, [finished, client, assignmentId]);
  return { preview, start, regrade, finished, error: start.error ?? preview.error };
}

import type { Regrade, RegradeAsked, RegradePreview } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../../lib/api';

/** Milliseconds between two looks at how far marking again has come. */
const LOOKS_AGAIN_MS = 400;

const pathOf = (assignmentId: string) => `/api/assignments/${assignmentId}/regrade`;

/** How far marking an assignment again has come, once it is begun; what rests on its marks is fetched anew at the end. */
export function useRegradeProgress(assignmentId: string, begun: boolean): Regrade | null {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: ['regrade', assignmentId],
    queryFn: () => api<{ regrade: Regrade | null }>('GET', pathOf(assignmentId)),
    enabled: begun,
    gcTime: 0,
    refetchInterval: ({ state }) => (state.data?.regrade?.finished ? false : LOOKS_AGAIN_MS),
  });
  const regrade = begun ? (data?.regrade ?? null) : null;
  const finished = regrade?.finished ?? false;
  useEffect(() => {
    if (!finished) return;
    void client.invalidateQueries({ queryKey: ['assignment', assignmentId] });
    void client.invalidateQueries({ queryKey: ['answer'] });
    void client.invalidateQueries({ queryKey: ['class'] });
  }, [finished, client, assignmentId]);
  return regrade;
}

/** Marking every answer of an assignment again: what it would change, begun, and how far it has come. */
export function useRegrade(assignmentId: string) {
  const path = pathOf(assignmentId);
  const preview = useMutation({
    mutationFn: (asked: RegradeAsked) => api<RegradePreview>('POST', `${path}/preview`, asked),
  });
  const start = useMutation({
    mutationFn: (asked: RegradeAsked) => api<{ regrade: Regrade }>('POST', path, asked),
  });
  const progress = useRegradeProgress(assignmentId, start.isSuccess);
  const regrade = progress ?? start.data?.regrade ?? null;
  return {
    preview,
    start,
    regrade,
    finished: progress?.finished ?? false,
    error: start.error ?? preview.error,
  };
}

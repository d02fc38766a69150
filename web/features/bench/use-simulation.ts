import type { PlayedCard, Plays, ShownSimulation } from '@cimbel/contract';
import type { HairWork } from '@cimbel/core/card';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, asApiError } from '../../lib/api';

/** A card played on its head. */
export interface Play {
  /** What the card that was played last did; undefined before one is. */
  shown: ShownSimulation | undefined;
  /** Why it could not be played; null where it could. */
  error: unknown;
  /** By whose word it is played; null where it follows the card by itself. */
  request: {
    /** Whether the card has changed since it was played. */
    changed: boolean;
    /** Whether it is being played. */
    isPlaying: boolean;
    /** How often it has been, and may be. */
    plays: Plays;
    /** Plays the card as it is now. */
    start: () => void;
  } | null;
}

const MOST_TRIES = 4;

/**
 * The student's own card on the head, minute by minute, played by the server that knows the head: when the student says so,
 * since plays are counted. One that was played before is shown again without counting.
 */
export function useSimulation(
  { id, plays }: { id: string; plays: Plays },
  { bowls, steps, care }: HairWork,
): Play {
  // A step whose bowl is not mixed yet does nothing.
  const mixed = steps.filter(({ bowl }) => bowls.some(({ name }) => name === bowl));
  const now = JSON.stringify({ bowls, steps: mixed, care });
  const [asked, setAsked] = useState<string | null>(null);
  const query = useQuery({
    queryKey: ['simulation', id, asked],
    queryFn: ({ signal }) =>
      api<PlayedCard>('POST', `/api/my/assignments/${id}/simulation`, JSON.parse(asked!), signal),
    enabled: asked !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    // Too much at once is over in a moment; what else is refused stays so.
    retry: (count, error) =>
      count < MOST_TRIES && ['server.busy', 'server.yoursWaiting'].includes(asApiError(error).code),
  });
  return {
    shown: query.data,
    error: query.error,
    request: {
      changed: asked !== now,
      isPlaying: query.isFetching,
      plays: query.data?.plays ?? plays,
      start: () => {
        if (asked === now) void query.refetch();
        else setAsked(now);
      },
    },
  };
}

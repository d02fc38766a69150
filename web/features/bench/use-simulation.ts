import type { ShownSimulation } from '@cimbel/contract';
import type { HairWork } from '@cimbel/core/card';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api } from '../../lib/api';

const SETTLES_AFTER_MS = 350;

/** The plan once it has not changed for a moment, so that dragging a bar does not ask for every minute of the way. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), SETTLES_AFTER_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}

/** The student's own plan on the head, minute by minute, reckoned by the server that knows the head. */
export function useSimulation(assignmentId: string, { bowls, steps, care }: HairWork) {
  // A step whose bowl is not mixed yet does nothing.
  const mixed = steps.filter(({ bowl }) => bowls.some(({ name }) => name === bowl));
  const asked = useSettled(JSON.stringify({ bowls, steps: mixed, care }));
  return useQuery({
    queryKey: ['simulation', assignmentId, asked],
    queryFn: () =>
      api<ShownSimulation>('POST', `/api/my/assignments/${assignmentId}/simulation`, JSON.parse(asked)),
    enabled: (JSON.parse(asked) as HairWork).steps.length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
}

import type { ShippedCaseTold } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { api } from './api';

/** The cases that ship. Their figures are keys, so that the server tells them to educators and no file of the build has them. */
export const useShippedCases = (enabled = true) =>
  useQuery({
    queryKey: ['cases'],
    queryFn: () => api<ShippedCaseTold[]>('GET', '/api/cases'),
    staleTime: Infinity,
    enabled,
  });

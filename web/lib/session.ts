import type { Account, Session } from '@cimbel/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { api } from './api';
import { forgetMine } from './offline';

export const SESSION = ['session'] as const;

export const useSession = () =>
  useQuery({ queryKey: SESSION, queryFn: () => api<Session>('GET', '/api/session'), staleTime: 60_000 });

/** The one who is signed in; only used below the guard of signed-in pages. */
export function useMe(): Account {
  const { data } = useSession();
  if (!data?.me) throw new Error('useMe outside of a signed-in page');
  return data.me;
}

/** After signing in or out nothing that was fetched for another person may be shown. */
export function useSessionChange(): (me: Account | null) => Promise<void> {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useCallback(
    async (me) => {
      await client.cancelQueries();
      await forgetMine();
      // The session first, in place: components that show it follow at once, and pages of the one who left are gone before
      // anything of theirs could be asked for again.
      client.setQueryData(SESSION, await api<Session>('GET', '/api/session'));
      await navigate(me ? '/' : '/sign-in', { replace: true });
      client.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== SESSION[0] });
    },
    [client, navigate],
  );
}

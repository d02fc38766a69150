import type { ClientCase } from '@cimbel/core/case';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { preview } from '../../workers/previewer';
import { caseFaults } from '@cimbel/core/case';

const SETTLES_AFTER_MS = 200;

/** The model answer to a case while it is composed: searched for beside the page, newest case only. */
export function usePreview(clientCase: ClientCase, lines: readonly Line[], rules: HouseRules) {
  // Title and client do not change the answer.
  const { client: _, title: _t, ...rest } = clientCase;
  const now = JSON.stringify(rest);
  const [settled, setSettled] = useState(now);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(now), SETTLES_AFTER_MS);
    return () => clearTimeout(timer);
  }, [now]);
  const whole = { ...(JSON.parse(settled) as ClientCase), title: '-', client: { name: '-', note: '' } };
  const atHand = lines.filter(({ id }) => whole.lineIds.includes(id));
  const query = useQuery({
    queryKey: ['preview', settled, rules, atHand.map(({ id, version }) => [id, version])],
    queryFn: ({ signal }) => preview({ clientCase: whole, lines: atHand, rules }, signal),
    placeholderData: (previous) => previous,
    enabled: caseFaults(whole).length === 0,
    retry: false,
    staleTime: Infinity,
    networkMode: 'always',
  });
  // What is shown may still be of the case before; points must not be taken from that, nor anything assigned.
  return { ...query, isBehind: query.isPlaceholderData || query.isFetching || settled !== now };
}

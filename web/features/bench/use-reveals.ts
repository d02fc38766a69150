import type { Revealed, StudentAssignment } from '@cimbel/contract';
import type { Reason } from '@cimbel/core';
import type { QuestionOrTest } from '@cimbel/core/case';
import { useCallback, useState } from 'react';
import { api, asApiError } from '../../lib/api';

/** Under what name its answer is kept. */
export const nameOf = (asked: QuestionOrTest) => ('question' in asked ? asked.question : asked.test);

/** What asking and testing has brought to light. What the server told before stays told after a reload. */
export function useReveals(assignment: StudentAssignment) {
  const [known, setKnown] = useState<Record<string, Reason[]>>(assignment.reveals);
  const [failed, setFailed] = useState<string | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const ask = useCallback(
    async (asked: QuestionOrTest): Promise<boolean> => {
      const name = nameOf(asked);
      setBusy(name);
      setFailed(null);
      try {
        const { reasons } = await api<Revealed>('POST', `/api/my/assignments/${assignment.id}/reveal`, asked);
        setKnown((before) => ({ ...before, [name]: reasons }));
        return true;
      } catch (error) {
        setFailed(asApiError(error).offline ? 'network' : asApiError(error).code);
        return false;
      } finally {
        setBusy(null);
      }
    },
    [assignment.id],
  );
  return { known, ask, busy, failed };
}
export type Reveals = ReturnType<typeof useReveals>;

import type { EducatorAssignment } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate } from 'react-router';
import { api } from '../../lib/api';
import { keep } from '../../lib/storage';
import { Button } from '../../ui/button';
import { Notice, Refused } from '../../ui/panel';
import type { ExerciseForm } from './exercise-form';
import '../../lib/words/assigning';

/** How long what was just assigned is offered to be taken back. */
const REGRET_MS = 10_000;

/** What the page of a new assignment is told by the form it comes from: where it was made, and out of what. */
export interface AssignedFrom {
  assigned: { back: string; place: string; form: ExerciseForm };
}

/** Said for some seconds after an exercise was assigned, with the way back into its form. */
export function JustAssigned({
  assignment: { id, exerciseId, classId },
}: {
  assignment: Pick<EducatorAssignment, 'id' | 'exerciseId' | 'classId'>;
}) {
  const { t } = useTranslation(['assigning', 'ui']);
  const client = useQueryClient();
  const navigate = useNavigate();
  const from = (useLocation().state as Partial<AssignedFrom> | null)?.assigned;
  const [over, setOver] = useState(false);
  const takeBack = useMutation({
    mutationFn: () => api('DELETE', `/api/assignments/${id}`),
    onSuccess: async () => {
      // The library has it by now: the form goes on with that one.
      if (from) keep(from.place, { ...from.form, own: exerciseId, caseId: `own:${exerciseId}` });
      for (const queryKey of [['class', classId], ['exercises']])
        await client.invalidateQueries({ queryKey });
      await navigate(from?.back ?? `/classes/${classId}`, { replace: true });
    },
  });
  useEffect(() => {
    const timer = setTimeout(() => setOver(true), REGRET_MS);
    return () => clearTimeout(timer);
  }, []);
  if (!from || (over && takeBack.isIdle)) return null;
  return (
    <Notice kind="good">
      <span className="flex flex-wrap items-center gap-3">
        {t('assigned.said')}
        <Button disabled={takeBack.isPending} onClick={() => takeBack.mutate()}>
          {t('ui:action.undo')}
        </Button>
      </span>
      <Refused error={takeBack.error} />
    </Notice>
  );
}

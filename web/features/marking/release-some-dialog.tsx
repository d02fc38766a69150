import type { EducatorAssignment } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Tick } from '../../ui/field';
import { Notice, Refused } from '../../ui/panel';
import '../../lib/words/educating';

/** Shows marks and model answer to some of the class before the rest. */
export function ReleaseSomeDialog({
  assignment,
  onClose,
}: {
  assignment: EducatorAssignment;
  onClose: () => void;
}) {
  const { t } = useTranslation('ui');
  const client = useQueryClient();
  // Whom it is not set to any more has no dates of it, and is shown nothing of it.
  const handedIn = assignment.rows.filter(({ handedIn: times, dueAt }) => times > 0 && dueAt !== null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set(handedIn.flatMap(({ studentId, released }) => (released ? [studentId] : []))),
  );
  const release = useMutation({
    mutationFn: () =>
      api('PUT', `/api/assignments/${assignment.id}/released-to`, { studentIds: [...chosen] }),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['assignment', assignment.id] });
      onClose();
    },
  });
  const toggle = (studentId: string, on: boolean) => {
    const next = new Set(chosen);
    if (on) next.add(studentId);
    else next.delete(studentId);
    setChosen(next);
  };
  const open = assignment.closed ? 0 : assignment.rows.length - handedIn.length;
  const isAll = chosen.size === handedIn.length;
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('exercise.releaseSome.title')}
      actions={
        <>
          <Button onClick={onClose}>{t('action.cancel')}</Button>
          <Button weight="main" disabled={release.isPending} onClick={() => release.mutate()}>
            {t('exercise.releaseSome.save', { count: chosen.size })}
          </Button>
        </>
      }
    >
      <p>{t('exercise.releaseSome.text')}</p>
      {open > 0 ? <Notice kind="warn">{t('exercise.releaseSome.stillOpen', { count: open })}</Notice> : null}
      <fieldset className="flex flex-col gap-1">
        <legend className="mb-1 flex w-full items-center justify-between font-semibold">
          {t('exercise.releaseSome.who')}
          <Button
            weight="quiet"
            onClick={() => setChosen(new Set(isAll ? [] : handedIn.map(({ studentId }) => studentId)))}
          >
            {t(isAll ? 'exercise.releaseSome.none' : 'exercise.releaseSome.all')}
          </Button>
        </legend>
        <div className="border-line max-h-72 overflow-y-auto rounded-sm border p-2">
          {handedIn.map(({ studentId, name }) => (
            <Tick
              key={studentId}
              label={name}
              on={chosen.has(studentId)}
              onChange={(on) => toggle(studentId, on)}
            />
          ))}
        </div>
      </fieldset>
      <Refused error={release.error} />
    </Dialog>
  );
}

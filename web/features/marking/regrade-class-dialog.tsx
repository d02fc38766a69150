import type { ClassRegradePreview, RegradePreview } from '@cimbel/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Tick } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { RegradeChanges, RegradeProgress } from './regrade-parts';
import { useRegradeProgress } from './use-regrade';
import '../../lib/words/house-rules';

/** How many marks would rise and fall. */
const movesOf = (changes: RegradePreview['changes']) => ({
  gain: changes.filter(({ before, after }) => after > before).length,
  lose: changes.filter(({ before, after }) => after < before).length,
});

/** How far one exercise of the class has come. */
function ExerciseProgress({ assignmentId, title }: { assignmentId: string; title: string }) {
  const regrade = useRegradeProgress(assignmentId, true);
  return (
    <li>
      <p className="font-semibold">{title}</p>
      {regrade ? <RegradeProgress regrade={regrade} /> : null}
    </li>
  );
}

/** Marks the exercises of a class again by today's marking and figures; who gains and who loses is shown first. */
export function RegradeClassDialog({ classId, onClose }: { classId: string; onClose: () => void }) {
  const { t } = useTranslation();
  const path = `/api/classes/${classId}/regrade`;
  const useQueryResult = useQuery({
    queryKey: ['class-regrade', classId],
    queryFn: () => api<ClassRegradePreview>('POST', `${path}/preview`),
    gcTime: 0,
    staleTime: Infinity,
  });
  const exercises = useQueryResult.data?.exercises ?? [];
  const moved = exercises.filter(({ changes }) => changes.length > 0);
  // What students have seen changes only by the educator's own choice.
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const ids =
    chosen ?? new Set(moved.flatMap(({ released, assignmentId }) => (released ? [] : assignmentId)));
  const start = useMutation({
    mutationFn: (assignmentIds: string[]) => api('POST', path, { assignmentIds }),
  });
  const all = movesOf(moved.flatMap(({ changes }) => changes));
  const total = exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('houseRules.remark.dialog')}
      actions={
        <>
          <Button onClick={onClose}>{t('action.close')}</Button>
          {start.isSuccess || moved.length === 0 ? null : (
            <Button
              weight="main"
              disabled={ids.size === 0 || start.isPending}
              onClick={() => start.mutate([...ids])}
            >
              {t('houseRules.remark.do', { count: ids.size })}
            </Button>
          )}
        </>
      }
    >
      <div className="flex max-h-[60dvh] flex-col gap-3 overflow-y-auto" tabIndex={0}>
        {start.isSuccess ? (
          <ul className="flex flex-col gap-3">
            {exercises
              .filter(({ assignmentId }) => ids.has(assignmentId))
              .map(({ assignmentId, title }) => (
                <ExerciseProgress key={assignmentId} assignmentId={assignmentId} title={title} />
              ))}
          </ul>
        ) : (
          <>
            <p role="status">
              {useQueryResult.isPending
                ? t('houseRules.remark.looking')
                : useQueryResult.isError
                  ? null
                  : exercises.length === 0
                    ? t('houseRules.remark.none')
                    : moved.length === 0
                      ? t('houseRules.remark.same')
                      : t('houseRules.remark.sum', { ...all, total })}
            </p>
            {moved.length > 0 ? (
              <fieldset className="flex flex-col gap-3">
                <legend className="sr-only">{t('houseRules.remark.choose')}</legend>
                {moved.map((one) => (
                  <div key={one.assignmentId} className="border-line border-t pt-2">
                    <Tick
                      label={one.title}
                      on={ids.has(one.assignmentId)}
                      onChange={(on) => {
                        const next = new Set(ids);
                        if (on) next.add(one.assignmentId);
                        else next.delete(one.assignmentId);
                        setChosen(next);
                      }}
                    />
                    <p className="text-quiet text-sm">
                      {t('houseRules.remark.exercise', { ...movesOf(one.changes), total: one.total })}
                      {one.released ? ` · ${t('houseRules.remark.released')}` : null}
                    </p>
                    <details className="text-sm">
                      <summary className="min-h-10 cursor-pointer py-2">{t('houseRules.remark.who')}</summary>
                      <RegradeChanges preview={one} />
                    </details>
                  </div>
                ))}
              </fieldset>
            ) : null}
          </>
        )}
      </div>
      <Refused error={start.error ?? useQueryResult.error} />
    </Dialog>
  );
}

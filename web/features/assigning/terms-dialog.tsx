import type { EducatorAssignment, TermsEffect } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import '../../lib/words/assigning';
import { useClass } from '../people/use-class';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Notice, Refused } from '../../ui/panel';
import { TermsFields } from './terms-fields';
import { formOfTerms, termsFaults, termsOfForm } from './terms-form';

/** What other terms would change for those who have begun, by name. */
function Effects({ effects }: { effects: readonly TermsEffect[] }) {
  const { t } = useTranslation('assigning');
  return (
    <Notice kind="warn">
      <p className="font-semibold">{t('terms.effectsTitle')}</p>
      <ul className="max-h-60 overflow-y-auto">
        {effects.map(({ studentId, name, effects: changes, points }) => (
          <li key={studentId}>
            <strong>{name}</strong>{' '}
            {changes
              .filter((change) => change !== 'points' || !points)
              .map((name) => t(`terms.effects.${name}`))
              .concat(points ? [t('terms.pointsChange', points)] : [])
              .join(', ')}
          </li>
        ))}
      </ul>
    </Notice>
  );
}

/** Other dates, attempts and rules for what is set. What that changes for those who have begun is shown first. */
export function TermsDialog({
  assignment,
  onClose,
}: {
  assignment: EducatorAssignment;
  onClose: () => void;
}) {
  const { t } = useTranslation(['assigning', 'ui']);
  const client = useQueryClient();
  const [terms, setTerms] = useState(() => formOfTerms(assignment.terms));
  const students = useClass(assignment.classId).data?.students ?? assignment.rows.map(nameOfRow);
  const path = `/api/assignments/${assignment.id}/terms`;
  const faults = termsFaults(terms);
  const save = useMutation({
    mutationFn: () => api('PUT', path, termsOfForm(terms)),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['assignment', assignment.id] });
      await client.invalidateQueries({ queryKey: ['class', assignment.classId] });
      onClose();
    },
  });
  const look = useMutation({
    mutationFn: () => api<TermsEffect[]>('POST', `${path}/preview`, termsOfForm(terms)),
    onSuccess: (effects) => {
      if (effects.length === 0) save.mutate();
    },
  });
  const effects = look.data ?? [];
  const busy = look.isPending || save.isPending;
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('terms.title')}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          {effects.length > 0 ? (
            <>
              <Button onClick={look.reset}>{t('ui:action.back')}</Button>
              <Button weight="main" disabled={busy} onClick={() => save.mutate()}>
                {t('terms.apply')}
              </Button>
            </>
          ) : (
            <Button weight="main" disabled={busy || faults.size > 0} onClick={() => look.mutate()}>
              {t(look.isPending ? 'terms.checking' : 'ui:action.save')}
            </Button>
          )}
        </>
      }
    >
      {effects.length > 0 ? (
        <Effects effects={effects} />
      ) : (
        <TermsFields terms={terms} students={students} faults={faults} onChange={setTerms} />
      )}
      <Refused error={look.error ?? save.error} />
    </Dialog>
  );
}

const nameOfRow = ({ studentId, name }: { studentId: string; name: string }) => ({ id: studentId, name });

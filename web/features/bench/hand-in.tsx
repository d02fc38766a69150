import type { StudentAssignment } from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { useTranslation } from 'react-i18next';
import { dateTime } from '../../lib/i18n';
import { Notice } from '../../ui/panel';
import { HandInForm } from './hand-in-form';
import type { DraftOf } from './use-draft';
import { RecordCardView } from './record-card';
import { isStepComplete } from './steps';
import '../../lib/words/bench';

export function HandIn({ assignment, draft }: { assignment: StudentAssignment; draft: DraftOf<RecordCard> }) {
  const { t } = useTranslation();
  const { id, attempt, attempts, late, latePercent, closed, handedInAt, open, lines } = assignment;
  const left = open.filter((step) => !isStepComplete(step, draft.answer, assignment)).length;
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.handIn.title')}</h2>
      <RecordCardView plan={draft.answer} lines={lines} title={t('bench.card')} />
      {attempts > 1 ? <p className="text-quiet">{t('student.attemptOf', { attempt, attempts })}</p> : null}
      {handedInAt && !closed ? (
        <p className="text-quiet">{t('bench.handIn.atDue', { when: dateTime(handedInAt) })}</p>
      ) : null}
      {closed ? <Notice kind="warn">{t('error.attempt.closed')}</Notice> : null}
      {closed ? null : (
        <HandInForm
          id={id}
          attempt={attempt}
          url={`/api/my/assignments/${id}`}
          answer={draft.answer}
          seen={draft.seen}
          onNewer={draft.meetNewer}
          open={left}
          late={late}
          latePercent={latePercent}
          resultAt={`/due/${id}/result`}
          queryKey={['my-assignment', id]}
        />
      )}
    </div>
  );
}

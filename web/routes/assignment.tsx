import type { EducatorAssignment } from '@cimbel/contract';
import { CRITERIA } from '@cimbel/core/exercise';
import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { TermsLine } from '../features/assigning/terms-line';
import { AnswerByVariant } from '../features/marking/answer-by-variant';
import { AnswersTable } from '../features/marking/answers-table';
import { AssignmentActions } from '../features/marking/assignment-actions';
import { ClassMisconceptions } from '../features/marking/class-misconceptions';
import { ItemStatistics } from '../features/marking/item-statistics';
import { RegradeDialog } from '../features/marking/regrade-dialog';
import { JustAssigned } from '../features/setting/just-assigned';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { InUnits } from '../lib/units';
import { Button, ButtonLink } from '../ui/button';
import { Empty, Failure, Loading, Notice } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/craft';
import '../lib/words/educating';
import '../lib/words/bench';
import '../lib/words/live';
import '../lib/words/pile';

const PaperDialog = lazy(() => import('../features/paper/paper-dialog'));

export function AssignmentPage() {
  const { t } = useTranslation(['ui', 'craft', 'assigning', 'pile', 'live']);
  const { assignmentId } = useParams();
  const [regrading, setRegrading] = useState(false);
  const [printing, setPrinting] = useState(false);
  const query = useQuery({
    queryKey: ['assignment', assignmentId],
    queryFn: () => api<EducatorAssignment>('GET', `/api/assignments/${assignmentId}`),
  });
  const rubric = query.data?.rubric;
  const marked = useMemo(
    () =>
      CRITERIA.filter((criterion) => (rubric?.[criterion] ?? 0) > 0).map((criterion) => ({
        criterion,
        short: t(`craft:criterionShort.${criterion}`),
        name: t(`craft:criterion.${criterion}`),
      })),
    [rubric, t],
  );
  const rows = query.data?.rows;
  const grades = useMemo(() => (rows ?? []).flatMap(({ grade }) => grade ?? []), [rows]);
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const assignment = query.data;
  const done = assignment.rows.filter(({ state }) => state === 'handedIn').length;
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <div className="me-auto">
          <PageTitle back={{ to: `/classes/${assignment.classId}`, text: assignment.className }}>
            {assignment.title}
          </PageTitle>
          <p className="text-quiet text-sm">
            {t('exercise.due', { when: dateTime(assignment.dueAt) })} ·{' '}
            {t('exercise.in', { done, all: assignment.rows.length })}
            <TermsLine terms={assignment.terms} />
          </p>
        </div>
        {done < assignment.rows.length && !assignment.closed ? (
          <ButtonLink to={`/assignments/${assignment.id}/live`}>{t('live:open')}</ButtonLink>
        ) : null}
        {done > 0 ? (
          <ButtonLink weight="main" to={`/assignments/${assignment.id}/pile`}>
            {t('pile:open')}
          </ButtonLink>
        ) : null}
        <Button icon={<Printer aria-hidden className="size-5" />} onClick={() => setPrinting(true)}>
          {t('exercise.onPaper')}
        </Button>
        {assignment.editable ? (
          <ButtonLink to={`/classes/${assignment.classId}/new-exercise?edit=${assignment.id}`}>
            {t('exercise.edit')}
          </ButtonLink>
        ) : null}
        {assignment.rights === 'marking' ? null : (
          <>
            <ButtonLink to={`/classes/${assignment.classId}/new-exercise?from=${assignment.exerciseId}`}>
              {t('exercise.duplicate')}
            </ButtonLink>
            {done > 0 ? <Button onClick={() => setRegrading(true)}>{t('bench.regrade')}</Button> : null}
            <AssignmentActions assignment={assignment} />
          </>
        )}
      </div>
      <JustAssigned assignment={assignment} />
      {assignment.version < assignment.newestVersion ? (
        <Notice kind="info">
          {t('assigning:terms.newer', { version: assignment.version, newest: assignment.newestVersion })}
        </Notice>
      ) : null}
      {assignment.rows.length === 0 ? (
        <Empty>{t('exercise.noStudents')}</Empty>
      ) : (
        <AnswersTable rows={assignment.rows} marked={marked} />
      )}
      <div className="grid items-start gap-4 wide:grid-cols-[3fr_2fr]">
        <InUnits units={assignment.houseRules.units}>
          <AnswerByVariant assignment={assignment} />
        </InUnits>
        <div className="flex flex-col gap-4">
          <ClassMisconceptions assignment={assignment} />
          <ItemStatistics grades={grades} />
        </div>
      </div>
      {printing ? (
        <Suspense fallback={null}>
          <PaperDialog assignment={assignment} onClose={() => setPrinting(false)} />
        </Suspense>
      ) : null}
      {regrading ? <RegradeDialog assignment={assignment} onClose={() => setRegrading(false)} /> : null}
    </div>
  );
}

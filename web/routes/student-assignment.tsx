import { workStepsOf, type StudentAssignment, type StudentAssignmentView as Page } from '@cimbel/contract';
import { fromOlderCards, recordCardSchema } from '@cimbel/core/card';
import { withGiven } from '@cimbel/core/exercise';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams, useSearchParams } from 'react-router';
import { ConflictDialog, SaveLine } from '../features/bench/save-line';
import { useDraft } from '../features/bench/use-draft';
import { AheadPage, AnotherAttempt } from '../features/bench/begin-attempt';
import { SoFar } from '../features/bench/so-far';
import { HandIn } from '../features/bench/hand-in';
import { TimeLeft } from '../features/bench/time-left';
import { HeadStrand } from '../features/bench/head-strand';
import { BODY, BenchTitle, SHELL, Bench } from '../features/bench/bench';
import { useSimulation } from '../features/bench/use-simulation';
import { AskForHelp, AtTheBench } from '../features/live/at-the-bench';
import { useTellStep, useWorking } from '../features/live/use-working';
import { useReveals } from '../features/bench/use-reveals';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { useMe } from '../lib/session';
import { InUnits } from '../lib/units';
import { ButtonLink } from '../ui/button';
import { Failure, Loading, Notice } from '../ui/panel';
import { ReceiptLine } from '../features/marking/receipt';
import '../lib/words/bench';

const ofToday = (kept: unknown) => recordCardSchema.safeParse(fromOlderCards(kept)).data ?? null;

function Working({ assignment }: { assignment: StudentAssignment }) {
  const { t } = useTranslation();
  const draft = useDraft(
    { ...assignment, url: `/api/my/assignments/${assignment.id}`, empty: assignment.given, ofToday },
    useMe().id,
  );
  const reveals = useReveals(assignment);
  // What the exercise gives stands in the plan from the start.
  const answer = withGiven(draft.answer, assignment.given, assignment.open, assignment.applications);
  const play = useSimulation(assignment, answer);
  const given = { ...draft, answer };
  const steps = workStepsOf(assignment.open);
  const [params] = useSearchParams();
  useTellStep(assignment.id, steps.find((step) => step === params.get('step')) ?? steps[0]);
  const room = useWorking(assignment.id);
  const { working } = room;
  // What was told with the page holds until more is known.
  const time = working ? working.time : assignment.time;
  return (
    <>
      <Bench
        assignment={assignment}
        draft={given}
        reveals={reveals}
        play={play}
        title={
          <>
            <BenchTitle assignment={assignment} />
            {working ? <AtTheBench {...room} working={working} /> : null}
            {working ? <AskForHelp hand={room.hand} working={working} /> : null}
          </>
        }
        saveLine={
          <>
            {assignment.notTaken ? (
              <Notice kind="bad">{t('bench.notTaken', { why: t(`error.${assignment.notTaken}`) })}</Notice>
            ) : null}
            {assignment.closed && !assignment.notTaken ? (
              <Notice kind="warn">{t('error.attempt.closed')}</Notice>
            ) : null}
            <SaveLine draft={draft} />
            {time ? (
              <TimeLeft key={time.endsAt} assignment={{ ...assignment, time }} answer={answer} />
            ) : null}
          </>
        }
        end={<HandIn assignment={assignment} draft={given} />}
      />
      <ConflictDialog draft={draft} />
    </>
  );
}

function HandedIn({ assignment }: { assignment: StudentAssignment }) {
  const { t } = useTranslation();
  const [at, setAt] = useState(0);
  return (
    <div className={SHELL}>
      <HeadStrand
        regions={assignment.regions}
        at={at}
        onRegion={setAt}
        looks={assignment.looks}
        nowLabel={t('bench.nowOf', { name: assignment.client.name })}
        caption={t('bench.now')}
      />
      <div className={`${BODY} items-start`}>
        <BenchTitle assignment={assignment} />
        <h2 className="text-2xl">{t('bench.waitingTitle')}</h2>
        <Notice kind="good">{t('bench.closed', { when: dateTime(assignment.submittedAt!) })}</Notice>
        {assignment.receipt ? <ReceiptLine receipt={assignment.receipt} /> : null}
        {assignment.soFar ? <SoFar soFar={assignment.soFar} /> : null}
        {assignment.another ? <AnotherAttempt assignment={assignment} /> : null}
        {assignment.resultReady ? (
          <ButtonLink weight="main" to={`/due/${assignment.id}/result`}>
            {t('student.seeResult')}
          </ButtonLink>
        ) : (
          <p>{t(`bench.waiting.${assignment.release}`)}</p>
        )}
      </div>
    </div>
  );
}

export function StudentAssignmentPage() {
  const { assignmentId } = useParams();
  const query = useQuery({
    queryKey: ['my-assignment', assignmentId],
    queryFn: () => api<Page>('GET', `/api/my/assignments/${assignmentId}`),
    // The device's own copy leads while it is open.
    staleTime: Infinity,
    gcTime: 0,
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const page = query.data;
  if (page.stage === 'ahead') return <AheadPage assignment={page} />;
  return (
    <InUnits units={page.houseRules.units}>
      {page.submittedAt ? <HandedIn assignment={page} /> : <Working key={page.attempt} assignment={page} />}
    </InUnits>
  );
}

import type { StudentExercise } from '@cimbel/contract';
import { EMPTY_ANSWER } from '@cimbel/core/grade';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams, useSearchParams } from 'react-router';
import { Consult } from '../features/bench/consult';
import { HandIn } from '../features/bench/hand-in';
import { Mix } from '../features/bench/mix';
import { Process } from '../features/bench/process';
import { Read } from '../features/bench/read';
import { ConflictDialog, SaveLine } from '../features/bench/save-line';
import { ServiceLine } from '../features/bench/service-line';
import { STEPS, isComplete, type Step } from '../features/bench/steps';
import { Strand } from '../features/bench/strand';
import { useDraft } from '../features/bench/use-draft';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { useMe } from '../lib/session';
import { useShortcuts } from '../lib/shortcuts';
import { InUnits } from '../lib/units';
import { Button, ButtonLink } from '../ui/button';
import { Failure, Loading, Notice } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

function useStep(): [Step, (step: Step) => void] {
  const [params, setParams] = useSearchParams();
  const named = STEPS.find((step) => step === params.get('step')) ?? 'consult';
  const go = useCallback(
    (step: Step) => {
      setParams({ step });
      window.scrollTo({ top: 0 });
    },
    [setParams],
  );
  return [named, go];
}

function Bench({ exercise }: { exercise: StudentExercise }) {
  const { t } = useTranslation();
  const draft = useDraft(
    { ...exercise, url: `/api/my/exercises/${exercise.id}`, empty: EMPTY_ANSWER },
    useMe().id,
  );
  const [step, go] = useStep();
  const [seen, setSeen] = useState<ReadonlySet<Step>>(() => new Set(exercise.draft ? STEPS : [step]));
  const goTo = (next: Step) => {
    setSeen((before) => new Set([...before, next]));
    go(next);
  };
  const at = STEPS.indexOf(step);
  const move = (by: number) => {
    const next = STEPS[at + by];
    if (next) goTo(next);
  };
  useShortcuts({
    ']': () => move(1),
    '[': () => move(-1),
    'mod+z': () => draft.undo?.(),
    'mod+shift+z': () => draft.redo?.(),
  });
  const parts = { exercise, draft };
  return (
    <>
      <ServiceLine
        steps={STEPS}
        current={step}
        complete={(one) => isComplete(one, draft.answer, seen)}
        name={(one) => t(`bench.step.${one}`)}
        onGo={goTo}
      />
      <div className="flex-1">
        {step === 'consult' ? <Consult exercise={exercise} /> : null}
        {step === 'read' ? <Read {...parts} /> : null}
        {step === 'mix' ? <Mix {...parts} /> : null}
        {step === 'process' ? <Process {...parts} /> : null}
        {step === 'handIn' ? <HandIn {...parts} /> : null}
      </div>
      <div className="border-strong-line bg-room sticky bottom-0 -mx-4 flex flex-wrap items-center gap-2 border-t px-4 py-2 wide:-mx-8 wide:px-8">
        <SaveLine draft={draft} />
        <div className="ms-auto flex gap-2">
          {at > 0 ? (
            <Button onClick={() => move(-1)} aria-keyshortcuts="[">
              {t('action.back')}
            </Button>
          ) : null}
          {at < STEPS.length - 1 ? (
            <Button weight="main" onClick={() => move(1)} aria-keyshortcuts="]">
              {t('action.next')}: {t(`bench.step.${STEPS[at + 1]}`)}
            </Button>
          ) : null}
        </div>
      </div>
      <ConflictDialog draft={draft} />
    </>
  );
}

function HandedIn({ exercise }: { exercise: StudentExercise }) {
  const { t } = useTranslation();
  return (
    <div className="flex flex-col items-start gap-4">
      <h2 className="text-2xl">{t('bench.waitingTitle')}</h2>
      <Notice kind="good">{t('bench.closed', { when: dateTime(exercise.submittedAt!) })}</Notice>
      {exercise.resultReady ? (
        <ButtonLink weight="main" to={`/due/${exercise.id}/result`}>
          {t('student.seeResult')}
        </ButtonLink>
      ) : (
        <p>{t('bench.waiting')}</p>
      )}
    </div>
  );
}

export function StudentExercisePage() {
  const { t } = useTranslation();
  const { exerciseId } = useParams();
  const query = useQuery({
    queryKey: ['my-exercise', exerciseId],
    queryFn: () => api<StudentExercise>('GET', `/api/my/exercises/${exerciseId}`),
    // The device's own copy leads while it is open; fetching behind the student's back would only confuse the two.
    staleTime: Infinity,
    gcTime: 0,
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const exercise = query.data;
  const { client, facts, title } = exercise;
  return (
    <div className="grid min-h-full grid-cols-[76px_minmax(0,1fr)] wide:grid-cols-[320px_minmax(0,1fr)]">
      <Strand
        looks={exercise.looks}
        service={facts.service}
        nowLabel={t('bench.nowOf', { name: client.name })}
        targetLabel={t('bench.targetOf', { level: facts.target.level, tone: facts.target.tone.primary })}
      />
      <div className="flex min-w-0 flex-col gap-4 px-4 pt-3 wide:px-8">
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <PageTitle back={{ to: '/due', text: t('nav.exercises') }} className="text-xl">
            {title}
          </PageTitle>
          <p className="text-quiet text-sm">{t('student.due', { when: dateTime(exercise.dueAt) })}</p>
        </div>
        <InUnits units={exercise.houseRules.units}>
          {exercise.submittedAt ? <HandedIn exercise={exercise} /> : <Bench exercise={exercise} />}
        </InUnits>
      </div>
    </div>
  );
}

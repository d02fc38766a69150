import { isByEye, PLAIN_CONTEXT, SKILLS } from '@cimbel/core/drill';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { queueOf, useWaiting } from '../features/drill/answer-queue';
import { PracticeRun, runFrom } from '../features/drill/practice-run';
import { ScreenCheck, screenCheckToday } from '../features/drill/screen-check';
import { memoryWithWaiting, PRACTICE, usePractice } from '../features/drill/use-practice';
import { useMe } from '../lib/session';
import { Failure, Loading } from '../ui/panel';

/** One sitting of practice. What is known is read once at its start; from there the device goes on by itself. */
export function PracticePage() {
  const me = useMe();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const client = useQueryClient();
  const practice = usePractice(me.id);
  const queue = queueOf(me.id);
  const waiting = useWaiting(queue);
  const [checked, setChecked] = useState(() => screenCheckToday() !== 'open');
  const start = useMemo(
    () =>
      practice.data && {
        run: runFrom(params, practice.data, PLAIN_CONTEXT, SKILLS),
        memory: memoryWithWaiting(practice.data, me.id),
      },
    // A refetch while practising must not begin the sitting anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [practice.isSuccess, params],
  );
  if (practice.isError) return <Failure error={practice.error} onRetry={() => void practice.refetch()} />;
  if (!start) return <Loading />;
  if (!checked && start.run.skills.some(isByEye)) return <ScreenCheck onDone={() => setChecked(true)} />;
  return (
    <PracticeRun
      run={start.run}
      memory={start.memory}
      waiting={waiting}
      place={`cimbel.practice.${me.id}.${params.toString()}`}
      onAnswer={(answer) => {
        queue.add(answer);
        void queue.flush();
      }}
      onLeave={() => {
        void client.invalidateQueries({ queryKey: PRACTICE });
        void client.invalidateQueries({ queryKey: ['my-reading-profile'] });
        void navigate('/reading');
      }}
    />
  );
}

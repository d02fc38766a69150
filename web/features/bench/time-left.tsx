import type { AttemptTime, StudentAssignment } from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api, asApiError } from '../../lib/api';
import { timeLeft } from '../../lib/i18n';
import { useMe } from '../../lib/session';
import { Notice } from '../../ui/panel';
import { submissionId } from './hand-in-form';
import '../../lib/words/bench';

const LITTLE_S = 5 * 60;

/**
 * The time that is left for an attempt, by the server's clock. When it is up what stands on the card is submitted; where
 * the server cannot be reached it takes what it was sent last.
 */
export function TimeLeft({
  assignment: { id, attempt, time },
  answer,
}: {
  assignment: Pick<StudentAssignment, 'id' | 'attempt'> & { time: AttemptTime };
  answer: RecordCard;
}) {
  const { t } = useTranslation();
  const me = useMe();
  const client = useQueryClient();
  // A page that was kept for when there is no network tells a time of long ago.
  const [ahead] = useState(() => (navigator.onLine ? Date.parse(time.now) - Date.now() : 0));
  const secondsAt = (now: number) => Math.max(0, Math.ceil((Date.parse(time.endsAt) - (now + ahead)) / 1000));
  const [left, setLeft] = useState(() => secondsAt(Date.now()));
  const latest = useRef(answer);
  useEffect(() => {
    latest.current = answer;
  }, [answer]);
  const end = useMutation({
    mutationFn: () =>
      api('POST', `/api/my/assignments/${id}/submission`, {
        id: submissionId(me.id, id, attempt),
        attempt,
        answer: latest.current,
      }),
    onSettled: () => {
      void client.invalidateQueries({ queryKey: ['my-assignments'] });
      return client.invalidateQueries({ queryKey: ['my-assignment', id] });
    },
  });
  useEffect(() => {
    const timer = setInterval(() => setLeft(secondsAt(Date.now())), 500);
    return () => clearInterval(timer);
    // The end is one and the same while this is shown.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const isUp = left === 0;
  const { mutate } = end;
  useEffect(() => {
    if (isUp) mutate();
  }, [isUp, mutate]);
  if (isUp)
    return (
      <Notice kind="warn">
        {t(end.isError && asApiError(end.error).offline ? 'bench.time.upOffline' : 'bench.time.up')}
      </Notice>
    );
  const pausedMinutes = Math.round(time.pausedMs / 60_000);
  return (
    <p className="flex flex-wrap items-baseline gap-x-2">
      <span role="timer" className={`font-semibold tabular-nums ${left < LITTLE_S ? 'text-warn' : ''}`}>
        {t('bench.time.left', { time: timeLeft(left) })}
      </span>
      {/* Also for who had no connection then, and finds a later end. */}
      {pausedMinutes > 0 ? (
        <span className="text-quiet text-sm">{t('bench.time.paused', { minutes: pausedMinutes })}</span>
      ) : null}
    </p>
  );
}

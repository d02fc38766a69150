import type { Submission } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { api, asApiError } from '../../lib/api';
import { useRefusalWords } from '../../lib/form';
import { newId } from '../../lib/id';
import { useMe } from '../../lib/session';
import { keep, readKept } from '../../lib/storage';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { Notice } from '../../ui/panel';
import { attemptName } from './stored-draft';
import '../../lib/words/bench';

/** The id is kept, for each student who sits at this device, so that an answer sent into a lost connection is the same answer when it is sent again. */
export function submissionId(studentId: string, assignmentId: string, attempt: number): string {
  const place = `cimbel.submission.${attemptName(studentId, assignmentId, attempt)}`;
  const known = readKept<string>(place);
  if (known) return known;
  const name = newId();
  keep(place, name);
  return name;
}

/** Hands in once, after asking; what goes wrong is said by field, and sending again is sending once. */
export function HandInForm({
  id,
  attempt,
  url,
  answer,
  seen,
  onNewer,
  open,
  late,
  latePercent,
  resultAt,
  queryKey,
}: {
  id: string;
  /** Which attempt it is, from 1. */
  attempt: number;
  url: string;
  answer: object;
  /** What the device last saw of the draft on the server. */
  seen: () => Promise<NonNullable<Submission['seen']>>;
  /** The server has newer work of another device. */
  onNewer: () => void;
  /** Parts that are still open and would get no marks. */
  open: number;
  late: boolean;
  /** Per cent of the points that being late costs; null where it costs none. */
  latePercent: number | null;
  resultAt: string;
  queryKey: readonly string[];
}) {
  const { t } = useTranslation();
  const refusal = useRefusalWords();
  const navigate = useNavigate();
  const me = useMe();
  const client = useQueryClient();
  const [asking, setAsking] = useState(false);
  const handIn = useMutation({
    mutationFn: async () =>
      api<{ resultReady: boolean }>('POST', `${url}/submission`, {
        id: submissionId(me.id, id, attempt),
        attempt,
        answer,
        seen: await seen(),
      }),
    onError: (error) => {
      if (asApiError(error).code === 'attempt.newerElsewhere') onNewer();
    },
    onSuccess: async ({ resultReady }) => {
      await client.invalidateQueries({ queryKey: ['my-assignments'] });
      await client.invalidateQueries({ queryKey });
      await navigate(resultReady ? resultAt : '/due');
    },
    onSettled: () => setAsking(false),
  });
  const error = handIn.isError ? asApiError(handIn.error) : null;
  return (
    <>
      <Notice kind={open === 0 ? 'good' : 'warn'}>
        {open === 0 ? t('bench.handIn.complete') : t('bench.handIn.open', { count: open })}
      </Notice>
      {late ? (
        <Notice kind="warn">
          {latePercent === null
            ? t('bench.handIn.late')
            : t('bench.handIn.lateReduced', { percent: latePercent })}
        </Notice>
      ) : null}
      {error ? (
        <Notice kind="bad">{error.offline ? t('bench.handIn.offline') : refusal(error)}</Notice>
      ) : null}
      <div>
        <Button weight="main" onClick={() => setAsking(true)} disabled={handIn.isPending}>
          {t(handIn.isPending ? 'bench.handIn.sending' : 'bench.handIn.submit')}
        </Button>
      </div>
      <Confirm
        open={asking}
        title={t('bench.handIn.confirmTitle')}
        text={t(open === 0 ? 'bench.handIn.confirm' : 'bench.handIn.confirmOpen')}
        confirm={t('bench.handIn.submit')}
        busy={handIn.isPending}
        onCancel={() => setAsking(false)}
        onConfirm={() => handIn.mutate()}
      />
    </>
  );
}

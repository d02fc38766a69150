import type { StudentExercise } from '@cimbel/contract';
import { CRITERIA, openParts, type Criterion } from '@cimbel/core/grade';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { api, asApiError } from '../../lib/api';
import { newId } from '../../lib/id';
import { keep, readKept } from '../../lib/storage';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { Facts, Notice, Sheet } from '../../ui/panel';
import { useAnswerWords } from '../marking/answer-words';
import type { Draft } from './use-draft';

/** The id is kept, so that an answer sent into a lost connection is the same answer when it is sent again. */
function submissionId(exerciseId: string): string {
  const place = `cimbel.submission.${exerciseId}`;
  const known = readKept<string>(place);
  if (known) return known;
  const made = newId();
  keep(place, made);
  return made;
}

/** Parts as they stand on the card; depth, tone and grey share are one choice of shades. */
const ON_CARD: readonly Criterion[] = CRITERIA.filter(
  (criterion) => criterion !== 'tone' && criterion !== 'greyShare',
);

export function HandIn({ exercise, draft }: { exercise: StudentExercise; draft: Draft }) {
  const { t } = useTranslation(['ui', 'craft']);
  const navigate = useNavigate();
  const client = useQueryClient();
  const answerWords = useAnswerWords();
  const [asking, setAsking] = useState(false);
  const { answer } = draft;
  const open = openParts(answer);
  const handIn = useMutation({
    mutationFn: () =>
      api<{ resultReady: boolean }>('POST', `/api/my/exercises/${exercise.id}/submission`, {
        id: submissionId(exercise.id),
        answer,
      }),
    onSuccess: async ({ resultReady }) => {
      await client.invalidateQueries({ queryKey: ['my-exercises'] });
      await client.invalidateQueries({ queryKey: ['my-exercise', exercise.id] });
      await navigate(resultReady ? `/due/${exercise.id}/result` : '/due');
    },
    onSettled: () => setAsking(false),
  });
  const error = handIn.isError ? asApiError(handIn.error) : null;
  return (
    <div className="flex flex-col gap-5">
      <h2 className="text-2xl">{t('bench.handIn.title')}</h2>
      <Sheet>
        <Facts
          rows={ON_CARD.map((criterion) => ({
            term: criterion === 'depth' ? t('key.shades') : t(`craft:criterion.${criterion}`),
            value: answerWords(criterion, answer) ?? (
              <span className="text-warn">{t('bench.handIn.notAnswered')}</span>
            ),
          }))}
        />
      </Sheet>
      <Notice kind={open.length === 0 ? 'good' : 'warn'}>
        {open.length === 0 ? t('bench.handIn.complete') : t('bench.handIn.open', { count: open.length })}
      </Notice>
      {exercise.late ? <Notice kind="warn">{t('bench.handIn.late')}</Notice> : null}
      {error ? (
        <Notice kind="bad">
          {error.offline
            ? t('bench.handIn.offline')
            : `${t(`error.${error.code}`)} ${error.fields.map(({ message }) => message).join(' ')}`}
        </Notice>
      ) : null}
      <div>
        <Button weight="main" onClick={() => setAsking(true)} disabled={handIn.isPending}>
          {t(handIn.isPending ? 'bench.handIn.sending' : 'bench.handIn.submit')}
        </Button>
      </div>
      <Confirm
        open={asking}
        title={t('bench.handIn.confirmTitle')}
        text={t(open.length === 0 ? 'bench.handIn.confirm' : 'bench.handIn.confirmOpen')}
        confirm={t('bench.handIn.submit')}
        busy={handIn.isPending}
        onCancel={() => setAsking(false)}
        onConfirm={() => handIn.mutate()}
      />
    </div>
  );
}

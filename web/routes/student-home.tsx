import type { Joined, MyClass, StudentAssignmentSummary } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api, asApiError } from '../lib/api';
import { fieldError, useFieldWords } from '../lib/form';
import { dateTime } from '../lib/i18n';
import { Button, ButtonLink } from '../ui/button';
import { Field, Input } from '../ui/field';
import { Empty, Failure, Loading, Notice, Sheet } from '../ui/panel';
import { CalendarButton } from '../features/calendar/calendar-button';
import { HungHair } from '../features/hair/hung-hair';
import { PageTitle } from '../ui/page-title';

function JoinClass() {
  const { t } = useTranslation();
  const words = useFieldWords();
  const client = useQueryClient();
  const [code, setCode] = useState('');
  const join = useMutation({
    mutationFn: (joinCode: string) => api<Joined>('POST', '/api/memberships', { joinCode }),
    onSuccess: () => {
      setCode('');
      for (const name of ['my-assignments', 'my-classes'])
        void client.invalidateQueries({ queryKey: [name] });
    },
  });
  const refused = fieldError(join.error, 'joinCode');
  const error = refused
    ? words('code', refused.code === 'unknown' ? 'unknownCode' : refused.code)
    : join.isError
      ? t(`error.${asApiError(join.error).code}`)
      : null;
  return (
    <form
      className="flex flex-wrap items-start gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        join.mutate(code);
      }}
    >
      <Field label={t('student.joinLabel')} error={error}>
        <Input
          className="w-48 font-mono tracking-widest uppercase"
          value={code}
          onChange={(event) => setCode(event.target.value)}
          autoComplete="off"
          spellCheck={false}
        />
      </Field>
      {/* Beside the field, whatever is written under it. */}
      <Button type="submit" disabled={join.isPending} className="mt-6">
        {t('student.join')}
      </Button>
      {join.isSuccess ? (
        <Notice kind={join.data.waiting ? 'info' : 'good'}>
          {t(join.data.waiting ? 'student.joinWaits' : 'student.joined', { name: join.data.name })}
        </Notice>
      ) : null}
    </form>
  );
}

function HangingExercise({ exercise }: { exercise: StudentAssignmentSummary }) {
  const { t } = useTranslation();
  const { id, title, clientName, className, dueAt, opensAt, state, late, resultReady, points, max } =
    exercise;
  const { attempts, handedIn: times, minutes, closed, fresh } = exercise;
  const at = `/due/${id}`;
  // Many links read the same; a screen reader is told of which exercise.
  const named = (words: string) => ({ 'aria-label': t('student.linkOf', { words, title }), children: words });
  const handedIn = state === 'handedIn';
  const overdue = late && !handedIn;
  return (
    <li className="bg-sheet border-line flex overflow-hidden rounded-sm border">
      <div className="bg-surround relative flex w-24 shrink-0 justify-center pt-1">
        {exercise.now ? (
          <HungHair hair={exercise.now} size="listed" label={t('student.hairOf', { name: clientName })} />
        ) : null}
      </div>
      <div className="flex min-w-0 flex-1 flex-col gap-1 p-4">
        <p className="text-quiet text-sm">
          {clientName} · {className}
        </p>
        <h3 className="text-xl">{title}</h3>
        <p className="text-sm">
          {t(`student.state.${state}`)} ·{' '}
          {t(overdue ? 'student.wasDue' : 'student.due', { when: dateTime(dueAt) })}
          {late ? <strong className="text-warn"> · {t('student.late')}</strong> : null}
          {minutes === null ? null : <> · {t('student.ahead.minutes', { minutes })}</>}
          {attempts > 1 ? <> · {t('student.attemptsUsed', { times, attempts })}</> : null}
        </p>
        <div className="mt-auto flex items-center justify-between gap-3 pt-2">
          {points === null ? (
            <span />
          ) : (
            <p className="font-display text-2xl">
              {t('student.points', { points, max })}
              {fresh ? (
                <strong className="bg-accent text-on-accent ms-3 rounded-sm px-2 py-0.5 font-sans text-sm">
                  {t('student.fresh')}
                </strong>
              ) : null}
            </p>
          )}
          {handedIn ? (
            resultReady ? (
              <ButtonLink to={`${at}/result`} {...named(t('student.seeResult'))} />
            ) : (
              <div className="flex flex-wrap items-center gap-3">
                {times < attempts && !closed ? (
                  <ButtonLink to={at} {...named(t('student.tryAgain'))} />
                ) : (
                  <p className="text-quiet">{t('student.waiting')}</p>
                )}
              </div>
            )
          ) : opensAt ? (
            <p className="text-quiet">{t('student.opens', { when: dateTime(opensAt) })}</p>
          ) : (
            <ButtonLink
              weight="main"
              to={at}
              {...named(t(state === 'inWork' ? 'student.continue' : 'student.start'))}
            />
          )}
        </div>
      </div>
    </li>
  );
}

export function StudentHome() {
  const { t } = useTranslation();
  const list = useQuery({
    queryKey: ['my-assignments'],
    queryFn: () => api<StudentAssignmentSummary[]>('GET', '/api/my/assignments'),
  });
  const classes = useQuery({
    queryKey: ['my-classes'],
    queryFn: () => api<MyClass[]>('GET', '/api/my/classes'),
  });
  const waiting = (classes.data ?? []).filter(({ state }) => state === 'waiting');
  if (list.isPending) return <Loading />;
  if (list.isError) return <Failure error={list.error} onRetry={() => void list.refetch()} />;
  const open = list.data.filter(({ state }) => state !== 'handedIn');
  const done = list.data.filter(({ state }) => state === 'handedIn').reverse();
  const group = (exercises: StudentAssignmentSummary[]) => (
    <ul className="grid gap-4 wide:grid-cols-2">
      {exercises.map((exercise) => (
        <HangingExercise key={exercise.id} exercise={exercise} />
      ))}
    </ul>
  );
  return (
    <div className="mx-auto flex max-w-5xl flex-col gap-6 p-4 py-6">
      <div className="flex flex-wrap items-center gap-3">
        <PageTitle className="me-auto text-2xl">{t('student.title')}</PageTitle>
        {list.data.length > 0 ? <CalendarButton of={null} label={t('nav.calendar')} /> : null}
        {done.length > 0 ? <ButtonLink to="/term">{t('student.term')}</ButtonLink> : null}
      </div>
      {waiting.length > 0 ? (
        <Notice kind="info">
          {t('student.waitingFor', { names: waiting.map(({ name }) => name).join(', ') })}
        </Notice>
      ) : null}
      {open.length > 0 ? group(open) : <Empty>{t('student.empty')}</Empty>}
      {done.length > 0 ? (
        <>
          <h2 className="text-2xl">{t('student.done')}</h2>
          {group(done)}
        </>
      ) : null}
      <Sheet className="flex flex-col gap-2">
        <h2 className="text-lg">{t('student.joinTitle')}</h2>
        {list.data.length === 0 ? <p>{t('student.noClass')}</p> : null}
        <JoinClass />
      </Sheet>
    </div>
  );
}

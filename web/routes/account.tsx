import { passwordChangeSchema, type OpenSession } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Download, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api, asApiError } from '../lib/api';
import { fieldError, useFieldWords } from '../lib/form';
import { dateTime } from '../lib/i18n';
import { NewPassword } from '../features/people/new-password';
import { useMe } from '../lib/session';
import '../lib/words/people';
import { Button, ButtonLink } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Field, Input } from '../ui/field';
import { Facts, Failure, Loading, Notice, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

const SESSIONS = ['account-sessions'] as const;

function Password() {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const client = useQueryClient();
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const [wrong, setWrong] = useState<PropertyKey[]>([]);
  const change = useMutation({
    mutationFn: (body: object) => api('PUT', '/api/account/password', body),
    onSuccess: () => {
      setCurrent('');
      setPassword('');
      void client.invalidateQueries({ queryKey: SESSIONS });
    },
  });
  const refused = fieldError(change.error, 'current');
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('account.passwordTitle')}</h2>
      <form
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          const parsed = passwordChangeSchema.safeParse({ current, password });
          setWrong(parsed.success ? [] : parsed.error.issues.map(({ path }) => path[0]));
          if (parsed.success) change.mutate(parsed.data);
        }}
      >
        <Field
          label={t('account.current')}
          error={
            wrong.includes('current') ? words('current') : refused ? words('current', refused.code) : null
          }
        >
          <Input
            type="password"
            autoComplete="current-password"
            value={current}
            onChange={({ target }) => setCurrent(target.value)}
          />
        </Field>
        <NewPassword
          label={t('account.fresh')}
          value={password}
          wrong={wrong.includes('password')}
          onValue={setPassword}
        />
        {change.isSuccess ? <Notice kind="good">{t('account.changed')}</Notice> : null}
        {change.isError && !refused ? (
          <Notice kind="bad">{t(`ui:error.${asApiError(change.error).code}`)}</Notice>
        ) : null}
        <Button type="submit" className="self-end" disabled={change.isPending}>
          {t('account.change')}
        </Button>
      </form>
    </Sheet>
  );
}

/** A browser and its system out of what it calls itself, as far as that tells. */
const browserOf = (agent: string): string | null => {
  const browser = /Edg|Firefox|Chrome|Safari/.exec(agent)?.[0].replace('Edg', 'Edge');
  const system = /Android|iPhone|iPad|Windows|Mac OS|Linux/.exec(agent)?.[0];
  return browser ? [browser, system].filter(Boolean).join(', ') : null;
};

function Sessions() {
  const { t } = useTranslation(['people', 'ui']);
  const client = useQueryClient();
  const list = useQuery({
    queryKey: SESSIONS,
    queryFn: () => api<OpenSession[]>('GET', '/api/account/sessions'),
  });
  const end = useMutation({
    mutationFn: (id: string | null) =>
      api('DELETE', id === null ? '/api/account/sessions' : `/api/account/sessions/${id}`),
    onSettled: () => client.invalidateQueries({ queryKey: SESSIONS }),
  });
  if (list.isPending) return <Loading />;
  if (list.isError) return <Failure error={list.error} onRetry={() => void list.refetch()} />;
  const others = list.data.filter(({ here }) => !here);
  return (
    <Sheet className="flex flex-col gap-2">
      <h2 className="text-lg">{t('account.sessionsTitle')}</h2>
      <ul>
        {list.data.map(({ id, here, agent, startedAt }) => {
          const name = browserOf(agent) ?? t('account.unknownBrowser');
          return (
            <li key={id} className="border-line flex flex-wrap items-center gap-x-3 border-t py-1">
              <span className="me-auto first-letter:uppercase">
                {name}{' '}
                <span className="text-quiet text-sm">
                  {startedAt ? t('account.since', { when: dateTime(startedAt) }) : ''}
                </span>
              </span>
              {here ? (
                <strong className="text-sm">{t('account.here')}</strong>
              ) : (
                <Button
                  weight="quiet"
                  aria-label={t('account.endOf', { agent: name })}
                  disabled={end.isPending}
                  onClick={() => end.mutate(id)}
                >
                  {t('account.end')}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      <Refused error={end.error} />
      {others.length > 1 ? (
        <Button className="self-end" disabled={end.isPending} onClick={() => end.mutate(null)}>
          {t('account.endOthers')}
        </Button>
      ) : null}
    </Sheet>
  );
}

/** All that is kept, to take along, and the end of the account; the password is asked once more. */
function EndAccount() {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const [asking, setAsking] = useState(false);
  const [password, setPassword] = useState('');
  const end = useMutation({
    mutationFn: () => api('DELETE', '/api/account', { password }),
    // Nothing of this account is shown from here on.
    onSuccess: () => window.location.assign('/'),
  });
  const refused = fieldError(end.error, 'password');
  return (
    <div className="border-line flex flex-wrap justify-end gap-2 border-t pt-3">
      <a
        href="/api/account/data.json"
        download
        className="border-strong-line bg-raised hover:bg-sheet inline-flex min-h-10 items-center gap-2 rounded-sm border px-4 font-semibold"
      >
        <Download aria-hidden className="size-4" />
        {t('account.data')}
      </a>
      <Button
        weight="danger"
        icon={<Trash2 aria-hidden className="size-4" />}
        onClick={() => setAsking(true)}
      >
        {t('account.end_account')}
      </Button>
      <Dialog
        open={asking}
        onClose={() => setAsking(false)}
        title={t('account.endTitle')}
        actions={
          <>
            <Button onClick={() => setAsking(false)}>{t('ui:action.cancel')}</Button>
            <Button
              weight="danger"
              type="submit"
              form="end-account"
              disabled={end.isPending || password === ''}
            >
              {t('account.end_account')}
            </Button>
          </>
        }
      >
        <form
          id="end-account"
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            end.mutate();
          }}
        >
          <p>{t('account.endText')}</p>
          <Field label={t('account.current')} error={refused ? words('current', refused.code) : null}>
            <Input
              type="password"
              autoComplete="current-password"
              value={password}
              onChange={({ target }) => setPassword(target.value)}
            />
          </Field>
          {end.isError && !refused ? <Refused error={end.error} /> : null}
        </form>
      </Dialog>
    </div>
  );
}

/** Who one is here: password, where one is signed in, and what is kept. */
export function AccountPage() {
  const { t } = useTranslation(['people', 'ui']);
  const me = useMe();
  const role = t(`ui:role.${me.role}`);
  return (
    <div className="mx-auto flex max-w-2xl flex-col gap-4 p-4 py-6">
      <PageTitle>{t('account.title')}</PageTitle>
      <Sheet>
        <Facts
          rows={[
            { term: t('account.name'), value: me.name },
            {
              term: t('account.role'),
              value: me.administrator ? t('account.administrator', { role }) : role,
            },
          ]}
        />
      </Sheet>
      <Password />
      <Sessions />
      {me.role === 'student' ? (
        <>
          <Sheet className="flex flex-col gap-2">
            <h2 className="text-lg">{t('account.placeTitle')}</h2>
            <p>{t('account.placeHint')}</p>
            <ButtonLink to="/code" className="self-end">
              {t('code.title')}
            </ButtonLink>
          </Sheet>
          <Sheet className="flex flex-col gap-2">
            <h2 className="text-lg">{t('account.keptTitle')}</h2>
            <ul className="list-disc ps-5">
              {(['account', 'work', 'log', 'device'] as const).map((what) => (
                <li key={what}>{t(`account.kept.${what}`)}</li>
              ))}
            </ul>
            <p>{t('account.leaves')}</p>
            <EndAccount />
          </Sheet>
        </>
      ) : null}
    </div>
  );
}

import type { Account } from '@cimbel/contract';
import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, Navigate } from 'react-router';
import { api, asApiError } from '../lib/api';
import { fieldError, useFieldWords } from '../lib/form';
import { useSession, useSessionChange } from '../lib/session';
import { Button } from '../ui/button';
import { Field, Input } from '../ui/field';
import { Loading, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

// Drawn once the form is there: signing in must not wait for hair.
const HangingRow = lazy(() => import('../features/drill/hanging-row'));

function DemoDoor({ accounts }: { accounts: Account[] }) {
  const { t } = useTranslation();
  const sessionChanged = useSessionChange();
  const walkIn = useMutation({
    mutationFn: (accountId: string) => api<Account>('POST', '/api/demo-session', { accountId }),
    onSuccess: sessionChanged,
  });
  const educators = accounts.filter(({ role }) => role === 'educator');
  const students = accounts.filter(({ role }) => role === 'student');
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('signIn.demoTitle')}</h2>
      <p className="text-quiet text-sm">{t('signIn.demoText')}</p>
      <Refused error={walkIn.error} />
      {educators.map(({ id, name }) => (
        <Button key={id} weight="main" disabled={walkIn.isPending} onClick={() => walkIn.mutate(id)}>
          {t('signIn.demoEducator')}: {name}
        </Button>
      ))}
      <p className="text-sm font-semibold">{t('signIn.demoStudents')}</p>
      <ul className="grid grid-cols-2 gap-1 sm:grid-cols-3">
        {students.map(({ id, name }) => (
          <li key={id}>
            <Button
              className="h-full w-full px-2 text-sm"
              disabled={walkIn.isPending}
              onClick={() => walkIn.mutate(id)}
            >
              {name}
            </Button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

export function SignIn() {
  const { t } = useTranslation();
  const words = useFieldWords();
  const session = useSession();
  const sessionChanged = useSessionChange();
  // What is wrong with a field the server says: schemas and forms would be a third of what comes before this page.
  const form = useRef<HTMLFormElement>(null);
  const signIn = useMutation({
    mutationFn: (body: object) => api<Account>('POST', '/api/session', body),
    onSuccess: sessionChanged,
    onError: (error) => {
      const [first] = asApiError(error).fields;
      form.current?.querySelector<HTMLElement>(`[name="${first?.path}"]`)?.focus();
    },
  });
  const email = fieldError(signIn.error, 'email') && words('email');
  const password = fieldError(signIn.error, 'password') && t('signIn.noPassword');

  if (session.isPending) return <Loading />;
  if (session.data?.me) return <Navigate to="/" replace />;
  return (
    <div className="mx-auto flex max-w-6xl gap-8 p-4 wide:py-8">
      <div className="flex w-full flex-col gap-5 wide:max-w-md">
        <p className="font-display text-3xl leading-tight font-semibold">{t('app.tagline')}</p>
        {session.data?.demo ? <DemoDoor accounts={session.data.demo} /> : null}
        <Sheet>
          <form
            ref={form}
            className="flex flex-col gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              signIn.mutate(Object.fromEntries(new FormData(event.currentTarget)));
            }}
            noValidate
          >
            <PageTitle className="text-lg">{t('signIn.title')}</PageTitle>
            <Refused error={email || password ? null : signIn.error} />
            <Field label={t('signIn.email')} error={email}>
              <Input type="email" name="email" autoComplete="username" aria-invalid={Boolean(email)} />
            </Field>
            <Field label={t('signIn.password')} error={password}>
              <Input
                type="password"
                name="password"
                autoComplete="current-password"
                aria-invalid={Boolean(password)}
              />
            </Field>
            <div className="flex flex-wrap items-center justify-between gap-2">
              <div className="flex flex-col gap-1 text-sm">
                {(
                  [
                    ['signIn.noAccount', '/register', 'signIn.register'],
                    ['signIn.slip', '/code', 'signIn.useCode'],
                  ] as const
                ).map(([question, to, way]) => (
                  <p key={to}>
                    {t(question)}{' '}
                    <Link className="font-semibold underline" to={to}>
                      {t(way)}
                    </Link>
                  </p>
                ))}
              </div>
              <Button type="submit" disabled={signIn.isPending}>
                {t('signIn.submit')}
              </Button>
            </div>
            <p className="text-quiet text-sm">{t('signIn.forgot')}</p>
          </form>
        </Sheet>
      </div>
      <Suspense fallback={<figure className="bg-surround h-[640px] flex-1 rounded-sm max-wide:hidden" />}>
        <HangingRow />
      </Suspense>
    </div>
  );
}

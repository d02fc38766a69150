import { invitationSchema, studentResetSchema, writtenCode, type People } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { KeyRound } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../lib/api';
import { fieldError, useFieldWords } from '../lib/form';
import { dateTime } from '../lib/i18n';
import '../lib/words/people';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Field, Input, Tick } from '../ui/field';
import { Failure, Loading, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

const PEOPLE = ['people'] as const;
interface Made {
  name: string;
  code: string;
  expiresAt: string;
  isReset: boolean;
}

function Invite({ onMade }: { onMade: (made: Made) => void }) {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const client = useQueryClient();
  const [label, setLabel] = useState('');
  const [administrator, setAdministrator] = useState(false);
  const [missing, setMissing] = useState(false);
  const invite = useMutation({
    mutationFn: (body: { label: string; administrator: boolean }) =>
      api<{ code: string; expiresAt: string }>('POST', '/api/invitations', body),
    onSuccess: (made, body) => {
      onMade({ name: body.label, isReset: false, ...made });
      setLabel('');
      setAdministrator(false);
      void client.invalidateQueries({ queryKey: PEOPLE });
    },
  });
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('people.inviteTitle')}</h2>
      <form
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          const parsed = invitationSchema.safeParse({ label, administrator });
          setMissing(!parsed.success);
          if (parsed.success) invite.mutate(parsed.data);
        }}
      >
        <Field label={t('people.inviteFor')} error={missing ? words('name') : null}>
          <Input value={label} maxLength={80} onChange={({ target }) => setLabel(target.value)} />
        </Field>
        <Tick label={t('people.inviteAdministrator')} on={administrator} onChange={setAdministrator} />
        <Refused error={invite.error} />
        <Button type="submit" weight="main" className="self-end" disabled={invite.isPending}>
          {t('people.invite')}
        </Button>
      </form>
    </Sheet>
  );
}

/** A new password for a student whom no single class may give one. */
function StudentReset({ onMade }: { onMade: (made: Made) => void }) {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const [email, setEmail] = useState('');
  const [missing, setMissing] = useState(false);
  const reset = useMutation({
    mutationFn: (body: { email: string }) =>
      api<{ name: string; code: string; expiresAt: string }>('POST', '/api/people/student-resets', body),
    onSuccess: (made) => {
      onMade({ isReset: true, ...made });
      setEmail('');
    },
  });
  const refused = fieldError(reset.error, 'email');
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('people.studentTitle')}</h2>
      <form
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          const parsed = studentResetSchema.safeParse({ email });
          setMissing(!parsed.success);
          if (parsed.success) reset.mutate(parsed.data);
        }}
      >
        <p className="text-quiet text-sm">{t('people.studentHint')}</p>
        <Field
          label={t('people.studentEmail')}
          error={missing ? words('email') : refused ? words('email', refused.code) : null}
        >
          <Input type="email" value={email} onChange={({ target }) => setEmail(target.value)} />
        </Field>
        {reset.isError && !refused ? <Refused error={reset.error} /> : null}
        <Button type="submit" className="self-end" disabled={reset.isPending}>
          {t('people.reset')}
        </Button>
      </form>
    </Sheet>
  );
}

/** What the administrator sees: who teaches here, and who is invited. */
export function PeoplePage() {
  const { t } = useTranslation(['people', 'ui']);
  const client = useQueryClient();
  const [made, setMade] = useState<Made | null>(null);
  const list = useQuery({ queryKey: PEOPLE, queryFn: () => api<People>('GET', '/api/people') });
  const reset = useMutation({
    mutationFn: ({ id }: { id: string; name: string }) =>
      api<{ code: string; expiresAt: string }>('POST', `/api/people/${id}/reset`),
    onSuccess: (code, { name }) => setMade({ name, isReset: true, ...code }),
  });
  const withdraw = useMutation({
    mutationFn: (id: string) => api('DELETE', `/api/invitations/${id}`),
    onSettled: () => client.invalidateQueries({ queryKey: PEOPLE }),
  });
  if (list.isPending) return <Loading />;
  if (list.isError) return <Failure error={list.error} onRetry={() => void list.refetch()} />;
  const { educators, invitations } = list.data;
  const failed = reset.error ?? withdraw.error;
  return (
    <div className="mx-auto grid max-w-6xl items-start gap-4 p-4 py-6 wide:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="flex flex-col gap-4">
        <PageTitle>{t('people.title')}</PageTitle>
        <Refused error={failed} />
        <div className="bg-sheet border-line overflow-x-auto rounded-sm border" tabIndex={0}>
          <table className="w-full border-collapse">
            <caption className="sr-only">{t('people.table')}</caption>
            <thead>
              <tr className="border-strong-line border-b">
                <th scope="col" className="px-3 py-2 text-start">
                  {t('people.name')}
                </th>
                <th scope="col" className="px-3 py-2 text-start">
                  {t('people.email')}
                </th>
                <th scope="col" className="px-3 py-2 text-end">
                  {t('people.classes')}
                </th>
                <td />
              </tr>
            </thead>
            <tbody>
              {educators.map(({ id, name, email, classes, administrator }) => (
                <tr key={id} className="border-line border-b">
                  <th scope="row" className="px-3 py-1 text-start">
                    {name}
                    {administrator ? (
                      <span className="text-quiet ms-2 text-sm font-normal">{t('people.administrator')}</span>
                    ) : null}
                  </th>
                  <td className="px-3 py-1">{email}</td>
                  <td className="px-3 py-1 text-end">{classes}</td>
                  <td className="px-3 py-1 text-end whitespace-nowrap">
                    <Button
                      weight="quiet"
                      icon={<KeyRound aria-hidden className="size-4" />}
                      aria-label={t('people.resetOf', { name })}
                      disabled={reset.isPending}
                      onClick={() => reset.mutate({ id, name })}
                    >
                      {t('people.reset')}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <section className="flex flex-col gap-1">
          <h2 className="text-lg">{t('people.open')}</h2>
          {invitations.length === 0 ? <p className="text-quiet">{t('people.none')}</p> : null}
          <ul>
            {invitations.map(({ id, label, administrator, expiresAt }) => (
              <li key={id} className="border-line flex flex-wrap items-center gap-2 border-t py-1">
                <span className="me-auto">
                  {label}
                  {administrator ? (
                    <span className="text-quiet ms-2">{t('people.administrator')}</span>
                  ) : null}
                </span>
                <span className="text-quiet text-sm">{t('people.until', { when: dateTime(expiresAt) })}</span>
                <Button
                  weight="quiet"
                  aria-label={t('people.withdrawOf', { name: label })}
                  disabled={withdraw.isPending}
                  onClick={() => withdraw.mutate(id)}
                >
                  {t('people.withdraw')}
                </Button>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <div className="flex flex-col gap-4">
        <Invite onMade={setMade} />
        <StudentReset onMade={setMade} />
      </div>
      <Dialog
        open={made !== null}
        onClose={() => setMade(null)}
        title={t('people.code', { name: made?.name ?? '' })}
      >
        {made ? (
          <>
            <p className="font-mono text-3xl font-bold tracking-wider">{writtenCode(made.code)}</p>
            <p>
              {t(made.isReset ? 'people.resetHint' : 'people.codeHint', { when: dateTime(made.expiresAt) })}
            </p>
          </>
        ) : null}
      </Dialog>
    </div>
  );
}

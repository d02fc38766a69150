import { codeSchema, useCodeSchema, writtenCode, type Account, type CodeTold } from '@cimbel/contract';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Navigate, useLocation, useNavigate } from 'react-router';
import { api, asApiError } from '../lib/api';
import { fieldError, useFieldWords } from '../lib/form';
import { NewPassword } from '../features/people/new-password';
import { useSession, useSessionChange } from '../lib/session';
import '../lib/words/people';
import { Button } from '../ui/button';
import { Field, Input } from '../ui/field';
import { Loading, Notice, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

/** Sets what one signs in with, by a slip. */
function OpenForm({ code, told }: { code: string; told: CodeTold }) {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const sessionChanged = useSessionChange();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [wrong, setWrong] = useState<PropertyKey[]>([]);
  const isPlace = told.kind === 'place';
  const use = useMutation({
    mutationFn: (body: object) => api<Account>('POST', '/api/codes/use', body),
    onSuccess: sessionChanged,
  });
  const refused = fieldError(use.error, 'email');
  const stale = fieldError(use.error, 'code');
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const body = { code, password, ...(isPlace ? { email } : {}) };
        const parsed = useCodeSchema.safeParse(body);
        setWrong(parsed.success ? [] : parsed.error.issues.map(({ path }) => path[0]));
        if (parsed.success) use.mutate(body);
      }}
    >
      {isPlace ? (
        <Field
          label={t('code.own')}
          error={wrong.includes('email') ? words('email') : refused ? words('email', refused.code) : null}
        >
          <Input
            type="email"
            autoComplete="username"
            value={email}
            onChange={({ target }) => setEmail(target.value)}
          />
        </Field>
      ) : null}
      <NewPassword
        label={t('code.fresh')}
        value={password}
        wrong={wrong.includes('password')}
        onValue={setPassword}
      />
      {stale ? <Notice kind="bad">{words('code', stale.code)}</Notice> : null}
      {use.isError && !refused && !stale ? (
        <Notice kind="bad">{t(`ui:error.${asApiError(use.error).code}`)}</Notice>
      ) : null}
      <div className="flex flex-wrap items-center justify-between gap-2">
        <p className="text-quiet text-sm">{t('code.notYou')}</p>
        <Button type="submit" weight="main" disabled={use.isPending}>
          {t('code.use')}
        </Button>
      </div>
    </form>
  );
}

/** Brings a place into the account that is signed in. */
function TakeIn({ code, name }: { code: string; name: string }) {
  const { t } = useTranslation(['people', 'ui']);
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: () => api('POST', '/api/my/places', { code }),
    onSuccess: () => navigate('/due'),
  });
  return (
    <div className="flex flex-col gap-3">
      <p>{t('code.takeHint', { name })}</p>
      <Refused error={take.error} />
      <Button weight="main" disabled={take.isPending} onClick={() => take.mutate()}>
        {t('code.take')}
      </Button>
    </div>
  );
}

function Told({ code, told }: { code: string; told: CodeTold }) {
  const { t } = useTranslation('people');
  const { data } = useSession();
  const { kind, name, className } = told;
  if (kind === 'invitation') return <Navigate to="/register" replace state={{ code, name }} />;
  const me = data?.me;
  return (
    <div className="flex flex-col gap-4">
      <p className="text-lg">
        {kind === 'reset'
          ? t('code.reset', { name })
          : className
            ? t('code.place', { name, className })
            : t('code.placeAlone', { name })}
      </p>
      {kind === 'place' && me?.role === 'student' ? (
        <TakeIn code={code} name={me.name} />
      ) : (
        <>
          {kind === 'place' ? <p className="text-quiet">{t('code.placeHint')}</p> : null}
          <OpenForm code={code} told={told} />
        </>
      )}
    </div>
  );
}

/** Where a one-time code is used: typed from a slip, or scanned, when it stands behind the # of the address. */
export function UseCodePage() {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const { hash } = useLocation();
  const session = useSession();
  const [typed, setTyped] = useState(decodeURIComponent(hash.slice(1)));
  const [malformed, setMalformed] = useState(false);
  const look = useMutation({
    mutationFn: (code: string) => api<CodeTold>('POST', '/api/codes/look', { code }),
  });
  const { mutate } = look;
  const send = (text: string) => {
    const parsed = codeSchema.safeParse({ code: text });
    setMalformed(!parsed.success);
    if (!parsed.success) return;
    setTyped(writtenCode(parsed.data.code));
    mutate(parsed.data.code);
  };
  useEffect(() => {
    const parsed = codeSchema.safeParse({ code: decodeURIComponent(hash.slice(1)) });
    if (parsed.success) mutate(parsed.data.code);
  }, [hash, mutate]);
  const refused = fieldError(look.error, 'code');
  if (session.isPending) return <Loading />;
  return (
    <Sheet className="mx-auto mt-8 flex max-w-md flex-col gap-4">
      <PageTitle className="text-xl">{t('code.title')}</PageTitle>
      {look.isSuccess ? (
        <Told code={look.variables} told={look.data} />
      ) : (
        <form
          className="flex flex-col gap-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            send(typed);
          }}
        >
          <Field
            label={t('code.label')}
            error={malformed ? words('oneTimeCode') : refused ? words('code', 'unknownSlip') : null}
          >
            <Input
              className="font-mono tracking-widest uppercase"
              value={typed}
              autoComplete="one-time-code"
              spellCheck={false}
              onChange={({ target }) => setTyped(target.value)}
            />
          </Field>
          {look.isError && !refused ? (
            <Notice kind="bad">{t(`ui:error.${asApiError(look.error).code}`)}</Notice>
          ) : null}
          <Button type="submit" weight="main" className="self-end" disabled={look.isPending}>
            {t('code.look')}
          </Button>
        </form>
      )}
    </Sheet>
  );
}

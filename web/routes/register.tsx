import { registerSchema, writtenCode, type Account } from '@cimbel/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation } from '@tanstack/react-query';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { Link, useLocation } from 'react-router';
import type { z } from 'zod';
import { api, asApiError } from '../lib/api';
import { fieldError, useFieldWords } from '../lib/form';
import { useSession, useSessionChange } from '../lib/session';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { Field, Input } from '../ui/field';
import { Notice, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

type Form = z.input<typeof registerSchema>;

export function Register() {
  const { t } = useTranslation();
  const words = useFieldWords();
  const sessionChanged = useSessionChange();
  const { data: session } = useSession();
  // Come with an invitation.
  const invited = useLocation().state as { code: string; name: string } | null;
  const form = useForm<Form>({
    resolver: zodResolver(registerSchema),
    defaultValues: {
      role: invited ? 'educator' : 'student',
      name: invited?.name ?? '',
      email: '',
      password: '',
      code: invited ? writtenCode(invited.code) : undefined,
    },
  });
  const register = useMutation({
    mutationFn: ({ code, ...body }: Form) =>
      api<Account>('POST', '/api/accounts', {
        ...body,
        ...(body.role === 'educator' && code ? { code } : {}),
      }),
    onSuccess: sessionChanged,
  });
  const { errors } = form.formState;
  const taken = fieldError(register.error, 'email');
  const refused = fieldError(register.error, 'code');
  const isEducator = useWatch({ control: form.control, name: 'role' }) === 'educator';
  return (
    <Sheet className="mx-auto mt-8 max-w-md">
      <form
        className="flex flex-col gap-4"
        onSubmit={form.handleSubmit((body) => register.mutate(body))}
        noValidate
      >
        <PageTitle className="text-xl">{t('register.title')}</PageTitle>
        {register.isError && !taken && !refused ? (
          <Notice kind="bad">{t(`error.${asApiError(register.error).code}`)}</Notice>
        ) : null}
        <Field label={t('register.role')}>
          <Controller
            control={form.control}
            name="role"
            render={({ field }) => (
              <Choice
                label={t('register.role')}
                value={field.value}
                onChange={field.onChange}
                options={(['student', 'educator'] as const).map((role) => ({
                  value: role,
                  text: t(`register.${role}`),
                }))}
              />
            )}
          />
        </Field>
        {isEducator && session?.isNew ? <Notice kind="info">{t('register.first')}</Notice> : null}
        {isEducator && !session?.isNew ? (
          <Field
            label={t('register.code')}
            hint={t('register.codeHint')}
            error={errors.code ? words('oneTimeCode') : refused ? words('code', refused.code) : null}
          >
            <Input
              className="font-mono tracking-widest uppercase"
              autoComplete="off"
              spellCheck={false}
              aria-invalid={Boolean(errors.code ?? refused)}
              {...form.register('code', { setValueAs: (text?: string) => text?.trim() || undefined })}
            />
          </Field>
        ) : null}
        <Field label={t('register.name')} error={errors.name ? words('name') : null}>
          <Input autoComplete="name" aria-invalid={Boolean(errors.name)} {...form.register('name')} />
        </Field>
        <Field
          label={t('signIn.email')}
          error={errors.email ? words('email') : taken ? words('email', taken.code) : null}
        >
          <Input
            type="email"
            autoComplete="username"
            aria-invalid={Boolean(errors.email ?? taken)}
            {...form.register('email')}
          />
        </Field>
        <Field
          label={t('signIn.password')}
          hint={t('register.passwordHint')}
          error={errors.password ? words('password') : null}
        >
          <Input
            type="password"
            autoComplete="new-password"
            aria-invalid={Boolean(errors.password)}
            {...form.register('password')}
          />
        </Field>
        <div className="flex flex-wrap items-center justify-between gap-2">
          <p className="text-sm">
            {t('register.haveAccount')}{' '}
            <Link className="font-semibold underline" to="/sign-in">
              {t('signIn.submit')}
            </Link>
          </p>
          <Button type="submit" weight="main" disabled={register.isPending}>
            {t('register.submit')}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}

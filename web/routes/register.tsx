import { registerSchema, type Account } from '@cimbel/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation } from '@tanstack/react-query';
import { Controller, useForm } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { z } from 'zod';
import { api, asApiError } from '../lib/api';
import { fieldError, useFieldWords } from '../lib/form';
import { useSessionChange } from '../lib/session';
import { Button } from '../ui/button';
import { Choice, Field, Input } from '../ui/field';
import { Notice, Sheet } from '../ui/panel';

type Form = z.input<typeof registerSchema>;

export function Register() {
  const { t } = useTranslation();
  const words = useFieldWords();
  const sessionChanged = useSessionChange();
  const form = useForm<Form>({
    resolver: zodResolver(registerSchema),
    defaultValues: { role: 'student', name: '', email: '', password: '' },
  });
  const register = useMutation({
    mutationFn: (body: Form) => api<Account>('POST', '/api/accounts', body),
    onSuccess: sessionChanged,
  });
  const { errors } = form.formState;
  const taken = fieldError(register.error, 'email');
  return (
    <Sheet className="mx-auto mt-8 max-w-md">
      <form
        className="flex flex-col gap-4"
        onSubmit={form.handleSubmit((body) => register.mutate(body))}
        noValidate
      >
        <h1 className="text-xl">{t('register.title')}</h1>
        {register.isError && !taken ? (
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

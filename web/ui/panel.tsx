import { CircleAlert, CircleCheck, LoaderCircle, TriangleAlert, WifiOff, Info } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { asApiError } from '../lib/api';
import { Button, ButtonLink } from './button';
import { PageTitle } from './page-title';

export function Sheet({
  children,
  className = '',
  ...rest
}: {
  children: ReactNode;
  className?: string;
  'aria-label'?: string;
  tabIndex?: number;
}) {
  return (
    <section className={`bg-sheet border-line rounded-sm border p-5 ${className}`} {...rest}>
      {children}
    </section>
  );
}

type Kind = 'good' | 'info' | 'warn' | 'bad';
const KINDS = {
  info: { icon: Info, className: 'text-quiet' },
  good: { icon: CircleCheck, className: 'text-good' },
  warn: { icon: TriangleAlert, className: 'text-warn' },
  bad: { icon: CircleAlert, className: 'text-bad' },
};

/** A word and a shape, never colour alone. */
export function Notice({ kind, children }: { kind: Kind; children: ReactNode }) {
  const { icon: Icon, className } = KINDS[kind];
  return (
    <div
      role={kind === 'bad' ? 'alert' : 'status'}
      className="border-line bg-raised flex gap-2 rounded-sm border p-3"
    >
      <Icon aria-hidden className={`mt-0.5 size-5 shrink-0 ${className}`} />
      <div>{children}</div>
    </div>
  );
}

/** What the server said to what was asked of it; nothing where nothing went wrong. */
export function Refused({ error }: { error: unknown }) {
  const { t } = useTranslation('ui');
  return error ? <Notice kind="bad">{t(`error.${asApiError(error).code}`)}</Notice> : null;
}

export function Loading() {
  const { t } = useTranslation();
  return (
    <p role="status" className="text-quiet flex items-center gap-2 p-6">
      <LoaderCircle aria-hidden className="size-5 animate-spin motion-reduce:animate-none" />
      {t('state.loading')}
    </p>
  );
}

/** What went wrong and what to do about it; offline looks different from failing. */
export function Failure({ error, onRetry }: { error: unknown; onRetry?: () => void }) {
  const { t } = useTranslation();
  const { offline, code, status } = asApiError(error);
  const Icon = offline ? WifiOff : TriangleAlert;
  const title = offline ? 'state.offlineTitle' : status === 404 ? 'state.notFoundTitle' : 'state.errorTitle';
  return (
    <Sheet className="mx-auto mt-10 flex max-w-lg flex-col gap-3">
      <PageTitle className="flex items-center gap-2 text-xl">
        <Icon aria-hidden className="size-6" />
        {t(title)}
      </PageTitle>
      {offline && !navigator.onLine ? <p>{t('state.needsNetwork')}</p> : null}
      <p>{t(offline ? 'state.offline' : `error.${code}`, { defaultValue: t('error.server.unexpected') })}</p>
      <div className="flex gap-3">
        {onRetry && status !== 404 ? (
          <Button weight="main" onClick={onRetry}>
            {t('action.retry')}
          </Button>
        ) : null}
        <ButtonLink to="/">{t('state.home')}</ButtonLink>
      </div>
    </Sheet>
  );
}

export function Empty({ children, action }: { children: ReactNode; action?: ReactNode }) {
  return (
    <div className="border-strong-line text-quiet flex flex-col items-start gap-3 rounded-sm border border-dashed p-6">
      <p>{children}</p>
      {action}
    </div>
  );
}

/** A term and what it is, in two columns of figures. */
export function Facts({ rows }: { rows: readonly { term: string; value: ReactNode }[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      {rows.map(({ term, value }) => (
        <div key={term} className="contents">
          <dt className="text-quiet">{term}</dt>
          <dd className="font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

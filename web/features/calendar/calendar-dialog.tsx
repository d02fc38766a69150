import type { CalendarLink, FreshCalendarLink } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/calendar';
import { Button } from '../../ui/button';
import { Confirm, Dialog } from '../../ui/dialog';
import { Field, Input } from '../../ui/field';
import { Failure, Loading, Notice, Refused } from '../../ui/panel';

function Address({ path }: { path: string }) {
  const { t } = useTranslation(['calendar', 'ui']);
  const [copied, setCopied] = useState(false);
  const address = new URL(path, window.location.origin).href;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label={t('address')} hint={t('addressHint')} className="min-w-0 flex-1 basis-80">
        <Input
          readOnly
          dir="ltr"
          className="font-mono text-sm"
          value={address}
          onFocus={(event) => event.target.select()}
        />
      </Field>
      <Button
        icon={<Copy aria-hidden className="size-4" />}
        className="sm:mb-6"
        onClick={() => void navigator.clipboard?.writeText(address).then(() => setCopied(true))}
      >
        {t(copied ? 'ui:action.copied' : 'ui:action.copy')}
      </Button>
    </div>
  );
}

function LinkFacts({ madeAt, fetchedAt }: CalendarLink) {
  const { t } = useTranslation('calendar');
  return (
    <p>
      {t('made', { when: dateTime(madeAt) })}{' '}
      {fetchedAt ? t('fetched', { when: dateTime(fetchedAt) }) : t('never')}
    </p>
  );
}

/** The private address from which a calendar fetches due dates: of a class, or of all that is set to a student. */
export default function CalendarDialog({
  of,
  onClose,
}: {
  /** The class it is of; null for one's own dates. */
  of: { id: string; name: string } | null;
  onClose: () => void;
}) {
  const { t } = useTranslation('calendar');
  const client = useQueryClient();
  const url = of ? `/api/classes/${of.id}/calendar-link` : '/api/calendar-link';
  const queryKey = ['calendar-link', of?.id ?? null];
  const [asking, setAsking] = useState<'renew' | 'end' | null>(null);
  const query = useQuery({ queryKey, queryFn: () => api<{ link: CalendarLink | null }>('GET', url) });
  const settled = () => {
    setAsking(null);
    return client.invalidateQueries({ queryKey });
  };
  const make = useMutation({
    mutationFn: () => api<FreshCalendarLink>('PUT', url, {}),
    onSettled: settled,
  });
  const end = useMutation({
    mutationFn: () => api('DELETE', url),
    onSuccess: () => make.reset(),
    onSettled: settled,
  });
  const link = query.data?.link ?? null;
  const busy = make.isPending || end.isPending;
  return (
    <Dialog open onClose={onClose} title={of ? t('ofClass', { name: of.name }) : t('mine')}>
      <p>{t(of ? 'what.class' : 'what.mine')}</p>
      <Notice kind="warn">{t('private')}</Notice>
      {query.isPending ? <Loading /> : null}
      {query.isError ? <Failure error={query.error} onRetry={() => void query.refetch()} /> : null}
      {make.data ? <Address path={make.data.path} /> : null}
      {query.data ? link ? <LinkFacts {...link} /> : <p className="text-quiet">{t('none')}</p> : null}
      {query.data ? (
        <div className="flex flex-wrap gap-3">
          {link ? (
            <>
              <Button disabled={busy} onClick={() => setAsking('renew')}>
                {t('renew')}
              </Button>
              <Button weight="danger" disabled={busy} onClick={() => setAsking('end')}>
                {t('end')}
              </Button>
            </>
          ) : (
            <Button weight="main" disabled={busy} onClick={() => make.mutate()}>
              {t('make')}
            </Button>
          )}
        </div>
      ) : null}
      <Refused error={make.error ?? end.error} />
      <Confirm
        open={asking === 'renew'}
        title={t('renewTitle')}
        text={t('renewText')}
        confirm={t('renew')}
        busy={busy}
        onCancel={() => setAsking(null)}
        onConfirm={() => make.mutate()}
      />
      <Confirm
        open={asking === 'end'}
        danger
        title={t('endTitle')}
        text={t('endText')}
        confirm={t('end')}
        busy={busy}
        onCancel={() => setAsking(null)}
        onConfirm={() => end.mutate()}
      />
    </Dialog>
  );
}

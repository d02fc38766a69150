import { classCopySchema, type ClassDetail } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Archive, ArchiveRestore, CopyPlus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { api } from '../../lib/api';
import { useFieldWords } from '../../lib/form';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { DownloadLink } from '../../ui/download-link';
import { Field, Input, NumberInput } from '../../ui/field';
import { Refused, Sheet } from '../../ui/panel';
import { useRosterChange } from './use-roster';

const DAY_MS = 24 * 3600_000;
/** Half a year of teaching. */
const USUAL_WEEKS = 26;

/** The class once more for another term, and the end of this one. */
export function TermsPanel({ detail: { id, name, archived, rights, assignments } }: { detail: ClassDetail }) {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const navigate = useNavigate();
  const client = useQueryClient();
  const [copyName, setCopyName] = useState('');
  const [weeks, setWeeks] = useState(USUAL_WEEKS);
  const [missing, setMissing] = useState(false);
  const [asking, setAsking] = useState<'archive' | 'delete' | null>(null);
  const remove = useMutation({
    mutationFn: () => api('DELETE', `/api/classes/${id}`),
    onSuccess: async () => {
      await navigate('/classes', { replace: true });
      await client.invalidateQueries({ queryKey: ['classes'] });
    },
  });
  const copy = useMutation({
    mutationFn: (body: object) => api<{ id: string }>('POST', `/api/classes/${id}/copies`, body),
    onSuccess: async (made) => {
      await client.invalidateQueries({ queryKey: ['classes'] });
      await navigate(`/classes/${made.id}`);
    },
  });
  const archive = useRosterChange(id, (next: boolean) =>
    api('PUT', `/api/classes/${id}/archived`, { archived: next }),
  );
  const first = assignments[0];
  const failed = copy.error ?? archive.error ?? remove.error;
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('terms.title')}</h2>
      <form
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          const parsed = classCopySchema.safeParse({ name: copyName, days: weeks * 7 });
          setMissing(!parsed.success);
          if (parsed.success) copy.mutate(parsed.data);
        }}
      >
        <p className="text-quiet text-sm">{t('terms.copyHint')}</p>
        <Field label={t('terms.copyName')} error={missing ? words('name') : null}>
          <Input value={copyName} maxLength={80} onChange={({ target }) => setCopyName(target.value)} />
        </Field>
        <Field
          label={t('terms.weeks')}
          hint={
            first
              ? `${t('terms.first')}: ${dateTime(new Date(first.dueAt).getTime() + weeks * 7 * DAY_MS)}. ${t('terms.was', { when: dateTime(first.dueAt) })}`
              : undefined
          }
        >
          <NumberInput
            zero
            max={520}
            value={weeks}
            onValue={(next) => setWeeks(Math.min(520, Math.round(next ?? 0)))}
          />
        </Field>
        <Button
          type="submit"
          className="self-end"
          icon={<CopyPlus aria-hidden className="size-4" />}
          disabled={copy.isPending}
        >
          {t('terms.copy')}
        </Button>
      </form>
      <Refused error={failed} />
      <div className="border-line flex flex-wrap justify-end gap-2 border-t pt-3">
        <DownloadLink href={`/api/classes/${id}/export.json`}>{t('terms.export')}</DownloadLink>
        {archived ? (
          <Button
            icon={<ArchiveRestore aria-hidden className="size-4" />}
            disabled={archive.isPending}
            onClick={() => archive.mutate(false)}
          >
            {t('terms.unarchive')}
          </Button>
        ) : null}
        {archived && rights === 'owner' ? (
          <Button weight="danger" onClick={() => setAsking('delete')}>
            {t('terms.delete')}
          </Button>
        ) : null}
        {archived ? null : (
          <Button icon={<Archive aria-hidden className="size-4" />} onClick={() => setAsking('archive')}>
            {t('terms.archive')}
          </Button>
        )}
      </div>
      <Confirm
        open={asking === 'archive'}
        onCancel={() => setAsking(null)}
        onConfirm={() => archive.mutate(true, { onSettled: () => setAsking(null) })}
        busy={archive.isPending}
        title={t('terms.archiveTitle', { name })}
        text={t('terms.archiveText')}
        confirm={t('terms.archive')}
      />
      <Confirm
        open={asking === 'delete'}
        danger
        onCancel={() => setAsking(null)}
        onConfirm={() => remove.mutate(undefined, { onError: () => setAsking(null) })}
        busy={remove.isPending}
        title={t('terms.deleteTitle', { name })}
        text={t('terms.deleteText')}
        confirm={t('terms.delete')}
      />
    </Sheet>
  );
}

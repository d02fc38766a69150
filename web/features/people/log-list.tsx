import type { LogEntry } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/people';
import { Failure, Loading, Sheet } from '../../ui/panel';

function Entries({ classId }: { classId: string }) {
  const { t } = useTranslation('people');
  const log = useQuery({
    queryKey: ['log', classId],
    queryFn: () => api<LogEntry[]>('GET', `/api/classes/${classId}/log`),
  });
  if (log.isPending) return <Loading />;
  if (log.isError) return <Failure error={log.error} onRetry={() => void log.refetch()} />;
  if (log.data.length === 0) return <p className="text-quiet mt-2">{t('log.empty')}</p>;
  const whatOf = ({ action, subject, actor }: LogEntry) => {
    const what = t(`log.action.${action}`);
    return subject === null || subject === actor ? what : t('log.of', { what, subject });
  };
  return (
    <div className="mt-2 max-h-96 overflow-auto" tabIndex={0}>
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="border-strong-line border-b">
            {(['when', 'who', 'what'] as const).map((name) => (
              <th key={name} scope="col" className="py-1 pe-4 text-start">
                {t(`log.${name}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {log.data.map((entry) => (
            <tr key={entry.id} className="border-line border-b">
              <td className="py-1 pe-4 whitespace-nowrap">{dateTime(entry.at)}</td>
              <td className="py-1 pe-4">{entry.actor ?? t('log.server')}</td>
              <td className="py-1 first-letter:uppercase">{whatOf(entry)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What was done in a class; asked for when it is opened. */
export function LogList({ classId }: { classId: string }) {
  const { t } = useTranslation('people');
  const [open, setOpen] = useState(false);
  return (
    <Sheet>
      <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
        <summary className="cursor-pointer text-lg font-semibold">{t('log.title')}</summary>
        {open ? <Entries classId={classId} /> : null}
      </details>
    </Sheet>
  );
}

import type { ShadeBooks } from '@cimbel/contract';
import type { Line } from '@cimbel/core/product';
import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { ButtonLink } from '../ui/button';
import { Empty, Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/craft';
import '../lib/words/shade-books';

function BookLine({ line, to, note }: { line: Line; to: string; note?: string }) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <li>
      <Link
        to={to}
        className="bg-sheet border-line hover:border-strong-line flex flex-wrap items-baseline gap-x-4 rounded-sm border px-4 py-2"
      >
        <span className="font-display me-auto text-lg font-semibold">{line.name}</span>
        {note ? <span className="text-quiet text-sm">{note}</span> : null}
        <span className="w-44 text-sm">{t(`craft:kind.${line.kind}`)}</span>
        <span className="w-24 text-end text-sm">{t('shadeBooks.count', { count: line.shades.length })}</span>
      </Link>
    </li>
  );
}

/** The lines an educator can set exercises with: what ships, and what the college has entered. */
export function ShadeBooksPage() {
  const { t } = useTranslation();
  const query = useQuery({
    queryKey: ['shade-books'],
    queryFn: () => api<ShadeBooks>('GET', '/api/shade-books'),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-5 p-4 py-6">
      <div className="flex flex-wrap items-center gap-3">
        <PageTitle className="me-auto text-2xl">{t('shadeBooks.title')}</PageTitle>
        <ButtonLink weight="main" icon={<Plus aria-hidden className="size-5" />} to="/shade-books/new">
          {t('shadeBooks.new')}
        </ButtonLink>
      </div>
      <section className="flex flex-col gap-2">
        <h2 className="text-lg">{t('shadeBooks.own')}</h2>
        {query.data.own.length === 0 ? <Empty>{t('shadeBooks.noOwn')}</Empty> : null}
        <ul className="flex flex-col gap-1">
          {query.data.own.map(({ id, line, savedAt }) => (
            <BookLine
              key={id}
              line={line}
              to={`/shade-books/${id}`}
              note={t('shadeBooks.versionAt', { version: line.version, when: dateTime(savedAt) })}
            />
          ))}
        </ul>
      </section>
      <section className="flex flex-col gap-2">
        <h2 className="text-lg">{t('shadeBooks.shipped')}</h2>
        <ul className="flex flex-col gap-1">
          {query.data.shipped.map((line) => (
            <BookLine key={line.id} line={line} to={`/shade-books/shipped/${line.id}`} />
          ))}
        </ul>
      </section>
    </div>
  );
}

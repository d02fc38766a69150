import type { ShadeBook } from '@cimbel/contract';
import { shippedLine } from '@cimbel/core/product';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Copy, Pencil } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { LineView } from '../features/shade-books/line-view';
import { api, ApiError } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { Button, ButtonLink } from '../ui/button';
import { Failure, Loading, Notice, Refused } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/shade-books';

/** A line that ships: to be looked at and copied. */
export function ShippedLinePage() {
  const { t } = useTranslation();
  const { lineId } = useParams();
  const line = shippedLine(lineId!);
  if (!line) return <Failure error={new ApiError(404, 'access.notFound', '')} />;
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-3">
        <PageTitle back={{ to: '/shade-books', text: t('nav.shadeBooks') }} className="me-auto text-2xl">
          {line.name}
        </PageTitle>
        <ButtonLink icon={<Copy aria-hidden className="size-5" />} to={`/shade-books/new?from=${line.id}`}>
          {t('shadeBooks.copy')}
        </ButtonLink>
      </div>
      <LineView line={line} />
    </div>
  );
}

/** A book of one's own, at any of its versions. */
export function ShadeBookPage() {
  const { t } = useTranslation();
  const client = useQueryClient();
  const { bookId } = useParams();
  const [version, setVersion] = useState<number | null>(null);
  const query = useQuery({
    queryKey: ['shade-book', bookId],
    queryFn: () => api<ShadeBook>('GET', `/api/shade-books/${bookId}`),
  });
  const away = useMutation({
    mutationFn: (putAway: boolean) => api('PATCH', `/api/shade-books/${bookId}`, { putAway }),
    onSuccess: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: ['shade-book', bookId] }),
        client.invalidateQueries({ queryKey: ['shade-books'] }),
        client.invalidateQueries({ queryKey: ['lines'] }),
      ]),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const book = query.data;
  const shown = book.versions.find((one) => one.version === version) ?? book.versions[0];
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-3">
        <PageTitle back={{ to: '/shade-books', text: t('nav.shadeBooks') }} className="me-auto text-2xl">
          {shown.line.name}
        </PageTitle>
        <label>
          <span className="sr-only">{t('shadeBooks.version')}</span>
          <select
            className="border-strong-line bg-raised min-h-10 rounded-sm border px-2"
            value={shown.version}
            onChange={({ target }) => setVersion(Number(target.value))}
          >
            {book.versions.map((version) => (
              <option key={version.version} value={version.version}>
                {t('shadeBooks.versionAt', { version: version.version, when: dateTime(version.savedAt) })}
              </option>
            ))}
          </select>
        </label>
        <ButtonLink
          weight="main"
          icon={<Pencil aria-hidden className="size-5" />}
          to={`/shade-books/${book.id}/edit`}
        >
          {t('shadeBooks.edit')}
        </ButtonLink>
        <Button disabled={away.isPending} onClick={() => away.mutate(!book.putAway)}>
          {t(book.putAway ? 'shadeBooks.takeOut' : 'shadeBooks.putAway')}
        </Button>
      </div>
      <Refused error={away.error} />
      {book.putAway ? <Notice kind="warn">{t('shadeBooks.isAway')}</Notice> : null}
      {shown.version !== book.versions[0].version ? (
        <Notice kind="warn">{t('shadeBooks.older')}</Notice>
      ) : null}
      <LineView line={shown.line} />
    </div>
  );
}

import type { ShadeBook, ShadeBooks, ShadeBookWrite } from '@cimbel/contract';
import { readShadeBook, readShadeTable, type Problem } from '@cimbel/core/io';
import type { Line } from '@cimbel/core/product';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { draftOf, draftProblems, FRESH, lineOfDraft, type LineDraft } from '../features/shade-books/draft';
import { LineForm } from '../features/shade-books/line-form';
import { problemWords } from '../features/shade-books/problem-words';
import { useUndo } from '../lib/use-undo';
import { api } from '../lib/api';
import { useShortcuts } from '../lib/shortcuts';
import { forget, keep, readKept } from '../lib/storage';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { Failure, Loading, Notice, Refused } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/reasons';
import '../lib/words/shade-books';

/** A file of either open format: a whole book as JSON, or its shades as a table. */
function useFile(draft: LineDraft, onDraft: (draft: LineDraft) => void) {
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const read = async (file: File) => {
    const text = await file.text();
    if (/\.json$/i.test(file.name) || text.trimStart().startsWith('{')) {
      const book = readShadeBook(text);
      setProblems(book.ok ? [] : book.problems);
      if (book.ok) onDraft(draftOf(book.value));
      return;
    }
    const table = readShadeTable(text, lineOfDraft(draft));
    setProblems(table.ok ? [] : table.problems);
    if (table.ok) onDraft({ ...draft, labels: table.value });
  };
  return { problems, read };
}

function Editor({ start, book }: { start: LineDraft; book: ShadeBook | null }) {
  const { t } = useTranslation(['ui', 'reasons']);
  const client = useQueryClient();
  const navigate = useNavigate();
  const place = `cimbel.shade-book.${book?.id ?? 'new'}.${book?.line.version ?? 0}`;
  // What was kept by an older version of the form lacks what has been added since.
  const [kept] = useState(() => {
    const found = readKept<Partial<LineDraft>>(place);
    return found ? { ...FRESH, ...found } : null;
  });
  const { value: draft, change, undo, redo } = useUndo<LineDraft>(() => kept ?? start);
  const [tried, setTried] = useState(false);
  const line = useMemo(() => lineOfDraft(draft), [draft]);
  const problems = useMemo(() => draftProblems(draft), [draft]);
  const file = useFile(draft, change);
  useEffect(() => keep(place, draft), [place, draft]);
  useShortcuts({ 'mod+z': () => undo?.(), 'mod+shift+z': () => redo?.() });
  const save = useMutation({
    mutationFn: (body: ShadeBookWrite) =>
      book
        ? api<object>('PUT', `/api/shade-books/${book.id}`, body).then(() => ({ id: book.id }))
        : api<{ id: string }>('POST', '/api/shade-books', body),
    onSuccess: async ({ id }) => {
      forget(place);
      await Promise.all([
        client.invalidateQueries({ queryKey: ['shade-books'] }),
        client.invalidateQueries({ queryKey: ['shade-book', id] }),
        client.invalidateQueries({ queryKey: ['lines'] }),
      ]);
      await navigate(`/shade-books/${id}`);
    },
  });
  // What was never written is no mistake yet; a label that cannot be read is.
  const shown = tried
    ? problems
    : problems.filter(({ code }) => code.startsWith('label.') || code === 'line.signTwice');
  const submit = () => {
    setTried(true);
    if (problems.length === 0) save.mutate({ line, version: book?.line.version ?? 0 });
  };
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-2">
        <PageTitle back={{ to: '/shade-books', text: t('nav.shadeBooks') }} className="me-auto text-2xl">
          {draft.name || t('shadeBooks.newTitle')}
        </PageTitle>
        <FileButton
          label={t('shadeBooks.file')}
          accept=".json,.csv,.tsv,.txt"
          onFile={(chosen) => void file.read(chosen)}
        />
        <Button icon={<Undo2 aria-hidden className="size-5" />} disabled={!undo} onClick={() => undo?.()}>
          {t('action.undo')}
        </Button>
        <Button icon={<Redo2 aria-hidden className="size-5" />} disabled={!redo} onClick={() => redo?.()}>
          {t('action.redo')}
        </Button>
      </div>
      {file.problems.length > 0 ? (
        <Notice kind="bad">
          <strong>{t('shadeBooks.notRead', { count: file.problems.length })}</strong>
          <ul>
            {file.problems.slice(0, 10).map((problem) => (
              <li key={JSON.stringify(problem)}>{problemWords(t, problem)}</li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <LineForm
        draft={draft}
        line={line}
        problems={shown}
        onChange={(part) => change({ ...draft, ...part })}
      />
      <div className="border-strong-line bg-room sticky bottom-0 flex flex-wrap items-center gap-3 border-t py-2">
        <Button weight="main" disabled={save.isPending} onClick={submit}>
          {t('action.save')}
        </Button>
        {tried && problems.length > 0 ? (
          <span role="alert" className="text-bad font-semibold">
            {t('shadeBooks.stillWrong', { count: problems.length })}
          </span>
        ) : null}
        <Refused error={save.error} />
      </div>
    </div>
  );
}

/** A new shade book, from nothing or from a copy. */
export function NewShadeBookPage() {
  const [params] = useSearchParams();
  const from = params.get('from');
  const query = useQuery({
    queryKey: ['shade-books'],
    queryFn: () => api<ShadeBooks>('GET', '/api/shade-books'),
  });
  const { t } = useTranslation();
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const lines: Line[] = [...query.data.shipped, ...query.data.own.map(({ line }) => line)];
  const copied = lines.find(({ id }) => id === from);
  const start = copied
    ? { ...draftOf(copied), name: t('shadeBooks.copyOf', { name: copied.name }).slice(0, 60) }
    : FRESH;
  return <Editor key={from ?? 'new'} start={start} book={null} />;
}

export function EditShadeBookPage() {
  const { bookId } = useParams();
  const query = useQuery({
    queryKey: ['shade-book', bookId],
    queryFn: () => api<ShadeBook>('GET', `/api/shade-books/${bookId}`),
    staleTime: 0,
  });
  if (query.isPending || query.isFetching) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <Editor
      key={`${query.data.id} ${query.data.line.version}`}
      start={draftOf(query.data.line)}
      book={query.data}
    />
  );
}

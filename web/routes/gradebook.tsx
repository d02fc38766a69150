import type { GradeColumn, Gradebook, GradedStudent } from '@cimbel/contract';
import { sumOfWeights } from '@cimbel/core/gradebook';
import { Plus, Printer, SlidersHorizontal, Snowflake } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { ColumnDialog, NewPracticalDialog } from '../features/gradebook/column-dialog';
import { EntryDialog } from '../features/gradebook/entry-dialog';
import { GradeTable } from '../features/gradebook/grade-table';
import { SettingsDialog } from '../features/gradebook/settings-dialog';
import { SheetView } from '../features/gradebook/sheet-view';
import { TypingDialog } from '../features/gradebook/typing-dialog';
import { useGradebook, useGradebookChange } from '../features/gradebook/use-gradebook';
import { categoryName } from '../features/gradebook/words';
import { ClassTabs } from '../features/reading/class-tabs';
import { api, ApiError } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { Button } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { DownloadLink } from '../ui/download-link';
import { Empty, Failure, Loading, Notice, Refused } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/gradebook';

/** What is open over the table. */
type Open =
  | { what: 'settings' | 'practical' | 'freeze' }
  | { what: 'column' | 'typing'; column: string }
  | { what: 'cell'; column: string; student: string };

/** How the term is reckoned, in one line. */
function Reckoning({ book }: { book: Gradebook }) {
  const { t } = useTranslation('gradebook');
  const { categories, shown } = book.settings;
  const { sum, whole } = sumOfWeights(categories);
  return (
    <p className="grow basis-72 text-sm">
      {[
        ...categories.map((category) => {
          const weight = t('summary', { name: categoryName(t, category), weight: category.weight });
          return category.dropLowest > 0
            ? `${weight} (${t('dropping', { count: category.dropLowest })})`
            : weight;
        }),
        t('pass', { mark: book.passMark }),
        t(shown ? 'shown' : 'hidden'),
      ].join(' · ')}
      {whole ? null : <strong className="text-warn"> {t('weights', { sum })}</strong>}
    </p>
  );
}

function Dialogs({
  book,
  open,
  setOpen,
}: {
  book: Gradebook;
  open: Open | null;
  setOpen: (open: Open | null) => void;
}) {
  const { t } = useTranslation('gradebook');
  const close = () => setOpen(null);
  const freeze = useGradebookChange(book.classId, (frozen: boolean) =>
    api('PUT', `/api/classes/${book.classId}/gradebook/frozen`, { frozen }),
  );
  if (!open) return <Refused error={freeze.error} />;
  const column = 'column' in open ? book.columns.find(({ id }) => id === open.column) : undefined;
  const student = 'student' in open ? book.students.find(({ id }) => id === open.student) : undefined;
  const doing = book.frozenAt ? 'thaw' : 'freeze';
  switch (open.what) {
    case 'settings':
      return <SettingsDialog book={book} onClose={close} />;
    case 'practical':
      return <NewPracticalDialog book={book} onClose={close} />;
    case 'freeze':
      return (
        <Confirm
          open
          busy={freeze.isPending}
          onCancel={close}
          onConfirm={() => freeze.mutate(book.frozenAt === null, { onSettled: close })}
          title={t(`${doing}Title`)}
          text={t(`${doing}Text`)}
          confirm={t(`tools.${doing}`)}
        />
      );
    case 'column':
      return column ? (
        <ColumnDialog
          book={book}
          column={column}
          onType={() => setOpen({ what: 'typing', column: column.id })}
          onClose={close}
        />
      ) : null;
    case 'typing':
      return column ? <TypingDialog book={book} column={column} onClose={close} /> : null;
    case 'cell':
      return column && student ? (
        <EntryDialog book={book} column={column} student={student} onClose={close} />
      ) : null;
  }
}

function GradebookBody({ book }: { book: Gradebook }) {
  const { t } = useTranslation(['gradebook', 'ui']);
  const [open, setOpen] = useState<Open | null>(null);
  const mayChange = book.rights !== 'marking';
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-3 p-4">
      <PageTitle back={{ to: '/classes', text: t('ui:nav.classes') }}>
        {t('title', { name: book.className })}
      </PageTitle>
      <ClassTabs classId={book.classId} />
      {book.frozenAt ? <Notice kind="info">{t('frozen', { when: dateTime(book.frozenAt) })}</Notice> : null}
      <div className="flex flex-wrap items-center gap-2">
        <Reckoning book={book} />
        {mayChange && !book.frozenAt ? (
          <>
            <Button
              icon={<SlidersHorizontal aria-hidden className="size-4" />}
              onClick={() => setOpen({ what: 'settings' })}
            >
              {t('tools.settings')}
            </Button>
            <Button
              icon={<Plus aria-hidden className="size-4" />}
              onClick={() => setOpen({ what: 'practical' })}
            >
              {t('tools.practical')}
            </Button>
          </>
        ) : null}
        <DownloadLink href={`/api/classes/${book.classId}/gradebook.csv`}>{t('tools.csv')}</DownloadLink>
        {mayChange ? (
          <Button
            icon={<Snowflake aria-hidden className="size-4" />}
            onClick={() => setOpen({ what: 'freeze' })}
          >
            {t(book.frozenAt ? 'tools.thaw' : 'tools.freeze')}
          </Button>
        ) : null}
      </div>
      {book.students.length === 0 ? <Empty>{t('empty')}</Empty> : null}
      {book.columns.length === 0 ? <Empty>{t('noColumns')}</Empty> : null}
      {book.students.length > 0 && book.columns.length > 0 ? (
        <GradeTable
          book={book}
          onCell={(column: GradeColumn, student: GradedStudent) =>
            setOpen({ what: 'cell', column: column.id, student: student.id })
          }
          onColumn={(column) => setOpen({ what: 'column', column: column.id })}
        />
      ) : null}
      <Dialogs book={book} open={open} setOpen={setOpen} />
    </div>
  );
}

/** A class's term: every mark, how it is reckoned, and what is typed in by hand. */
export function GradebookPage() {
  const { classId = '' } = useParams();
  const query = useGradebook(classId);
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return <GradebookBody book={query.data} />;
}

/** One student's sheet, fit to print. */
export function StudentSheetPage() {
  const { t } = useTranslation(['gradebook', 'ui']);
  const { classId = '', studentId } = useParams();
  const query = useGradebook(classId);
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const student = query.data.students.find(({ id }) => id === studentId);
  if (!student) return <Failure error={new ApiError(404, 'access.notFound', '')} />;
  return (
    <article className="print-page mx-auto flex max-w-4xl flex-col gap-4 p-4 py-6">
      <div className="flex flex-wrap items-center gap-2">
        <PageTitle
          back={{ to: `/classes/${classId}/gradebook`, text: t('tab') }}
          className="me-auto text-2xl"
        >
          {t('sheet.title', { name: student.name })}
        </PageTitle>
        <Button
          className="print:hidden"
          icon={<Printer aria-hidden className="size-4" />}
          onClick={() => window.print()}
        >
          {t('tools.print')}
        </Button>
      </div>
      <p className="text-quiet">
        {query.data.className}
        {student.number ? ` · ${student.number}` : ''}
      </p>
      <SheetView frame={query.data} sheet={student} />
    </article>
  );
}

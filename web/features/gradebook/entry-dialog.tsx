import {
  gradeEntryWriteSchema,
  type GradeColumn,
  type GradeEntryWrite,
  type Gradebook,
  type GradedStudent,
} from '@cimbel/contract';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { figureIn } from '../../lib/figure-in';
import { useFieldWords } from '../../lib/form';
import { figure } from '../../lib/i18n';
import { Button, ButtonLink } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Input, Textarea, Tick } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { putEntry, useGradebookChange } from './use-gradebook';
import { madeOf } from './words';

/** One mark: what it is made of, another in its place, or that it is excused. */
export function EntryDialog({
  book,
  column,
  student,
  onClose,
}: {
  book: Gradebook;
  column: GradeColumn;
  student: GradedStudent;
  onClose: () => void;
}) {
  const { t } = useTranslation(['gradebook', 'ui']);
  const words = useFieldWords();
  const cell = student.cells[column.id];
  const { entry, work } = cell;
  const [points, setPoints] = useState(entry?.points == null ? '' : figure(entry.points));
  const [excused, setExcused] = useState(entry !== null && entry.points === null);
  const [reason, setReason] = useState(entry?.reason ?? '');
  const change = useGradebookChange(book.classId, (write: GradeEntryWrite) =>
    putEntry(book.classId, column.id, student.id, write),
  );
  const practical = column.kind === 'practical';
  const typed = figureIn(points);
  const was = entry?.at ?? null;
  const write = { points: excused ? null : typed, excused, reason, was };
  const parsed = gradeEntryWriteSchema.safeParse(write);
  const wrongPoints =
    !excused &&
    points.trim() !== '' &&
    (typed === null ||
      typed > column.max ||
      (parsed.error?.issues.some(({ path }) => path[0] === 'points') ?? false));
  const needsReason = !practical && (excused || typed !== null) && reason.trim() === '';
  const says = excused || typed !== null;
  const send = (body: GradeEntryWrite) => change.mutate(body, { onSuccess: onClose });
  const frozen = book.frozenAt !== null;
  return (
    <Dialog
      open
      onClose={onClose}
      title={`${student.name} · ${column.title}`}
      actions={
        frozen ? undefined : (
          <>
            <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
            {entry ? (
              <Button
                disabled={change.isPending}
                onClick={() => send({ points: null, excused: false, reason: '', was })}
              >
                {t('entry.back')}
              </Button>
            ) : null}
            <Button
              weight="main"
              type="submit"
              form="grade-entry"
              disabled={change.isPending || !says || !parsed.success || wrongPoints || needsReason}
            >
              {t('ui:action.save')}
            </Button>
          </>
        )
      }
    >
      <p>{madeOf(t, column, cell, book.settings, student.categories).join(' ')}</p>
      {work ? (
        <ButtonLink
          className="self-start"
          to={column.kind === 'exercise' ? `/answers/${work}` : `/sittings/${work}`}
        >
          {t('entry.answer')}
        </ButtonLink>
      ) : null}
      {frozen ? null : (
        <form
          id="grade-entry"
          className="flex flex-col gap-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            if (parsed.success && !wrongPoints && !needsReason && says) send(parsed.data);
          }}
        >
          <Field
            label={t('entry.points', { max: column.max })}
            error={wrongPoints ? t('typing.wrong', { max: column.max }) : null}
          >
            <Input
              inputMode="decimal"
              autoComplete="off"
              className="w-28"
              value={excused ? '' : points}
              disabled={excused}
              aria-invalid={wrongPoints}
              onChange={({ target }) => setPoints(target.value)}
            />
          </Field>
          <Tick label={t('entry.excuse')} on={excused} onChange={setExcused} />
          <Field
            label={t(practical ? 'entry.reasonOptional' : 'entry.reason')}
            error={reason.length > 300 ? words('reason') : null}
          >
            <Textarea rows={2} value={reason} onChange={({ target }) => setReason(target.value)} />
          </Field>
          <Refused error={change.error} />
        </form>
      )}
    </Dialog>
  );
}

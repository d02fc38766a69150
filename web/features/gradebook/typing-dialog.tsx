import type { GradeColumn, Gradebook } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { figureIn } from '../../lib/figure-in';
import { figure } from '../../lib/i18n';
import { useStored } from '../../lib/use-stored';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Input } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { putEntry, useGradebookChange } from './use-gradebook';

/** What has been typed, by student. */
interface Typed {
  points: Record<string, string>;
}

/** Points of a whole class for one piece of practical work, one under the other. */
export function TypingDialog({
  book,
  column,
  onClose,
}: {
  book: Gradebook;
  column: GradeColumn;
  onClose: () => void;
}) {
  const { t } = useTranslation(['gradebook', 'ui']);
  const [{ points: typed }, setTyped, dropTyped] = useStored<Typed>(`cimbel.typing.${column.id}`, () => ({
    points: {},
  }));
  const stands = (id: string) => {
    const points = book.students.find((student) => student.id === id)?.cells[column.id].entry?.points;
    return points == null ? '' : figure(points);
  };
  const textOf = (id: string) => typed[id] ?? stands(id);
  const readOf = (id: string) => {
    const text = textOf(id).trim();
    if (text === '') return null;
    const read = figureIn(text);
    return read !== null && read >= 0 && read <= column.max && Number.isInteger(read * 4) ? read : undefined;
  };
  const changed = book.students.filter(
    ({ id }) => typed[id] !== undefined && typed[id].trim() !== stands(id) && readOf(id) !== undefined,
  );
  const wrong = book.students.some(({ id }) => readOf(id) === undefined);
  const save = useGradebookChange(book.classId, async () => {
    for (const { id, cells } of changed) {
      const points = readOf(id) ?? null;
      await putEntry(book.classId, column.id, id, {
        points,
        excused: false,
        reason: points === null ? '' : (cells[column.id].entry?.reason ?? ''),
        was: cells[column.id].entry?.at ?? null,
      });
    }
  });
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('typing.title', { title: column.title, max: column.max })}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          <Button
            weight="main"
            disabled={save.isPending || wrong || changed.length === 0}
            onClick={() =>
              save.mutate(undefined, {
                onSuccess: () => {
                  dropTyped();
                  onClose();
                },
              })
            }
          >
            {changed.length === 0 ? t('typing.nothing') : t('typing.save', { count: changed.length })}
          </Button>
        </>
      }
    >
      <p className="text-quiet text-sm">{t('typing.hint')}</p>
      <ul className="flex max-h-96 flex-col gap-1 overflow-y-auto">
        {book.students.map(({ id, name, number }, i) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3">
            <label htmlFor={`typed-${id}`} className="me-auto">
              {name}
              {number ? <span className="text-quiet text-sm"> · {number}</span> : null}
            </label>
            {readOf(id) === undefined ? (
              <span id={`typed-${id}-wrong`} role="alert" className="text-bad text-sm font-semibold">
                {t('typing.wrong', { max: column.max })}
              </span>
            ) : null}
            <Input
              id={`typed-${id}`}
              inputMode="decimal"
              autoComplete="off"
              className="max-w-24 text-end"
              aria-invalid={readOf(id) === undefined}
              aria-describedby={readOf(id) === undefined ? `typed-${id}-wrong` : undefined}
              value={textOf(id)}
              onChange={({ target }) => setTyped({ points: { ...typed, [id]: target.value } })}
              onKeyDown={(event) => {
                if (event.key !== 'Enter') return;
                event.preventDefault();
                const next = book.students[i + 1];
                if (next) document.getElementById(`typed-${next.id}`)?.focus();
              }}
            />
          </li>
        ))}
      </ul>
      <Refused error={save.error} />
    </Dialog>
  );
}

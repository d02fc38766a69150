import { placeChangeSchema, type RosterSeat } from '@cimbel/contract';
import { Download, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { fieldError, useFieldWords } from '../../lib/form';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { Confirm, Dialog } from '../../ui/dialog';
import { Field, Input } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { usePlaceChange, useRosterChange } from './use-roster';

/** Name and number of a student, what is kept of them, and the end of it. */
export function EditPlace({
  classId,
  place,
  onClose,
}: {
  classId: string;
  place: RosterSeat;
  onClose: () => void;
}) {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const [name, setName] = useState(place.name);
  const [number, setNumber] = useState(place.number ?? '');
  const [deleting, setDeleting] = useState(false);
  const change = usePlaceChange(classId);
  const remove = useRosterChange(classId, () =>
    api('DELETE', `/api/classes/${classId}/students/${place.id}`),
  );
  const asked = { name, number: number.trim() === '' ? null : number };
  const wrong = placeChangeSchema.safeParse(asked).error?.issues.map(({ path }) => path[0]) ?? [];
  const refused = fieldError(change.error, 'number');
  const failed = change.error && !refused ? change.error : remove.error;
  return (
    <>
      <Dialog
        open={!deleting}
        onClose={onClose}
        title={t('roster.editTitle', { name: place.name })}
        actions={
          <>
            <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
            <Button
              weight="main"
              type="submit"
              form="edit-place"
              disabled={change.isPending || wrong.length > 0}
            >
              {t('ui:action.save')}
            </Button>
          </>
        }
      >
        <form
          id="edit-place"
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            change.mutate([{ id: place.id, change: asked }], { onSuccess: onClose });
          }}
        >
          <Field label={t('roster.name')} error={wrong.includes('name') ? words('name') : null}>
            <Input value={name} onChange={({ target }) => setName(target.value)} />
          </Field>
          <Field
            label={t('roster.number')}
            error={
              wrong.includes('number') ? words('number') : refused ? words('number', refused.code) : null
            }
          >
            <Input value={number} onChange={({ target }) => setNumber(target.value)} />
          </Field>
          <Refused error={failed} />
          <div className="border-line flex flex-wrap gap-2 border-t pt-3">
            <a
              href={`/api/classes/${classId}/students/${place.id}/data.json`}
              download
              aria-label={t('roster.dataOf', { name: place.name })}
              className="border-strong-line bg-raised hover:bg-sheet inline-flex min-h-10 items-center gap-2 rounded-sm border px-4 font-semibold"
            >
              <Download aria-hidden className="size-4" />
              {t('roster.data')}
            </a>
            <Button
              weight="danger"
              icon={<Trash2 aria-hidden className="size-4" />}
              aria-label={t('roster.deleteOf', { name: place.name })}
              onClick={() => setDeleting(true)}
            >
              {t('roster.delete')}
            </Button>
          </div>
        </form>
      </Dialog>
      <Confirm
        open={deleting}
        danger
        onCancel={() => setDeleting(false)}
        onConfirm={() => remove.mutate(undefined, { onSuccess: onClose, onError: () => setDeleting(false) })}
        busy={remove.isPending}
        title={t('roster.deleteTitle', { name: place.name })}
        text={t('roster.deleteText')}
        confirm={t('roster.delete')}
      />
    </>
  );
}

import {
  newPracticalSchema,
  type GradeColumn,
  type GradeColumnChange,
  type Gradebook,
  type NewPractical,
} from '@cimbel/contract';
import { Keyboard, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { fieldError, useFieldWords } from '../../lib/form';
import { Button, ButtonLink } from '../../ui/button';
import { Confirm, Dialog } from '../../ui/dialog';
import { Field, Input, NumberInput, Select, Tick } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { useGradebookChange } from './use-gradebook';
import { categoryName } from './words';

type Draft = Omit<NewPractical, 'max'> & { max: number | null };

const today = () => {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
};

function CategoryField({
  book,
  value,
  onChange,
}: {
  book: Gradebook;
  value: string;
  onChange: (id: string) => void;
}) {
  const { t } = useTranslation('gradebook');
  const known = book.settings.categories.some(({ id }) => id === value);
  return (
    <Field label={t('column.category')}>
      <Select value={value} onChange={({ target }) => onChange(target.value)}>
        {known ? null : <option value={value}>{t('category.none')}</option>}
        {book.settings.categories.map((category) => (
          <option key={category.id} value={category.id}>
            {categoryName(t, category)}
          </option>
        ))}
      </Select>
    </Field>
  );
}

function PracticalFields({
  draft,
  wrong,
  tooFew = null,
  onChange,
}: {
  draft: Draft;
  wrong: readonly unknown[];
  /** What the server says of the points, where it refused them. */
  tooFew?: string | null;
  onChange: (draft: Draft) => void;
}) {
  const { t } = useTranslation('gradebook');
  const words = useFieldWords();
  const has = (name: string) => wrong.includes(name);
  return (
    <>
      <Field label={t('practical.name')} error={has('title') ? words('title') : null}>
        <Input
          value={draft.title}
          autoFocus
          onChange={({ target }) => onChange({ ...draft, title: target.value })}
        />
      </Field>
      <div className="flex flex-wrap gap-4">
        <Field label={t('practical.max')} error={tooFew ?? (has('max') ? words('max') : null)}>
          <NumberInput value={draft.max} min={1} onValue={(max) => onChange({ ...draft, max })} />
        </Field>
        <Field label={t('practical.heldOn')} error={has('heldOn') ? words('heldOn') : null}>
          <Input
            type="date"
            value={draft.heldOn}
            onChange={({ target }) => onChange({ ...draft, heldOn: target.value })}
          />
        </Field>
      </div>
    </>
  );
}

/** Fields that are wrong, once somebody has tried. */
const wrongOf = (draft: Draft): unknown[] =>
  newPracticalSchema.safeParse(draft).error?.issues.map(({ path }) => path[0]) ?? [];

/** Practical work that is marked away from the screen: what it was, when, and out of how many points. */
export function NewPracticalDialog({ book, onClose }: { book: Gradebook; onClose: () => void }) {
  const { t } = useTranslation(['gradebook', 'ui']);
  const { categories } = book.settings;
  const [draft, setDraft] = useState<Draft>(() => ({
    title: '',
    max: 10,
    heldOn: today(),
    category: (categories.find(({ id }) => id === 'practical') ?? categories[categories.length - 1]).id,
  }));
  const [tried, setTried] = useState(false);
  const add = useGradebookChange(book.classId, (body: Draft) =>
    api('POST', `/api/classes/${book.classId}/gradebook/columns`, body),
  );
  const wrong = wrongOf(draft);
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('practical.new')}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          <Button weight="main" type="submit" form="new-practical" disabled={add.isPending}>
            {t('practical.add')}
          </Button>
        </>
      }
    >
      <form
        id="new-practical"
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          setTried(true);
          if (wrong.length === 0) add.mutate(draft, { onSuccess: onClose });
        }}
      >
        <PracticalFields draft={draft} wrong={tried ? wrong : []} onChange={setDraft} />
        <CategoryField
          book={book}
          value={draft.category}
          onChange={(category) => setDraft({ ...draft, category })}
        />
        <Refused error={add.error} />
      </form>
    </Dialog>
  );
}

/** How a piece counts; of practical work also what it is, its marks, and its end. */
export function ColumnDialog({
  book,
  column,
  onType,
  onClose,
}: {
  book: Gradebook;
  column: GradeColumn;
  onType: () => void;
  onClose: () => void;
}) {
  const { t } = useTranslation(['gradebook', 'ui']);
  const words = useFieldWords();
  const practical = column.kind === 'practical';
  const [counts, setCounts] = useState(column.counts);
  const [category, setCategory] = useState(column.category);
  const [draft, setDraft] = useState<Draft>({
    title: column.title,
    max: column.max,
    heldOn: practical ? column.date : today(),
    category: column.category,
  });
  const [removing, setRemoving] = useState(false);
  const at = `/api/classes/${book.classId}/gradebook/columns/${column.id}`;
  const change = useGradebookChange(book.classId, (body: GradeColumnChange) => api('PATCH', at, body));
  const remove = useGradebookChange(book.classId, () => api('DELETE', at));
  const mayChange = book.frozenAt === null && book.rights !== 'marking';
  const wrong = practical ? wrongOf(draft) : [];
  const refused = fieldError(change.error, 'max');
  const body: GradeColumnChange = {
    ...(counts === column.counts ? {} : { counts }),
    ...(category === column.category ? {} : { category }),
    ...(practical && wrong.length === 0 && draft.max !== null
      ? { title: draft.title, max: draft.max, heldOn: draft.heldOn }
      : {}),
  };
  return (
    <>
      <Dialog
        open={!removing}
        onClose={onClose}
        title={t('column.of', { title: column.title })}
        actions={
          mayChange ? (
            <>
              <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
              <Button
                weight="main"
                type="submit"
                form="grade-column"
                disabled={change.isPending || wrong.length > 0}
              >
                {t('ui:action.save')}
              </Button>
            </>
          ) : undefined
        }
      >
        <div className="flex flex-wrap gap-2">
          {practical ? (
            book.frozenAt === null ? (
              <Button icon={<Keyboard aria-hidden className="size-4" />} onClick={onType}>
                {t('column.typeIn')}
              </Button>
            ) : null
          ) : (
            <ButtonLink
              to={column.kind === 'exercise' ? `/assignments/${column.id}` : `/reading-tests/${column.id}`}
            >
              {t('column.toWork')}
            </ButtonLink>
          )}
          {practical && mayChange ? (
            <Button
              weight="danger"
              icon={<Trash2 aria-hidden className="size-4" />}
              onClick={() => setRemoving(true)}
            >
              {t('column.remove')}
            </Button>
          ) : null}
        </div>
        {mayChange ? (
          <form
            id="grade-column"
            className="flex flex-col gap-3"
            noValidate
            onSubmit={(event) => {
              event.preventDefault();
              change.mutate(body, { onSuccess: onClose });
            }}
          >
            {practical ? (
              <PracticalFields
                draft={draft}
                wrong={wrong}
                tooFew={refused ? words('max', refused.code) : null}
                onChange={setDraft}
              />
            ) : null}
            <Tick label={t('column.counts')} on={counts} onChange={setCounts} />
            <CategoryField book={book} value={category} onChange={setCategory} />
            {refused ? null : <Refused error={change.error ?? remove.error} />}
          </form>
        ) : null}
      </Dialog>
      <Confirm
        open={removing}
        danger
        busy={remove.isPending}
        onCancel={() => setRemoving(false)}
        onConfirm={() => remove.mutate(undefined, { onSuccess: onClose, onError: () => setRemoving(false) })}
        title={t('column.removeTitle', { title: column.title })}
        text={t('column.removeText')}
        confirm={t('column.remove')}
      />
    </>
  );
}

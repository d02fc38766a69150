import {
  gradebookSettingsSchema,
  MISSING_RULES,
  MOST_CATEGORIES,
  MOST_DROPPED,
  TERM_LATE_RULES,
  type Gradebook,
  type GradebookSettings,
} from '@cimbel/contract';
import { sumOfWeights } from '@cimbel/core/gradebook';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { newId } from '../../lib/id';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Dialog } from '../../ui/dialog';
import { Field, Input, NumberInput, Tick } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { useGradebookChange } from './use-gradebook';
import { categoryName } from './words';

/** A category while it is written: a weight may be missing, a name be empty. */
type CategoryDraft = Omit<GradebookSettings['categories'][number], 'weight'> & { weight: number | null };

/** Categories with their weights, and what becomes of missing and late work. */
export function SettingsDialog({ book, onClose }: { book: Gradebook; onClose: () => void }) {
  const { t } = useTranslation(['gradebook', 'ui']);
  const [categories, setCategories] = useState<CategoryDraft[]>(book.settings.categories);
  const [rest, setRest] = useState(book.settings);
  const save = useGradebookChange(book.classId, (settings: GradebookSettings) =>
    api('PUT', `/api/classes/${book.classId}/gradebook/settings`, { settings, version: book.version }),
  );
  const written = {
    ...rest,
    categories: categories.map((one) => ({ ...one, name: one.name?.trim() === '' ? null : one.name })),
  };
  const parsed = gradebookSettingsSchema.safeParse(written);
  const issues = parsed.error?.issues ?? [];
  const wrongAt = (i: number, field: string) =>
    issues.some(({ path }) => path[0] === 'categories' && path[1] === i && path[2] === field);
  const unweighted = issues.some((issue) => issue.message === 'noWeight');
  const change = (i: number, to: Partial<CategoryDraft>) =>
    setCategories(categories.map((one, at) => (at === i ? { ...one, ...to } : one)));
  const hasWork = (id: string) => book.columns.some(({ category }) => category === id);
  const { sum, whole } = sumOfWeights(categories.map(({ weight }) => ({ weight: weight ?? 0 })));
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('settings.title')}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          <Button
            weight="main"
            disabled={save.isPending || !parsed.success}
            onClick={() => parsed.success && save.mutate(parsed.data, { onSuccess: onClose })}
          >
            {t('ui:action.save')}
          </Button>
        </>
      }
    >
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-quiet text-sm">
            <th scope="col" className="pe-2 text-start font-normal">
              {t('settings.name')}
            </th>
            <th scope="col" className="pe-2 text-start font-normal">
              {t('settings.weight')}
            </th>
            <th scope="col" className="pe-2 text-start font-normal">
              {t('settings.drop')}
            </th>
            <td />
          </tr>
        </thead>
        <tbody>
          {categories.map((one, i) => {
            const name = categoryName(t, { ...one, name: one.name || null });
            const own = one.name === null && t(`category.${one.id}`, { defaultValue: '' });
            return (
              <tr key={one.id} className="align-top">
                <td className="pe-2 pb-2">
                  <Input
                    aria-label={t('settings.name')}
                    placeholder={own || undefined}
                    value={one.name ?? (own || '')}
                    aria-invalid={wrongAt(i, 'name')}
                    onChange={({ target }) => change(i, { name: target.value })}
                  />
                  {wrongAt(i, 'name') ? (
                    <p role="alert" className="text-bad text-sm font-semibold">
                      {t('settings.nameNeeded')}
                    </p>
                  ) : null}
                </td>
                <td className="pe-2 pb-2">
                  <NumberInput
                    aria-label={`${t('settings.weight')}: ${name}`}
                    className="max-w-20"
                    unit="%"
                    zero
                    max={100}
                    step={5}
                    value={one.weight}
                    aria-invalid={wrongAt(i, 'weight') && !unweighted}
                    onValue={(weight) => change(i, { weight })}
                  />
                  {wrongAt(i, 'weight') && !unweighted ? (
                    <p role="alert" className="text-bad text-sm font-semibold">
                      {t('settings.weightWrong')}
                    </p>
                  ) : null}
                </td>
                <td className="pe-2 pb-2">
                  <NumberInput
                    aria-label={`${t('settings.drop')}: ${name}`}
                    className="max-w-16"
                    zero
                    max={MOST_DROPPED}
                    value={one.dropLowest}
                    onValue={(dropLowest) => change(i, { dropLowest: dropLowest ?? 0 })}
                  />
                </td>
                <td className="pb-2">
                  <Button
                    weight="quiet"
                    aria-label={t('settings.remove', { name })}
                    title={hasWork(one.id) ? t('settings.hasWork') : t('settings.remove', { name })}
                    disabled={categories.length === 1 || hasWork(one.id)}
                    icon={<X aria-hidden className="size-4" />}
                    onClick={() => setCategories(categories.filter((_, at) => at !== i))}
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="flex flex-wrap items-center gap-4">
        <Button
          icon={<Plus aria-hidden className="size-4" />}
          disabled={categories.length >= MOST_CATEGORIES}
          onClick={() => setCategories([...categories, { id: newId(), name: '', weight: 0, dropLowest: 0 }])}
        >
          {t('settings.add')}
        </Button>
        <p role="status" className={whole ? 'text-quiet' : 'text-warn font-semibold'}>
          {unweighted ? t('settings.noWeight') : whole ? t('settings.sum', { sum }) : t('weights', { sum })}
        </p>
      </div>
      <Field label={t('settings.missing')}>
        <Choice
          label={t('settings.missing')}
          value={rest.missing}
          options={MISSING_RULES.map((value) => ({ value, text: t(`settings.missings.${value}`) }))}
          onChange={(missing) => setRest({ ...rest, missing })}
        />
      </Field>
      <Field label={t('settings.late')}>
        <Choice
          label={t('settings.late')}
          value={rest.late}
          options={TERM_LATE_RULES.map((value) => ({ value, text: t(`settings.lates.${value}`) }))}
          onChange={(late) => setRest({ ...rest, late })}
        />
      </Field>
      <Field label={t('settings.decimals')}>
        <Choice
          label={t('settings.decimals')}
          value={String(rest.decimals) as '0' | '1'}
          options={(['0', '1'] as const).map((value) => ({ value, text: t(`settings.decimalsOf.${value}`) }))}
          onChange={(decimals) => setRest({ ...rest, decimals: decimals === '1' ? 1 : 0 })}
        />
      </Field>
      <Tick label={t('settings.shown')} on={rest.shown} onChange={(shown) => setRest({ ...rest, shown })} />
      <p className="text-quiet text-sm">
        {t('settings.each')} {t('settings.pass', { mark: book.passMark })}
      </p>
      <Refused error={save.error} />
    </Dialog>
  );
}

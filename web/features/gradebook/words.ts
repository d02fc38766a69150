import type { GradeCell, GradeColumn, GradebookSettings, SheetCategory } from '@cimbel/contract';
import { percentOf } from '@cimbel/core/gradebook';
import type { TFunction } from 'i18next';
import { dateTime, dayAndMonth, figure } from '../../lib/i18n';
import '../../lib/words/gradebook';

type Words = TFunction<'gradebook'>;
type Category = GradebookSettings['categories'][number];

/** A category's own name, or the usual one of its kind. */
export const categoryName = (t: Words, { id, name }: Pick<Category, 'id' | 'name'>): string =>
  name ?? t(`category.${id}`, { defaultValue: id });

/** The day of a piece: practical work has one of its own, the rest is due at a time. */
export const dayOf = ({ kind, date }: GradeColumn): string =>
  // The middle of the day, which is the same day everywhere it is shown.
  dayAndMonth(kind === 'practical' ? `${date}T12:00:00Z` : date);

/** A share as it is shown beside others: to tenths. */
export const shareText = (share: number | null): string =>
  share === null ? '' : figure(percentOf(share, 1), undefined, 1);

/** What stands in a cell: points, or a sign for why there are none. */
export function cellText(t: Words, { state, points }: Pick<GradeCell, 'state' | 'points'>): string {
  if (points !== null && state !== 'missing') return figure(points);
  return state === 'marked' || state === 'given' || state === 'unreleased'
    ? t('state.unreleased')
    : t(`sign.${state}`);
}

/**
 * What a mark is made of, sentence by sentence.
 *
 * @param alone Whether it stands alone; on a sheet its points and category are told beside it.
 */
export function madeOf(
  t: Words,
  column: GradeColumn,
  { state, points, computed, lateLoss, entry, dropped }: GradeCell,
  settings: GradebookSettings,
  categories: readonly SheetCategory[],
  alone = true,
): string[] {
  const { max } = column;
  const given = { by: entry?.by, when: entry ? dateTime(entry.at) : '' };
  const category = settings.categories.find(({ id }) => id === column.category);
  const name = category ? categoryName(t, category) : t('category.none');
  const part = categories.find(({ id }) => id === column.category)?.part ?? 0;
  const own =
    state === 'given'
      ? t('made.given', { points, max, ...given })
      : state === 'excused'
        ? t('made.excused', given)
        : state === 'unreleased' && points === null
          ? t('made.unreleasedOwn')
          : t(`made.${state}`, { points, max });
  const counted = state === 'marked' || state === 'given' || state === 'missing';
  return [
    ...(alone || (state !== 'marked' && state !== 'open') ? [own] : []),
    ...(state === 'marked' && lateLoss > 0 ? [t('made.late', { loss: lateLoss })] : []),
    ...(entry?.points != null && computed !== null ? [t('made.instead', { computed })] : []),
    ...(entry && entry.reason !== '' ? [t('made.reason', { reason: entry.reason })] : []),
    ...(!counted
      ? []
      : dropped
        ? [t('made.dropped', { category: name })]
        : column.counts && category && category.weight > 0
          ? alone
            ? [t('made.counts', { category: name, part })]
            : []
          : [t('made.counted')]),
  ];
}

import type { Problem } from '@cimbel/core/io';
import type { TFunction } from 'i18next';
import '../../lib/words/reasons';
import '../../lib/words/shade-books';

/** A problem in words, and where it is. */
export function problemWords(t: TFunction, { code, params, row, column, path }: Problem): string {
  const what = code.startsWith('label.')
    ? t(code, { ns: 'reasons', ...params })
    : t([`shadeBooks.problem.${code}`, 'shadeBooks.problem.field.other'], { ns: 'ui', ...params });
  if (row !== undefined) return t('shadeBooks.atRow', { ns: 'ui', row, column, what });
  // A shade of a line is a row of its table.
  const shade = /(?:^|\.)shades\.(\d+)$/.exec(path ?? '');
  if (shade) return t('shadeBooks.atShade', { ns: 'ui', row: Number(shade[1]) + 1, what });
  return path ? t('shadeBooks.atPath', { ns: 'ui', path, what }) : what;
}

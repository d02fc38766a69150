import Papa from 'papaparse';
import { TONE_FAMILIES } from '../colour';
import { type Shade, shadesOf, readLabel, type Line } from '../product';
import type { Read, Problem } from './problem';

/** Columns of a table of shades; only the first is needed, the others are checked against the line's key. */
export const SHADE_COLUMNS = ['label', 'series', 'level', 'primary', 'secondary'] as const;
type Column = (typeof SHADE_COLUMNS)[number];

const cellsOf = ({ label, series, level, tone }: Shade): Record<Column, string> => ({
  label,
  series,
  level: level === null ? '' : String(level),
  primary: series === 'direct' || series === 'filler' ? '' : tone.primary,
  secondary: tone.secondary ?? '',
});

/** A cell that begins like a formula would be run by a spreadsheet; labels of ours never do, names might. */
const plain = (text: string) => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/** Every shade of a line as CSV (RFC 4180), its label and how the key reads it. */
export const writeShadeTable = (line: Line): string =>
  `${Papa.unparse(
    {
      fields: [...SHADE_COLUMNS],
      data: shadesOf(line).map((shade) => SHADE_COLUMNS.map((column) => plain(cellsOf(shade)[column]))),
    },
    { newline: '\r\n' },
  )}\r\n`;

/**
 * Labels from a table: CSV, or what a spreadsheet puts on the clipboard. With a first row of column names (Shade
 * is Label) the columns may stand in any order; without one the first column holds the labels. A cell that contradicts the key is a problem,
 * by row and column, since either the label or the key has been entered wrong.
 */
export function readShadeTable(text: string, line: Pick<Line, 'key'>): Read<string[]> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const rows = data.map((row) => row.map((cell) => cell.trim().replace(/^'/, '')));
  if (rows.length === 0) return { ok: false, problems: [{ code: 'table.empty', params: {} }] };
  const names = rows[0].map((cell) => cell.toLowerCase()).map((name) => (name === 'shade' ? 'label' : name));
  const hasHead = names.includes('label');
  const columns: (Column | null)[] = hasHead
    ? names.map((name) => SHADE_COLUMNS.find((column) => column === name) ?? null)
    : ['label'];
  const problems: Problem[] = [];
  const seen = new Map<string, number>();
  const labels: string[] = [];
  rows.slice(hasHead ? 1 : 0).forEach((cells, i) => {
    const row = i + (hasHead ? 2 : 1);
    const given = (column: Column) => {
      const at = columns.indexOf(column);
      return at < 0 ? '' : (cells[at] ?? '');
    };
    const label = given('label');
    const problem = (column: Column, code: string, params: Problem['params']) =>
      problems.push({ code, params, row, column });
    if (label === '') return problem('label', 'table.noLabel', {});
    const before = seen.get(label);
    if (before !== undefined) return problem('label', 'table.labelTwice', { label, row: before });
    seen.set(label, row);
    const reading = readLabel(line, label);
    if (!reading.ok) return problem('label', reading.reason.code, reading.reason.params);
    const read = cellsOf(reading.shade);
    for (const column of ['series', 'level', 'primary', 'secondary'] as const) {
      const cell = given(column);
      const known =
        column === 'primary' || column === 'secondary'
          ? TONE_FAMILIES.find((f) => f.toLowerCase() === cell.toLowerCase())
          : undefined;
      if (cell === '' || cell === read[column] || known === read[column]) continue;
      problem(column, 'table.contradicts', { label, given: cell, read: read[column] });
    }
    labels.push(label);
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: labels };
}

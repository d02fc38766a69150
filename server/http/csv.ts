import { stringify } from 'csv-stringify/sync';

export type Cell = string | number;

/** A cell that begins like a formula would be run by a spreadsheet; a quote in front keeps it text. */
const plain = (cell: Cell) =>
  typeof cell === 'string' && /^[=+\-@\t\r＝＋－＠]/.test(cell) ? `'${cell}` : cell;

/** Rows of cells as a file that spreadsheets open: UTF-8 with a mark in front, which they ask for. */
export const csvOf = (rows: readonly (readonly Cell[])[]): string =>
  stringify(
    rows.map((row) => row.map(plain)),
    // Where a spreadsheet parts cells by semicolons, one in a cell must not begin another.
    { bom: true, record_delimiter: 'windows', quoted_match: /[;\t]/ },
  );

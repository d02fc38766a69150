/** What is wrong with a file, as data: where it is, and the code of the words for it. Rows and columns count from 1. */
export interface Problem {
  /** Code of the words it is told in. */
  code: string;
  /** Figures and names that the words need. */
  params: Record<string, string | number | boolean>;
  /** Place in a JSON file, such as `line.shades.3`. */
  path?: string;
  /** Row of the file, counted from 1; left out where it has none. */
  row?: number;
  /** Column of the file. */
  column?: string;
}
export type Read<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

/** What is wrong with a file, as data: where it is, and the code of the words for it. Rows and columns count from 1. */
export interface Problem {
  code: string;
  params: Record<string, string | number | boolean>;
  /** Place in a JSON file, such as `line.shades.3`. */
  path?: string;
  row?: number;
  column?: string;
}
export type Read<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

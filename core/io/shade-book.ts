import { z } from 'zod';
import { lineSchema, type Line, unreadableShades } from '../product';
import type { Problem, Read } from './problem';

export const SHADE_BOOK_FORMAT = 'cimbel.shade-book';
export const SHADE_BOOK_VERSION = 1;

/** The open format of a shade book: a JSON object that says what it is and holds one line. */
const headSchema = z.object({
  format: z.literal(SHADE_BOOK_FORMAT),
  formatVersion: z.literal(SHADE_BOOK_VERSION),
  line: z.unknown(),
});

/** JSON Schema of the file, for other programs (draft 2020-12). Rules between fields are in words in the docs. */
export const shadeBookJsonSchema = () =>
  z.toJSONSchema(
    z.object({
      format: z.literal(SHADE_BOOK_FORMAT),
      formatVersion: z.literal(SHADE_BOOK_VERSION),
      line: lineSchema,
    }),
  );

/** Everything that is wrong with a line, by place: its fields, and every label its own key cannot read. */
export function problemsOf(line: unknown, at = ''): Problem[] {
  const parsed = lineSchema.safeParse(line);
  if (!parsed.success)
    return parsed.error.issues.map((issue) => {
      const path = [at, ...issue.path].filter((part) => part !== '').join('.');
      if (issue.code !== 'custom') return { code: `field.${issue.code}`, params: {}, path };
      const { code, ...params } = issue.params as { code: string };
      return { code: `line.${code}`, params, path };
    });
  return unreadableShades(parsed.data).map((reason) => ({
    code: reason.code,
    params: reason.params,
    path: [at, 'shades', parsed.data.shades.indexOf(String(reason.params.label))]
      .filter((p) => p !== '')
      .join('.'),
  }));
}

/** Reads a shade chart; every problem with its place, never a throw. */
export function readShadeBook(text: string): Read<Line> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { ok: false, problems: [{ code: 'file.notJson', params: {} }] };
  }
  const head = headSchema.safeParse(data);
  if (!head.success) {
    const path = head.error.issues[0].path.join('.');
    return { ok: false, problems: [{ code: 'file.notShadeBook', params: {}, path }] };
  }
  const problems = problemsOf(head.data.line, 'line');
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: lineSchema.parse(head.data.line) };
}

/** A shade chart as the text of a file. */
export const writeShadeBook = (line: Line): string =>
  `${JSON.stringify({ format: SHADE_BOOK_FORMAT, formatVersion: SHADE_BOOK_VERSION, line }, null, 2)}\n`;

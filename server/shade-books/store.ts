import type { ShadeBook, ShadeBookSummary, ShadeBookWrite } from '@cimbel/contract';
import { problemsOf } from '@cimbel/core/io';
import { shippedLine, type Line } from '@cimbel/core/product';
import type { Knex } from 'knex';
import { HttpError } from '../http/errors';
import { rowOf } from '../db/rows';

export interface BookRow {
  id: string;
  educator_id: string;
  version: number;
  put_away_at: Date | null;
  created_at: Date;
}
export interface VersionRow {
  book_id: string;
  version: number;
  line: Line;
  saved_at: Date;
}

/** A book of one's own is named in a case by this; shipped lines by their own ids. */
export const lineIdOf = (bookId: string) => `book:${bookId}`;

const current = (db: Knex) =>
  db('shade_books').join('shade_book_versions as v', function () {
    this.on('v.book_id', 'shade_books.id').andOn('v.version', 'shade_books.version');
  });

export async function booksOf(db: Knex, educatorId: string): Promise<ShadeBookSummary[]> {
  const rows: VersionRow[] = await current(db)
    .where({ educator_id: educatorId })
    .whereNull('put_away_at')
    .orderBy('shade_books.created_at')
    .select('v.*');
  return rows.map(({ book_id, line, saved_at }) => ({ id: book_id, line, savedAt: saved_at.toISOString() }));
}

/** An educator's own lines as they are now, for what is asked in their classes. */
export const ownLinesOf = async (db: Knex, educatorId: string): Promise<Line[]> =>
  (await booksOf(db, educatorId)).map(({ line }) => line);

/** The same in versions that were handed out before; those that are not the educator's are left out. */
export async function linesOfVersions(
  db: Knex,
  wanted: readonly { id: string; version: number }[],
  educatorId: string,
): Promise<Line[]> {
  const rows: VersionRow[] = await db('shade_book_versions as v')
    .join('shade_books', 'shade_books.id', 'v.book_id')
    .where({ educator_id: educatorId })
    .select('v.*');
  return wanted.flatMap(({ id, version }) => {
    const row = rows.find(
      (versionRow) => lineIdOf(versionRow.book_id) === id && versionRow.version === version,
    );
    return row ? [row.line] : [];
  });
}

/** The line a case names: shipped, or of the educator's own books as it is now. */
export async function lineForCase(db: Knex, lineId: string, educatorId: string): Promise<Line | null> {
  return (
    shippedLine(lineId) ??
    (await booksOf(db, educatorId)).find(({ line }) => line.id === lineId)?.line ??
    null
  );
}

/** Labels the key cannot read are refused by place, as any other field. */
function checked({ line }: ShadeBookWrite): Line {
  const problems = problemsOf(line, 'line');
  if (problems.length > 0)
    throw new HttpError(
      422,
      'request.invalid',
      `${problems[0].path}: ${problems[0].code}`,
      problems.map(({ path = 'line', code }) => ({ path, code, message: code })),
      problems.map(({ code, params }) => ({ code, params })),
    );
  return line;
}

const keepVersion = (trx: Knex, bookId: string, line: Line, version: number, now: Date) =>
  trx('shade_book_versions').insert({
    book_id: bookId,
    version,
    line: JSON.stringify({ ...line, id: lineIdOf(bookId), version }),
    saved_at: now,
  });

export async function createBook(
  db: Knex,
  educatorId: string,
  body: ShadeBookWrite,
  now: Date,
): Promise<{ id: string }> {
  const line = checked(body);
  return db.transaction(async (trx) => {
    const [{ id }] = await trx('shade_books')
      .insert({ educator_id: educatorId, version: 1, created_at: now })
      .returning('id');
    await keepVersion(trx, id, line, 1, now);
    return { id };
  });
}

/** A new version; what was set with an older one keeps it. */
export async function saveBook(
  db: Knex,
  book: BookRow,
  body: ShadeBookWrite,
  now: Date,
): Promise<{ version: number }> {
  const line = checked(body);
  return db.transaction(async (trx) => {
    const bookRow = rowOf(await trx('shade_books').where({ id: book.id }).forUpdate().first(), 'shade_books');
    if (bookRow.version !== body.version)
      throw new HttpError(409, 'shadeBook.newer', 'This shade book was saved elsewhere meanwhile.');
    const version = bookRow.version + 1;
    await keepVersion(trx, book.id, line, version, now);
    await trx('shade_books').where({ id: book.id }).update({ version, put_away_at: null });
    return { version };
  });
}

export async function bookDetail(db: Knex, book: BookRow): Promise<ShadeBook> {
  const rows = await db('shade_book_versions').where({ book_id: book.id }).orderBy('version', 'desc');
  const [newest] = rows;
  return {
    id: book.id,
    line: newest.line,
    savedAt: newest.saved_at.toISOString(),
    putAway: book.put_away_at !== null,
    versions: rows.map(({ version, saved_at, line }) => ({ version, savedAt: saved_at.toISOString(), line })),
  };
}

export async function putAway(db: Knex, book: BookRow, away: boolean, now: Date): Promise<void> {
  await db('shade_books')
    .where({ id: book.id })
    .update({ put_away_at: away ? now : null });
}

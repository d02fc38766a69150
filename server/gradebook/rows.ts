import {
  gradebookSettingsSchema,
  USUAL_SETTINGS,
  type GradebookFrame,
  type GradebookSettings,
  type TermSheet,
} from '@cimbel/contract';
import type { Knex } from 'knex';
import { HttpError } from '../http/errors';

/** How a class's term is reckoned; none while nobody has changed it. */
export interface GradebookRow {
  class_id: string;
  settings: GradebookSettings;
  version: number;
  frozen_at: Date | null;
  /** What all sheets had in common when it was frozen. */
  frozen: Pick<GradebookFrame, 'settings' | 'passMark' | 'columns'> | null;
}

/** What a class has of a piece of its work; none where it counts as it usually does. Its id is that of the piece. */
export interface GradeColumnRow {
  id: string;
  class_id: string;
  assignment_id: string | null;
  test_id: string | null;
  title: string | null;
  /** Decimals come as text. */
  max_points: string | null;
  held_on: string | null;
  /** Null where work of its kind usually counts. */
  category: string | null;
  counts: boolean;
}

/** An educator's last word on a piece of a student; excused where there are no points. */
export interface GradeEntryRow {
  column_id: string;
  student_id: string;
  points: string | null;
  reason: string;
  educator_id: string;
  at: Date;
}

/** A student's sheet as it stood when the term was frozen. */
export interface TermSheetRow {
  class_id: string;
  student_id: string;
  sheet: TermSheet;
}

/** How a class's term is reckoned, and whether it is frozen. */
export type Book = Pick<GradebookRow, 'settings' | 'version' | 'frozen_at' | 'frozen'>;

const NO_BOOK: Book = { settings: USUAL_SETTINGS, version: 0, frozen_at: null, frozen: null };

export async function bookOf(db: Knex, classId: string): Promise<Book> {
  const row = await db('gradebooks').where({ class_id: classId }).first();
  return row ? { ...row, settings: gradebookSettingsSchema.parse(row.settings) } : NO_BOOK;
}

/**
 * The same, held to the end of the transaction, so that two who change a term come one after the other. @throws HttpError 409
 * where it is frozen.
 */
export async function openBook(trx: Knex, classId: string): Promise<Book> {
  await trx('classes').where({ id: classId }).forUpdate().first('id');
  const book = await bookOf(trx, classId);
  if (book.frozen_at)
    throw new HttpError(409, 'gradebook.frozen', 'The term is frozen. Thaw it before anything is changed.');
  return book;
}

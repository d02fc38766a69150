import type {
  GradeColumnChange,
  GradeEntryWrite,
  GradebookSettings,
  NewPractical,
  SettingsWrite,
} from '@cimbel/contract';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import type { LedClass } from '../classes/access';
import { HttpError, invalidField } from '../http/errors';
import { record } from '../log/store';
import { bookOf, openBook, type GradeColumnRow } from './rows';
import { gradebookOf, releasedSheet } from './store';

/** Who changes a term, and when. */
export interface TermChange {
  educatorId: string;
  now: Date;
}

/** A piece of a class's work as an address names it, with what the class has of it. */
export interface PieceOfClass {
  inClass: LedClass;
  /** As it would be written down, where it is not yet. */
  column: GradeColumnRow;
}

const checkCategory = (settings: GradebookSettings, category: string) => {
  if (!settings.categories.some(({ id }) => id === category))
    throw invalidField('category', 'unknown', 'This class has no such category.');
};

/** Writes down how a term is reckoned, for the first time or anew. */
const writeBook = (trx: Knex, classId: string, written: object) =>
  trx('gradebooks')
    .insert({ class_id: classId, ...written })
    .onConflict('class_id')
    .merge(written);

/** @throws HttpError 409 where somebody else has changed them meanwhile */
export async function changeSettings(
  db: Knex,
  inClass: LedClass,
  { settings, version }: SettingsWrite,
  { educatorId, now }: TermChange,
): Promise<void> {
  await db.transaction(async (trx) => {
    const book = await openBook(trx, inClass.id);
    if (book.version !== version)
      throw new HttpError(409, 'gradebook.newer', 'The gradebook was changed elsewhere meanwhile.');
    await writeBook(trx, inClass.id, { settings: JSON.stringify(settings), version: version + 1 });
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'gradebook.settings',
      classId: inClass.id,
      before: book.settings,
      after: settings,
    });
  });
}

export async function addPractical(
  db: Knex,
  inClass: LedClass,
  { title, max, heldOn, category }: NewPractical,
  { educatorId, now }: TermChange,
): Promise<{ id: string }> {
  const id = randomUUID();
  await db.transaction(async (trx) => {
    checkCategory((await openBook(trx, inClass.id)).settings, category);
    await trx('grade_columns').insert({
      id,
      class_id: inClass.id,
      title,
      max_points: max,
      held_on: heldOn,
      category,
    });
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'gradebook.column',
      classId: inClass.id,
      after: { title, max, heldOn, category },
    });
  });
  return { id };
}

/** What of a column is written down, where it is not yet. */
const writeColumn = (trx: Knex, column: GradeColumnRow) =>
  trx('grade_columns')
    .insert({ ...column })
    .onConflict('id')
    .ignore();

export async function changeColumn(
  db: Knex,
  { inClass, column }: PieceOfClass,
  change: GradeColumnChange,
  { educatorId, now }: TermChange,
): Promise<void> {
  const { title, max, heldOn, category, counts } = change;
  const ofPractical = { title, max, heldOn };
  for (const [name, value] of Object.entries(ofPractical))
    if (value !== undefined && column.title === null)
      throw invalidField(name, 'notPractical', 'Only practical work has its title, points and day here.');
  await db.transaction(async (trx) => {
    const { settings } = await openBook(trx, inClass.id);
    if (category !== undefined) checkCategory(settings, category);
    if (max !== undefined) {
      const most = await trx('grade_entries')
        .where({ column_id: column.id })
        .orderByRaw('points desc nulls last')
        .first('points');
      if (Number(most?.points ?? 0) > max)
        throw invalidField('max', 'fewerThanGiven', 'Somebody has more points than that.');
    }
    await writeColumn(trx, column);
    const columns = {
      ...(title === undefined ? {} : { title }),
      ...(max === undefined ? {} : { max_points: max }),
      ...(heldOn === undefined ? {} : { held_on: heldOn }),
      ...(category === undefined ? {} : { category }),
      ...(counts === undefined ? {} : { counts }),
    };
    if (Object.keys(columns).length > 0) await trx('grade_columns').where({ id: column.id }).update(columns);
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'gradebook.column',
      classId: inClass.id,
      subject: column.assignment_id ?? undefined,
      before: { title: column.title, category: column.category, counts: column.counts },
      after: change,
    });
  });
}

/** Takes practical work out for good, with what was typed in. */
export async function deletePractical(
  db: Knex,
  { inClass, column }: PieceOfClass,
  { educatorId, now }: TermChange,
): Promise<void> {
  if (column.title === null)
    throw new HttpError(409, 'gradebook.notPractical', 'Only practical work can be taken out here.');
  await db.transaction(async (trx) => {
    await openBook(trx, inClass.id);
    const entries = await trx('grade_entries').where({ column_id: column.id }).select('student_id', 'points');
    await trx('grade_columns').where({ id: column.id }).delete();
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'gradebook.columnGone',
      classId: inClass.id,
      before: { title: column.title, entries },
    });
  });
}

/**
 * Writes down, changes or takes back an educator's word on a piece of a student. @throws HttpError 409 where another word stands
 * than the one that is replaced; 422 where points are more than the piece has, or stand for a mark without a reason.
 */
export async function enterMark(
  db: Knex,
  { inClass, column, studentId }: PieceOfClass & { studentId: string },
  { points, excused, reason, was }: GradeEntryWrite,
  { educatorId, now }: TermChange,
): Promise<void> {
  await db.transaction(async (trx) => {
    await openBook(trx, inClass.id);
    const max = await maxOf(trx, column);
    if (points !== null && points > max)
      throw invalidField('points', 'tooManyOf', `At most ${max} points can be given for this.`);
    const stands = points !== null || excused;
    if (stands && column.title === null && reason === '')
      throw invalidField('reason', 'needed', 'Say why this stands in place of the mark.');
    await writeColumn(trx, column);
    const key = { column_id: column.id, student_id: studentId };
    const before = await trx('grade_entries').where(key).first();
    if ((before?.at.toISOString() ?? null) !== was)
      throw new HttpError(409, 'gradebook.newer', 'The gradebook was changed elsewhere meanwhile.');
    const entry = { points, reason, educator_id: educatorId, at: now };
    if (stands)
      await trx('grade_entries')
        .insert({ ...key, ...entry })
        .onConflict(['column_id', 'student_id'])
        .merge(entry);
    else await trx('grade_entries').where(key).delete();
    const told = (points: number | string | null | undefined, reason?: string) =>
      points === undefined ? null : { points: points === null ? null : Number(points), reason };
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'gradebook.mark',
      classId: inClass.id,
      subject: studentId,
      before: { column: column.id, entry: told(before?.points, before?.reason) },
      after: { column: column.id, entry: stands ? told(points, reason) : null },
    });
  });
}

async function maxOf(trx: Knex, column: GradeColumnRow): Promise<number> {
  if (column.max_points !== null) return Number(column.max_points);
  if (column.assignment_id === null) return 100;
  const { rows } = await trx.raw<{ rows: { max: number }[] }>(
    'select sum(value::float) as max from assignments, jsonb_each_text(rubric) where id = ? and value is not null',
    [column.assignment_id],
  );
  return rows[0].max;
}

/** Freezes a term as it stands, or lets it go on. Once is enough: a repeat changes nothing. */
export async function setFrozen(
  db: Knex,
  inClass: LedClass,
  frozen: boolean,
  { educatorId, now }: TermChange,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('classes').where({ id: inClass.id }).forUpdate().first('id');
    const book = await bookOf(trx, inClass.id);
    if ((book.frozen_at !== null) === frozen) return;
    if (frozen) {
      const { settings, passMark, columns, students } = await gradebookOf(trx, inClass, now);
      await writeBook(trx, inClass.id, {
        settings: JSON.stringify(settings),
        version: book.version + 1,
        frozen_at: now,
        frozen: JSON.stringify({ settings, passMark, columns }),
      });
      const rows = students.map((student) => {
        const { id, name: _name, number: _number, ...sheet } = releasedSheet(student);
        return { class_id: inClass.id, student_id: id, sheet: JSON.stringify(sheet) };
      });
      if (rows.length > 0) await trx('term_sheets').insert(rows);
    } else {
      await trx('term_sheets').where({ class_id: inClass.id }).delete();
      await trx('gradebooks')
        .where({ class_id: inClass.id })
        .update({ frozen_at: null, frozen: null, version: book.version + 1 });
    }
    await record(trx, {
      at: now,
      actor: educatorId,
      action: frozen ? 'gradebook.frozen' : 'gradebook.thawed',
      classId: inClass.id,
    });
  });
}

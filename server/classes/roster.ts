import type { Joined, Joining, NewPlaces, PlaceChange, Roster, Slip } from '@cimbel/contract';
import type { Knex } from 'knex';
import { makeCode, newCode } from '../accounts/codes';
import type { UserRow } from '../accounts/store';
import { isClosed, type AssignmentRow } from '../assignments/row';
import { HttpError, invalidField } from '../http/errors';
import { unlock } from '../http/tries';
import { tell } from '../live/hub';
import { record } from '../log/store';
import type { ClassRow } from './access';
import { educatorsOf } from './educators';
import { isElsewhere } from './person';
import { rowOf } from '../db/rows';

export interface MembershipRow {
  class_id: string;
  student_id: string;
  state: 'active' | 'waiting' | 'removed';
  number: string | null;
  joined_at: Date;
  /** Extra time of the student in this class, as a fraction of any time limit. */
  extra_time_share: number | null;
}

/**
 * Exercises that show the model answer to each who submits, and still take answers: while there is one, no student comes into
 * the class unasked, or a second account of one's own would read what the first has to find.
 */
async function openOnSubmit(db: Knex, classId: string, now: Date): Promise<string[]> {
  const rows: AssignmentRow[] = await db('assignments').where({ class_id: classId, release: 'onSubmit' });
  return rows.filter((row) => !isClosed(row, now)).map(({ title }) => title);
}

export async function rosterOf(db: Knex, row: ClassRow, now: Date): Promise<Roster> {
  const places: (MembershipRow & Pick<UserRow, 'name' | 'email'>)[] = await db('memberships')
    .join('users', 'users.id', 'memberships.student_id')
    .where({ class_id: row.id })
    .orderBy('users.name')
    .select('memberships.*', 'users.name', 'users.email');
  return {
    joinCode: row.join_code,
    joining: row.joining,
    closedBy: await openOnSubmit(db, row.id, now),
    educators: await educatorsOf(db, row.id),
    places: places.map(({ student_id, name, number, state, email, joined_at }) => ({
      id: student_id,
      name,
      number,
      state,
      claimed: email !== null,
      joinedAt: joined_at.toISOString(),
    })),
  };
}

/** Null where the code names no class, or one that takes nobody; joining twice is joining once. */
export async function joinClass(
  db: Knex,
  studentId: string,
  code: string,
  now: Date,
): Promise<Joined | null> {
  const classRow = await db('classes').where({ join_code: code }).first();
  if (!classRow) return null;
  const mine = () => db('memberships').where({ class_id: classRow.id, student_id: studentId }).first();
  const before = await mine();
  if (before?.state === 'active') return { name: classRow.name, waiting: false };
  if (classRow.joining === 'closed' || classRow.archived_at !== null)
    throw new HttpError(409, 'class.closed', 'This class takes nobody in. Ask your educator.');
  const waits =
    classRow.joining === 'approval' ||
    before !== undefined ||
    (await openOnSubmit(db, classRow.id, now)).length > 0;
  const state = waits ? 'waiting' : 'active';
  await db.transaction(async (trx) => {
    await trx('memberships')
      .insert({ class_id: classRow.id, student_id: studentId, state, joined_at: now })
      .onConflict(['class_id', 'student_id'])
      // A student who was removed asks again; one who waits goes on waiting.
      .merge({ state: 'waiting' });
    await record(trx, {
      at: now,
      actor: studentId,
      action: 'roster.asked',
      classId: classRow.id,
      subject: studentId,
      after: { state },
    });
  });
  return { name: classRow.name, waiting: waits };
}

/** A name with its number, as two places are told apart. */
const apart = (name: string, number: string | null) => `${name.toLowerCase()}\n${number ?? ''}`;

/** Puts places on the roster, all or none. @throws HttpError that names each row that cannot be. */
export async function addPlaces(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  { places }: NewPlaces,
  now: Date,
): Promise<{ added: number }> {
  return db.transaction(async (trx) => {
    // Two lists sent at once are one after the other.
    await trx('classes').where({ id: inClass.id }).forUpdate().first();
    const there: { name: string; number: string | null }[] = await trx('memberships')
      .join('users', 'users.id', 'memberships.student_id')
      .where({ class_id: inClass.id })
      .select('name', 'number');
    const names = new Set(there.map(({ name, number }) => apart(name, number)));
    const numbers = new Set(there.flatMap(({ number }) => number ?? []));
    const faults: { path: string; code: string; message: string }[] = [];
    places.forEach(({ name, number }, i) => {
      const fault = (field: string, code: string, message: string) =>
        faults.push({ path: `places.${i}.${field}`, code, message });
      if (number !== null && numbers.has(number))
        fault('number', 'numberTwice', `The number ${number} is on the roster already.`);
      else if (names.has(apart(name, number)))
        fault('name', 'nameTwice', `${name} is on the roster already. A number tells two of a name apart.`);
      names.add(apart(name, number));
      if (number !== null) numbers.add(number);
    });
    if (faults.length > 0)
      throw new HttpError(422, 'request.invalid', 'Some rows cannot be put on the roster.', faults);
    const users: { id: string }[] = await trx('users')
      .insert(places.map(({ name }) => ({ role: 'student', name })))
      .returning('id');
    await trx('memberships').insert(
      users.map(({ id }, i) => ({
        class_id: inClass.id,
        student_id: id,
        number: places[i].number,
        joined_at: now,
      })),
    );
    for (const { id } of users)
      await record(trx, {
        at: now,
        actor: educatorId,
        action: 'roster.added',
        classId: inClass.id,
        subject: id,
      });
    return { added: users.length };
  });
}

/** Classes a student is in, or asks to be in: what is done to the account there is done to all of them. */
const THERE = ['active', 'waiting'] as const;

/** @throws HttpError 409 where the account is not this class's to change: another has it too, or it only asks to come in. */
async function checkTheirs(
  trx: Knex,
  inClass: ClassRow,
  studentId: string,
  state: MembershipRow['state'],
): Promise<void> {
  if (state === 'waiting')
    throw new HttpError(409, 'roster.notLetIn', 'Let them in first; until then the account is theirs alone.');
  if (await isElsewhere(trx, studentId, inClass.id, THERE))
    throw new HttpError(
      409,
      'roster.elsewhere',
      'This student is in another class too. Their name and password are theirs and the administrator’s.',
    );
}

/** Lets in, removes, brings back, renames. Work is kept whatever becomes of the place. */
export async function changePlace(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  studentId: string,
  { name, number, state }: PlaceChange,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    const where = { class_id: inClass.id, student_id: studentId };
    const before = rowOf(await trx('memberships').where(where).forUpdate().first(), 'memberships');
    const user = await trx('users').where({ id: studentId }).first('name');
    const taken =
      number != null &&
      (await trx('memberships')
        .where({ class_id: inClass.id, number })
        .whereNot({ student_id: studentId })
        .first('student_id'));
    if (taken) throw invalidField('number', 'numberTwice', `The number ${number} is on the roster already.`);
    const columns = {
      ...(number === undefined ? {} : { number }),
      ...(state === undefined ? {} : { state }),
    };
    if (Object.keys(columns).length > 0) await trx('memberships').where(where).update(columns);
    if (state !== undefined) await tell(trx, { accountId: studentId });
    if (name !== undefined && name !== rowOf(user, 'users').name) {
      await checkTheirs(trx, inClass, studentId, before.state);
      await trx('users').where({ id: studentId }).update({ name });
    }
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'roster.changed',
      classId: inClass.id,
      subject: studentId,
      before: { number: before.number, state: before.state },
      after: {
        // Names are not kept where nothing can be taken out.
        renamed: name !== undefined && name !== rowOf(user, 'users').name,
        number: number === undefined ? before.number : number,
        state: state ?? before.state,
      },
    });
  });
}

/** Codes on paper, one for each student: to claim the place, or to set a new password. Earlier ones are good no more. */
export async function makeSlips(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  studentIds: readonly string[],
  now: Date,
): Promise<Slip[]> {
  return db.transaction(async (trx) => {
    const rows: (Pick<UserRow, 'id' | 'name' | 'email' | 'demo'> & { number: string | null })[] = await trx(
      'members',
    )
      .join('users', 'users.id', 'members.student_id')
      .where({ class_id: inClass.id })
      .whereIn('users.id', studentIds)
      .orderBy('users.name')
      .select('users.id', 'users.name', 'users.email', 'users.demo', 'members.number');
    if (rows.length < new Set(studentIds).size)
      throw invalidField('studentIds', 'unknown', 'One of these is no student of this class.');
    if (rows.some(({ demo, email }) => demo && email !== null))
      throw new HttpError(403, 'demo.password', 'The password of a demo account is printed and stays.');
    const slips: Slip[] = [];
    for (const { id, name, number, email } of rows) {
      const kind = email === null ? 'place' : 'reset';
      // A new password opens the work of every class: where there is another it is the administrator's to give.
      if (kind === 'reset') await checkTheirs(trx, inClass, id, 'active');
      const { code, expiresAt } = await makeCode(trx, { kind, made_by: educatorId, user_id: id }, now);
      if (email) await unlock(trx, email);
      await record(trx, {
        at: now,
        actor: educatorId,
        action: 'roster.slip',
        classId: inClass.id,
        subject: id,
      });
      slips.push({ studentId: id, name, number, kind, code, expiresAt: expiresAt.toISOString() });
    }
    return slips;
  });
}

export async function setJoining(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  joining: Joining,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('classes').where({ id: inClass.id }).update({ joining });
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'class.joining',
      classId: inClass.id,
      before: { joining: inClass.joining },
      after: { joining },
    });
  });
}

/** Eight signs of 32. */
export const newJoinCode = () => newCode(8);

/** Another class code; the one there was is good no more. */
export async function renewJoinCode(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  now: Date,
): Promise<{ joinCode: string }> {
  const joinCode = newJoinCode();
  await db.transaction(async (trx) => {
    await trx('classes').where({ id: inClass.id }).update({ join_code: joinCode });
    await record(trx, { at: now, actor: educatorId, action: 'class.joinCode', classId: inClass.id });
  });
  return { joinCode };
}

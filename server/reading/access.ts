import type { Rights } from '@cimbel/contract';
import type { Knex } from 'knex';
import { ledAtLeast, ledByMe } from '../classes/access';
import type { Call } from '../http/route';
import type { SittingRow, TestOfClass } from './rows';
import { rowOf } from '../db/rows';

const testsWithClass = (call: Call) =>
  call
    .db('reading_tests')
    .join('classes', 'classes.id', 'reading_tests.class_id')
    .select('reading_tests.*', 'classes.name as class_name');

const testLed =
  (least: Rights) =>
  async (call: Call): Promise<TestOfClass | null> => {
    const row: (TestOfClass & { rights: Rights }) | undefined = await ledByMe(testsWithClass(call), call)
      .where({ 'reading_tests.id': call.param('testId') })
      .select('leaders.rights')
      .first();
    return ledAtLeast(least, row);
  };

/** The test, for an educator who leads its class, if only to look and mark. */
export const seenTest = testLed('marking');
/** The test, for an educator who may do everything in its class. */
export const ownTest = testLed('all');

/** The test, for a student of its class. */
export async function testSetToMe(call: Call): Promise<TestOfClass | null> {
  const row = await testsWithClass(call)
    .join('members', 'members.class_id', 'classes.id')
    .where({ 'reading_tests.id': call.param('testId'), 'members.student_id': call.me!.id })
    .first();
  return row ?? null;
}

export interface SittingOfTest {
  sitting: SittingRow;
  test: TestOfClass;
  studentName: string;
}
async function sittingWhere(
  call: Call,
  mine: (sittings: Knex.QueryBuilder) => Knex.QueryBuilder,
): Promise<SittingOfTest | null> {
  const sitting = await call
    .db('sittings')
    .where({ id: call.param('sittingId') })
    .first();
  if (!sitting) return null;
  const sittings = testsWithClass(call).join('sittings', 'sittings.test_id', 'reading_tests.id');
  const test = await mine(sittings).where({ 'sittings.id': sitting.id }).first();
  if (!test) return null;
  const student = await call.db('users').where({ id: sitting.student_id }).first('name');
  return { sitting, test, studentName: rowOf(student, 'users').name };
}

/** A sitting of my own. */
export const mySitting = (call: Call) =>
  sittingWhere(call, (sittings) => sittings.where({ 'sittings.student_id': call.me!.id }));
/** A sitting in a class I lead. */
export const sittingInMyClass = (call: Call) => sittingWhere(call, (sittings) => ledByMe(sittings, call));

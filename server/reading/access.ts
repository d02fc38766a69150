import type { Call } from '../http/route';
import type { SittingRow, TestOfClass } from './rows';

const testsWithClass = (call: Call) =>
  call
    .db('reading_tests')
    .join('classes', 'classes.id', 'reading_tests.class_id')
    .select('reading_tests.*', 'classes.name as class_name');

/** The test, for the educator who leads its class. */
export async function ownTest(call: Call): Promise<TestOfClass | null> {
  const row = await testsWithClass(call)
    .where({ 'reading_tests.id': call.param('testId'), 'classes.educator_id': call.me!.id })
    .first();
  return row ?? null;
}

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
async function sittingWhere(call: Call, mine: Record<string, string>): Promise<SittingOfTest | null> {
  const sitting = await call
    .db<SittingRow>('sittings')
    .where({ id: call.param('sittingId') })
    .first();
  if (!sitting) return null;
  const test = await testsWithClass(call)
    .join('sittings', 'sittings.test_id', 'reading_tests.id')
    .where({ 'sittings.id': sitting.id, ...mine })
    .first();
  if (!test) return null;
  const student = await call.db('users').where({ id: sitting.student_id }).first('name');
  return { sitting, test, studentName: student.name };
}

/** A sitting of my own. */
export const mySitting = (call: Call) => sittingWhere(call, { 'sittings.student_id': call.me!.id });
/** A sitting in a class I lead. */
export const sittingInMyClass = (call: Call) => sittingWhere(call, { 'classes.educator_id': call.me!.id });

import type { Knex } from 'knex';
import { createAccount } from '../accounts/store';
import { createClass } from '../classes/store';
import { seedAssignments } from './assignments';
import { seedGradebook } from './gradebook';
import { seedReading } from './reading';
import { CLASS_NAME, DEMO_PASSWORD, EDUCATOR, STUDENTS } from './scene';

/** Students are numbered by their college, from here on. */
const FIRST_NUMBER = 2041;

/** Puts the demo class in once; a database that has any demo account is left alone. */
export async function seedDemo(db: Knex, now: Date): Promise<void> {
  await db.transaction(async (trx) => {
    // Two servers starting at once on one database must not both seed it; the second waits as long as that takes.
    for (const limit of ['lock_timeout', 'statement_timeout', 'idle_in_transaction_session_timeout'])
      await trx.raw(`set local ${limit} = 0`);
    await trx.raw('select pg_advisory_xact_lock(4600)');
    if (await trx('users').where({ demo: true }).first()) return;
    await seed(trx, now);
  });
}

async function account(
  db: Knex,
  role: 'educator' | 'student',
  { name, email }: { name: string; email: string },
) {
  const made = await createAccount(db, { role, name, email, password: DEMO_PASSWORD, demo: true });
  if (made === 'emailTaken')
    throw new Error(`The demo needs the address ${email}, which an account already has.`);
  return made;
}

async function seed(db: Knex, now: Date): Promise<void> {
  // Class is on an evening, so dates stand at six.
  const evening6 = new Date(now);
  evening6.setUTCHours(18, 0, 0, 0);
  const educator = await account(db, 'educator', EDUCATOR);
  const evening = await createClass(db, educator.id, CLASS_NAME);
  const students: string[] = [];
  for (const student of STUDENTS) {
    const { id } = await account(db, 'student', student);
    await db('memberships').insert({
      class_id: evening.id,
      student_id: id,
      number: String(FIRST_NUMBER + students.length),
      joined_at: now,
    });
    students.push(id);
  }

  await seedReading(db, evening, students, now);
  await seedAssignments(db, evening, students, evening6);
  await seedGradebook(db, evening, students, evening6);
}

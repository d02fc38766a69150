import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { hash } from '@node-rs/argon2';
import { inRoot } from '../lib/system.mjs';

export const PASSWORD = 'long enough for a load';

/** A class of so many students with so many exercises, and a card that can be handed in for any of them. */
export async function fill(base, client, { students, exercises }) {
  const headers = { origin: base, 'content-type': 'application/json' };
  let cookie = '';
  const call = async (method, address, body) => {
    const response = await fetch(base + address, {
      method,
      headers: { ...headers, cookie },
      body: body ? JSON.stringify(body) : undefined,
    });
    const set = response.headers.getSetCookie().map((one) => one.split(';')[0]);
    if (set.length > 0) cookie = set.join('; ');
    if (!response.ok) throw new Error(`${method} ${address}: ${response.status} ${await response.text()}`);
    return response.json();
  };
  const email = 'educator@example.test';
  await call('POST', '/api/accounts', { role: 'educator', name: 'Educator', email, password: PASSWORD });
  const { id: classId } = await call('POST', '/api/classes', { name: 'Two hundred' });
  // The case of the example of open files: a whole service.
  const [{ case: clientCase }] = JSON.parse(
    readFileSync(inRoot('docs/formats/example-pack.json'), 'utf8'),
  ).cases;
  const exercise = {
    title: clientCase.title,
    clientCase,
    open: ['consult', 'read', 'mix', 'apply', 'process', 'finish'],
    rubric: { reading: 3, route: 5, depth: 4, tone: 4, developer: 4, timing: 4, safety: 3 },
  };
  const dueAt = new Date(Date.now() + 7 * 24 * 3600_000).toISOString();
  const { id } = await call('POST', `/api/classes/${classId}/assignments`, {
    exercise,
    dueAt,
    release: 'manual',
  });
  const plan = (await call('GET', `/api/assignments/${id}`)).modelAnswer.card;
  const { rows: columns } = await client.query(
    "select column_name from information_schema.columns where table_name = 'assignments' and column_name <> 'id'",
  );
  const names = columns.map(({ column_name: name }) => name).join(', ');
  for (let i = 1; i < exercises; i++)
    await client.query(`insert into assignments (${names}) select ${names} from assignments where id = $1`, [
      id,
    ]);
  const stored = await hash(PASSWORD);
  const emails = [];
  for (let i = 0; i < students; i++) {
    const student = randomUUID();
    emails.push(`student${i}@example.test`);
    await client.query(
      "insert into users (id, role, name, email, password_hash) values ($1, 'student', $2, $3, $4)",
      [student, `Student ${i}`, emails[i], stored],
    );
    await client.query('insert into memberships (class_id, student_id) values ($1, $2)', [classId, student]);
  }
  await client.query('delete from tries');
  return { emails, plan };
}

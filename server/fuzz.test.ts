import { seededRandom } from '@cimbel/core';
import { allRoutes } from './routes';
import { browser, inClassroom } from './testing/harness';
import type supertest from 'supertest';

/** Bodies and addresses no client of ours sends: each gets an answer of ours, none of them "something went wrong". */
const { h, room } = inClassroom();

const address = (path: string, other?: string) =>
  path
    .replace(':classId', other ?? room.classId)
    .replace(':assignmentId', other ?? room.assignmentId)
    .replace(':practiceId', other ?? room.practiceId)
    .replace(':bookId', other ?? room.bookId)
    .replace(':testId', other ?? room.testId)
    .replace(':sittingId', other ?? room.sittingId)
    .replace(/:\w+/g, other ?? room.student.account.id);
const WRITES = allRoutes().filter(({ method }) => method !== 'get' && method !== 'delete');

const WORDS = [
  'name',
  'title',
  'email',
  'password',
  'answer',
  'exercise',
  'joinCode',
  'id',
  'line',
  'skills',
  'scope',
  'dueAt',
];
/** Raw text of bodies, so that escapes of half a pair of surrogates come through as they are. */
const STRANGE = [
  '"text"', '[]', 'null', '17', '{}', '{"name":null}', '{"name":"\\u0000"}', '{"name":"\\ud800"}', '{"title":"a\\u0000b"}',
  '{"\\u0000":1}', '{"__proto__":{"a":1}}', '{"name":{"toString":1}}', '{"name":"\\u202e\\u0007\\n"}', '{"id":"\\udfff"}',
  '{"email":"a@b\\u0000.test","password":"\\ud83d"}', `{"name":"${'x'.repeat(3000)}"}`, '{"minutesAWeek":1e309}',
  '{"answers":[{"id":"\\u0000"}]}', `${'['.repeat(400)}${']'.repeat(400)}`, `{"answer":${'['.repeat(60_000)}${']'.repeat(60_000)}}`, '{"a":', '\u0000', '{"dueAt":"275760-09-13T00:00:00.001Z"}',
]; // prettier-ignore
const HEADERS: readonly Record<string, string>[] = [
  { 'Content-Type': 'application/json; charset=utf-7' },
  { 'Content-Type': 'application/json; charset=koi8-r' },
  { 'Content-Type': 'application/json; charset="' },
  { 'Content-Type': 'application/json', 'Content-Encoding': 'gzip' },
  { 'Content-Type': 'application/json', 'Content-Encoding': 'br' },
  { 'Content-Type': 'application/json', 'Content-Encoding': 'rot13' },
  { 'Content-Type': 'text/plain' },
  { 'Content-Type': 'application/json' },
];

function explained(answer: supertest.Response, what: string): void {
  const code = (answer.body as { error?: { code?: string } } | undefined)?.error?.code;
  // Whatever is refused is refused by name.
  if (answer.status >= 500 || (answer.status >= 400 && !code))
    throw new Error(`${what}: ${answer.status} ${answer.text}`);
}

describe('what nobody means', () => {
  it('every write answers strange bodies and encodings with an error of ours', async () => {
    const random = seededRandom(20);
    const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)];
    const grown = (): unknown => {
      const kind = random();
      if (kind < 0.3)
        return pick(['', ' ', '\u0007', '\n', 'ﬀ', '=1+1', '😀'.slice(0, 2), '٣', '0x10', '-0']);
      if (kind < 0.5) return pick([0, -1, 1e21, 0.1, 2 ** 31, Number.MAX_SAFE_INTEGER]);
      if (kind < 0.6) return pick([true, false, null]);
      if (kind < 0.8) return Array.from({ length: Math.floor(random() * 3) }, grown);
      return Object.fromEntries(
        Array.from({ length: Math.floor(random() * 4) }, () => [pick(WORDS), grown()]),
      );
    };
    for (const { method, path, who } of WRITES) {
      const page = who === 'student' ? room.student : room.educator;
      for (let i = 0; i < 14; i++) {
        const body = i < 9 ? pick(STRANGE) : JSON.stringify(grown());
        const headers = i % 3 === 0 ? pick(HEADERS) : HEADERS[7];
        const request = page.send(method, address(path));
        for (const [name, value] of Object.entries(headers)) request.set(name, value);
        explained(
          await request.send(body),
          `${method} ${path} ${JSON.stringify(headers)} ${body.slice(0, 80)}`,
        );
      }
    }
  }, 60_000);

  it('every address answers what cannot be read in it with an error of ours', async () => {
    const parts = [
      '%E0%A4%A',
      '%00',
      '%2e%2e',
      '%ff',
      'x'.repeat(2000),
      '00000000-0000-4000-8000-000000000000',
      "1'--",
      '%F0%9F%98%80',
    ];
    for (const { method, path, who } of allRoutes().filter(({ path: name }) => name.includes(':')))
      for (const part of parts) {
        const page = who === 'student' ? room.student : room.educator;
        explained(await page.send(method, address(path, part)), `${method} ${path} ${part}`);
      }
    for (const path of [
      '/api/%E0%A4%A',
      '/api/my/sittings/x/picture?position=%00&picture=1e999',
      '/%c0%ae',
      '/api/session?a=%',
    ])
      explained(await browser(h.app).get(path), path);
  }, 60_000);

  it('names the field that holds what cannot be kept, or more than a line', async () => {
    const strange = async (body: string) =>
      (await room.educator.send('post', '/api/classes').set('Content-Type', 'application/json').send(body))
        .body.error;
    expect(await strange('{"name":"Even\\u0000ing"}')).toMatchObject({
      code: 'request.invalid',
      fields: [{ path: 'name', code: 'characters' }],
    });
    expect(await strange('{"name":"Even\\ud800ing"}')).toMatchObject({
      fields: [{ path: 'name', code: 'characters' }],
    });
    expect(await strange('{"name":"Even\\ning"}')).toMatchObject({
      fields: [{ path: 'name', code: 'oneLine' }],
    });
  });
});

import express from 'express';
import pino from 'pino';
import supertest from 'supertest';
import { inClassroom } from '../testing/harness';
import { errorAnswer } from './guards';

const answering = (error: object) => {
  const app = express();
  app.get('/', () => {
    throw Object.assign(new Error('by the database'), error);
  });
  app.use(errorAnswer(pino({ level: 'silent' })));
  return supertest(app).get('/');
};

describe('what the database refuses', () => {
  it.each([
    ['23505', 409, 'request.taken'],
    ['23503', 409, 'request.goneMeanwhile'],
    ['53100', 503, 'server.cannotWrite'],
    ['25006', 503, 'server.cannotWrite'],
    ['42P01', 500, 'server.unexpected'],
  ])('%s is told as %s %s', async (code, status, told) => {
    const answer = await answering({ code });
    expect(answer.status).toBe(status);
    expect(answer.body.error.code).toBe(told);
    expect(JSON.stringify(answer.body)).not.toContain('by the database');
  });
});

describe('an address or a body that is nobody’s', () => {
  const { h, room } = inClassroom();

  it('is answered in our own shape', async () => {
    for (const page of [room.student, room.educator]) {
      const { body } = await page.get('/api/nothing-of-ours').expect(404);
      expect(body.error.code).toBe('access.notFound');
    }
    const deep = `{"answer":${'['.repeat(20_000)}${']'.repeat(20_000)}}`;
    const { body } = await supertest(h.app)
      .post('/api/session')
      .set({ Host: 'localhost', Origin: 'http://localhost', 'Content-Type': 'application/json' })
      .send(deep)
      .expect(422);
    expect(body.error.code).toBe('request.tooDeep');
  });

  it('is ready only where it can write', async () => {
    await supertest(h.app).get('/readyz').expect(200, { ready: true });
    await h.db.raw('alter table tries rename to tries_gone');
    expect((await supertest(h.app).get('/readyz')).status).toBe(500);
    await h.db.raw('alter table tries_gone rename to tries');
    await supertest(h.app).get('/readyz').expect(200);
  });
});

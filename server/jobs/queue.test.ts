import pino from 'pino';
import { inClassroom } from '../testing/harness';
import { KEPT_DAYS, jobQueue, prune, type Jobs, type QueueWork } from './queue';

const { h } = inClassroom();
const log = pino({ level: 'silent' });
const open: Jobs[] = [];
const queue = async (work: Partial<QueueWork>) => {
  const jobs = await jobQueue(
    h.url,
    {
      regrade: async () => undefined,
      timeUp: async () => null,
      due: async () => [],
      prune: async () => undefined,
      ...work,
    },
    log,
  );
  open.push(jobs);
  return jobs;
};
const until = async (isSo: () => boolean) => {
  for (let i = 0; i < 300 && !isSo(); i++) await new Promise((resolve) => setTimeout(resolve, 50));
  expect(isSo()).toBe(true);
};
afterEach(async () => {
  for (const jobs of open.splice(0)) await jobs.close();
});

describe('the job queue', () => {
  it('does what was asked, once at a time, and again what failed', async () => {
    const begun: string[] = [];
    let running = 0;
    let most = 0;
    const { regrade } = await queue({
      regrade: async (id) => {
        begun.push(id);
        most = Math.max(most, ++running);
        await new Promise((resolve) => setTimeout(resolve, 100));
        running--;
        if (id === 'fails once' && begun.filter((name) => name === id).length === 1)
          throw new Error('cut off');
      },
    });
    await Promise.all([regrade('one'), regrade('one'), regrade('one'), regrade('fails once')]);
    await until(() => begun.filter((id) => id === 'fails once').length === 2);
    expect(begun.filter((id) => id === 'one').length).toBe(1);
    expect(most).toBe(1);
  }, 30_000);

  it('keeps for the next server what the one that was asked never came to', async () => {
    const first = await queue({ regrade: () => new Promise(() => undefined) });
    await first.regrade('hangs');
    await first.regrade('waits');
    await first.close();
    open.length = 0;
    const done: string[] = [];
    await queue({
      regrade: async (id) => {
        done.push(id);
      },
    });
    await until(() => done.includes('waits'));
  }, 60_000);

  it('takes out what is over, and nothing else', async () => {
    const before = await h.db('sessions').count().first();
    const day = 24 * 3600_000;
    const at = (days: number) => new Date(h.clock.now.getTime() + days * day);
    await h.db('sessions').insert([
      { sid: 'over', sess: '{}', expire: at(-KEPT_DAYS.sessions - 1) },
      { sid: 'open', sess: '{}', expire: at(1) },
    ]);
    await h.db('tries').insert([
      { key: 'old', points: 3, expire: at(-KEPT_DAYS.tries - 1).getTime() },
      { key: 'new', points: 3, expire: at(1).getTime() },
    ]);
    const code = { kind: 'invitation', made_at: at(-20) };
    await h.db('codes').insert([
      { ...code, hash: 'old', expires_at: at(-1) },
      { ...code, hash: 'new', expires_at: at(1) },
    ]);
    await prune(h.db, h.clock.now);
    expect(await h.db('sessions').whereIn('sid', ['over', 'open']).pluck('sid')).toEqual(['open']);
    expect(await h.db('tries').whereIn('key', ['old', 'new']).pluck('key')).toEqual(['new']);
    expect(await h.db('codes').pluck('hash')).toEqual(['new']);
    expect(Number((await h.db('sessions').count().first())!.count)).toBe(Number(before!.count) + 1);
  });
});

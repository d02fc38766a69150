import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { HeavyWork } from './heavy';
import { workerPool, type PoolLimits } from './pool';

/** A worker that says back what it was asked after as many milliseconds as it is given. */
const WORKER = `
module.exports = async ({ args: [ms, answer] }) => {
  if (answer === 'fail') throw new Error('as asked');
  if (answer === 'hang') for (;;);
  await new Promise((resolve) => setTimeout(resolve, ms));
  return answer;
};`;

let folder: string;
const open: HeavyWork[] = [];
const pool = (limits: Partial<PoolLimits> = {}) => {
  const heavyWork = workerPool(path.join(folder, 'worker.cjs'), {
    threads: 2,
    waiting: 50,
    waitingEach: 5,
    longestMs: 20_000,
    ...limits,
  });
  open.push(heavyWork);
  const asked = (who: string, isGone?: () => boolean) =>
    heavyWork.of(who, isGone) as unknown as (name: 'any', ms: number, answer: string) => Promise<string>;
  return asked;
};
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'pool-'));
  writeFileSync(path.join(folder, 'worker.cjs'), WORKER);
});
afterEach(async () => {
  for (const heavyWork of open.splice(0)) await heavyWork.close();
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('worker threads', () => {
  it('do one thing of each at a time, in order, and nobody stands behind all of another', async () => {
    const asked = pool();
    const done: string[] = [];
    const keep = (answer: string) => done.push(answer);
    const all = ['A1', 'A2', 'A3', 'A4'].map((name) => asked('A')('any', 60, name).then(keep));
    all.push(asked('B')('any', 1, 'B1').then(keep));
    await Promise.all(all);
    expect(done.filter((name) => name.startsWith('A'))).toEqual(['A1', 'A2', 'A3', 'A4']);
    expect(done.indexOf('B1')).toBeLessThan(done.indexOf('A3'));
  });

  it('leave out what is no longer wanted when its turn comes', async () => {
    const asked = pool();
    let gone = false;
    const first = asked('A')('any', 30, 'first');
    const second = asked('A', () => gone)('any', 1, 'second');
    gone = true;
    expect(await first).toBe('first');
    await expect(second).rejects.toMatchObject({ status: 499 });
    expect(await asked('A')('any', 1, 'third')).toBe('third');
  });

  it('count nothing that is no longer wanted among the five of one', async () => {
    const asked = pool();
    let gone = false;
    const first = asked('A')('any', 50, 'first');
    const left = Array.from({ length: 4 }, (_, i) => asked('A', () => gone)('any', 1, `left ${i}`));
    const settled = Promise.allSettled(left);
    await expect(asked('A')('any', 1, 'sixth')).rejects.toMatchObject({ status: 429 });
    gone = true;
    expect(await asked('A')('any', 1, 'seventh')).toBe('seventh');
    expect(await first).toBe('first');
    for (const { status } of await settled) expect(status).toBe('rejected');
  });

  it('say that too much waits, and take on again what comes later', async () => {
    const asked = pool({ waiting: 2 });
    const two = ['A', 'B'].map((who) => asked(who)('any', 30, who));
    await expect(asked('C')('any', 1, 'C')).rejects.toMatchObject({ status: 503, code: 'server.busy' });
    expect(await Promise.all(two)).toEqual(['A', 'B']);
    expect(await asked('C')('any', 1, 'C')).toBe('C');
  });

  it('take five of one and no more, and mark for others as if nothing else were asked', async () => {
    const asked = pool({ threads: 1 });
    const many = Array.from({ length: 650 }, (_, i) => asked('A')('any', 150, `A${i}`));
    const settled = Promise.allSettled(many);
    const mark = (asked('B') as unknown as (name: 'mark', ms: number, answer: string) => Promise<string>)(
      'mark',
      1,
      'B',
    );
    expect(await Promise.race([mark, many[1]])).toBe('B');
    const all = await settled;
    expect(all.filter(({ status }) => status === 'fulfilled')).toHaveLength(5);
    expect(all.at(-1)).toMatchObject({ reason: { status: 429, code: 'server.yoursWaiting' } });
    // A fair turn again as soon as those are done.
    expect(await asked('A')('any', 1, 'after')).toBe('after');
  });

  it('begin to count when a thread is free, not while something waits for one', async () => {
    const asked = pool({ threads: 1, longestMs: 600 });
    const four = ['A', 'B', 'C', 'D'].map((who) => asked(who)('any', 300, who));
    expect(await Promise.all(four)).toEqual(['A', 'B', 'C', 'D']);
  });

  it('give up what takes too long, and go on', async () => {
    const asked = pool({ longestMs: 300 });
    await expect(asked('A')('any', 0, 'hang')).rejects.toMatchObject({ code: 'server.tooLong' });
    await expect(asked('A')('any', 0, 'fail')).rejects.toThrow('as asked');
    expect(await asked('A')('any', 1, 'after')).toBe('after');
  });
});

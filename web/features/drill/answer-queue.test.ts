import type { DrillAnswer, DrillAnswersKept } from '@cimbel/contract';
import { DRILL_EDITION, PLAIN_CONTEXT } from '@cimbel/core/drill';
import { ApiError } from '../../lib/api';
import { makeQueue } from './answer-queue';

const cache = new Map<string, string>();
beforeEach(() => {
  cache.clear();
  globalThis.localStorage = {
    getItem: (name: string) => cache.get(name) ?? null,
    setItem: (name: string, value: string) => void cache.set(name, value),
    removeItem: (name: string) => void cache.delete(name),
  } as unknown as Storage;
});

const answer = (id: string): DrillAnswer => ({
  id,
  classId: null,
  practiceId: null,
  spec: { skill: 'level', facet: 'mediumLevels', step: 1, seed: 1 },
  edition: DRILL_EDITION,
  ...PLAIN_CONTEXT,
  ownLines: [],
  response: { kind: 'figure', value: 6 },
  assisted: false,
  at: '2026-03-02T17:30:00.000Z',
  seconds: 4,
});
const offline = () => Promise.reject(new ApiError(0, 'network', ''));

describe('answers waiting to be sent', () => {
  it('survive a lost connection and a reload, then arrive once and in order', async () => {
    const away = makeQueue('q', offline);
    ['a', 'b', 'c'].forEach((id) => away.add(answer(id)));
    await away.flush();
    expect(away.waiting()).toHaveLength(3);

    const arrived: string[] = [];
    const back = makeQueue('q', async (answers) => {
      arrived.push(...answers.map(({ id }) => id));
      return { kept: answers.map(({ id }) => id), refused: [] };
    });
    await Promise.all([back.flush(), back.flush()]);
    expect(arrived).toEqual(['a', 'b', 'c']);
    expect(back.waiting()).toEqual([]);
    expect(makeQueue('q', offline).waiting()).toEqual([]);
  });

  it('keep what was answered while others were on their way', async () => {
    let finish: (result: DrillAnswersKept) => void = () => undefined;
    const sent: string[][] = [];
    const queue = makeQueue('q', (answers) => {
      sent.push(answers.map(({ id }) => id));
      return new Promise((resolve) => (finish = resolve));
    });
    queue.add(answer('a'));
    const flushing = queue.flush();
    queue.add(answer('b'));
    finish({ kept: ['a'], refused: [] });
    await new Promise((resolve) => setTimeout(resolve));
    expect(queue.waiting().map(({ id }) => id)).toEqual(['b']);
    finish({ kept: ['b'], refused: [] });
    await flushing;
    expect(sent).toEqual([['a'], ['b']]);
  });

  it('are not sent for ever when the server will never take them', async () => {
    const refusing = makeQueue('q', async (answers) => ({
      kept: [],
      refused: answers.map(({ id }) => ({ id, code: 'notYours' as const })),
    }));
    refusing.add(answer('a'));
    await refusing.flush();
    expect([refusing.waiting().length, refusing.refused()]).toEqual([0, 1]);
    const unreadable = makeQueue('q', () => Promise.reject(new ApiError(422, 'request.invalid', '')));
    unreadable.add(answer('b'));
    await unreadable.flush();
    expect([unreadable.waiting().length, unreadable.refused()]).toEqual([0, 1]);
  });

  it('go in batches a request can take, and stay when the session has ended', async () => {
    const sizes: number[] = [];
    const queue = makeQueue('q', async (answers) => {
      sizes.push(answers.length);
      return { kept: answers.map(({ id }) => id), refused: [] };
    });
    for (let i = 0; i < 120; i++) queue.add(answer(`n${i}`));
    await queue.flush();
    expect(sizes).toEqual([50, 50, 20]);
    const signedOut = makeQueue('q', () => Promise.reject(new ApiError(401, 'session.needed', '')));
    signedOut.add(answer('z'));
    await signedOut.flush();
    expect(signedOut.waiting()).toHaveLength(1);
  });
});

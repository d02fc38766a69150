import type { EducatorAssignment, StudentAssignmentView } from '@cimbel/contract';
import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import { shippedCase } from '@cimbel/core/cases';
import { CARD_STEPS, MOST_VARIANTS } from '@cimbel/core/exercise';
import { hereAndNow } from '../jobs/heavy';
import { secretRandom } from '../jobs/secret-random';
import { assignmentBody, freshId, inClassroom } from '../testing/harness';
import { runRegrade } from './regrade';
import { variantNumber } from './variants';

const { room, h } = inClassroom();

const setIn = async (
  variants: 'asWritten' | 'shared' | 'own',
  change: object = {},
  caseId = 'one-lighter',
): Promise<string> => {
  const { body } = await room.educator
    .post(
      `/api/classes/${room.classId}/assignments`,
      assignmentBody(
        {
          open: ['mix', 'apply', 'process'],
          rubric: { route: 5, depth: 6, tone: 5, developer: 4 },
          ...change,
        },
        { variants },
        caseId,
      ),
    )
    .expect(201);
  return body.id;
};
const page = async (id: string): Promise<EducatorAssignment> =>
  (await room.educator.get(`/api/assignments/${id}`).expect(200)).body;
const view = async (browser: typeof room.student, id: string): Promise<StudentAssignmentView> =>
  (await browser.get(`/api/my/assignments/${id}`).expect(200)).body;
const handIn = (browser: typeof room.student, id: string, answer: RecordCard) =>
  browser.post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer }).expect(200);
const written = shippedCase('one-lighter')!.clientCase;

describe('an exercise set in other figures', () => {
  it('is the same for all where it is shared, and is not what is written', async () => {
    const id = await setIn('shared');
    const { variants, setAs, clientCase } = await page(id);
    expect(setAs).toBe('shared');
    expect(clientCase).toEqual(written);
    expect(variants).toHaveLength(1);
    expect(variants[0].clientCase.client.note).toBe('');
    expect(variants[0].clientCase).not.toEqual(written);
    for (const browser of [room.student, room.classmate])
      expect(await view(browser, id)).toMatchObject({ client: variants[0].clientCase.client });
    await handIn(room.student, id, variants[0].modelAnswer.card);
    const [row] = (await page(id)).rows.filter(({ state }) => state === 'handedIn');
    expect(row).toMatchObject({ points: 20, variant: null });
  });

  it('is each student’s own of five: seen, played, marked and shown by it, and marked again by it', async () => {
    const id = await setIn('own');
    const { variants, rows } = await page(id);
    expect(variants.length).toBeGreaterThan(1);
    expect(variants.map(({ number }) => number)).toEqual(variants.map((_, i) => i + 1));
    const theirs = (studentId: string) =>
      variants[rows.find((row) => row.studentId === studentId)!.variant! - 1];
    for (const browser of [room.student, room.classmate]) {
      const mine = theirs(browser.account.id);
      const seen = await view(browser, id);
      expect(seen).toMatchObject({ client: { ...mine.clientCase.client } });
      expect(JSON.stringify(seen)).not.toContain(written.client.name);
      const listed = (await browser.get('/api/my/assignments').expect(200)).body;
      expect(listed.find((one: { id: string }) => one.id === id).clientName).toBe(
        mine.clientCase.client.name,
      );
      await handIn(browser, id, mine.modelAnswer.card);
    }
    const graded = await page(id);
    for (const row of graded.rows.filter(({ state }) => state === 'handedIn')) {
      expect(row.points).toBe(20);
      const result = (await room.educator.get(`/api/attempts/${row.attemptId}`).expect(200)).body;
      expect(result.modelAnswer).toEqual(theirs(row.studentId).modelAnswer);
    }
    await room.educator
      .post(`/api/assignments/${id}/regrade`, {
        rubric: { route: 10, depth: 15, tone: 15, developer: 10 },
      })
      .expect(202);
    await runRegrade(h.db, hereAndNow, id, () => h.clock.now);
    for (const row of (await page(id)).rows.filter(({ state }) => state === 'handedIn'))
      expect(row.points).toBe(50);
    const { attemptId } = graded.rows.find(({ state }) => state === 'handedIn')!;
    const refused = await room.educator
      .post(`/api/assignments/${id}/regrade/preview`, { accept: attemptId })
      .expect(422);
    expect(refused.body.error.code).toBe('regrade.ownFigures');
  });

  it('is drawn anew when it is changed before anybody has begun, and has a card of its own to put right', async () => {
    const change = { open: [...CARD_STEPS], slip: 'ratioTurned', rubric: { ratio: 2 } };
    const id = await setIn('shared', change, 'retouch-grey');
    const before = await page(id);
    const { given } = (await view(room.student, id)) as unknown as { given: RecordCard };
    const labels = ({ bowls }: RecordCard) => bowls.map(({ shades }) => shades.map(({ label }) => label));
    const card = before.variants[0].modelAnswer.card;
    expect(labels(given)).toEqual(labels(card));
    expect(given.bowls).not.toEqual(card.bowls);
    const { exercise } = assignmentBody({}, {}, 'golden-gloss');
    await room.educator.put(`/api/assignments/${id}/exercise`, exercise).expect(200);
    const after = await page(id);
    expect(after.setAs).toBe('shared');
    expect(after.variants.map(({ clientCase }) => clientCase.title)).toEqual([exercise.clientCase.title]);
    expect(after.variants[0].clientCase.wish).not.toEqual(before.variants[0].clientCase.wish);
  });

  it('is refused, with the remedy, where no other figures turn on the same', async () => {
    const { body } = await room.educator
      .post(
        `/api/classes/${room.classId}/assignments`,
        assignmentBody({}, { variants: 'own' }, 'high-lift-retouch'),
      )
      .expect(422);
    expect(body.error.code).toBe('exercise.noVariants');
  });

  it('begins with an empty card as any other', async () => {
    const id = await setIn('own');
    await room.student
      .put(`/api/my/assignments/${id}/draft`, { answer: EMPTY_CARD, version: 0, writer: 'a', attempt: 1 })
      .expect(200);
    expect((await view(room.student, id)) as object).toMatchObject({ stage: 'work' });
  });
});

describe('which variant a student has', () => {
  it('is the same each time, and spread over all of them', () => {
    const numbers = Array.from({ length: 500 }, (_, i) => variantNumber('a', `student ${i}`, MOST_VARIANTS));
    expect(numbers).toEqual(
      Array.from({ length: 500 }, (_, i) => variantNumber('a', `student ${i}`, MOST_VARIANTS)),
    );
    for (let number = 1; number <= MOST_VARIANTS; number++)
      expect(numbers.filter((one) => one === number).length).toBeGreaterThan(60);
    expect(new Set(numbers).size).toBe(MOST_VARIANTS);
  });
});

describe('numbers from a secret', () => {
  it('are the same for the same secret, others for another, and even', () => {
    const draw = (secret: string) => Array.from({ length: 1000 }, secretRandom(secret));
    expect(draw('a')).toEqual(draw('a'));
    expect(draw('a').slice(0, 5)).not.toEqual(draw('b').slice(0, 5));
    const mean = draw('a').reduce((sum, one) => sum + one, 0) / 1000;
    expect(mean).toBeGreaterThan(0.46);
    expect(mean).toBeLessThan(0.54);
    expect(draw('a').every((one) => one >= 0 && one < 1)).toBe(true);
  });
});

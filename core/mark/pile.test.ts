import fc from 'fast-check';
import type { RecordCard } from '../card';
import { gradingOf } from '../testing/solved';
import { markCard } from './mark-card';
import { pileOf, type PiledAnswer } from './pile';
import { cardWithSlip, typicalErrors } from './slips/typical-errors';

const input = gradingOf('retouch-grey');
const { card: best } = input.modelAnswer;
const withVol = (vol: number, grams = 1): RecordCard => ({
  ...best,
  bowls: best.bowls.map((bowl, i) =>
    i === 0
      ? {
          ...bowl,
          shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams * grams })),
          developer: bowl.developer.map((part) => ({ vol, grams: part.grams * grams })),
        }
      : bowl,
  ),
});
const short: RecordCard = { ...best, steps: best.steps.map((step) => ({ ...step, minutes: 12 })) };
const answer = (id: string, card: RecordCard): PiledAnswer => ({ id, grade: markCard(input, card) });

const class_ = [
  answer('a', best),
  answer('b', withVol(40)),
  answer('c', best),
  answer('d', withVol(40, 1.3)),
  answer('e', short),
  answer('f', withVol(40)),
];

describe('a pile of answers', () => {
  it('lays together what was got wrong in the same way, whatever the grams, biggest first', () => {
    const pile = pileOf(class_);
    expect(pile.map(({ answers }) => answers.map(({ id }) => id).sort())).toEqual([
      ['b', 'd', 'f'],
      ['a', 'c'],
      ['e'],
    ]);
    const [strong, right, early] = pile;
    expect(strong.shared.some(({ criterion }) => criterion === 'developer')).toBe(true);
    expect(right).toMatchObject({ shared: [], dangers: [], misconceptions: [] });
    expect(early.shared.every(({ criterion }) => criterion === 'timing')).toBe(true);
  });

  it('lays an answer with one fault more to the others of that fault, and one with two apart', () => {
    const strongAndShort: RecordCard = { ...withVol(40), steps: short.steps };
    const noneNatural: RecordCard = {
      ...strongAndShort,
      bowls: strongAndShort.bowls.map((bowl, i) =>
        i === 0 ? { ...bowl, shades: [{ label: '5:1', grams: 30 }] } : bowl,
      ),
    };
    const pile = pileOf([...class_, answer('g', strongAndShort), answer('h', noneNatural)]);
    const of = (id: string) => pile.find(({ answers }) => answers.some((one) => one.id === id))!;
    expect(of('g')).toBe(of('b'));
    const own = of('g').answers.find(({ id }) => id === 'g')!;
    expect(own.besides[0].criterion).toBe('timing');
    expect(of('h').answers.map(({ id }) => id)).toEqual(['h']);
  });

  it('divides no group by a reading or by grams while there is another fault', () => {
    const readings = Object.fromEntries(
      Object.entries(best.readings).map(([place, reading]) => [place, { ...reading, level: 2 }]),
    );
    const misread = { ...short, readings };
    const pile = pileOf([answer('e', short), answer('i', misread), answer('j', { ...best, readings })]);
    expect(pile.map(({ answers }) => answers.map(({ id }) => id).sort())).toEqual([['e', 'i'], ['j']]);
    expect(pile[1].shared.map(({ criterion }) => criterion)).toEqual(['reading']);
  });

  it('says of each answer what it has besides, and nothing twice', () => {
    for (const { answers, shared } of pileOf(class_)) {
      const names = shared.map(({ criterion, said }) => `${criterion} ${said.code}`);
      expect(new Set(names).size).toBe(names.length);
      for (const { besides } of answers)
        for (const { criterion, said } of besides) expect(names).not.toContain(`${criterion} ${said.code}`);
    }
  });

  it('holds every answer once, whatever order they come in', () => {
    const groupsOf = (answers: readonly PiledAnswer[]) =>
      pileOf(answers).map((group) => [group.name, group.answers.map(({ id }) => id)]);
    const expected = groupsOf(class_);
    fc.assert(
      fc.property(fc.shuffledSubarray(class_, { minLength: class_.length }), (shuffled) => {
        expect(groupsOf(shuffled)).toEqual(expected);
      }),
    );
    expect(expected.flatMap(([, ids]) => ids).sort()).toEqual(class_.map(({ id }) => id));
    expect(pileOf([])).toEqual([]);
  });
});

describe('an evening with thirty answers', () => {
  /** Seconds for a press of a key, for reading a group with its mark and why, and for an answer that is odd in it. */
  const [PRESS_S, GROUP_S, ODD_S] = [1.3, 20, 8];
  /** `l` leaves the marks of a group and goes on; to an odd answer one goes with `n`, and says with `o` that it was seen. */
  const [GROUP_PRESSES, ODD_PRESSES] = [1, 2];

  const evening = (answers: readonly PiledAnswer[]) => {
    const groups = pileOf(answers);
    const odd = groups.flatMap((group) => group.answers.filter(({ besides }) => besides.length > 0)).length;
    const presses = groups.length * GROUP_PRESSES + odd * ODD_PRESSES;
    return { groups, odd, presses, seconds: groups.length * GROUP_S + odd * ODD_S + presses * PRESS_S };
  };
  /** The same way of working, with a hand less sure of the scale: more or less in every bowl. */
  const poured = (card: RecordCard, by: number): RecordCard => ({
    ...card,
    bowls: card.bowls.map((bowl) => ({
      ...bowl,
      shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams * by })),
      developer: bowl.developer.map((part) => ({ ...part, grams: part.grams * by })),
    })),
  });
  const SURE = [1, 1.05, 0.95, 1.1, 0.9, 1.15, 1.2, 1, 1.02];

  /** A class as thirty are: nine right, four ways of thinking that several share, and three that nobody else has. */
  function classOfThirty(caseId: string): PiledAnswer[] {
    const of = gradingOf(caseId);
    const { modelAnswer, lines } = of;
    const { card } = modelAnswer;
    const slips = typicalErrors(of).map(({ misconception }) => misconception);
    const [shared, alone] = [slips.slice(0, 4), slips.slice(4, 7)];
    const slipped = (name: (typeof slips)[number], by: number) =>
      poured(cardWithSlip(name, { card, modelAnswer, lines })!, by);
    const many = (one: (by: number) => RecordCard, count: number) => SURE.slice(0, count).map(one);
    const cards = [
      ...many((by) => poured(card, by), 9),
      ...shared.flatMap((name, i) => many((by) => slipped(name, by), [6, 5, 4, 3][i])),
      ...alone.map((name) => slipped(name, 1)),
    ];
    return cards.map((one, i) => ({ id: String(i), grade: markCard(of, one) }));
  }

  it.each(['retouch-grey', 'first-blonde', 'dark-to-light'])(
    'takes under twenty minutes and ninety presses on %s, each group looked at and each odd answer by itself',
    (caseId) => {
      const answers = classOfThirty(caseId);
      expect(answers).toHaveLength(30);
      const { groups, presses, seconds } = evening(answers);
      // What is alike lies together: no more groups than ways of thinking, with the right ones and those that nobody shares.
      expect(groups.length).toBeLessThanOrEqual(8);
      expect(presses).toBeLessThanOrEqual(90);
      expect(seconds).toBeLessThan(20 * 60);
    },
  );

  it('takes longer the less alike answers are', () => {
    const right = Array.from({ length: 30 }, (_, i) => answer(String(i), best));
    const mixed = classOfThirty('retouch-grey');
    expect(evening(right)).toMatchObject({ presses: 1, seconds: GROUP_S + PRESS_S });
    expect(evening(mixed).seconds).toBeGreaterThan(evening(right).seconds);
  });
});

import fc from 'fast-check';
import type { RecordCard } from '../card';
import { gradingOf } from '../testing/solved';
import { markCard } from './mark-card';
import { pileOf, type PiledAnswer } from './pile';

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

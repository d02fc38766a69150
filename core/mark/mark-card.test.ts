import fc from 'fast-check';
import { type RecordCard, EMPTY_CARD } from '../card';
import { SHIPPED_CASES } from '../cases';
import { withGiven, BENCH_STEPS } from '../exercise';
import { AREA_ORDERS } from '../rules';
import { gradingOf, solved } from '../testing/solved';
import { defaultRubric } from './default-rubric';
import { type Grade, type MarkingInput, markCard } from './mark-card';
import type { Misconception } from './misconception';
import { cardWithSlip } from './slips/typical-errors';

const ids = SHIPPED_CASES.map(({ id }) => id);
const shareOf = (grade: Grade, criterion: string) =>
  grade.criteria.find((criterionMark) => criterionMark.criterion === criterion)!.share;
const slipped = ({ modelAnswer, lines }: MarkingInput, name: Misconception) =>
  cardWithSlip(name, { card: modelAnswer.card, modelAnswer, lines })!;
const graded = (id: string, change: (card: RecordCard) => RecordCard) => {
  const input = gradingOf(id);
  return markCard(input, change(input.modelAnswer.card));
};

/** One thing made worse, whatever the rest of the plan is like. */
const WORSE: Record<string, (card: RecordCard) => RecordCard> = {
  unasked: (card) => ({ ...card, asked: card.asked.slice(1) }),
  untested: (card) => ({ ...card, tests: card.tests.slice(1) }),
  carelessAfter: (card) => ({ ...card, aftercare: card.aftercare.slice(1), nextVisitWeeks: null }),
  misread: (card) => ({
    ...card,
    readings: Object.fromEntries(
      Object.entries(card.readings).map(([zone, read]) => [
        zone,
        { ...read!, greyShare: 1, underlay: null, counter: null },
      ]),
    ),
  }),
  unchecked: (card) => ({
    ...card,
    steps: card.steps.map((application) => ({ ...application, checkEvery: null })),
  }),
  wet: (card) => ({ ...card, steps: card.steps.map((application) => ({ ...application, wet: true })) }),
  fromTheNape: (card) => ({
    ...card,
    steps: card.steps.map((application) => ({ ...application, areas: [...AREA_ORDERS.napeUp] })),
  }),
  overTheLine: (card) => ({
    ...card,
    steps: card.steps.map((application) => ({ ...application, stopsAtLine: false })),
  }),
  tooLittle: (card) => ({
    ...card,
    bowls: card.bowls.map((bowl) => ({
      ...bowl,
      productGrams: bowl.productGrams / 4,
      shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams / 4 })),
      developer: bowl.developer.map((part) => ({ ...part, grams: part.grams / 4 })),
    })),
  }),
  unfinished: (card) => ({ ...card, steps: card.steps.slice(0, -1) }),
  undecided: (card) => ({ ...card, decision: null, visits: null }),
};

describe('the marks of a whole service', () => {
  it('never rise when one thing is changed for the worse, from wherever', () => {
    const names = Object.keys(WORSE);
    fc.assert(
      fc.property(
        fc.constantFrom(...ids),
        fc.subarray(names, { maxLength: 4 }),
        fc.constantFrom(...names),
        (id, before, last) => {
          const start = (card: RecordCard) =>
            before.filter((name) => name !== last).reduce((sofar, name) => WORSE[name](sofar), card);
          const from = graded(id, start);
          const worse = graded(id, (card) => WORSE[last](start(card)));
          expect(worse.points).toBeLessThanOrEqual(from.points);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('are nothing for an empty card', () => {
    for (const id of ids) {
      const { points, max } = graded(id, () => EMPTY_CARD);
      expect({ id, share: points / max }).toEqual({ id, share: 0 });
    }
  });

  it('are the same when the same bowl is said in another way', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ids), fc.double({ min: 0.1, max: 0.9, noNaN: true }), (id, share) => {
        const input = gradingOf(id);
        const { card } = input.modelAnswer;
        const renamed = { A: 'K', B: 'L', C: 'M', D: 'N', E: 'O' } as Record<string, string>;
        const said: RecordCard = {
          ...card,
          bowls: [...card.bowls].reverse().map((bowl) => ({
            ...bowl,
            name: renamed[bowl.name],
            // Two part tubes are a tube.
            shades: bowl.shades.flatMap(({ label, grams }, i) =>
              i > 0
                ? [{ label, grams }]
                : [
                    { label, grams: grams * share },
                    { label, grams: grams * (1 - share) },
                  ],
            ),
          })),
          steps: card.steps.map((application) => ({ ...application, bowl: renamed[application.bowl] })),
        };
        expect(markCard(input, said).points).toBe(markCard(input, card).points);
      }),
      { numRuns: 30 },
    );
  });

  it('takes 20 vol out of 40 and water for 20 vol where the line permits it, and says so', () => {
    const input = gradingOf('retouch-grey');
    const halved = (card: RecordCard): RecordCard => ({
      ...card,
      bowls: card.bowls.map((bowl) =>
        bowl.lineId === 'tarnwick'
          ? {
              ...bowl,
              developer: [
                { vol: 40, grams: bowl.developer[0].grams / 2 },
                { vol: 0, grams: bowl.developer[0].grams / 2 },
              ],
            }
          : bowl,
      ),
    });
    const grade = markCard(input, halved(input.modelAnswer.card));
    expect(grade.points).toBe(grade.max);
    expect(JSON.stringify(grade.criteria)).toContain('mark.developer.rightBlend');
    const never = gradingOf('retouch-grey', { diluteDeveloper: 'never' });
    expect(shareOf(markCard(never, halved(never.modelAnswer.card)), 'developer')).toBeLessThan(1);
  });

  it('allow a careful hand as many grams as the class does (M4)', () => {
    const off = (weighingTolerance: number) => {
      const input = gradingOf('retouch-grey', { weighingTolerance });
      const { card } = input.modelAnswer;
      const bowls = card.bowls.map((bowl) => ({
        ...bowl,
        developer: bowl.developer.map((part) => ({ ...part, grams: part.grams + 3 })),
      }));
      return shareOf(markCard(input, { ...card, bowls }), 'ratio');
    };
    expect(off(4)).toBe(1);
    expect(off(2)).toBeLessThan(1);
  });

  it('follows what was read: one wrong reading is paid for once, and never pays', () => {
    const input = gradingOf('two-lighter-cool');
    const { card } = input.modelAnswer;
    const readings = Object.fromEntries(
      Object.entries(card.readings).map(([zone, read]) => [zone, { ...read!, level: 6 }]),
    );
    // Read as 6, one level is to be lifted: 20 vol is right for that.
    const asRead: RecordCard = {
      ...card,
      readings,
      bowls: card.bowls.map((bowl) => ({ ...bowl, developer: [{ ...bowl.developer[0], vol: 20 }] })),
    };
    const grade = markCard(input, asRead);
    // A level off costs six tenths, and never less than what it excuses.
    expect(shareOf(grade, 'reading')).toBeCloseTo(0.4);
    expect(grade.criteria.find(({ criterion }) => criterion === 'developer')).toMatchObject({
      share: 1,
      followed: true,
    });
    expect(grade.points).toBeLessThan(grade.max);
    // The same bowl without the wrong reading is a plain mistake.
    expect(shareOf(markCard(input, { ...asRead, readings: card.readings }), 'developer')).toBeLessThan(1);
  });

  it('never gives more with any wrong reading than with the right one', () => {
    const level = fc.integer({ min: 2, max: 20 }).map((half) => half / 2);
    fc.assert(
      fc.property(
        fc.constantFrom('retouch-grey', 'two-lighter-cool', 'root-and-ends', 'first-blonde'),
        level,
        (id, read) => {
          const input = gradingOf(id);
          const { card } = input.modelAnswer;
          const readings = Object.fromEntries(
            Object.entries(card.readings).map(([zone, zoneReading]) => [
              zone,
              { ...zoneReading!, level: read },
            ]),
          );
          expect(markCard(input, { ...card, readings }).points).toBeLessThanOrEqual(
            markCard(input, card).points,
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it('cap a plan that would hurt the client below a pass, and say why', () => {
    const served = gradingOf('not-today');
    const inSpite = slipped(served, 'servedInSpite');
    expect(markCard(served, inSpite)).toMatchObject({
      points: 10,
      max: 100,
      dangers: [{ code: 'danger.served', params: { stop: 'stop.reaction' } }],
    });
    const blonde = gradingOf('first-blonde');
    const strong = slipped(blonde, 'strongOnScalp');
    const grade = markCard(blonde, strong);
    expect(grade.uncapped / grade.max).toBeGreaterThan(0.8);
    expect(grade.points / grade.max).toBeLessThanOrEqual(0.4);
    expect(grade.dangers[0]).toMatchObject({
      code: 'danger.strongOnScalp',
      rule: 'D4',
      params: { given: 40, most: 20 },
    });
  });

  it('count another mix as right when the hair comes out as well', () => {
    const input = gradingOf('golden-gloss');
    const { card } = input.modelAnswer;
    // A fifth of neutral in a gold is a step off by the rules of thumb, and no eye sees it on the hair.
    const thinned: RecordCard = {
      ...card,
      bowls: card.bowls.map((bowl) => ({
        ...bowl,
        shades: [
          { label: '7-H', grams: bowl.shades[0].grams * 0.8 },
          { label: '7-L', grams: bowl.shades[0].grams * 0.2 },
        ],
      })),
    };
    const grade = markCard(input, thinned);
    expect(shareOf(grade, 'tone')).toBe(1);
    expect(JSON.stringify(grade.criteria)).toContain('mark.shades.equivalent');
  });

  it('are the same to the letter when made again', () => {
    const input = gradingOf('dark-band');
    const card = slipped(input, 'colourLiftsColour');
    expect(JSON.stringify(markCard(input, card))).toBe(
      JSON.stringify(markCard(JSON.parse(JSON.stringify(input)), card)),
    );
  });

  it('name the house rules they rest on, and only those', () => {
    const used = (id: string) => {
      const input = gradingOf(id);
      return markCard(input, input.modelAnswer.card).houseRules.map(({ rule }) => rule);
    };
    expect(used('two-lighter-cool')).toEqual(['underlay', 'liftByColour', 'diluteDeveloper', 'timerStarts']);
    expect(used('gold-over-white')).toEqual(['greyShare', 'resistantGrey', 'diluteDeveloper', 'timerStarts']);
    expect(used('first-blonde')).toContain('lightenerOnScalp');
    expect(used('not-today')).toEqual([]);
  });

  it('leave out what is switched off, and give it', () => {
    const modelAnswer = solved('two-lighter-cool');
    const open = ['mix'] as const;
    const rubric = defaultRubric(modelAnswer, modelAnswer.clientCase, open);
    expect(Object.keys(rubric).sort()).toEqual(['amount', 'depth', 'developer', 'ratio', 'tone']);
    const only: RecordCard = { ...EMPTY_CARD, bowls: modelAnswer.card.bowls };
    expect(withGiven(only, modelAnswer.card, open)).toEqual(modelAnswer.card);
    expect(withGiven(EMPTY_CARD, modelAnswer.card, BENCH_STEPS)).toEqual(EMPTY_CARD);
    const { points, max } = markCard({ ...gradingOf('two-lighter-cool'), open, rubric }, only);
    expect(points).toBe(max);
  });
});

describe('a toner deeper than the rules have it', () => {
  const deeperBy = (levels: number) => {
    const toned = gradingOf('creamy-pearl');
    const { card } = toned.modelAnswer;
    const deeper = (label: string) => label.replace(/^\d+/, (level) => String(Number(level) - levels));
    const grade = markCard(toned, {
      ...card,
      bowls: card.bowls.map((bowl) => ({
        ...bowl,
        shades: bowl.shades.map((shade) => ({ ...shade, label: deeper(shade.label) })),
      })),
    });
    return { mark: (100 * grade.points) / grade.max, wrong: grade.crucial!.some(({ wrong }) => wrong) };
  };

  it('by two levels is a wrong decision, however soon it is looked at and wiped off; by one it is not (F4)', () => {
    const [one, two] = [deeperBy(1), deeperBy(2)];
    expect(two.wrong).toBe(true);
    expect(two.mark).toBeLessThanOrEqual(70);
    expect(one.wrong).toBe(false);
    expect(one.mark).toBeGreaterThan(75);
  });
});

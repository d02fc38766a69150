import fc from 'fast-check';
import { PULLED_TOO_FAR } from '../process';
import { PLAIN_CONTEXT } from './context';
import { generate, facetsOf } from './generate';
import { type ItemSpec, type Item, type Response, responseKindOf } from './item';
import { markItem, rightResponse, fitsForm } from './mark';
import { comparisonOf } from './picture';
import { SKILLS, DRILL_STEPS } from './skill';

const make = (spec: Omit<ItemSpec, 'seed'>, fits: (item: Item) => boolean = () => true): Item => {
  for (let seed = 0; seed < 400; seed++) {
    const item = generate({ ...spec, seed }, PLAIN_CONTEXT);
    if (fits(item)) return item;
  }
  throw new Error(`no such item of ${spec.skill}`);
};
const figure = (value: number): Response => ({ kind: 'figure', value });
const scoreOf = (item: Item, response: Response) => markItem(item, response).score;

describe('partial marks by distance', () => {
  it('a whole level off is half right on the first steps, two are nothing', () => {
    const item = make({ skill: 'level', facet: 'mediumLevels', step: 2 }, ({ about }) => about?.truth === 5);
    expect([5, 6, 4, 7, 3].map((level) => scoreOf(item, figure(level)))).toEqual([1, 0.5, 0.5, 0, 0]);
  });

  it('half a level off is half right where halves are asked', () => {
    const item = make({ skill: 'level', facet: 'mediumLevels', step: 4 }, ({ about }) => about?.truth === 5);
    expect([5, 5.5, 6].map((level) => scoreOf(item, figure(level)))).toEqual([1, 0.5, 0]);
  });

  it('a share in tenths is half right to the next, a quarter is right or not', () => {
    const quarters = make(
      { skill: 'grey', facet: 'share', step: 1 },
      ({ solution }) => solution.kind === 'figure' && solution.value === 0.5,
    );
    // A quarter off is another quarter: always saying "half" earns nothing for the others.
    expect([0.5, 0.25, 0.75, 0, 1].map((share) => scoreOf(quarters, figure(share)))).toEqual([1, 0, 0, 0, 0]);
    const tenths = make(
      { skill: 'grey', facet: 'share', step: 4 },
      ({ solution }) => solution.kind === 'figure' && solution.value === 0.5,
    );
    expect([0.5, 0.4, 0.3].map((share) => scoreOf(tenths, figure(share)))).toEqual([1, 0.5, 0]);
  });

  it('a strand read rightly is half right where it was pulled further than wet hair is', () => {
    const item = make(
      { skill: 'condition', facet: facetsOf('condition', PLAIN_CONTEXT)[0], step: 1 },
      ({ question }) => question.hands?.kind === 'stretch',
    );
    const right = rightResponse(item);
    const after = (pulled: number) => markItem(item, { ...right, pulled } as Response);
    expect(after(PULLED_TOO_FAR)).toMatchObject({ score: 1, slip: null });
    expect(after(PULLED_TOO_FAR + 0.01)).toMatchObject({
      score: 0.5,
      slip: { code: 'drill.condition.pulledTooFar' },
    });
  });

  it('a careful bowl is half right, a slip of arithmetic is not', () => {
    const item = make({ skill: 'ratio', facet: 'developer', step: 1 });
    const { colour, ratio } = item.question.ask.params as { colour: number; ratio: number };
    const right = colour * ratio;
    expect(scoreOf(item, figure(right + 0.4))).toBe(1);
    expect(scoreOf(item, figure(right + 1.5))).toBe(0.5);
    expect(scoreOf(item, figure(right + 10))).toBe(0);
  });

  it('a mark is right within a twentieth of the length, half right within a tenth, and order of marks does not matter', () => {
    const item = make({ skill: 'zones', facet: 'band', step: 1 });
    if (item.solution.kind !== 'mark') throw new Error('not a mark');
    const [from, to] = item.solution.at;
    const marks = (...at: number[]): Response => ({ kind: 'mark', at });
    expect(scoreOf(item, marks(from + 0.04, to - 0.04))).toBe(1);
    expect(scoreOf(item, marks(to, from))).toBe(1);
    expect(scoreOf(item, marks(from + 0.09, to))).toBe(0.5);
    expect(scoreOf(item, marks(from + 0.3, to))).toBe(0);
  });

  it('one pair of neighbours turned round is near, the order turned round is nothing', () => {
    const item = make({ skill: 'order', facet: 'light', step: 5 });
    const right = rightResponse(item);
    if (right.kind !== 'order') throw new Error('not an order');
    const [first, second, ...rest] = right.order;
    const turned = scoreOf(item, { kind: 'order', order: [second, first, ...rest] });
    // Fourteen of fifteen pairs stand right: 2 × 14/15 − 1.
    expect(turned).toBeCloseTo(13 / 15);
    expect(scoreOf(item, { kind: 'order', order: [...right.order].reverse() })).toBe(0);
  });
});

describe('what a wrong answer shows', () => {
  it('names the misconception behind a figure', () => {
    const percent = make({ skill: 'developer', facet: 'percent', step: 1 });
    const { vol } = percent.question.ask.params as { vol: number };
    expect(markItem(percent, figure(vol)).slip?.code).toBe('drill.developer.readAsOther');
    expect(markItem(percent, figure(vol / 10)).slip?.code).toBe('drill.developer.tenth');
    const total = make(
      { skill: 'ratio', facet: 'total', step: 1 },
      ({ question }) => question.ask.params.ratio === 2,
    );
    const { colour } = total.question.ask.params as { colour: number };
    expect(markItem(total, figure(colour * 2)).slip?.code).toBe('drill.ratio.developerOnly');
    expect(markItem(total, figure(colour * 1.5)).slip?.code).toBe('drill.ratio.turned');
  });

  it('names it for a choice: a pigment read from the start, a toner lighter than the hair', () => {
    const predict = make({ skill: 'predict', facet: 'lightLevels', step: 1 }, ({ slips: mistakes }) =>
      mistakes.some(({ why }) => why.code === 'drill.predict.fromStart'),
    );
    const mistake = predict.slips.find(({ why }) => why.code === 'drill.predict.fromStart')!;
    expect(markItem(predict, { kind: 'choice', index: mistake.answer })).toMatchObject({
      score: 0,
      slip: mistake.why,
    });
    const toner = make({ skill: 'toner', facet: 'mediumLevels', step: 2 }, ({ slips: mistakes }) =>
      mistakes.some(({ why }) => why.code === 'drill.toner.tooLight'),
    );
    expect(toner.slips.every(({ answer }) => answer !== (toner.solution as { right: number }).right)).toBe(
      true,
    );
  });

  it('says by how much and to which side a level was read wrong', () => {
    const item = make({ skill: 'level', facet: 'mediumLevels', step: 1 }, ({ about }) => about?.truth === 6);
    expect(markItem(item, figure(8)).slip).toMatchObject({
      code: 'drill.level.readTooLight.plain',
      params: { levels: 2 },
    });
    expect(markItem(item, figure(5)).slip).toMatchObject({
      code: 'drill.level.readTooDark.plain',
      params: { levels: 1 },
    });
    expect(markItem(item, figure(5)).reading).toEqual({ of: 'level', truth: 6, given: 5 });
    expect(markItem(item, figure(6)).slip).toBeNull();
  });
});

describe('what is an answer at all', () => {
  it('is of the form’s own kind, with the options and places there are', () => {
    const level = make({ skill: 'level', facet: 'mediumLevels', step: 1 });
    expect(fitsForm(level, figure(0))).toBe(false);
    expect(fitsForm(level, figure(11))).toBe(false);
    expect(fitsForm(level, { kind: 'choice', index: 0 })).toBe(false);
    const order = make({ skill: 'order', facet: 'light', step: 1 });
    expect(fitsForm(order, { kind: 'order', order: [0, 0, 1] })).toBe(false);
    expect(fitsForm(order, { kind: 'order', order: [0, 1] })).toBe(false);
    expect(fitsForm(order, { kind: 'order', order: [0, 1, 3] })).toBe(false);
    const share = make({ skill: 'grey', facet: 'share', step: 1 });
    expect(fitsForm(share, figure(25))).toBe(false);
    expect(() => markItem(level, { kind: 'mark', at: [0.5] })).toThrow(RangeError);
  });

  it('never earns more than the right one, whatever it is', () => {
    const responses: fc.Arbitrary<Response> = fc.oneof(
      fc.record({
        kind: fc.constant('figure' as const),
        value: fc.double({ min: 0, max: 200, noNaN: true }),
      }),
      fc.record({ kind: fc.constant('choice' as const), index: fc.integer({ min: 0, max: 11 }) }),
      fc.record({
        kind: fc.constant('order' as const),
        order: fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 2 }),
      }),
      fc.record({
        kind: fc.constant('mark' as const),
        at: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 2 }),
      }),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...SKILLS),
        fc.constantFrom(...DRILL_STEPS),
        fc.nat(),
        responses,
        (skill, step, seed, response) => {
          const facets = facetsOf(skill, PLAIN_CONTEXT);
          const item = generate({ skill, facet: facets[seed % facets.length], step, seed }, PLAIN_CONTEXT);
          expect(rightResponse(item).kind).toBe(responseKindOf(item.question.form));
          if (!fitsForm(item, response)) return;
          const mark = markItem(item, response);
          expect(mark.score).toBeGreaterThanOrEqual(0);
          expect(mark.score).toBeLessThanOrEqual(1);
          expect(mark.right).toBe(mark.score === 1);
          expect(mark.why).toEqual(item.why);
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe('the hair of an answer', () => {
  it('is drawn with the same seed and in the same light as the hair that was shown', () => {
    const item = make({ skill: 'level', facet: 'mediumLevels', step: 1 }, ({ about }) => about?.truth === 6);
    const { truth, answered } = comparisonOf(item, figure(8))!;
    expect(truth.seed).toBe(item.question.pictures[0].look.seed);
    expect(truth).toEqual(item.question.pictures[0].look);
    expect(answered.seed).toBe(truth.seed);
    expect(answered.zones[0].colour.l).toBeGreaterThan(truth.zones[0].colour.l + 10);
  });

  it('is there for a tone and a share, and not for a sum', () => {
    const tone = make({ skill: 'tone', facet: 'warms', step: 2 });
    const right = (tone.solution as { right: number }).right;
    const other = (right + 1) % 3;
    expect(comparisonOf(tone, { kind: 'choice', index: other })!.answered.zones[0].colour).not.toEqual(
      comparisonOf(tone, { kind: 'choice', index: right })!.answered.zones[0].colour,
    );
    const share = make({ skill: 'grey', facet: 'share', step: 1 });
    expect(comparisonOf(share, figure(0.25))!.answered.zones[0].greyShare).toBe(0.25);
    expect(comparisonOf(make({ skill: 'ratio', facet: 'total', step: 1 }), figure(10))).toBeNull();
  });
});

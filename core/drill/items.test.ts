import fc from 'fast-check';
import { differenceOf, LIGHTS, levelOfLightness } from '../colour';
import { houseRulesSchema, type HouseRules } from '../theory';
import {
  facetsOf,
  fitsForm,
  FULL_SCOPE,
  generate,
  markItem,
  PLAIN_CONTEXT,
  rightResponse,
  SKILLS,
  STEPS,
  type DrillContext,
  type Item,
  type ItemSpec,
  type Response,
  type Skill,
} from '.';
import { ORACLES } from '../testing/drill-oracles';

const rules: fc.Arbitrary<HouseRules> = fc
  .record({
    underlay: fc.constantFrom('fine', 'coarse'),
    liftByColour: fc.constantFrom('targetLevel', 'counterbalance'),
    resistantGrey: fc.constantFrom('max20', 'max30'),
    tonerDepth: fc.constantFrom('sameLevel', 'sameOrDeeper'),
    lightenerOnScalp: fc.constantFrom('max20', 'max30'),
    tenVolLightener: fc.constantFrom('allowed', 'notAllowed'),
    fortyVolLightener: fc.constantFrom('never', 'offScalp', 'always'),
    diluteDeveloper: fc.constantFrom('ifLinePermits', 'always', 'never'),
    timerStarts: fc.constantFrom('endOfApplication', 'firstContact'),
  })
  .map((choices) => houseRulesSchema.parse(choices));
const seeds = fc.integer({ min: 0, max: 0xffffffff });

/** What every item has to be, whatever it asks. */
function expectWellFormed({ question, solution, slips, why }: Item): void {
  const { form, pictures } = question;
  expect(why.length).toBeGreaterThan(0);
  if (form.kind === 'choice' && solution.kind === 'choice') {
    expect(form.options.length).toBeGreaterThanOrEqual(2);
    expect(new Set(form.options.map((option) => JSON.stringify(option))).size).toBe(form.options.length);
    expect(solution.right).toBeLessThan(form.options.length);
    expect(slips.map(({ answer }) => answer)).not.toContain(solution.right);
    if (form.byTress) expect(pictures).toHaveLength(form.options.length);
  } else if (solution.kind === 'figure') {
    expect(Number.isFinite(solution.value) && solution.value >= 0).toBe(true);
    expect(solution.full).toBeGreaterThan(0);
    expect(solution.near).toBeGreaterThanOrEqual(solution.full);
    // No mistake that is looked for may pass as right.
    for (const { answer } of slips) expect(Math.abs(answer - solution.value)).toBeGreaterThan(solution.full);
  } else if (solution.kind === 'order') {
    expect([...solution.right].sort((a, b) => a - b)).toEqual(pictures.map((_, i) => i));
    expect(solution.right).not.toEqual(pictures.map((_, i) => i));
  } else if (solution.kind === 'mark' && form.kind === 'mark') {
    expect(solution.at).toHaveLength(form.marks.length);
    const apart = solution.at.slice(1).map((place, i) => place - solution.at[i]);
    for (const gap of apart) expect(gap).toBeGreaterThan(2 * solution.near - solution.full);
  } else throw new Error(`${form.kind} cannot be answered by ${solution.kind}`);
}

/** One wrong response of the item's own kind. */
function wrongResponse({ question: { form, pictures }, solution }: Item): Response {
  if (solution.kind === 'choice' && form.kind === 'choice')
    return { kind: 'choice', index: (solution.right + 1) % form.options.length };
  if (solution.kind === 'order') return { kind: 'order', order: [...solution.right].reverse() };
  if (solution.kind === 'mark') return { kind: 'mark', at: solution.at.map((place) => (place + 0.5) % 1) };
  if (solution.kind !== 'figure') throw new Error('no such kind');
  const { value, near } = solution;
  const further = value + 2 * near + 1;
  const top = form.kind === 'share' ? 1 : form.kind === 'level' ? 10 : Infinity;
  expect(pictures.length).toBeGreaterThanOrEqual(0);
  return { kind: 'figure', value: further <= top ? further : Math.max(0, value - 2 * near - 0.3) };
}

function expectSound(spec: ItemSpec, context: DrillContext): void {
  const item = generate(spec, context);
  expectWellFormed(item);
  const right = rightResponse(item);
  expect(fitsForm(item, right)).toBe(true);
  expect(markItem(item, right)).toMatchObject({ score: 1, right: true, slip: null });
  const wrong = wrongResponse(item);
  if (fitsForm(item, wrong)) expect(markItem(item, wrong).score).toBeLessThan(1);
  ORACLES[spec.skill](item, context);
}

const specIn = (skill: Skill, context: DrillContext) =>
  fc.record({
    skill: fc.constant(skill),
    facet: fc.constantFrom(...facetsOf(skill, context)),
    step: fc.constantFrom(...STEPS),
    seed: seeds,
  });

describe.each(SKILLS)('ten thousand items of %s', (skill) => {
  it('are well-formed, answerable, and have one answer by a reckoning of their own', () => {
    // A few schools with many items each, so that the work of setting up does not hide the items.
    fc.assert(
      fc.property(
        rules,
        fc.array(specIn(skill, PLAIN_CONTEXT), { minLength: 100, maxLength: 100 }),
        (house, specs) => {
          const context = { ...PLAIN_CONTEXT, rules: house };
          for (const spec of specs) expectSound(spec, context);
        },
      ),
      { numRuns: 100, endOnFailure: true },
    );
  }, 240_000);
});

describe('items in any scope', () => {
  it('exist for every facet a scope has, within its levels and lights', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 2, max: 9 }),
        fc.subarray([...LIGHTS], { minLength: 1 }),
        rules,
        fc.constantFrom(...SKILLS),
        fc.constantFrom(...STEPS),
        seeds,
        (minLevel, span, lights, house, skill, step, seed) => {
          const scope = { minLevel, maxLevel: Math.min(10, minLevel + span), lights };
          const context = { rules: house, scope };
          for (const facet of facetsOf(skill, context)) {
            const item = generate({ skill, facet, step, seed }, context);
            expectWellFormed(item);
            expect(lights.includes(item.question.light) || item.question.pictures.length === 0).toBe(true);
            if (item.about?.of === 'level') {
              expect(item.about.truth).toBeGreaterThanOrEqual(scope.minLevel);
              expect(item.about.truth).toBeLessThanOrEqual(scope.maxLevel);
            }
          }
        },
      ),
      { numRuns: 400 },
    );
  }, 120_000);
});

describe('the same spec', () => {
  it('makes the same item, and another seed another', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SKILLS), seeds, fc.constantFrom(...STEPS), (skill, seed, step) => {
        const facet = facetsOf(skill, PLAIN_CONTEXT)[0];
        const make = (s: number) => JSON.stringify(generate({ skill, facet, step, seed: s }, PLAIN_CONTEXT));
        expect(make(seed)).toBe(make(seed));
      }),
      { numRuns: 60 },
    );
    const many = new Set(
      Array.from({ length: 40 }, (_, seed) =>
        JSON.stringify(generate({ skill: 'level', facet: '6', step: 3, seed }, PLAIN_CONTEXT).question),
      ),
    );
    expect(many.size).toBe(40);
  });

  it('is refused for a facet that is not there', () => {
    expect(() => generate({ skill: 'level', facet: '11', step: 1, seed: 1 }, PLAIN_CONTEXT)).toThrow(
      RangeError,
    );
    const dark = { ...PLAIN_CONTEXT, scope: { ...FULL_SCOPE, minLevel: 8 } };
    expect(facetsOf('grey', dark)).toEqual([]);
  });
});

describe('difficulty', () => {
  const meanApart = (skill: Skill, step: (typeof STEPS)[number]) => {
    const facets = facetsOf(skill, PLAIN_CONTEXT);
    const apart = Array.from({ length: 120 }, (_, seed) =>
      generate({ skill, facet: facets[seed % facets.length], step, seed }, PLAIN_CONTEXT),
    ).flatMap(({ apart }) => (apart ? [apart.deltaE] : []));
    return apart.reduce((a, b) => a + b, 0) / apart.length;
  };
  it.each(['level', 'tone', 'underlay', 'order', 'zones', 'grey', 'toner'] as const)(
    'brings the answers of %s nearer to each other in ΔE2000 from the first step to the last',
    (skill) => {
      expect(meanApart(skill, 5)).toBeLessThan(meanApart(skill, 1) * 0.85);
    },
  );

  it('states levels apart as they are', () => {
    const item = generate({ skill: 'level', facet: '5', step: 5, seed: 4 }, PLAIN_CONTEXT);
    expect(item.apart!.levels).toBe(0.5);
    const [zone] = item.question.pictures[0].look.zones;
    if (item.question.light === 'daylight')
      expect(Math.abs(levelOfLightness(zone.colour.l) - Number(item.about!.truth))).toBeLessThanOrEqual(0.3);
    expect(differenceOf(zone.colour, zone.colour)).toBe(0);
  });
});

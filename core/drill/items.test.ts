import fc from 'fast-check';
import { LIGHTS, levelOfLightness } from '../colour';
import { seedFrom } from '../random';
import { type HouseRules, houseRulesSchema } from '../rules';
import { chanceOf } from './chance';
import { type DrillContext, PLAIN_CONTEXT, FULL_SCOPE } from './context';
import { generate, facetsOf } from './generate';
import type { Item, Response, ItemSpec } from './item';
import { markItem, fitsForm, rightResponse } from './mark';
import { type Skill, DRILL_STEPS, SKILLS } from './skill';
import { ORACLES } from './tests/oracles';

const rules: fc.Arbitrary<HouseRules> = fc
  .record({
    greyShare: fc.constantFrom('stepped', 'oneToTwo'),
    endsRefresh: fc.constantFrom('gloss', 'diluteLeftover', 'waterEmulsify'),
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

/** As `expect`, without its cost: tens of thousands of items are looked at. */
function must(holds: boolean, what: string, item: Item): asserts holds {
  if (!holds) throw new Error(`${what}: ${JSON.stringify(item)}`);
}

/** A quarter, and a little where half of the mark is given for what is nearly right. */
const MOST_BY_CHANCE = 0.39;

/** Every wrong answer has a sentence about it, and what is called too much is more. */
function mustAnswerEveryMistake(item: Item): void {
  const { question, solution } = item;
  const { form } = question;
  if (form.kind === 'choice' && solution.kind === 'choice') {
    form.options.forEach((_, index) => {
      const mark = markItem(item, { kind: 'choice', index });
      must((mark.slip === null) === (index === solution.right), `option ${index} has no answer`, item);
    });
    return;
  }
  if (form.kind === 'figure' && solution.kind === 'figure') {
    const { value, full } = solution;
    for (const given of [
      value + full * 1.5 + 0.01,
      value * 1.7 + 2,
      Math.max(0, value - full * 1.5 - 0.01),
      value * 0.4,
    ]) {
      const mark = markItem(item, { kind: 'figure', value: given });
      if (mark.score < 1) must(mark.slip !== null, `${given} has no answer`, item);
      // Over and under are never said of the other.
      const way = mark.slip?.code.split('.').at(-1);
      if (way === 'over') must(given > value, 'called too much', item);
      if (way === 'under') must(given < value, 'called too little', item);
    }
    return;
  }
  const wrong = wrongResponse(item);
  must(markItem(item, wrong).slip !== null, 'a wrong answer has no answer', item);
}

/** What every item has to be, whatever it asks. */
function mustBeWellFormed(item: Item): void {
  const { question, solution, slips: mistakes, why } = item;
  const { form, pictures } = question;
  must(why.length > 0, 'no reason', item);
  // Whoever looks at nothing gets about a quarter at most, and nothing once chance is taken off.
  must(chanceOf(item) <= MOST_BY_CHANCE, `${chanceOf(item)} by chance`, item);
  mustAnswerEveryMistake(item);
  if (form.kind === 'choice' && solution.kind === 'choice') {
    must(form.options.length >= 2, 'too few options', item);
    must(
      new Set(form.options.map((o) => JSON.stringify(o))).size === form.options.length,
      'twice the same',
      item,
    );
    must(solution.right >= 0 && solution.right < form.options.length, 'the right one is not there', item);
    must(!mistakes.some(({ answer }) => answer === solution.right), 'the right one is called a slip', item);
    must(!form.byTress || pictures.length === form.options.length, 'a tress for each option', item);
  } else if (solution.kind === 'figure') {
    const { value, full, near } = solution;
    must(Number.isFinite(value) && value >= 0, 'no figure', item);
    must(full > 0 && near >= full, 'no tolerance', item);
    // No mistake that is looked for may pass as right.
    must(
      mistakes.every(({ answer }) => Math.abs(answer - value) > full),
      'a slip passes',
      item,
    );
  } else if (solution.kind === 'order') {
    must(new Set(solution.right).size === pictures.length, 'an order of all', item);
    must(
      solution.right.some((which, place) => which !== place),
      'already in order',
      item,
    );
  } else if (solution.kind === 'mark' && form.kind === 'mark') {
    must(solution.at.length === form.marks.length, 'as many marks as asked', item);
    must(
      solution.at.every(
        (place, i) => i === 0 || place - solution.at[i - 1] > 2 * solution.near - solution.full,
      ),
      'marks too close to tell',
      item,
    );
  } else
    must(fitsForm(item, rightResponse(item)), `${form.kind} cannot be answered by ${solution.kind}`, item);
}

/** One wrong response of the item's own kind. */
function wrongResponse({ question: { form }, solution }: Item): Response {
  switch (solution.kind) {
    case 'choice':
      if (form.kind !== 'choice') throw new Error('no such form');
      return { kind: 'choice', index: (solution.right + 1) % form.options.length };
    case 'order':
      return { kind: 'order', order: [...solution.right].reverse() };
    case 'mark':
      return { kind: 'mark', at: solution.at.map((place) => (place + 0.5) % 1) };
    case 'strength':
      return { kind: 'amounts', grams: [solution.grams, 0] };
    case 'amounts':
      return { kind: 'amounts', grams: solution.grams.map((grams) => grams * 1.5) };
    case 'shares':
      return { ...solution, kind: 'shares', shares: solution.shares.map((share) => (share > 0.5 ? 0 : 1)) };
    case 'clock':
      return { kind: 'clock', starts: solution.starts.map(() => 0), checks: [], rinse: solution.rinse };
    case 'figure': {
      const { value, near } = solution;
      if (form.kind === 'share') return { kind: 'figure', value: value > 0.5 ? value - 0.5 : value + 0.5 };
      if (form.kind === 'level') return { kind: 'figure', value: value > 5 ? value - 3 : value + 3 };
      return { kind: 'figure', value: value + 2 * near + 1 };
    }
  }
}

/** What a question asks, its figures left out where it is a sum: another figure is not another question. */
function whatIsAsked(item: Item): string {
  const { ask, facts, form, pictures } = item.question;
  const sum = form.kind === 'figure' || form.kind === 'amounts';
  const words = ({ code, params }: { code: string; params: object }) =>
    `${code} ${Object.values(params)
      .filter((value) => !sum || typeof value === 'string')
      .join(' ')}`;
  return JSON.stringify([
    words(ask),
    facts.map(words),
    form.kind === 'choice' ? form.options.map(words).sort() : form.kind,
    pictures.map(({ look: { zones, form: hair, shine } }) => [
      hair,
      shine,
      zones.map(({ from, colour, greyShare }) => [from, Math.round(colour.l), greyShare]),
    ]),
  ]);
}

function mustBeSound(spec: ItemSpec, context: DrillContext): void {
  const item = generate(spec, context);
  mustBeWellFormed(item);
  const right = rightResponse(item);
  must(fitsForm(item, right), 'the right answer cannot be given', item);
  const mark = markItem(item, right);
  must(mark.score === 1 && mark.right && mark.slip === null, 'the right answer is not right', item);
  const wrong = wrongResponse(item);
  must(fitsForm(item, wrong), 'a wrong answer cannot be given', item);
  must(markItem(item, wrong).score < 1, 'a wrong answer is right', item);
  ORACLES[spec.skill](item, context);
}

/** A hundred specs of a skill from one seed, every facet and step in turn. */
function specsFrom(skill: Skill, seed: number, context: DrillContext): ItemSpec[] {
  const facets = facetsOf(skill, context);
  return Array.from({ length: 100 }, (_, i) => ({
    skill,
    facet: facets[i % facets.length],
    step: DRILL_STEPS[Math.floor(i / facets.length) % DRILL_STEPS.length],
    seed: seedFrom(`${seed} ${i}`),
  }));
}

/** A thousand items of a skill at every push; ten thousand with LONG_TESTS set. */
const HUNDREDS = process.env.LONG_TESTS ? 100 : 10;

describe.each(SKILLS)('thousands of items of %s', (skill) => {
  it('are well-formed, answerable, and have one answer by a reckoning of their own', () => {
    fc.assert(
      fc.property(rules, seeds, (house, seed) => {
        const context = { ...PLAIN_CONTEXT, rules: house };
        for (const spec of specsFrom(skill, seed, context)) mustBeSound(spec, context);
      }),
      { numRuns: HUNDREDS },
    );
  }, 240_000);
});

/** House rules that drills rest on, each with its choices. */
const SCHOOLS = {
  underlay: ['fine', 'coarse'],
  liftByColour: ['targetLevel', 'counterbalance'],
  greyShare: ['stepped', 'oneToTwo'],
  tonerDepth: ['sameLevel', 'sameOrDeeper'],
  lightenerOnScalp: ['max20', 'max30'],
  tenVolLightener: ['allowed', 'notAllowed'],
  fortyVolLightener: ['never', 'offScalp', 'always'],
  diluteDeveloper: ['ifLinePermits', 'always', 'never'],
  timerStarts: ['endOfApplication', 'firstContact'],
  endsRefresh: ['gloss', 'diluteLeftover', 'waterEmulsify'],
} as const;

/** What is asked, the schools apart; and what is right. */
const asks = ({ question: { ask, facts } }: Item) =>
  JSON.stringify([ask, facts.filter(({ code }) => !code.startsWith('fact.house.'))]);
const rightOf = ({ question: { form }, solution }: Item) =>
  JSON.stringify(
    solution.kind === 'choice' && form.kind === 'choice' ? form.options[solution.right] : solution,
  );

describe('a question that another school would answer otherwise', () => {
  it.each(Object.entries(SCHOOLS))('names the house rule it rests on: %s', (rule, choices) => {
    const asked = new Set<string>();
    for (const skill of SKILLS)
      for (let seed = 0; seed < 150; seed++) {
        const items = choices.map((choice) => {
          const context = { ...PLAIN_CONTEXT, rules: houseRulesSchema.parse({ [rule]: choice }) };
          const facets = facetsOf(skill, context);
          const facet = facets[seed % facets.length];
          const step = DRILL_STEPS[seed % DRILL_STEPS.length];
          return facetsOf(skill, PLAIN_CONTEXT).includes(facet)
            ? generate({ skill, facet, step, seed }, context)
            : null;
        });
        for (const item of items.slice(1)) {
          const [first] = items;
          if (!item || !first) continue;
          // The same question with another answer.
          if (asks(item) !== asks(first) || rightOf(item) === rightOf(first)) continue;
          asked.add(skill);
          for (const one of [item, first])
            expect({
              ask: one.question.ask.code,
              said: one.question.facts.some(({ code }) => code.startsWith(`fact.house.${rule}.`)),
            }).toMatchObject({ said: true });
        }
      }
    // The test would see nothing if no answer ever changed.
    if (['underlay', 'liftByColour', 'timerStarts', 'lightenerOnScalp'].includes(rule))
      expect(asked.size).toBeGreaterThan(0);
  });
});

describe('variety', () => {
  it.each(SKILLS)('asks forty different questions of %s at every step', (skill) => {
    const facets = facetsOf(skill, PLAIN_CONTEXT);
    for (const step of DRILL_STEPS) {
      const asked = new Set<string>();
      for (let seed = 0; seed < 900 && asked.size < 40; seed++)
        asked.add(
          whatIsAsked(generate({ skill, facet: facets[seed % facets.length], step, seed }, PLAIN_CONTEXT)),
        );
      expect({ step, asked: asked.size }).toEqual({ step, asked: 40 });
    }
  });
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
        fc.constantFrom(...DRILL_STEPS),
        seeds,
        (minLevel, span, lights, house, skill, step, seed) => {
          const scope = { minLevel, maxLevel: Math.min(10, minLevel + span), lights };
          const context = { rules: house, scope };
          for (const facet of facetsOf(skill, context)) {
            const item = generate({ skill, facet, step, seed }, context);
            mustBeWellFormed(item);
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
      fc.property(fc.constantFrom(...SKILLS), seeds, fc.constantFrom(...DRILL_STEPS), (skill, seed, step) => {
        const facet = facetsOf(skill, PLAIN_CONTEXT)[0];
        const make = (s: number) => JSON.stringify(generate({ skill, facet, step, seed: s }, PLAIN_CONTEXT));
        expect(make(seed)).toBe(make(seed));
      }),
      { numRuns: 60 },
    );
    const many = new Set(
      Array.from({ length: 40 }, (_, seed) =>
        JSON.stringify(
          generate({ skill: 'level', facet: 'mediumLevels', step: 3, seed }, PLAIN_CONTEXT).question,
        ),
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
  const meanApart = (skill: Skill, step: (typeof DRILL_STEPS)[number]) => {
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
    const item = generate({ skill: 'level', facet: 'mediumLevels', step: 5, seed: 4 }, PLAIN_CONTEXT);
    expect(item.apart!.levels).toBe(0.5);
    const [zone] = item.question.pictures[0].look.zones;
    if (item.question.light === 'daylight')
      expect(Math.abs(levelOfLightness(zone.colour.l) - Number(item.about!.truth))).toBeLessThanOrEqual(0.3);
  });
});

import {
  facetsOf,
  fitsForm,
  generate,
  JUDGEMENTS,
  markItem,
  PLAIN_CONTEXT,
  SKILLS,
  DRILL_STEPS,
  UNITS,
  patternOf,
  type Item,
  type Response,
  type Term,
} from '@cimbel/core/drill';
import type { Reason } from '@cimbel/core';
import { houseRulesSchema } from '@cimbel/core/rules';
import fc from 'fast-check';
import { facetWords, termWords } from '../features/drill/words';
import { LOCALES } from '../testing/locales';
import { i18n } from './i18n';

const leaves = (tree: object, at = ''): string[] =>
  Object.entries(tree).flatMap(([name, value]) =>
    typeof value === 'string' ? [`${at}${name}`] : leaves(value, `${at}${name}.`),
  );
const BROKEN = /[{}]|undefined|NaN|returned an object/;

/** Parameters that the words of a term interpolate. */
const interpolated = (code: string): string[] => {
  const text = i18n.getResource('en', 'drill', code) as unknown;
  return typeof text === 'string' ? [...text.matchAll(/\{\{\s*(\w+)/g)].map(([, name]) => name) : [];
};
/** What a question carries beyond its words could give the answer away. */
const CARRIED = new Set(['rule', 'ruling']);

/** As `expect`, without its cost: tens of thousands of sentences are looked at. */
function must(holds: boolean, what: string, about: unknown): void {
  if (!holds) throw new Error(`${what}: ${JSON.stringify(about)}`);
}

const seen = { terms: new Set<string>(), reasons: new Set<string>() };
function mustBeWorded(term: Term, sentence: boolean): void {
  seen.terms.add(term.code);
  const said = interpolated(term.code);
  must(
    Object.keys(term.params).every((name) => said.includes(name) || CARRIED.has(name)),
    'carries more',
    term,
  );
  const text = termWords(i18n.t, term);
  must(text !== term.code && text !== '' && !BROKEN.test(text), 'not worded', { term, text });
  must(!sentence || /[.?]$/.test(text), 'no sentence', text);
}
function mustExplain(reason: Reason): void {
  seen.reasons.add(reason.code.replace(/^drill\./, ''));
  const text = i18n.t(reason.code, { ns: 'reasons', ...reason.params });
  must(text !== reason.code && !BROKEN.test(text), 'not worded', { reason, text });
  must(/^["“\d\p{Lu}-].*[.?]$/u.test(text), 'no sentence', text);
}

function mustSpeak(item: Item): void {
  const { question, why, slips: mistakes } = item;
  mustBeWorded(question.ask, true);
  question.facts.forEach((fact) => mustBeWorded(fact, !fact.code.startsWith('option.')));
  question.pictures.forEach(({ caption }) => caption && mustBeWorded(caption, false));
  const { form } = question;
  if (form.kind === 'choice') form.options.forEach((option) => mustBeWorded(option, false));
  if (form.kind === 'mark') form.marks.forEach((mark) => mustBeWorded(mark, false));
  if (form.kind === 'order') [form.from, form.to].forEach((end) => mustBeWorded(end, false));
  if (form.kind === 'amounts') form.things.forEach((thing) => mustBeWorded(thing, false));
  if (form.kind === 'clock') form.zones.forEach((zone) => mustBeWorded(zone, false));
  if (form.kind === 'shares') [...form.places, ...form.naturals].forEach((term) => mustBeWorded(term, false));
  const { hands } = question;
  if (hands?.kind === 'lay' || hands?.kind === 'beam')
    [...hands.things, ...hands.doses].forEach((term) => mustBeWorded(term, false));
  why.forEach(mustExplain);
  mistakes.forEach((mistake) => mustExplain(mistake.why));
  for (const response of wrongResponses(item)) {
    if (!fitsForm(item, response)) continue;
    const { slip, score } = markItem(item, response);
    if (score === 1) continue;
    must(slip !== null, 'nothing is said', { question, response });
    mustExplain(slip!);
  }
}

/** Answers that go wrong in each way the item's kind can. */
function wrongResponses({ question: { form }, solution }: Item): Response[] {
  switch (solution.kind) {
    case 'figure': {
      const by = form.kind === 'level' ? 1 : form.kind === 'share' ? 0.25 : solution.near + 0.5;
      return [solution.value - by, solution.value + by].map((value) => ({
        kind: 'figure',
        value: Math.max(0, value),
      }));
    }
    case 'order': {
      const [first, second, ...rest] = solution.right;
      return [[second, first, ...rest], [...solution.right].reverse()].map((order) => ({
        kind: 'order',
        order,
      }));
    }
    case 'mark':
      return solution.at.flatMap((_, i) =>
        [-0.12, 0.12].map((by): Response => ({
          kind: 'mark',
          at: solution.at.map((place, j) => Math.min(1, Math.max(0, place + (i === j ? by : 0)))),
        })),
      );
    case 'strength': {
      const { vols, vol, grams } = solution;
      const of = (strength: number, all: number) => {
        const first = (all * (strength - vols[1])) / (vols[0] - vols[1]);
        return { kind: 'amounts' as const, grams: [first, all - first] };
      };
      const right = of(vol, grams).grams;
      return [
        of(vol + 2, grams), of(vol - 2, grams), of(vol, grams + 20), of(vol, grams - 20), of(vols[0], grams),
        { kind: 'amounts', grams: [0, 0] }, { kind: 'amounts', grams: [right[1], right[0]] },
      ]; // prettier-ignore
    }
    case 'amounts':
      return solution.grams.flatMap((_, i) =>
        [0.4, 1.9].map((by): Response => ({
          kind: 'amounts',
          grams: solution.grams.map((grams, j) => (i === j ? grams * by : grams)),
        })),
      );
    case 'shares': {
      const { shares, natural } = solution;
      const other = shares.map((share, i) => (i === 0 ? (share > 0.5 ? share - 0.4 : share + 0.4) : share));
      return [
        { kind: 'shares', shares: other, natural },
        { kind: 'shares', shares: shares.map((share) => Math.min(1, share + 0.3)), natural },
        ...[natural - 1, natural + 1].filter((n) => n >= 0 && n <= 3).map((n): Response => ({ kind: 'shares', shares, natural: n })),
      ]; // prettier-ignore
    }
    case 'clock': {
      const { starts, rinse } = solution;
      const checks = Array.from({ length: Math.floor(rinse / 8) }, (_, i) => 8 * (i + 1));
      return [
        { kind: 'clock', starts: starts.map((at) => at + 9), checks, rinse },
        { kind: 'clock', starts: starts.map((at, i) => (i === 2 ? 0 : at)), checks, rinse },
        { kind: 'clock', starts, checks, rinse: rinse + 9 },
        { kind: 'clock', starts, checks, rinse: rinse - 9 },
        { kind: 'clock', starts, checks: [], rinse },
      ]; // prettier-ignore
    }
    case 'choice':
      // A strand pulled to breaking, and read rightly.
      return [{ kind: 'choice', index: solution.right, pulled: 1.2 }];
  }
}

describe('the words of the drills', () => {
  const rules = fc
    .record({
      underlay: fc.constantFrom('fine', 'coarse'),
      liftByColour: fc.constantFrom('targetLevel', 'counterbalance'),
      greyShare: fc.constantFrom('stepped', 'oneToTwo'),
      resistantGrey: fc.constantFrom('max20', 'max30'),
      tonerDepth: fc.constantFrom('sameLevel', 'sameOrDeeper'),
      tonerProduct: fc.constantFrom('lowStrength', 'permanentAllowed'),
      liftByColourLimit: fc.constantFrom('two', 'three'),
      lightenerOnScalp: fc.constantFrom('max20', 'max30'),
      tenVolLightener: fc.constantFrom('allowed', 'notAllowed'),
      endsRefresh: fc.constantFrom('gloss', 'diluteLeftover', 'waterEmulsify'),
      diluteDeveloper: fc.constantFrom('ifLinePermits', 'always', 'never'),
      timerStarts: fc.constantFrom('endOfApplication', 'firstContact'),
      fortyVolLightener: fc.constantFrom('never', 'offScalp', 'always'),
    })
    .map((choices) => houseRulesSchema.parse(choices));

  it('are there for every question, option, fact and reason', () => {
    fc.assert(
      fc.property(rules, fc.integer({ min: 0, max: 2 ** 31 }), (house, seed) => {
        const context = { ...PLAIN_CONTEXT, rules: house };
        for (const skill of SKILLS)
          facetsOf(skill, context).forEach((facet, i) =>
            mustSpeak(generate({ skill, facet, step: DRILL_STEPS[(seed + i) % 5], seed }, context)),
          );
      }),
      { numRuns: 90, seed: 11 },
    );
  }, 120_000);

  it('are said by some item, each of them', () => {
    const ofItems = Object.entries(LOCALES.en.drill).filter(
      ([name]) => !['skill', 'about', 'facet', 'unit', 'answer', 'older', 'judgement'].includes(name),
    );
    expect(leaves(Object.fromEntries(ofItems)).filter((code) => !seen.terms.has(code))).toEqual([]);
    const { older: _older, judgement: _judgement, ...reasons } = LOCALES.en.reasons.drill;
    expect(leaves(reasons).filter((code) => !seen.reasons.has(code) && !code.startsWith('pattern.'))).toEqual(
      [],
    );
  });

  it('are there for every judgement: what is asked, each option, why it is right, why another is not', () => {
    const { judgement: asked } = LOCALES.en.drill;
    const { judgement: told } = LOCALES.en.reasons.drill;
    expect(Object.keys(asked).sort()).toEqual(JUDGEMENTS.map(({ id }) => id).sort());
    expect(Object.keys(told).sort()).toEqual(JUDGEMENTS.map(({ id }) => id).sort());
    for (const { id, options, right } of JUDGEMENTS) {
      const words = asked[id as keyof typeof asked];
      const { why, slips } = told[id as keyof typeof told];
      expect(words.ask).toMatch(/[?]$/);
      expect(Object.keys(words.options).sort()).toEqual([...options].sort());
      expect(new Set(Object.values(words.options)).size).toBe(options.length);
      // Where schools differ another school's answer has a sentence too; else the right one needs none.
      const schools = typeof right === 'string' ? [right] : Object.values(right.by);
      const never = new Set(schools).size === 1 ? schools : [];
      expect(Object.keys(slips).sort()).toEqual(options.filter((option) => !never.includes(option)).sort());
      expect(Object.keys(why).sort()).toEqual(
        typeof right === 'string' ? Object.keys(why).sort() : Object.keys(right.by).sort(),
      );
      for (const text of [...Object.values(slips), ...(typeof why === 'string' ? [why] : Object.values(why))])
        expect(text).toMatch(/^["“\d\p{Lu}].*[.?]$/u);
    }
  });

  it('speak of a mistake that is made twice', () => {
    const ideas = [
      ...['daylight', 'warmLamp', 'coolWhite'].flatMap((light) => [
        `level drill.level.readTooLight ${light}`,
        `level drill.level.readTooDark ${light}`,
      ]),
      ...['grey drill.grey.readTooMuch', 'grey drill.grey.readTooLittle', 'label drill.label.otherLine'],
      ...['zones drill.zones.past.regrowth0', 'ratio drill.ratio.turned'],
    ];
    for (const idea of ideas) {
      expect(patternOf([idea])).toBeNull();
      expect(patternOf([idea, null])).toBeNull();
      mustExplain(patternOf([idea, null, idea])!);
    }
    expect(
      leaves(LOCALES.en.reasons.drill.pattern).filter((code) => !seen.reasons.has(`pattern.${code}`)),
    ).toEqual([]);
  });

  it('name every skill, facet and unit', () => {
    const { skill, about, unit } = LOCALES.en.drill;
    expect(Object.keys(skill)).toEqual([...SKILLS]);
    expect(Object.keys(about)).toEqual([...SKILLS]);
    expect(Object.keys(LOCALES.en.ui.reading.desk.short).sort()).toEqual([...SKILLS].sort());
    // Others were asked for by questions kept from before.
    expect(Object.keys(unit)).toEqual(expect.arrayContaining([...UNITS]));
    for (const skill of SKILLS)
      for (const facet of facetsOf(skill, PLAIN_CONTEXT)) {
        const text = facetWords(i18n.t, facet);
        expect({ facet, text, worded: text.length > 0 && !/facet\.|tone\./.test(text) }).toMatchObject({
          worded: true,
        });
      }
  });
});

import {
  facetsOf,
  fitsForm,
  markItem,
  generate,
  PLAIN_CONTEXT,
  SKILLS,
  STEPS,
  UNITS,
  type Item,
  type Term,
} from '@cimbel/core/drill';
import type { Reason } from '@cimbel/core';
import { houseRulesSchema } from '@cimbel/core/theory';
import fc from 'fast-check';
import { facetWords, termWords } from '../features/drill/words';
import { LOCALES, i18n } from './i18n';

const leaves = (tree: object, at = ''): string[] =>
  Object.entries(tree).flatMap(([name, value]) =>
    typeof value === 'string' ? [`${at}${name}`] : leaves(value, `${at}${name}.`),
  );
const BROKEN = /[{}]|undefined|NaN|returned an object/;

const seen = { terms: new Set<string>(), reasons: new Set<string>() };
function mustBeWorded(term: Term, sentence: boolean): void {
  seen.terms.add(term.code);
  const text = termWords(i18n.t, term);
  expect({
    code: term.code,
    text,
    worded: text !== term.code && text !== '' && !BROKEN.test(text),
  }).toMatchObject({
    worded: true,
  });
  if (sentence) expect(text).toMatch(/[.?]$/);
}
function mustExplain(reason: Reason): void {
  seen.reasons.add(reason.code.replace(/^drill\./, ''));
  const text = i18n.t(reason.code, { ns: 'reasons', ...reason.params });
  expect({ code: reason.code, worded: text !== reason.code && !BROKEN.test(text) }).toEqual({
    code: reason.code,
    worded: true,
  });
  expect(text).toMatch(/^["“\d\p{Lu}-].*[.]$/u);
}

function mustSpeak(item: Item): void {
  const { question, why, slips } = item;
  mustBeWorded(question.ask, true);
  question.facts.forEach((fact) => mustBeWorded(fact, !fact.code.startsWith('option.')));
  question.pictures.forEach(({ caption }) => caption && mustBeWorded(caption, false));
  const { form } = question;
  if (form.kind === 'choice') form.options.forEach((option) => mustBeWorded(option, false));
  if (form.kind === 'mark') form.marks.forEach((mark) => mustBeWorded(mark, false));
  if (form.kind === 'order') [form.from, form.to].forEach((end) => mustBeWorded(end, false));
  why.forEach(mustExplain);
  slips.forEach((slip) => mustExplain(slip.why));
  if (item.solution.kind !== 'figure' || form.kind === 'figure') return;
  const { value } = item.solution;
  const by = form.kind === 'level' ? 1 : 0.25;
  for (const given of [value - by, value + by]) {
    const response = { kind: 'figure' as const, value: given };
    if (!fitsForm(item, response)) continue;
    const { slip } = markItem(item, response);
    expect(slip).not.toBeNull();
    mustExplain(slip!);
  }
}

describe('the words of the drills', () => {
  const rules = fc
    .record({
      underlay: fc.constantFrom('fine', 'coarse'),
      diluteDeveloper: fc.constantFrom('ifLinePermits', 'always', 'never'),
      timerStarts: fc.constantFrom('endOfApplication', 'firstContact'),
      fortyVolLightener: fc.constantFrom('never', 'always'),
    })
    .map((choices) => houseRulesSchema.parse(choices));

  it('are there for every question, option, fact and reason', () => {
    fc.assert(
      fc.property(rules, fc.integer({ min: 0, max: 2 ** 31 }), (house, seed) => {
        const context = { ...PLAIN_CONTEXT, rules: house };
        for (const skill of SKILLS)
          facetsOf(skill, context).forEach((facet, i) =>
            mustSpeak(generate({ skill, facet, step: STEPS[(seed + i) % 5], seed }, context)),
          );
      }),
      { numRuns: 60, seed: 11 },
    );
  }, 60_000);

  it('are said by some item, each of them', () => {
    const ofItems = Object.entries(LOCALES.en.drill).filter(
      ([name]) => !['skill', 'about', 'facet', 'unit', 'answer'].includes(name),
    );
    expect(leaves(Object.fromEntries(ofItems)).filter((code) => !seen.terms.has(code))).toEqual([]);
    expect(leaves(LOCALES.en.reasons.drill).filter((code) => !seen.reasons.has(code))).toEqual([]);
  });

  it('name every skill, facet and unit', () => {
    const { skill, about, unit } = LOCALES.en.drill;
    expect(Object.keys(skill)).toEqual([...SKILLS]);
    expect(Object.keys(about)).toEqual([...SKILLS]);
    expect(Object.keys(unit)).toEqual([...UNITS]);
    for (const one of SKILLS)
      for (const facet of facetsOf(one, PLAIN_CONTEXT)) {
        const text = facetWords(i18n.t, facet);
        expect({ facet, text, worded: text.length > 0 && !/facet\.|tone\./.test(text) }).toMatchObject({
          worded: true,
        });
      }
  });
});

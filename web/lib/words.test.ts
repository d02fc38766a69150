import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CRITERIA } from '@cimbel/core/exercise';
import type { ClientCase } from '@cimbel/core/case';
import { SHIPPED_CASES, shippedCase } from '@cimbel/core/cases';
import { LINE_KINDS, SERIES, SHIPPED_LINES, readLabel, shippedLine } from '@cimbel/core/product';
import { explain, solveCase } from '@cimbel/core/solve';
import {
  choicesOf,
  HOUSE_RULES,
  houseRuleExample,
  CAUTIONS,
  chooseDeveloper,
  COUNTERS,
  DEFAULT_HOUSE_RULES,
  UNDERLAYS,
  houseRulesSchema,
} from '@cimbel/core/rules';
import { TONE_FAMILIES, type ToneFamily, LIGHTS } from '@cimbel/core/colour';
import type { Reason } from '@cimbel/core';
import {
  DIAMETERS,
  POROSITIES,
  type Porosity,
  HISTORY_KINDS,
  TREATMENTS,
  YELLOWS,
  type HistoryLayer,
  HAIR_FORMS,
} from '@cimbel/core/hair';
import {
  PRESETS,
  PRESET_NAMES,
  LAB_HEATS,
  VIVIDS,
  outcomesChanged,
  settingsChanged,
  type LabCoat,
  type Side,
} from '@cimbel/core/simulate';
import { CONDITIONS, PRODUCT_KINDS, SHAMPOOS, STRETCH_OUTCOMES, WATERS } from '@cimbel/core/process';
import fc from 'fast-check';
import { sourcesIn } from '../../scripts/lib/sources';
import { LOCALES } from '../testing/locales';
import { i18n } from './i18n';

const words = ({ code, params }: Reason) => i18n.t(code, { ns: 'reasons', ...params });
function expectWorded(reason: Reason): void {
  const text = words(reason);
  expect({ code: reason.code, worded: text !== reason.code && !/[{}]|undefined|NaN/.test(text) }).toEqual({
    code: reason.code,
    worded: true,
  });
  // A sentence, begun with a capital or a figure or a quoted sign.
  expect(text).toMatch(/^["“\d\p{Lu}-].*[.]$/u);
}

/** Leaves of a tree of words, as codes. */
const leaves = (tree: object, at = ''): string[] =>
  Object.entries(tree).flatMap(([name, value]) =>
    typeof value === 'string' ? [`${at}${name}`] : leaves(value, `${at}${name}.`),
  );

describe('words', () => {
  const half = fc.integer({ min: 2, max: 20 }).map((n) => n / 2);
  const seen = new Set<string>();
  const say = (reasons: readonly Reason[]) =>
    reasons.forEach((reason) => {
      seen.add(reason.code);
      expectWorded(reason);
    });

  it('are there for every reason of a model answer, and what a careful colourist would add', () => {
    const table = { ...shippedLine('tarnwick')!, id: 'own', greyShares: [{ from: 0.3, natural: 0.4 }] };
    const lines = [...SHIPPED_LINES, table];
    const small = shippedCase('half-grey-gold')!.clientCase;
    const heads = SHIPPED_CASES.map(({ clientCase }) => clientCase);
    const on = (
      natural: number,
      level: number,
      primary: ToneFamily,
      more: { grey?: number; porosity?: Porosity; lineIds?: string[] } = {},
    ): ClientCase => ({
      ...small,
      head: {
        ...small.head,
        zones: [
          {
            ...small.head.zones[0],
            naturalLevel: natural,
            greyShare: more.grey ?? 0,
            porosity: more.porosity ?? 'normal',
          },
        ],
      },
      wish: { mids: { level, tone: { primary } } },
      lineIds: more.lineIds ?? ['tarnwick'],
    });
    heads.push(
      on(4, 7, 'copper'),
      on(8, 6.5, 'ash', { porosity: 'high' }),
      on(6, 6, 'gold', { grey: 0.6, lineIds: ['own'] }),
      on(6, 6, 'gold', { grey: 0.1 }),
      on(5, 6, 'neutral', { grey: 0.95 }),
      on(5, 7, 'gold', { grey: 0.5 }),
      on(5, 5, 'neutral', { grey: 0.9 }),
    );
    for (const rules of [
      DEFAULT_HOUSE_RULES,
      { ...DEFAULT_HOUSE_RULES, liftByColour: 'counterbalance' as const, resistantGrey: 'max30' as const },
    ])
      for (const clientCase of heads) {
        const solved = solveCase(clientCase, lines, rules);
        if (!solved.ok) continue;
        for (const { reasons, notes } of explain(
          solved.modelAnswer,
          (id) => lines.find((line) => line.id === id),
          rules,
        ))
          say([...reasons, ...notes]);
      }
  }, 60_000);

  it('are there for everything that can differ between two sides of the laboratory', () => {
    const start = fc.constantFrom(0, 5, null);
    const coat: fc.Arbitrary<Partial<LabCoat>> = fc.record({
      product: fc.constantFrom(...PRODUCT_KINDS),
      vivid: fc.constantFrom(...VIVIDS),
      fillsLevel: fc.constantFrom(4, 7),
      vol: fc.constantFrom(10, 40),
      ratio: fc.constantFrom(1, 2),
      thinned: fc.constantFrom(0, 1),
      amount: fc.constantFrom(0.25, 1),
      wet: fc.boolean(),
      conditioner: fc.boolean(),
      rinseAt: fc.constantFrom(20, 60, null),
      heat: fc.constantFrom(...LAB_HEATS),
      starts: fc.record({ root: start, mids: start, ends: start }),
    });
    const past: fc.Arbitrary<HistoryLayer> = fc.constantFrom<HistoryLayer[]>(
      { kind: 'lightened', level: 9, yellow: 'bright' },
      { kind: 'permanent', level: 5, tone: { primary: 'copper' } },
      { kind: 'demi', level: 8, tone: { primary: 'ash' }, times: 3 },
      { kind: 'direct', dye: 'directGreen' },
      { kind: 'treated', treatment: 'bond' },
    );
    const change: fc.Arbitrary<Partial<Side>> = fc.record({
      natural: half,
      white: fc.constantFrom(0, 0.4),
      resistant: fc.boolean(),
      porosity: fc.constantFrom(...POROSITIES),
      endsPorosity: fc.constantFrom(...POROSITIES),
      diameter: fc.constantFrom(...DIAMETERS),
      past: fc.array(past, { maxLength: 2 }),
      pastAtRoot: fc.boolean(),
      habits: fc.record({
        washes: fc.constantFrom(1, 3),
        water: fc.constantFrom(...WATERS),
        shampoo: fc.constantFrom(...SHAMPOOS),
        clarifying: fc.constantFrom(0, 1),
        violet: fc.constantFrom(0, 1),
        blue: fc.constantFrom(0, 1),
        sun: fc.boolean(),
        pool: fc.constantFrom(0, 2),
      }),
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...PRESET_NAMES),
        change,
        fc.array(coat, { maxLength: 1 }),
        fc.constantFrom(0, 6),
        (name, different, more, weeks) => {
          const { b } = PRESETS[name];
          const coats = [{ ...b.coats[0], ...more[0] }, ...b.coats.slice(1)];
          const state = { ...PRESETS[name], weeks, b: { ...b, ...different, coats } };
          [...settingsChanged(state), ...outcomesChanged(state)].forEach((reason) => {
            seen.add(reason.code);
            expectWorded(reason);
          });
        },
      ),
      { numRuns: 150, seed: 3 },
    );
  });

  it('are there for a red on hair never coloured', () => {
    const red = { naturalLevel: 5, targetLevel: 5, greyShare: 0, redOnNatural: true };
    chooseDeveloper(red, SHIPPED_LINES[0], DEFAULT_HOUSE_RULES).reasons.forEach((reason) => {
      seen.add(reason.code);
      expectWorded(reason);
    });
  });

  it('are there for a developer that is not on the shelf', () => {
    const [own] = SHIPPED_LINES;
    const grey = { naturalLevel: 5, targetLevel: 5, greyShare: 0.5 };
    for (const [developersVol, mayDilute] of [
      [[40], true],
      [[10, 30], true],
      [[40], false],
      [[10, 20], true],
    ] as const)
      chooseDeveloper(
        grey,
        { ...own, developersVol: [...developersVol], mayDilute },
        DEFAULT_HOUSE_RULES,
      ).reasons.forEach((reason) => {
        seen.add(reason.code);
        expectWorded(reason);
      });
  });

  it('are there for what every house rule comes to', () => {
    for (const rule of HOUSE_RULES)
      for (const choice of choicesOf(rule))
        for (const line of SHIPPED_LINES.filter(({ kind }) => kind === 'permanent')) {
          const example = houseRuleExample(rule, choice, line);
          seen.add(example.code);
          expectWorded(example);
          expect(i18n.t(`houseRules.why.${rule}.${choice}`)).toMatch(/^\p{Lu}|^\d.*\.$/u);
        }
  });

  it('are there for every label that cannot be read, and nothing is worded that the core never says', () => {
    const bare = { key: { ...SHIPPED_LINES[0].key, separator: '' } };
    const noParts = readLabel(bare, 'N');
    if (noParts.ok) throw new Error('N');
    say([noParts.reason]);
    for (const label of ['775', '13:7', '7:', '7:S']) {
      const reading = readLabel(SHIPPED_LINES[0], label);
      if (reading.ok) throw new Error(label);
      seen.add(reading.reason.code);
      expectWorded(reading.reason);
    }
    // Reasons of the drills and of whole services have tests of their own.
    const {
      drill: _drill,
      mark: _s,
      route: _r,
      danger: _d,
      decided: _de,
      stop: _t,
      reveal: _v,
      solve: _l,
      ...marking
    } = LOCALES.en.reasons;
    expect(leaves(marking).filter((code) => !seen.has(code))).toEqual([]);
  });

  it('of the interface are all used somewhere, by name or by the beginning of one', () => {
    const text = sourcesIn(join(__dirname, '..'), ['locales'])
      .map((file) => readFileSync(file, 'utf8'))
      .join('\n');
    const beginnings = [...text.matchAll(/[`'](?:ui:)?([a-zA-Z.]+\.)\$\{/g)].map(
      ([, beginning]) => beginning,
    );
    const names = new Set(leaves(LOCALES.en.ui).map((name) => name.replace(/_(one|other)$/, '')));
    const unused = [...names].filter(
      (name) =>
        !text.includes(`'${name}'`) &&
        !text.includes(`ui:${name}'`) &&
        !beginnings.some((b) => name.startsWith(b)),
    );
    expect(unused).toEqual([]);
  });

  it('name every term of the craft', () => {
    const known = new Set(leaves(LOCALES.en.craft));
    const needed = [
      ...TONE_FAMILIES.map((name) => `tone.${name}`),
      ...UNDERLAYS.map((name) => `underlay.${name}`),
      ...COUNTERS.map((name) => `counter.${name}`),
      ...CRITERIA.flatMap((name) => [`criterion.${name}`, `criterionShort.${name}`]),
      ...CAUTIONS,
      ...LINE_KINDS.map((name) => `kind.${name}`),
      ...SERIES.map((name) => `series.${name}`),
      ...PRODUCT_KINDS.map((name) => `product.${name}`),
      ...CONDITIONS.map((name) => `condition.${name}`),
      ...STRETCH_OUTCOMES.map((name) => `stretch.${name}`),
      ...HISTORY_KINDS.map((name) => `past.${name}`),
      ...TREATMENTS.map((name) => `treatment.${name}`),
      ...Object.keys(YELLOWS).map((name) => `yellow.${name}`),
      ...DIAMETERS.map((name) => `diameter.${name}`),
      ...HAIR_FORMS.map((name) => `form.${name}`),
      ...LIGHTS.map((name) => `light.${name}`),
      ...Object.entries(houseRulesSchema.shape).flatMap(([rule, type]) => {
        const options = (type.unwrap() as { options?: readonly string[] }).options;
        return options ? ['name', ...options].map((option) => `houseRule.${rule}.${option}`) : [];
      }),
    ];
    expect(needed.filter((name) => !known.has(name))).toEqual([]);
  });
});

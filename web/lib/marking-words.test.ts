import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Reason } from '@cimbel/core';
import { SHIPPED_CASES } from '@cimbel/core/cases';
import { CRITERIA, BENCH_STEPS } from '@cimbel/core/exercise';
import { MISCONCEPTIONS, markCard, typicalErrors } from '@cimbel/core/mark';
import { AFTERCARES, EMPTY_CARD, PLACEMENTS, type RecordCard } from '@cimbel/core/card';
import { ZONES, REGIONS, HISTORY_KINDS, type HistoryLayer, AREAS } from '@cimbel/core/hair';
import { CONSULTATION_QUESTIONS, TESTS, answerTo, shownBy } from '@cimbel/core/case';
import { CONDITIONS, TYPICAL } from '@cimbel/core/process';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { MIX_ROLES, TECHNIQUES, techniqueRulings, goalsOf } from '@cimbel/core/method';
import { solveCase } from '@cimbel/core/solve';
import { AREA_ORDERS, DEFAULT_HOUSE_RULES, TAKEN_AS } from '@cimbel/core/rules';
import { gradingOf } from '@cimbel/core/testing/solved';
import { sourcesIn } from '../../scripts/lib/sources';
import { LOCALES } from '../testing/locales';
import { i18n } from './i18n';

const leaves = (tree: object, at = ''): string[] =>
  Object.entries(tree).flatMap(([name, value]) =>
    typeof value === 'string' ? [`${at}${name}`] : leaves(value, `${at}${name}.`),
  );

function mustSay(reason: Reason): void {
  const text = i18n.t(reason.code, { ns: 'reasons', ...reason.params });
  expect({
    code: reason.code,
    text,
    worded: text !== reason.code && !/[{}]|undefined|NaN/.test(text),
  }).toMatchObject({
    worded: true,
  });
  expect(text).toMatch(/^["“\d\p{Lu}].*[.”]$/u);
}

/** Plans that are wrong in many ways at once, so that every criterion has something to say. */
const SPOILT: ((card: RecordCard) => RecordCard)[] = [
  () => EMPTY_CARD,
  (card) => ({ ...card, steps: [], bowls: [] }),
  (card) => ({ ...card, steps: card.steps.slice(0, 1) }),
  (card) => ({
    ...card,
    decision: card.decision === 'decline' ? 'goOn' : 'decline',
    visits: 4,
    nextVisitWeeks: 20,
    aftercare: [...AFTERCARES],
  }),
  (card) => ({
    ...card,
    steps: card.steps.map((application) => ({
      ...application,
      minutes: 3,
      wet: true,
      heat: { from: 0, to: 40 },
      checkEvery: 20,
      stopsAtLine: false,
      areas: ['nape'],
    })),
    bowls: card.bowls.map((bowl) => ({
      ...bowl,
      developer: [
        { vol: 5, grams: 9 },
        { vol: 0, grams: 300 },
      ],
    })),
  }),
  (card) => ({
    ...card,
    readings: Object.fromEntries(
      Object.entries(card.readings).map(([zone, read]) => [
        zone,
        { ...read!, level: 9.5, greyShare: 0.9, underlay: 'red', counter: 'blue' },
      ]),
    ),
    steps: card.steps.map((application) => ({
      ...application,
      start: 0,
      minutes: 110,
      zones: [...application.zones],
      share: 0.6,
      placement: 'open',
    })),
    bowls: card.bowls.map((bowl) => ({
      ...bowl,
      shades: bowl.shades.map((shade) => ({ ...shade, grams: 200 })),
    })),
  }),
  (card) => ({
    ...card,
    readings: Object.fromEntries(
      Object.entries(card.readings).map(([zone, read]) => [zone, { ...read!, level: 1, counter: 'keep' }]),
    ),
    steps: card.steps.map((application) => ({ ...application, zones: [...ZONES] })),
  }),
];

const SAMPLE_LAYERS: Record<(typeof HISTORY_KINDS)[number], HistoryLayer> = {
  lightened: { kind: 'lightened', level: 9 },
  permanent: { kind: 'permanent', level: 5, tone: { primary: 'gold' } },
  demi: { kind: 'demi', level: 8, tone: { primary: 'ash' }, times: 3 },
  acidGloss: { kind: 'acidGloss', level: 9, tone: { primary: 'pearl' } },
  direct: { kind: 'direct', dye: 'directPink' },
  treated: { kind: 'treated', treatment: 'bond' },
  chemical: { kind: 'chemical', service: 'perm', weeksAgo: 6 },
  mineral: { kind: 'mineral', amount: 0.5 },
};

describe('words for whole services', () => {
  it('are there for everything that a plan, a route, a question or a test can bring', () => {
    for (const { id, clientCase } of SHIPPED_CASES) {
      CONSULTATION_QUESTIONS.forEach((question) => answerTo(clientCase, question).forEach(mustSay));
      TESTS.forEach((test) => shownBy(clientCase, test).forEach(mustSay));
      const input = gradingOf(id);
      const { modelAnswer } = input;
      goalsOf(clientCase).forEach((goal) =>
        techniqueRulings(goal, DEFAULT_HOUSE_RULES).forEach(({ reason }) => mustSay(reason)),
      );
      [...modelAnswer.proof, ...modelAnswer.stops].forEach(mustSay);
      const grades = [
        ...typicalErrors(input).map(({ grade }) => grade),
        ...SPOILT.map((spoil) => markCard(input, spoil(modelAnswer.card))),
      ];
      for (const { criteria, dangers, decided } of grades) {
        if (decided) mustSay(decided);
        criteria.forEach(({ findings }) => findings.forEach(mustSay));
        dangers.forEach(mustSay);
      }
    }
    const facts = {
      reaction: true,
      scalp: 'irritated' as const,
      metallicSalts: true,
      weeksSinceColour: 1,
      upkeepWeeks: 1,
    };
    const clientCase = { ...SHIPPED_CASES[0].clientCase, facts };
    CONSULTATION_QUESTIONS.forEach((question) => answerTo(clientCase, question).forEach(mustSay));
    TESTS.forEach((test) => shownBy(clientCase, test).forEach(mustSay));
    const refused = solveCase(
      { ...SHIPPED_CASES[1].clientCase, lineIds: ['hobday'] },
      SHIPPED_LINES,
      DEFAULT_HOUSE_RULES,
    );
    if (refused.ok) throw new Error('a filler alone lifts nothing');
    refused.reasons.forEach(mustSay);
    const [{ clientCase: first }] = SHIPPED_CASES;
    const pale = {
      ...first,
      wish: { ...first.wish, ends: { level: 11, tone: { primary: 'neutral' as const } } },
    };
    const beyond = solveCase(pale, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
    if (beyond.ok) throw new Error('a scale of ten has no 11');
    beyond.reasons.forEach(mustSay);
    for (const goal of goalsOf(pale))
      techniqueRulings({ ...goal, history: { kind: 'untouched' } }, DEFAULT_HOUSE_RULES).forEach(
        ({ reason }) => mustSay(reason),
      );
  }, 90_000);

  it('are there for the ways of every school', () => {
    for (const endsRefresh of ['gloss', 'diluteLeftover', 'waterEmulsify'] as const) {
      const input = gradingOf('retouch-grey', { endsRefresh });
      for (const rules of [input.rules, DEFAULT_HOUSE_RULES])
        markCard({ ...input, rules }, input.modelAnswer.card).criteria.forEach(({ findings }) =>
          findings.forEach(mustSay),
        );
    }
  });

  it('are there for hair of every condition, and for every kind of salt', () => {
    const { clientCase } = SHIPPED_CASES.find(({ id }) => id === 'pale-toner')!;
    for (const condition of CONDITIONS)
      shownBy(
        {
          ...clientCase,
          head: {
            ...clientCase.head,
            zones: clientCase.head.zones.map((zone) => ({ ...zone, ...TYPICAL[condition] })),
          },
        },
        'elasticity',
      ).forEach(mustSay);
    // What a client says in words of their own, and what was done to hair of every kind.
    const worn = HISTORY_KINDS.map((kind) => SAMPLE_LAYERS[kind]);
    const lived = {
      ...clientCase,
      head: { ...clientCase.head, zones: clientCase.head.zones.map((zone) => ({ ...zone, history: worn })) },
      facts: { ...clientCase.facts, weeksSinceColour: 5, told: { budget: 'As little as it takes.' } },
    };
    CONSULTATION_QUESTIONS.forEach((question) => answerTo(lived, question).forEach(mustSay));
    for (const facts of [{}, { plainHenna: true }, { metallicSalts: true }]) {
      const salted = { ...clientCase, facts: { ...clientCase.facts, ...facts } };
      answerTo(salted, 'metallicSalts').forEach(mustSay);
      shownBy(salted, 'incompatibility').forEach(mustSay);
    }
  });

  it('are none that the core never says', () => {
    const core = join(__dirname, '../../core');
    const text = ['hair', 'case', 'card', 'method', 'solve', 'mark']
      .flatMap((folder) => sourcesIn(join(core, folder)))
      .map((file) => readFileSync(file, 'utf8'))
      .join('\n');
    const { mark, route, danger, stop, reveal, solve, decided } = LOCALES.en.reasons;
    const unsaid = leaves({ mark, route, danger, stop, reveal, solve, decided }).filter((code) => {
      const name = code
        .split('.')
        .pop()!
        .replace(/_(one|other)$/, '');
      return !text.includes(`'${name}'`) && !text.includes(`.${name}'`);
    });
    // Kinds of history, porosity, scalp, salts and stretch are named where they are defined.
    const elsewhere = /^reveal\.(porosity\.(low|normal|high)|elasticity\.\w+|metallic\.\w+)$/;
    expect(unsaid.filter((code) => !elsewhere.test(code))).toEqual([]);
  });

  it('name every term of an exercise', () => {
    const known = new Set(leaves(LOCALES.en.craft));
    const needed = [
      ...ZONES.map((name) => `headZone.${name}`),
      ...TECHNIQUES.map((name) => `route.${name}`),
      ...MIX_ROLES.map((name) => `layer.${name}`),
      ...CONSULTATION_QUESTIONS.map((name) => `question.${name}`),
      ...TESTS.map((name) => `hairTest.${name}`),
      ...AFTERCARES.map((name) => `aftercare.${name}`),
      ...PLACEMENTS.map((name) => `placement.${name}`),
      ...AREAS.map((name) => `area.${name}`),
      ...REGIONS.map((name) => `region.${name}`),
      ...TAKEN_AS.map((name) => `taken.${name}`),
      ...Object.keys(AREA_ORDERS).map((name) => `areaOrder.${name}`),
      ...BENCH_STEPS.map((name) => `benchStep.${name}`),
      ...CRITERIA.flatMap((name) => [`criterion.${name}`, `criterionShort.${name}`]),
      ...MISCONCEPTIONS.map((name) => `slip.${name}`),
    ];
    expect(needed.filter((name) => !known.has(name))).toEqual([]);
  });
});

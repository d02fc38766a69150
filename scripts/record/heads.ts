import { BENCH_STEPS, CRITERIA } from '../../core/exercise';
import type { ClientCase } from '../../core/case';
import type { RecordCard } from '../../core/card';
import { SHIPPED_CASES } from '../../core/cases/index';
import {
  MARKING_VERSION,
  defaultRubric,
  markCard,
  typicalErrors,
  standardFor,
  type Grade,
  type MarkingInput,
} from '../../core/mark';
import { SHIPPED_LINES, shippedLine } from '../../core/product';
import { SOLVER_VERSION, explain, solveCase, type SolveResult } from '../../core/solve';
import { carelessPlans, severalAtOnce } from '../../core/testing/careless-plans';
import { SURVEY_HEADS } from '../../core/testing/survey-heads';
import { DEFAULT_HOUSE_RULES, HOUSE_RULES, choicesOf, type HouseRules } from '../../core/rules';
import { figures, type Section } from './section';

const HEADS: readonly { id: string; clientCase: ClientCase; house?: Partial<HouseRules> }[] = [
  ...SHIPPED_CASES,
  ...Object.entries(SURVEY_HEADS).map(([id, clientCase]) => ({ id, clientCase })),
];
/** Schools beside the default, each on every so-many-th head. */
const OTHER_SCHOOLS_EVERY = 9;
/** Plans are marked on every so-many-th head: some thousands in all. */
const MARKED_EVERY = 4;
/** Plans of a head with several things otherwise at once. */
const PLANS_OF_SEVERAL = 60;

/** What is on a card, in the trade's shorthand: `A tarnwick 5:0 30 + 20 vol 45` and `A mids 0–35 nape crown …`. */
function cardLines({ decision, visits, bowls, steps, care }: RecordCard): string[] {
  return [
    `decision ${decision}, appointments ${visits}`,
    ...bowls.map(({ name, lineId, shades, productGrams, developer, others = [] }) =>
      [
        `bowl ${name} ${lineId ?? 'leftover'}`,
        ...shades.map(({ label, grams }) => `${label} ${figures([grams])}`),
        ...(productGrams > 0 ? [`powder ${figures([productGrams])}`] : []),
        ...developer.map(({ vol, grams }) => `${vol} vol ${figures([grams])}`),
        ...others.map(({ kind, grams }) => `${kind} ${figures([grams])}`),
      ].join(', '),
    ),
    ...steps.map(
      ({ bowl, zones, areas, start, minutes, share, placement, checkEvery }) =>
        `apply ${bowl} to ${zones.join(' ')} at ${start} for ${minutes}, share ${share} ${placement}, ` +
        `check ${checkEvery ?? 'never'}, areas ${areas.join(' ')}`,
    ),
    ...care.map(({ do: what, zones, start }) => `${what} ${zones.join(' ')} at ${start}`),
  ];
}

/** What the search says of a head: technique by place, the card, how many others are as good. */
function searchLines(name: string, result: SolveResult): string[] {
  if (!result.ok) return [`${name} | not solved, ${result.reasons.length} reasons`];
  const { card, choices, visits, equivalents } = result.modelAnswer;
  return [
    `${name} | ${choices.map(({ part, technique }) => `${part} ${technique}`).join(', ') || 'nothing'} | ` +
      `${visits.length} appointments, ${equivalents.length} equal | readings ${figures(Object.values(card.readings).flatMap(({ level, greyShare }) => [level ?? -1, greyShare ?? -1]))}`,
    ...cardLines(card).map((line) => `  ${line}`),
  ];
}

/** Points of 100 and how many faults cost something, `71.4/3`; with `!` where something would hurt. */
const markOf = ({ points, max, criteria, dangers }: Grade): string => {
  const faults = criteria.flatMap(({ findings }) => findings).filter(({ loss = 0 }) => loss > 0).length;
  return `${figures([(100 * points) / max])}/${faults}${dangers.length > 0 ? '!' : ''}`;
};

/** Marks of what people do otherwise than the model answer, kind by kind, plan by plan. */
function planLines(input: MarkingInput): string[] {
  const kinds = new Map<string, string[]>();
  const { card } = input.modelAnswer;
  for (const { of, card: plan } of [...carelessPlans(card), ...severalAtOnce(card, PLANS_OF_SEVERAL)])
    kinds.set(of, [...(kinds.get(of) ?? []), markOf(markCard(input, plan))]);
  return [...kinds].map(([kind, marks]) => `  marks ${kind} ${marks.join(' ')}`);
}

/** What search and marking say of shipped cases and other heads, and of thousands of plans for them. */
export function recordHeads(): Section {
  const lines: string[] = [];
  const otherSchools = HOUSE_RULES.flatMap((rule) =>
    choicesOf(rule)
      .slice(1)
      .map((choice) => ({ rule, choice })),
  );
  HEADS.forEach(({ id, clientCase, house }, at) => {
    const solveBy = (rules: Partial<HouseRules> = {}) =>
      solveCase(clientCase, SHIPPED_LINES, { ...DEFAULT_HOUSE_RULES, ...house, ...rules });
    const result = solveBy();
    lines.push(...searchLines(id, result));
    otherSchools.forEach(({ rule, choice }, i) => {
      if ((at + i) % OTHER_SCHOOLS_EVERY === 0)
        lines.push(...searchLines(`${id} by ${rule} ${choice}`, solveBy({ [rule]: choice })));
    });
    if (!result.ok) return;
    const { modelAnswer } = result;
    const rules = { ...DEFAULT_HOUSE_RULES, ...house };
    const input = {
      modelAnswer,
      rules,
      rubric: defaultRubric(modelAnswer, modelAnswer.clientCase),
      lines: SHIPPED_LINES,
      open: BENCH_STEPS,
    };
    if (at % MARKED_EVERY === 0) lines.push(...planLines(input));
    const reasons = explain(modelAnswer, shippedLine, rules).map(({ reasons: why, notes }) => [
      why.length,
      notes.length,
    ]);
    lines.push(
      `  typical errors ${typicalErrors(input)
        .map(({ grade }) => markOf(grade))
        .join(' ')}`,
      `  crucial decisions ${standardFor(input).crucial.length}, weights ${CRITERIA.map((criterion) => figures([...(standardFor(input).weights[criterion]?.values() ?? [])])).join(' | ')}`,
      `  reasons ${figures(reasons.flat())}`,
    );
  });
  return { name: 'heads', version: `search ${SOLVER_VERSION}, marking ${MARKING_VERSION}`, lines };
}

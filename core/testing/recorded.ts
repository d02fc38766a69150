import { BENCH_STEPS, type ClientCase } from '../card';
import { SHIPPED_CASES } from '../cases';
import {
  MARKING_VERSION,
  MISCONCEPTIONS,
  defaultRubric,
  markCard,
  nearMisses,
  slip,
  standardFor,
  type Grade,
  type MarkingInput,
} from '../mark';
import { SHIPPED_LINES, shippedLine } from '../shades';
import { SOLVER_VERSION, explain, solveCase, type SolveResult } from '../solve';
import { DEFAULT_HOUSE_RULES, HOUSE_RULES, choicesOf, type HouseRules } from '../theory';
import { carelessPlans, severalAtOnce } from './careless';
import { SURVEY_HEADS } from './survey-heads';

/** A short name of a text; two texts that differ hardly ever have the same (FNV-1a, 32 bit). */
function nameOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}
/** Figures to the thousandth: what lies beneath is the machine's. */
const written = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) => (typeof one === 'number' ? Math.round(one * 1000) / 1000 : one));

const CASES: readonly { id: string; clientCase: ClientCase; house?: Partial<HouseRules> }[] = [
  ...SHIPPED_CASES,
  ...Object.entries(SURVEY_HEADS).map(([id, clientCase]) => ({ id, clientCase })),
];
/** Schools beside the default, each on every so-many-th case. */
const EVERY = 9;
/** And what people do otherwise, on every so-many-th: some thousands of plans in all. */
const MARKED_EVERY = 4;
/** Plans of a head with several things otherwise at once. */
const SEVERAL = 60;

const solveBy = (clientCase: ClientCase, house: Partial<HouseRules> = {}): SolveResult =>
  solveCase(clientCase, SHIPPED_LINES, { ...DEFAULT_HOUSE_RULES, ...house });

/** What a search comes to in a line: how it goes about it, and the name of all of it. */
function keyLine(name: string, found: SolveResult): string {
  const routes = found.ok
    ? found.solution.choices.map(({ part, route }) => `${part}:${route}`).join(' ') ||
      `${found.solution.best.decision}`
    : `refused ${found.reasons.map(({ code }) => code).join(' ')}`;
  return `key ${name} | ${routes} | ${nameOf(written(found))}`;
}

const saidOf = ({ criteria, dangers, misconceptions, crucial, decided, points, modelDisagrees }: Grade) =>
  written([criteria, dangers, misconceptions, crucial, decided, points, modelDisagrees]);

/** Marks of what people do otherwise than the model answer, kind by kind: how many, their mean of 100, and the name of all. */
function markLines(id: string, input: MarkingInput): string[] {
  const kinds = new Map<string, { sum: number; count: number; said: string }>();
  const { best } = input.solution;
  for (const { of, plan } of [...carelessPlans(best), ...severalAtOnce(best, SEVERAL)]) {
    const grade = markCard(input, plan);
    const kind = kinds.get(of) ?? { sum: 0, count: 0, said: '' };
    kind.sum += (100 * grade.points) / grade.max;
    kind.count++;
    kind.said = nameOf(`${kind.said} ${saidOf(grade)}`);
    kinds.set(of, kind);
  }
  return [...kinds].map(
    ([of, { sum, count, said }]) =>
      `marks ${id} ${of} | ${count} plans, mean ${(sum / count).toFixed(1)} | ${said}`,
  );
}

/**
 * What this version of the search and of the marks says of many heads and of thousands of plans, a line for each kind. It is
 * kept beside the tests: whoever changes what is said has to mean it, raise the version, and record it anew.
 */
export function recorded(): string[] {
  const lines = [`search ${SOLVER_VERSION}, marking ${MARKING_VERSION}`];
  const others = HOUSE_RULES.flatMap((rule) =>
    choicesOf(rule)
      .slice(1)
      .map((choice) => ({ rule, choice })),
  );
  CASES.forEach(({ id, clientCase, house }, at) => {
    const found = solveBy(clientCase, house);
    lines.push(keyLine(id, found));
    others.forEach(({ rule, choice }, i) => {
      if ((at + i) % EVERY === 0)
        lines.push(keyLine(`${id} ${rule}:${choice}`, solveBy(clientCase, { ...house, [rule]: choice })));
    });
    if (!found.ok) return;
    const { solution } = found;
    const input = {
      solution,
      rules: { ...DEFAULT_HOUSE_RULES, ...house },
      rubric: defaultRubric(solution, solution.visit),
      lines: SHIPPED_LINES,
      open: BENCH_STEPS,
    };
    if (at % MARKED_EVERY === 0) lines.push(...markLines(id, input));
    const slips = nearMisses(input);
    lines.push(
      `slips ${id} | ${slips.map(({ misconception }) => misconception).join(' ')} | ${nameOf(written(slips.map(({ plan, grade }) => [plan, saidOf(grade)])))}`,
      `thought so ${id} | ${nameOf(written(MISCONCEPTIONS.map((name) => slip(name, { plan: solution.best, solution, lines: SHIPPED_LINES }))))}`,
      `turns on ${id} | ${nameOf(written(standardFor(input)))}`,
      `why ${id} | ${nameOf(written(explain(solution, shippedLine, input.rules)))}`,
    );
  });
  return lines;
}

import type { ClientCase } from '../case';
import { SHIPPED_CASES } from '../cases';
import { BENCH_STEPS } from '../exercise';
import { type MarkingInput, defaultRubric } from '../mark';
import { type Line, SHIPPED_LINES } from '../product';
import { type HouseRules, DEFAULT_HOUSE_RULES } from '../rules';
import { solveCase, type ModelAnswer } from '../solve';

/** A case that must have an answer, solved and ready to be marked on the whole bench. */
export function gradingFor(
  clientCase: ClientCase,
  house: Partial<HouseRules> = {},
  lines: readonly Line[] = SHIPPED_LINES,
): MarkingInput {
  const rules = { ...DEFAULT_HOUSE_RULES, ...house };
  const result = solveCase(clientCase, lines, rules);
  if (!result.ok) throw new Error(`${clientCase.client.name}: ${JSON.stringify(result.reasons)}`);
  const { modelAnswer } = result;
  return {
    modelAnswer,
    rules,
    rubric: defaultRubric(modelAnswer, modelAnswer.clientCase),
    lines,
    open: BENCH_STEPS,
  };
}

/** Solving is a pure function, so tests may share what it found. */
const known = new Map<string, MarkingInput>();

/** The same for a shipped case. */
export function gradingOf(id: string, house: Partial<HouseRules> = {}): MarkingInput {
  const name = JSON.stringify([id, house]);
  const markingInput = known.get(name);
  if (markingInput) return markingInput;
  const shipped = SHIPPED_CASES.find((shippedCase) => shippedCase.id === id)!;
  const made = gradingFor(shipped.clientCase, { ...shipped.house, ...house });
  known.set(name, made);
  return made;
}

export const solved = (id: string, house: Partial<HouseRules> = {}): ModelAnswer =>
  gradingOf(id, house).modelAnswer;

import { SHIPPED_CASES } from '../../cases';
import { SHIPPED_LINES } from '../../shades';
import { solveCase, type Solution } from '../../solve';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../theory';
import { defaultRubric } from '../rubric';
import { BENCH_STEPS } from '../../card';
import type { MarkingInput } from '../mark-card';

/** Solving is a pure function, so tests may share what it found. */
const known = new Map<string, Solution>();

export function solved(id: string, house: Partial<HouseRules> = {}): Solution {
  const name = JSON.stringify([id, house]);
  const kept = known.get(name);
  if (kept) return kept;
  const { clientCase } = SHIPPED_CASES.find((one) => one.id === id)!;
  const result = solveCase(clientCase, SHIPPED_LINES, { ...DEFAULT_HOUSE_RULES, ...house });
  if (!result.ok) throw new Error(`${id}: ${result.reasons.map(({ code }) => code).join()}`);
  known.set(name, result.solution);
  return result.solution;
}

export function gradingOf(id: string, house: Partial<HouseRules> = {}): MarkingInput {
  const solution = solved(id, house);
  return {
    solution,
    rules: { ...DEFAULT_HOUSE_RULES, ...house },
    rubric: defaultRubric(solution, solution.visit),
    lines: SHIPPED_LINES,
    open: BENCH_STEPS,
  };
}

import type { ClientCase } from '../case';
import { type Rubric, BENCH_STEPS } from '../exercise';
import type { Line } from '../product';
import type { Reason } from '../reason';
import type { HouseRules } from '../rules';
import { type Solution, solveCase } from '../solve';
import type { CrucialDecision } from './crucial-decisions';
import { defaultRubric } from './default-rubric';
import { standardFor } from './mark-card';
import { type NearMiss, nearMisses } from './slips/typical-errors';

/** What a case comes to under a class's rules, before it is set: answer, points and typical errors, or why it has none. */
export type Preview =
  | {
      ok: true;
      solution: Solution;
      rubric: Rubric;
      /** What the case turns on. */
      crucial: CrucialDecision[];
      nearMisses: NearMiss[];
    }
  | {
      ok: false;
      reasons: Reason[];
      /** The nearest wish that could be reached, where there is one. */
      nearest?: ClientCase['wish'];
    };

/** Solves a case with the lines it names. Pure, and some tenths of a second of work. */
export function previewOf(clientCase: ClientCase, lines: readonly Line[], rules: HouseRules): Preview {
  const solved = solveCase(clientCase, lines, rules);
  if (!solved.ok) return solved;
  const { solution } = solved;
  const rubric = defaultRubric(solution, solution.visit);
  const marking = { solution, rules, rubric, lines, open: [...BENCH_STEPS] };
  return {
    ok: true,
    solution,
    rubric,
    crucial: standardFor(marking).crucial,
    nearMisses: nearMisses(marking),
  };
}

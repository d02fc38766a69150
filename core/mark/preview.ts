import { BENCH_STEPS, type ClientCase } from '../card';
import type { Reason } from '../reason';
import type { Line } from '../shades';
import { solveCase, type Solution } from '../solve';
import type { HouseRules } from '../theory';
import type { CrucialDecision } from './crucial';
import { standardFor } from './mark-card';
import { defaultRubric, type Rubric } from './rubric';
import { nearMisses, type NearMiss } from './slip';

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

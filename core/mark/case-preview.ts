import type { ClientCase } from '../case';
import { type Rubric, BENCH_STEPS } from '../exercise';
import type { Line } from '../product';
import type { Reason } from '../reason';
import type { HouseRules } from '../rules';
import { type ModelAnswer, solveCase } from '../solve';
import type { CrucialDecision } from './crucial-decisions';
import { defaultRubric } from './default-rubric';
import { standardFor } from './mark-card';
import { type TypicalError, typicalErrors } from './slips/typical-errors';

/** What a case comes to under a class's rules, before it is set: answer, points and typical errors, or why it has none. */
export type Preview =
  | {
      /** Whether it worked. */
      ok: true;
      /** The model answer. */
      modelAnswer: ModelAnswer;
      /** Points by criterion. */
      rubric: Rubric;
      /** What the case turns on. */
      crucial: CrucialDecision[];
      /** What plans by common misconceptions would earn. */
      typicalErrors: TypicalError[];
    }
  | {
      /** Whether it worked. */
      ok: false;
      /** Why, in the words of the interface. */
      reasons: Reason[];
      /** The nearest wish that could be reached, where there is one. */
      nearest?: ClientCase['wish'];
    };

/** Solves a case with the lines it names. Pure, and some tenths of a second of work. */
export function previewOf(clientCase: ClientCase, lines: readonly Line[], rules: HouseRules): Preview {
  const solved = solveCase(clientCase, lines, rules);
  if (!solved.ok) return solved;
  const { modelAnswer } = solved;
  const rubric = defaultRubric(modelAnswer, modelAnswer.clientCase);
  const marking = { modelAnswer, rules, rubric, lines, open: [...BENCH_STEPS] };
  return {
    ok: true,
    modelAnswer,
    rubric,
    crucial: standardFor(marking).crucial,
    typicalErrors: typicalErrors(marking),
  };
}

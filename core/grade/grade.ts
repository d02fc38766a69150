import type { Line } from '../shades';
import { computeKey, THEORY_VERSION, type Case, type HouseRuleUse, type Key } from '../solve';
import type { HouseRules } from '../theory';
import { CRITERIA, type Answer, type Criterion, type Rubric } from './answer';
import { MARK } from './criteria';
import { toQuarter, type Marked } from './mark';

export interface CriterionMark extends Marked {
  criterion: Criterion;
  points: number;
  max: number;
}

export interface Grade {
  version: number;
  points: number;
  max: number;
  criteria: CriterionMark[];
  houseRules: HouseRuleUse[];
}

/**
 * Marks an answer against the computed key under the class's house rules.
 * A wrong reading of the natural level is paid for once: what follows from it is marked against the key for the level
 * that was read, whenever that is better for the student (follow-through). Deterministic.
 */
export function grade(
  input: { kase: Case; line: Line; rules: HouseRules; rubric: Rubric; key: Key },
  answer: Answer,
): Grade {
  const { kase, line, rules, rubric, key } = input;
  const readKey = keyAsRead(kase, line, rules, answer);
  const criteria = CRITERIA.flatMap((criterion): CriterionMark[] => {
    const max = rubric[criterion] ?? 0;
    if (max <= 0) return [];
    const result = MARK[criterion]({ kase, line, rules, key, answer, readKey });
    return [{ ...result, criterion, max, points: Math.min(max, toQuarter(result.share * max)) }];
  });
  return {
    version: THEORY_VERSION,
    points: criteria.reduce((sum, { points }) => sum + points, 0),
    max: criteria.reduce((sum, { max }) => sum + max, 0),
    criteria,
    houseRules: key.houseRules,
  };
}

function keyAsRead(kase: Case, line: Line, rules: HouseRules, answer: Answer): Key | null {
  if (answer.naturalLevel === null || answer.naturalLevel === kase.zone.naturalLevel) return null;
  const asRead = computeKey(
    { ...kase, zone: { ...kase.zone, naturalLevel: answer.naturalLevel } },
    line,
    rules,
  );
  return asRead.ok ? asRead.key : null;
}

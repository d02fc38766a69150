import { z } from 'zod';
import { recordCardSchema, type RecordCard, type LineOf, complete } from '../card';
import { partName } from '../case';
import { CRITERIA } from '../exercise';
import { ZONES, MOST_REGIONS } from '../hair';
import { MIX_ROLES, goalsOf } from '../method';
import type { HouseRules } from '../rules';
import type { ModelAnswer } from '../solve';
import type { CrucialDecision } from './crucial-decisions';
import { workedPlace } from './worked-place';

/** A decision that an exercise turns on, by what tells it from others. */
export const decisionSchema = z
  .object({
    criteria: z.array(z.enum(CRITERIA)).min(1).max(2),
    /** Names of the parts; empty for the head as a whole. Twice as many as places, since strands are woven out of each. */
    places: z.array(z.string().min(1).max(40)).max(2 * ZONES.length * MOST_REGIONS),
    role: z.enum(MIX_ROLES).nullable(),
  })
  .strict();
export type Decision = z.infer<typeof decisionSchema>;

/** Most plans that are right beside the model answer. */
export const MOST_ACCEPTED = 10;

/** Most decisions an exercise is made to turn on besides those found. */
export const MOST_ADDED = 5;

/** How far the head a plan would leave holds its mark down. Danger always does. */
export const CEILING_RULES = ['standard', 'methodOnly'] as const;

/** The educator's word on how an exercise is marked, beside its points. */
export const educatorRulingSchema = z
  .object({
    /** Decisions the search found that the exercise is not to turn on. */
    struck: z.array(decisionSchema).max(20),
    /** Decisions it is to turn on besides. */
    added: z.array(decisionSchema).max(MOST_ADDED),
    ceilings: z.enum(CEILING_RULES),
    /** Plans that are right as well as the model answer, taken from students or from elsewhere. */
    accepted: z.array(recordCardSchema).max(MOST_ACCEPTED),
  })
  .strict();
export type EducatorRuling = z.infer<typeof educatorRulingSchema>;
export const NO_RULING: EducatorRuling = { struck: [], added: [], ceilings: 'standard', accepted: [] };

const nameOf = ({ criteria, places, role }: Decision) => JSON.stringify([criteria, places, role]);
/** Whether two decisions are one. */
export const isSameDecision = (decision: Decision, other: Decision): boolean =>
  nameOf(decision) === nameOf(other);

/** What an exercise turns on by the educator's word: what the search found without what was struck, and what was added. */
export const crucialByRuling = (
  decision: readonly CrucialDecision[],
  { struck, added }: Pick<EducatorRuling, 'struck' | 'added'>,
): CrucialDecision[] => [
  ...decision.filter((one) => !struck.some((other) => isSameDecision(one, other))),
  ...added
    .filter((one) => !decision.some((other) => isSameDecision(one, other)))
    .map(({ criteria, places, role }) => ({ criteria, places, role, faults: null, costs: 0 })),
];

const rulingAnswers = new WeakMap<ModelAnswer, WeakMap<RecordCard, ModelAnswer>>();

/** A solution whose model answer is another plan: what a plan is marked against that the educator has taken as right. */
export function modelAnswerBy(
  modelAnswer: ModelAnswer,
  modelCard: RecordCard,
  lineOf: LineOf,
  rules: HouseRules,
): ModelAnswer {
  const known = rulingAnswers.get(modelAnswer) ?? new WeakMap<RecordCard, ModelAnswer>();
  rulingAnswers.set(modelAnswer, known);
  const found = known.get(modelCard);
  if (found) return found;
  const choices = goalsOf(modelAnswer.clientCase).map((goal) => {
    const { technique, ruling } = workedPlace(complete(modelCard), goal, lineOf, rules);
    return { part: partName(goal.part), technique, reason: ruling.reason, deltaE: null };
  });
  const made: ModelAnswer = { ...modelAnswer, card: modelCard, choices, equivalents: [] };
  known.set(modelCard, made);
  return made;
}

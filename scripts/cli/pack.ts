import { linesOfPack, type ExercisePack, type PackedCase, type Problem } from '../../core/io';
import { defaultRubric, markCard, typicalErrors, type MarkingInput } from '../../core/mark';
import { BENCH_STEPS } from '../../core/exercise';
import { partName } from '../../core/case';
import { type RecordCard, complete } from '../../core/card';
import { headAfterWeeks, simulateCard, type SimulatedCard } from '../../core/simulate';
import type { WeeksAsked } from './weeks';
import { solveCase, type ModelAnswer } from '../../core/solve';
import { DEFAULT_HOUSE_RULES } from '../../core/rules';
import { printedAnswer, printedGrade } from './printed';

export const PACK_COMMANDS = ['solve', 'grade', 'simulate'] as const;
export type PackCommand = (typeof PACK_COMMANDS)[number];

/** Minutes between two lines of a simulation. */
const EVERY_MINUTES = 5;

function inputFor(
  pack: ExercisePack,
  { rubric, open = [...BENCH_STEPS] }: PackedCase,
  modelAnswer: ModelAnswer,
): MarkingInput {
  return {
    modelAnswer,
    rules: pack.houseRules ?? DEFAULT_HOUSE_RULES,
    rubric: rubric ?? defaultRubric(modelAnswer, modelAnswer.clientCase, open),
    lines: linesOfPack(pack),
    open,
  };
}

const hundredths = (value: number) => Number(value.toFixed(2));

/** Every place week by week, from the last minute of the service. */
function weekByWeek(modelAnswer: ModelAnswer, played: SimulatedCard, { weeks, habits, growth }: WeeksAsked) {
  const done = played.outcomeAt(played.minutes);
  return Array.from({ length: weeks + 1 }, (_, week) => ({
    week,
    parts: Object.fromEntries(
      headAfterWeeks(modelAnswer.clientCase, done, week, habits, growth).places.map(
        ({ part, level, tone, deltaE, regrowthCm, condition }) => [
          partName(part),
          {
            level: hundredths(level),
            tone,
            deltaE: hundredths(deltaE),
            regrowthCm: hundredths(regrowthCm),
            condition,
          },
        ],
      ),
    ),
  }));
}

/** A card as it is played: by minutes, or by the weeks that are asked for. */
function simulated(
  pack: ExercisePack,
  modelAnswer: ModelAnswer,
  card: RecordCard,
  asked: WeeksAsked | null,
): object {
  const lines = linesOfPack(pack);
  const played = simulateCard(modelAnswer.clientCase, complete(card), (id) =>
    lines.find((line) => line.id === id),
  );
  if (asked) return { weeks: weekByWeek(modelAnswer, played, asked) };
  const at = (minute: number) => ({
    minute,
    parts: Object.fromEntries(
      played
        .outcomeAt(minute)
        .map(({ part, level, tone, deltaE, condition }) => [
          partName(part),
          { level: hundredths(level), tone, deltaE: hundredths(deltaE), condition },
        ]),
    ),
  });
  const minutes = Array.from(
    { length: Math.ceil(played.minutes / EVERY_MINUTES) },
    (_, i) => i * EVERY_MINUTES,
  );
  return { minutes: [...minutes, played.minutes].map(at) };
}

/** Runs a command over every case of a pack, `asked` where a simulation goes on for weeks; a case without an answer is a problem of the file. */
export function runPack(
  command: PackCommand,
  pack: ExercisePack,
  asked: WeeksAsked | null = null,
): { results: unknown[]; problems: Problem[] } {
  const lines = linesOfPack(pack);
  const rules = pack.houseRules ?? DEFAULT_HOUSE_RULES;
  const problems: Problem[] = [];
  const results = pack.cases.flatMap((packed, i): unknown[] => {
    const solved = solveCase(packed.case, lines, rules);
    if (!solved.ok) {
      const [{ code, params }] = solved.reasons;
      problems.push({
        code: 'case.noAnswer',
        params: { id: packed.id, why: code, ...params },
        path: `cases.${i}.case`,
      });
      return [];
    }
    const { modelAnswer } = solved;
    const { id, answers = [] } = packed;
    const input = inputFor(pack, packed, modelAnswer);
    if (command === 'solve') {
      const nearMisses = typicalErrors(input).map(({ misconception, breaks, grade: { points, max } }) => ({
        misconception,
        breaks,
        points,
        max,
      }));
      return [{ id, ...printedAnswer(modelAnswer), nearMisses }];
    }
    if (command === 'grade')
      return [
        {
          id,
          answers: answers.map(({ name, plan }) => ({ name, grade: printedGrade(markCard(input, plan)) })),
        },
      ];
    const plans = answers.length > 0 ? answers : [{ name: 'best', plan: modelAnswer.card }];
    return [
      { id, plays: plans.map(({ name, plan }) => ({ name, ...simulated(pack, modelAnswer, plan, asked) })) },
    ];
  });
  return { results, problems };
}

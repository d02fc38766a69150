import { z } from 'zod';
import { recordCardSchema } from '../card';
import { clientCaseSchema } from '../case';
import { OPEN_STEPS, rubricSchema } from '../exercise';
import { MISCONCEPTIONS } from '../mark';
import { lineSchema, type Line, SHIPPED_LINES } from '../product';
import { houseRulesSchema } from '../rules';
import { fieldInFile, inFileNames, withCodeNames } from './file-names';
import { ofToday } from './older-packs';
import type { Problem, Read } from './problem';
import { problemsOf } from './shade-book';

export const EXERCISE_PACK_FORMAT = 'cimbel.exercise-pack';
export const EXERCISE_PACK_VERSION = 3;

const idSchema = z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/);

/** A case with what is marked of it, and answers worth keeping with it. */
export const packedCaseSchema = z
  .object({
    id: idSchema,
    case: clientCaseSchema,
    /** Steps of the bench that are worked; all of them where it is left out. */
    open: z.array(z.enum(OPEN_STEPS)).min(1).optional(),
    /** The way of thinking behind the slip on a card that has to be put right. */
    slip: z.enum(MISCONCEPTIONS).optional(),
    rubric: rubricSchema.optional(),
    answers: z
      .array(z.object({ name: z.string().min(1).max(60), plan: recordCardSchema }).strict())
      .max(500)
      .optional(),
  })
  .strict();

/** The open format of cases, answers and the lines they need beside the shipped ones. */
export const exercisePackSchema = z
  .object({
    format: z.literal(EXERCISE_PACK_FORMAT),
    formatVersion: z.literal(EXERCISE_PACK_VERSION),
    name: z.string().trim().min(1).max(80),
    houseRules: houseRulesSchema.optional(),
    lines: z.array(lineSchema).max(40).optional(),
    cases: z.array(packedCaseSchema).min(1).max(200),
  })
  .strict();
export type ExercisePack = z.infer<typeof exercisePackSchema>;
export type PackedCase = z.infer<typeof packedCaseSchema>;

/** JSON Schema of the file, for other programs (draft 2020-12). */
export const exercisePackJsonSchema = () => inFileNames(z.toJSONSchema(exercisePackSchema, { io: 'input' }));

/** Lines a pack's cases may use: its own, then the shipped ones. */
export const linesOfPack = ({ lines = [] }: Pick<ExercisePack, 'lines'>): Line[] => [
  ...lines,
  ...SHIPPED_LINES.filter(({ id }) => !lines.some((line) => line.id === id)),
];

const at = (...path: (string | number)[]) => path.join('.');

/** What the schema cannot say: ids that stand twice, lines that are nowhere, bowls that are not there. */
function contradictions(pack: ExercisePack): Problem[] {
  const known = new Set(linesOfPack(pack).map(({ id }) => id));
  const problems: Problem[] = (pack.lines ?? []).flatMap((line, i) => problemsOf(line, at('lines', i)));
  const seen = new Set<string>();
  pack.cases.forEach((packed, i) => {
    if (seen.has(packed.id))
      problems.push({ code: 'pack.idTwice', params: { id: packed.id }, path: at('cases', i, 'id') });
    seen.add(packed.id);
    packed.case.lineIds.forEach((id, j) => {
      if (!known.has(id))
        problems.push({ code: 'pack.noLine', params: { id }, path: at('cases', i, 'case', 'lineIds', j) });
    });
    (packed.answers ?? []).forEach(({ plan }, j) => {
      const bowls = new Set(plan.bowls.map(({ name }) => name));
      plan.steps.forEach((application, k) => {
        if (!bowls.has(application.bowl))
          problems.push({
            code: 'pack.noBowl',
            params: { bowl: application.bowl },
            path: at('cases', i, 'answers', j, 'plan', 'steps', k, 'bowl'),
          });
      });
    });
  });
  return problems;
}

/** Reads an exercise pack; every problem with its place, never a throw. */
export function readExercisePack(text: string): Read<ExercisePack> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { ok: false, problems: [{ code: 'file.notJson', params: {} }] };
  }
  const head = z.object({ format: z.literal(EXERCISE_PACK_FORMAT) }).safeParse(data);
  if (!head.success) return { ok: false, problems: [{ code: 'file.notPack', params: {}, path: 'format' }] };
  const parsed = exercisePackSchema.safeParse(withCodeNames(ofToday(data)));
  if (!parsed.success)
    return {
      ok: false,
      problems: parsed.error.issues.map((issue): Problem => {
        const path = issue.path.map(fieldInFile).join('.');
        if (issue.code !== 'custom')
          return { code: `field.${issue.code}`, params: { message: issue.message }, path };
        const { code, ...params } = (issue.params ?? { code: issue.message }) as { code: string };
        return { code: `pack.${code}`, params, path };
      }),
    };
  const problems = contradictions(parsed.data);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: parsed.data };
}

/** An exercise pack as the text of a file. */
export function writeExercisePack({ houseRules, ...pack }: ExercisePack): string {
  const named = houseRules && { ...houseRules, ceilings: inFileNames(houseRules.ceilings) };
  return `${JSON.stringify({ ...pack, ...(named ? { houseRules: named } : {}) }, null, 2)}\n`;
}

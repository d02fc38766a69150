import type { ShadeBooks } from '@cimbel/contract';
import {
  EXERCISE_PACK_FORMAT,
  EXERCISE_PACK_VERSION,
  readExercisePack,
  writeExercisePack,
  type PackedCase,
  type Problem,
} from '@cimbel/core/io';
import { BENCH_STEPS } from '@cimbel/core/exercise';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { api } from '../../lib/api';
import type { ExerciseForm } from './exercise-form';

export type PackTaken = { ok: true; cases: PackedCase[]; newBooks: number } | { ok: false; problem: Problem };

/** A value as text, whatever order its fields came in: a database gives them back in its own. */
const said = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) =>
    typeof one === 'object' && one !== null && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );
const sameLine = (a: Line, b: Line) =>
  said({ ...a, id: '', version: 0 }) === said({ ...b, id: '', version: 0 });

/**
 * Takes a pack that someone has made. Lines that are neither shipped nor among the educator's own become shade books of
 * theirs, so that the cases can be set here; a line that they have already is not made twice.
 */
export async function takePack(text: string, { shipped, own }: ShadeBooks): Promise<PackTaken> {
  const read = readExercisePack(text);
  if (!read.ok) return { ok: false, problem: read.problems[0] };
  const ids = new Map<string, string>();
  let newBooks = 0;
  for (const line of read.value.lines ?? []) {
    if (shipped.some(({ id }) => id === line.id)) continue;
    const mine = own.find((book) => sameLine(book.line, line));
    if (mine) {
      ids.set(line.id, mine.line.id);
      continue;
    }
    const { id } = await api<{ id: string }>('POST', '/api/shade-books', { line, version: 0 });
    ids.set(line.id, `book:${id}`);
    newBooks++;
  }
  const idOf = (id: string) => ids.get(id) ?? id;
  const cases = read.value.cases.map((packed) => ({
    ...packed,
    case: { ...packed.case, lineIds: packed.case.lineIds.map(idOf) },
  }));
  return { ok: true, cases, newBooks };
}

/** What a case of a pack fills a form with. */
export const formOfPacked = ({
  case: clientCase,
  open,
  slip,
  rubric,
}: PackedCase): Partial<ExerciseForm> => ({
  clientCase,
  title: clientCase.title,
  open: open ?? [...BENCH_STEPS],
  slip: slip ?? null,
  rubric: rubric ?? null,
});

/** An exercise as a pack of one, with the lines it needs. */
export const packOf = (
  {
    clientCase,
    open,
    slip,
    rubric,
    title,
  }: Pick<ExerciseForm, 'clientCase' | 'open' | 'slip' | 'rubric' | 'title'>,
  lines: readonly Line[],
  houseRules: HouseRules,
): string =>
  writeExercisePack({
    format: EXERCISE_PACK_FORMAT,
    formatVersion: EXERCISE_PACK_VERSION,
    name: (title || clientCase.title).slice(0, 80),
    houseRules,
    lines: lines.filter(({ id }) => clientCase.lineIds.includes(id)),
    cases: [
      { id: 'exercise', case: clientCase, open, ...(slip ? { slip } : {}), ...(rubric ? { rubric } : {}) },
    ],
  });

import type { SetAs } from '@cimbel/contract';
import type { ClientCase } from '@cimbel/core/case';
import type { RecordCard } from '@cimbel/core/card';
import { MOST_VARIANTS } from '@cimbel/core/exercise';
import { cardWithSlip, type Misconception, type ProvedVariant } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import type { ModelAnswer } from '@cimbel/core/solve';
import type { Knex } from 'knex';
import { createHash, randomBytes } from 'node:crypto';
import { HttpError } from '../http/errors';
import type { Heavy } from '../jobs/heavy';
import type { AssignmentRow } from './row';

/** A case in other figures, as an assignment keeps it. */
export interface VariantRow {
  assignment_id: string;
  /** From 1. */
  number: number;
  client_case: ClientCase;
  model_answer: ModelAnswer;
  /** A card to be put right; null where the card starts empty. */
  card: RecordCard | null;
}

/** Fewest variants that are a variant for each: with one, neighbours have the same. */
const FEWEST_OWN = 2;

/** Most and fewest that are drawn. */
const DRAWN_AS: Record<Exclude<SetAs, 'asWritten'>, { most: number; least: number }> = {
  shared: { most: 1, least: 1 },
  own: { most: MOST_VARIANTS, least: FEWEST_OWN },
};

/** A title that names a tone, in the language of the cases that ship, holds for the variants as well. */
const NAMES_A_TONE =
  /\b(ash\w*|pearl\w*|violet|gold\w*|beige|copper\w*|red\w*|mahogany|brown|brass\w*|cool\w*|warm\w*|honey|sand|neutral|rose|silver)\b/i;

/**
 * Draws the variants an assignment is set in, from a secret that is not kept: nobody who has the case can work out its
 * figures.
 *
 * @throws HttpError 422 where too few turn on the same decisions.
 */
export async function drawVariants(
  heavy: Heavy,
  as: SetAs,
  base: ProvedVariant,
  {
    title,
    lines,
    rules,
    slip,
  }: { title: string; lines: readonly Line[]; rules: HouseRules; slip: Misconception | null },
): Promise<Omit<VariantRow, 'assignment_id'>[]> {
  if (as === 'asWritten') return [];
  const { most, least } = DRAWN_AS[as];
  const keepsTones = NAMES_A_TONE.test(title);
  const secret = randomBytes(32).toString('hex');
  const found: Omit<VariantRow, 'assignment_id'>[] = [];
  let inVain = 0;
  for (let number = 1; number <= most; number++) {
    const besides = found.map(({ model_answer }) => model_answer);
    const drawn = await heavy('variant', `${secret} ${number}`, base, lines, rules, keepsTones, besides);
    // Looked for twice in vain, the next would be as well.
    if (!drawn && ++inVain > 1) break;
    if (!drawn) continue;
    const { clientCase, modelAnswer } = drawn;
    const card = slip ? cardWithSlip(slip, { card: modelAnswer.card, modelAnswer, lines }) : null;
    if (slip && !card) continue;
    found.push({ number: found.length + 1, client_case: clientCase, model_answer: modelAnswer, card });
  }
  if (found.length < least)
    throw new HttpError(
      422,
      'exercise.noVariants',
      'No other figures were found that turn on the same decisions. Set the case as it is written.',
    );
  return found;
}

/** Writes the variants of an assignment in place of those it had. */
export async function writeVariants(
  trx: Knex,
  assignmentId: string,
  variants: readonly Omit<VariantRow, 'assignment_id'>[],
): Promise<void> {
  await trx('assignment_variants').where({ assignment_id: assignmentId }).delete();
  if (variants.length === 0) return;
  await trx('assignment_variants').insert(
    variants.map(({ number, client_case, model_answer, card }) => ({
      assignment_id: assignmentId,
      number,
      client_case: JSON.stringify(client_case),
      model_answer: JSON.stringify(model_answer),
      card: card && JSON.stringify(card),
    })),
  );
}

/** Which of so many variants a student has: the same in every attempt, whoever else is in the class. */
export const variantNumber = (assignmentId: string, studentId: string, of: number): number =>
  1 + (createHash('sha256').update(`${assignmentId} ${studentId}`).digest().readUInt32BE(0) % of);

/** Variants of assignments by their id, in their order; none of those that are set as written. */
export async function variantsOf(
  db: Knex,
  assignments: readonly Pick<AssignmentRow, 'id' | 'variants'>[],
): Promise<Map<string, VariantRow[]>> {
  const varied = assignments.filter(({ variants }) => variants !== 'asWritten').map(({ id }) => id);
  const found = new Map<string, VariantRow[]>(varied.map((id) => [id, []]));
  if (varied.length === 0) return found;
  const rows = await db('assignment_variants').whereIn('assignment_id', varied).orderBy('number');
  for (const row of rows) found.get(row.assignment_id)!.push(row);
  return found;
}

/** An assignment with the figures that a student has; as it is where it is set as written. */
export function asOfStudent<Row extends Pick<AssignmentRow, 'id'>>(
  assignment: Row,
  studentId: string,
  variants: readonly VariantRow[] = [],
): Row {
  if (variants.length === 0) return assignment;
  const { client_case, model_answer, card } =
    variants[variantNumber(assignment.id, studentId, variants.length) - 1];
  return { ...assignment, client_case, model_answer, card };
}

/** The same for one assignment, with its variants looked up. */
export async function withVariantOf<Row extends Pick<AssignmentRow, 'id' | 'variants'>>(
  db: Knex,
  assignment: Row,
  studentId: string,
): Promise<Row> {
  const variants = await variantsOf(db, [assignment]);
  return asOfStudent(assignment, studentId, variants.get(assignment.id));
}

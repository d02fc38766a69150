import type { Joining, Rights } from '@cimbel/contract';
import { houseRulesSchema, type HouseRules } from '@cimbel/core/theory';
import type { Knex } from 'knex';
import { notAllowed } from '../http/errors';
import type { Call } from '../http/route';

export interface ClassRow {
  id: string;
  educator_id: string;
  name: string;
  join_code: string;
  house_rules: HouseRules;
  joining: Joining;
  archived_at: Date | null;
}

/** Of rows with a class, those of classes that the caller leads; `rights` says how far. */
export const ledByMe = (query: Knex.QueryBuilder, { me }: Call): Knex.QueryBuilder =>
  query.join('leaders', 'leaders.class_id', 'classes.id').where('leaders.educator_id', me!.id);

/** Whoever only marks looks at everything, and changes nothing but marks. @throws HttpError 403 */
export function allowed<R extends { rights: Rights }>(row: R | undefined, { req }: Call): R | null {
  if (row && row.rights === 'marking' && req.method !== 'GET') throw notAllowed();
  return row ?? null;
}

/** The class, for an educator who leads it; null for anyone else. */
export async function ownClass(call: Call): Promise<(ClassRow & { rights: Rights }) | null> {
  const row = await ledByMe(call.db('classes'), call)
    .where({ 'classes.id': call.param('classId') })
    .select('classes.*', 'leaders.rights')
    .first();
  const led = allowed<ClassRow & { rights: Rights }>(row, call);
  return led && { ...led, house_rules: houseRulesSchema.parse(led.house_rules) };
}

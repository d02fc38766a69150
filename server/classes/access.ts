import type { Joining, Rights } from '@cimbel/contract';
import { houseRulesSchema, type HouseRules } from '@cimbel/core/rules';
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

/** What each may who leads a class, least first. */
const RIGHTS: readonly Rights[] = ['marking', 'all', 'owner'];

/** The row, for an educator who leads its class with at least these rights. @throws HttpError 403 for one with fewer */
export function ledAtLeast<R extends { rights: Rights }>(least: Rights, row: R | undefined): R | null {
  if (row && RIGHTS.indexOf(row.rights) < RIGHTS.indexOf(least)) throw notAllowed();
  return row ?? null;
}

export type LedClass = ClassRow & { rights: Rights };
const classLed =
  (least: Rights) =>
  async (call: Call): Promise<LedClass | null> => {
    const row: LedClass | undefined = await ledByMe(call.db('classes'), call)
      .where({ 'classes.id': call.param('classId') })
      .select('classes.*', 'leaders.rights')
      .first();
    const led = ledAtLeast(least, row);
    return led && { ...led, house_rules: houseRulesSchema.parse(led.house_rules) };
  };

/** The class, for an educator who leads it, if only to look and mark; null for anyone else. */
export const seenClass = classLed('marking');
/** The class, for an educator who may do everything in it. */
export const ownClass = classLed('all');
/** The class, for the one whose it is. */
export const ownedClass = classLed('owner');

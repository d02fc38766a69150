import type { Joining } from '@cimbel/contract';
import { houseRulesSchema, type HouseRules } from '@cimbel/core/theory';
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

/** The class, for the educator who leads it; null for anyone else. */
export async function ownClass({ db, me, param }: Call): Promise<ClassRow | null> {
  const row = await db<ClassRow>('classes')
    .where({ id: param('classId'), educator_id: me!.id })
    .first();
  return row ? { ...row, house_rules: houseRulesSchema.parse(row.house_rules) } : null;
}

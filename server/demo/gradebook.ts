import { USUAL_SETTINGS } from '@cimbel/contract';
import type { Knex } from 'knex';
import type { ClassRow, LedClass } from '../classes/access';
import { addPractical, changeSettings, enterMark } from '../gradebook/changes';
import type { GradeColumnRow } from '../gradebook/rows';
import { rowOf } from '../db/rows';

const DAY_MS = 24 * 3600_000;

/** Points of ten in the room, by student; null for who was not there. */
const QUADRANTS = [9, 7.5, 8, 6, 10, 8.5, null, 7, 5.5, 9, 6.5, 8] as const;
const FOILS = [8, 6, 7.5, 7, 9.5, 8, 4, null, 6, 8.5, 7, 9] as const;

/** The term of the demo class: weights, work done in the room, one who was ill. */
export async function seedGradebook(
  db: Knex,
  owner: ClassRow,
  students: readonly string[],
  evening6: Date,
): Promise<void> {
  const inClass: LedClass = { ...owner, rights: 'owner' };
  const by = (days: number) => ({
    educatorId: owner.educator_id,
    now: new Date(evening6.getTime() + days * DAY_MS),
  });
  await changeSettings(db, inClass, { settings: { ...USUAL_SETTINGS, shown: true }, version: 0 }, by(-13));
  const columnOf = async (id: string): Promise<GradeColumnRow> =>
    rowOf(await db('grade_columns').where({ id }).first(), 'grade_columns');
  for (const [title, days, all] of [
    ['Four quadrants, clean partings', -10, QUADRANTS],
    ['Weave of twenty foils', -3, FOILS],
  ] as const) {
    const at = by(days);
    const heldOn = at.now.toISOString().slice(0, 10);
    const { id } = await addPractical(db, inClass, { title, max: 10, heldOn, category: 'practical' }, at);
    const column = await columnOf(id);
    for (const [i, points] of all.entries()) {
      const entry =
        points === null
          ? { points, excused: true, reason: 'Was ill.' }
          : { points, excused: false, reason: '' };
      await enterMark(db, { inClass, column, studentId: students[i] }, { ...entry, was: null }, at);
    }
  }
}

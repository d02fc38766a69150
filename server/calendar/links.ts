import type { CalendarLink, FreshCalendarLink } from '@cimbel/contract';
import type { Knex } from 'knex';
import { createHash, randomBytes } from 'node:crypto';
import { inIdForm } from '../http/id-form';

/** A private link from which a calendar fetches due dates: of a class for one who leads it, or of all that is set to a student. */
export interface CalendarLinkRow {
  id: string;
  account_id: string;
  /** Null where it is a student's own. */
  class_id: string | null;
  /** SHA-256 of its secret, which is kept nowhere. */
  hash: string;
  made_at: Date;
  /** When it was last fetched, to the hour. */
  fetched_at: Date | null;
}

/** Whose link it is, and of which class. */
export type LinkOwner = Pick<CalendarLinkRow, 'account_id' | 'class_id'>;

/** A hundred and twenty-eight bits in the form of an id: nobody finds one by trying. */
const newSecret = () => inIdForm(randomBytes(16).toString('hex'));
const hashOf = (secret: string) => createHash('sha256').update(secret.toLowerCase()).digest('hex');

const told = ({ made_at, fetched_at }: Pick<CalendarLinkRow, 'made_at' | 'fetched_at'>): CalendarLink => ({
  madeAt: made_at.toISOString(),
  fetchedAt: fetched_at?.toISOString() ?? null,
});

export async function linkOf(db: Knex, owner: LinkOwner): Promise<{ link: CalendarLink | null }> {
  const row = await db('calendar_links').where(owner).first();
  return { link: row ? told(row) : null };
}

/** Makes a link, in place of the one there was, which opens nothing from then on. What calendars were told stays known. */
export async function makeLink(db: Knex, owner: LinkOwner, now: Date): Promise<FreshCalendarLink> {
  const secret = newSecret();
  const fresh = { hash: hashOf(secret), made_at: now, fetched_at: null };
  await db.transaction(async (trx) => {
    // Two at once by one and the same: one after the other.
    await trx('users').where({ id: owner.account_id }).forUpdate().first('id');
    const changed = await trx('calendar_links').where(owner).update(fresh);
    if (changed === 0) await trx('calendar_links').insert({ ...owner, ...fresh });
  });
  return { ...told(fresh), path: `/api/calendar/${secret}` };
}

export const endLink = async (db: Knex, owner: LinkOwner): Promise<void> => {
  await db('calendar_links').where(owner).delete();
};

export const linkBySecret = (db: Knex, secret: string): Promise<CalendarLinkRow | undefined> =>
  db('calendar_links')
    .where({ hash: hashOf(secret) })
    .first();

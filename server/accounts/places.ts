import type { Account, useCodeSchema } from '@cimbel/contract';
import type { Knex } from 'knex';
import type { z } from 'zod';
import { invalidField } from '../http/errors';
import { endSessions } from '../http/session';
import { unlock } from '../http/tries';
import { record } from '../log/store';
import { takeCode } from './codes';
import { hashPassword, toAccount } from './store';
import { rowOf } from '../db/rows';

/**
 * Opens an account by the code on a slip: a place that nobody has claimed gets an address and a password, an account whose
 * password was forgotten a new one. Whoever is signed in to it is signed out.
 */
export async function openByCode(
  db: Knex,
  { code, email, password }: z.output<typeof useCodeSchema>,
  now: Date,
): Promise<Account> {
  const password_hash = await hashPassword(password);
  return db.transaction(async (trx) => {
    const { kind, user_id } = await takeCode(trx, code, ['place', 'reset'], now);
    const user = rowOf(await trx('users').where({ id: user_id! }).first(), 'users');
    if (kind === 'place' && !email)
      throw invalidField('email', 'email', 'Write the address you will sign in with.');
    if (kind === 'place' && (await trx('users').where({ email: email! }).first('id')))
      throw invalidField(
        'email',
        'takenClaim',
        'An account with this address exists. Sign in, and use the code there.',
      );
    await trx('users')
      .where({ id: user.id })
      .update(kind === 'place' ? { email, password_hash } : { password_hash });
    await endSessions(trx, user.id, { besides: null });
    if (user.email) await unlock(trx, user.email);
    const action = kind === 'place' ? 'account.claimed' : 'account.reset';
    await record(trx, { at: now, actor: user.id, action, subject: user.id });
    return toAccount(user);
  });
}

/** Takes a place that nobody has claimed into an account there is: the number and what was set for it come along. */
export async function claimInto(db: Knex, accountId: string, code: string, now: Date): Promise<void> {
  await db.transaction(async (trx) => {
    const { user_id: place } = await takeCode(trx, code, ['place'], now);
    const there = rowOf(place ?? undefined, 'codes');
    for (const membership of await trx('memberships').where({ student_id: there })) {
      const { class_id, number, extra_time_share } = membership;
      const mine = await trx('memberships').where({ class_id, student_id: accountId }).first();
      if (mine) {
        await trx('memberships').where({ class_id, student_id: there }).delete();
        await trx('memberships')
          .where({ class_id, student_id: accountId })
          .update({ state: 'active', number: number ?? mine.number, extra_time_share });
      } else
        await trx('memberships').where({ class_id, student_id: there }).update({ student_id: accountId });
      await record(trx, {
        at: now,
        actor: accountId,
        action: 'account.claimed',
        classId: class_id,
        subject: accountId,
      });
    }
    // Dates of its own come along where the account has none there.
    await trx('assignment_students')
      .where({ student_id: there })
      .whereNotIn(
        'assignment_id',
        trx('assignment_students').where({ student_id: accountId }).select('assignment_id'),
      )
      .update({ student_id: accountId });
    await trx('assignment_students').where({ student_id: there }).delete();
    await trx('users').where({ id: there }).delete();
  });
}

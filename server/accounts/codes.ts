import type { CodeTold } from '@cimbel/contract';
import type { Knex } from 'knex';
import { createHash, randomInt } from 'node:crypto';
import { invalidField } from '../http/errors';
import { rowOf } from '../db/rows';

/** No O/0, I/1, so that a code read out in class is typed right. */
const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
export const newCode = (length: number): string =>
  Array.from({ length }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');

/** Ten signs of 32: too many to be guessed at a hundred tries in ten minutes. */
const CODE_LENGTH = 10;
const DAYS_14_MS = 14 * 24 * 3600_000;

const hashOf = (code: string) => createHash('sha256').update(code).digest('hex');

export interface CodeRow {
  id: string;
  kind: 'invitation' | 'place' | 'reset';
  hash: string;
  user_id: string | null;
  made_by: string | null;
  label: string | null;
  administrator: boolean;
  made_at: Date;
  expires_at: Date;
}

/**
 * A code that is good once, for two weeks. It replaces the one there was for the same account; what is returned is shown
 * this once and kept nowhere.
 */
export async function makeCode(
  db: Knex,
  what: Pick<CodeRow, 'kind' | 'made_by'> & Partial<Pick<CodeRow, 'user_id' | 'label' | 'administrator'>>,
  now: Date,
): Promise<{ code: string; expiresAt: Date }> {
  const code = newCode(CODE_LENGTH);
  const expiresAt = new Date(now.getTime() + DAYS_14_MS);
  if (what.user_id) await db('codes').where({ user_id: what.user_id }).delete();
  await db('codes').insert({ ...what, hash: hashOf(code), made_at: now, expires_at: expiresAt });
  return { code, expiresAt };
}

const wrong = () =>
  invalidField(
    'code',
    'unknownCode',
    'This code is not known, has been used, or is too old. Ask for a new one.',
  );

/** @throws HttpError where there is no such code. */
async function findCode(db: Knex, code: string, now: Date): Promise<CodeRow> {
  const row = await db('codes')
    .where({ hash: hashOf(code) })
    .first();
  if (!row || row.expires_at <= now) throw wrong();
  return row;
}

/** What a code is for; it stays good. */
export async function tellCode(db: Knex, code: string, now: Date): Promise<CodeTold> {
  const { kind, label, user_id } = await findCode(db, code, now);
  if (!user_id) return { kind, name: label ?? '', className: null };
  const user = await db('users').where({ id: user_id }).first('name');
  const { name } = rowOf(user, 'users');
  const inClass = await db('members')
    .join('classes', 'classes.id', 'members.class_id')
    .where({ student_id: user_id })
    .first('classes.name');
  return { kind, name, className: kind === 'place' ? (inClass?.name ?? null) : null };
}

/** Takes a code, which is good no more then. In a transaction: of two who use it at once one has it. */
export async function takeCode(
  trx: Knex,
  code: string,
  kinds: readonly CodeRow['kind'][],
  now: Date,
): Promise<CodeRow> {
  const { id, kind } = await findCode(trx, code, now);
  if (!kinds.includes(kind)) throw wrong();
  const [row] = await trx('codes').where({ id }).delete().returning('*');
  if (!row) throw wrong();
  return row;
}

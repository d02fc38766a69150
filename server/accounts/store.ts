import type { Account, Role } from '@cimbel/contract';
import { hash, verify } from '@node-rs/argon2';
import type { Knex } from 'knex';
import { availableParallelism } from 'node:os';
import pLimit from 'p-limit';

/**
 * Hashing fills a core and a thread that files and name lookups wait for as well. While a college signs in at nine, half of
 * the cores is left for those who are in already.
 */
const HASHED_AT_ONCE = Math.max(1, Math.floor(availableParallelism() / 2));
const oneOfFew = pLimit(HASHED_AT_ONCE);

export interface UserRow {
  id: string;
  name: string;
  role: Role;
  /** Neither address nor password where nobody has claimed the place yet. */
  email: string | null;
  password_hash: string | null;
  administrator: boolean;
  demo: boolean;
}
const ACCOUNT = ['id', 'name', 'role', 'administrator'] as const;
export const toAccount = ({
  id,
  name,
  role,
  administrator,
}: Pick<UserRow, (typeof ACCOUNT)[number]>): Account => ({
  id,
  name,
  role,
  administrator,
});

export const hashPassword = (password: string): Promise<string> => oneOfFew(() => hash(password));

export async function createAccount(
  db: Knex,
  account: {
    name: string;
    role: Role;
    email: string;
    password: string;
    demo?: boolean;
    administrator?: boolean;
  },
): Promise<Account | 'emailTaken'> {
  const { name, role, email, password, demo = false, administrator = false } = account;
  const rows = await db('users')
    .insert({ name, role, email, password_hash: await hashPassword(password), demo, administrator })
    .onConflict('email')
    .ignore()
    .returning([...ACCOUNT]);
  return rows.length > 0 ? toAccount(rows[0]) : 'emailTaken';
}

/** A hash of nobody's password: an unknown address takes as long to refuse as a wrong password. */
let nobody: Promise<string> | null = null;

/** An account that may be used now; a demo account only where those are open. */
export async function openAccount(db: Knex, id: string, demoIsOpen: boolean): Promise<Account | null> {
  const row = await db('users')
    .where({ id })
    .first(...ACCOUNT, 'demo');
  return row && (demoIsOpen || !row.demo) ? toAccount(row) : null;
}

export const findByEmail = (db: Knex, email: string): Promise<UserRow | undefined> =>
  db('users').where({ email }).first();

/** Whether it is the password of an account; of no account it is not, in the same time. */
export async function isPassword(user: UserRow | undefined, password: string): Promise<boolean> {
  const stored = user?.password_hash ?? (await (nobody ??= hashPassword('no account has this')));
  const right = await oneOfFew(() => verify(stored, password));
  return Boolean(user?.password_hash) && right;
}

export async function demoAccounts(db: Knex): Promise<Account[]> {
  const rows = await db('users')
    .where({ demo: true })
    .whereNotNull('email')
    .orderBy([{ column: 'role' }, { column: 'name' }]);
  return rows.map(toAccount);
}

export async function demoAccount(db: Knex, id: string): Promise<Account | null> {
  const row = await db('users').where({ demo: true, id }).first();
  return row ? toAccount(row) : null;
}

/** Whether no educator of the installation's own is there yet. */
export const isNewInstallation = async (db: Knex): Promise<boolean> =>
  !(await db('users').where({ role: 'educator', demo: false }).first('id'));

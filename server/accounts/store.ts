import type { Account, Role } from '@cimbel/contract';
import { hash, verify } from '@node-rs/argon2';
import type { Knex } from 'knex';
import pLimit from 'p-limit';

/**
 * Hashing fills a core and a thread that files and name lookups wait for as well: a class that signs in at nine does so two
 * at a time, and everything else goes on meanwhile.
 */
const HASHED_AT_ONCE = 2;
const oneOfFew = pLimit(HASHED_AT_ONCE);

interface UserRow {
  id: string;
  name: string;
  role: Role;
  email: string;
  password_hash: string;
  demo: boolean;
}
const toAccount = ({ id, name, role }: Pick<UserRow, 'id' | 'name' | 'role'>): Account => ({
  id,
  name,
  role,
});

export async function createAccount(
  db: Knex,
  account: { name: string; role: Role; email: string; password: string; demo?: boolean },
): Promise<Account | 'emailTaken'> {
  const rows = await db<UserRow>('users')
    .insert({
      name: account.name,
      role: account.role,
      email: account.email,
      password_hash: await oneOfFew(() => hash(account.password)),
      demo: account.demo ?? false,
    })
    .onConflict('email')
    .ignore()
    .returning(['id', 'name', 'role']);
  return rows.length > 0 ? toAccount(rows[0]) : 'emailTaken';
}

/** A hash of nobody's password: an unknown address takes as long to refuse as a wrong password. */
let nobody: Promise<string> | null = null;

/** An account that may be used now; a demo account only where those are open. */
export async function openAccount(db: Knex, id: string, demoIsOpen: boolean): Promise<Account | null> {
  const row = await db<UserRow>('users').where({ id }).first('id', 'name', 'role', 'demo');
  return row && (demoIsOpen || !row.demo) ? toAccount(row) : null;
}

/** The account of an address and its password; `demo` tells whether it is one of the demo, whose password is printed. */
export async function findByPassword(
  db: Knex,
  email: string,
  password: string,
): Promise<{ account: Account; demo: boolean } | null> {
  const user = await db<UserRow>('users').where({ email }).first();
  const stored = user?.password_hash ?? (await (nobody ??= oneOfFew(() => hash('no account has this'))));
  const right = await oneOfFew(() => verify(stored, password));
  return user && right ? { account: toAccount(user), demo: user.demo } : null;
}

export async function demoAccounts(db: Knex): Promise<Account[]> {
  const rows = await db<UserRow>('users')
    .where({ demo: true })
    .orderBy([{ column: 'role' }, { column: 'name' }]);
  return rows.map(toAccount);
}

export async function demoAccount(db: Knex, id: string): Promise<Account | null> {
  const row = await db<UserRow>('users').where({ demo: true, id }).first();
  return row ? toAccount(row) : null;
}

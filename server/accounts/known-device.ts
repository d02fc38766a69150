import type { Request, Response } from 'express';
import { createHmac, timingSafeEqual } from 'node:crypto';
import type { UserRow } from './store';

const YEAR_MS = 365 * 24 * 3600_000;
const nameFor = (secret: string, id: string) =>
  `cimbel.device.${createHmac('sha256', secret).update(`name ${id}`).digest('hex').slice(0, 10)}`;
/** Worth nothing once the password has changed. */
const valueFor = (secret: string, { id, password_hash }: Pick<UserRow, 'id' | 'password_hash'>) =>
  createHmac('sha256', secret).update(`device ${id} ${password_hash}`).digest('hex');

const cookieOf = (req: Request, name: string): string | undefined =>
  (req.headers.cookie ?? '')
    .split(/; */)
    .find((pair) => pair.startsWith(`${name}=`))
    ?.slice(name.length + 1);

/** Whether someone has signed in to this account in this browser before. */
export function isKnownDevice(secret: string, req: Request, user: UserRow | undefined): boolean {
  if (!user) return false;
  const [given, right] = [cookieOf(req, nameFor(secret, user.id)) ?? '', valueFor(secret, user)];
  return given.length === right.length && timingSafeEqual(Buffer.from(given), Buffer.from(right));
}

export function knowDevice(
  secret: string,
  res: Response,
  user: Pick<UserRow, 'id' | 'password_hash'>,
  secure: boolean,
): void {
  res.cookie(nameFor(secret, user.id), valueFor(secret, user), {
    httpOnly: true,
    sameSite: 'lax',
    secure,
    maxAge: YEAR_MS,
    path: '/api/session',
  });
}

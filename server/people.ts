import { connect, migrateAt } from './db/database';
import { makeCode } from './accounts/codes';
import { findByEmail } from './accounts/store';
import { unlock } from './http/tries';

const HELP = `npm run people -- invite NAME [--administrator]   a code that makes an educator's account
npm run people -- reset EMAIL                     a code that sets a new password

For whoever runs the installation: the first administrator behind a proxy, or one who forgot their password.`;

/** @returns What is said at the terminal. @throws Error with what is wrong, in plain words. */
async function people(url: string, args: readonly string[], now: Date): Promise<string> {
  const administrator = args.includes('--administrator');
  const [command, ...rest] = args.filter((arg) => arg !== '--administrator');
  const whom = rest.join(' ').trim();
  if (!['invite', 'reset'].includes(command) || whom === '') throw new Error(HELP);
  await migrateAt(url);
  const db = connect(url);
  try {
    if (command === 'invite') {
      const { code } = await makeCode(
        db,
        { kind: 'invitation', made_by: null, label: whom, administrator },
        now,
      );
      return `${code}\nGood once, for two weeks, on the page “Make an account”.`;
    }
    const user = await findByEmail(db, whom.toLowerCase());
    if (!user) throw new Error(`No account has the address ${whom}.`);
    if (user.demo) throw new Error('The password of a demo account is printed and stays as it is.');
    await unlock(db, user.email!);
    const { code } = await makeCode(db, { kind: 'reset', made_by: null, user_id: user.id }, now);
    return `${code}\nGood once, for two weeks, on the page “Use a code” (/code).`;
  } finally {
    await db.destroy();
  }
}

people(process.env.DATABASE_URL ?? '', process.argv.slice(2), new Date()).then(
  (text) => console.log(text),
  (error: Error) => {
    console.error(error.message);
    process.exit(1);
  },
);

import { expect, type Browser, type Page } from '@playwright/test';
import { PASSWORD, fromTerminal, makeClass, register, signOutThere, test, unique } from './pages';

const newPage = async (browser: Browser, options = {}) => (await browser.newContext(options)).newPage();
const rosterOf = async (page: Page) => {
  await page.getByRole('link', { name: 'Roster' }).click();
  await expect(page.getByRole('heading', { name: 'Put students on the roster' })).toBeVisible();
};
/** Codes on the slips that are shown, by name. */
async function codesOf(page: Page): Promise<Record<string, string>> {
  const slips = page.getByRole('dialog', { name: 'Slips' }).getByRole('listitem');
  await expect(slips.first()).toBeVisible();
  const codes: Record<string, string> = {};
  for (const slip of await slips.all()) {
    const [name, , code] = (await slip.innerText()).split('\n').filter((line) => line.trim() !== '');
    codes[name.split(' · ')[0]] = code;
  }
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  return codes;
}

test('an administrator invites an educator, who can sign in and whose forgotten password is reset', async ({
  browser,
}) => {
  const administrator = await newPage(browser);
  const name = unique('Administrator');
  await administrator.goto('/register');
  await administrator.getByRole('radio', { name: 'an educator' }).click();
  await administrator.getByLabel('Invitation code').fill('ABCDE-FGHJK');
  await administrator.getByLabel('Name', { exact: true }).fill(name);
  await administrator.getByLabel('Email').fill(`${name.replace(/\s/g, '.')}@example.test`);
  await administrator.getByLabel('Password').fill(PASSWORD);
  await administrator.getByRole('button', { name: 'Create account' }).click();
  await expect(administrator.getByText('This code is not known.')).toBeVisible();
  await administrator.getByLabel('Invitation code').fill(fromTerminal('invite', name, '--administrator'));
  await administrator.getByRole('button', { name: 'Create account' }).click();
  await administrator.getByRole('button', { name: `Account of ${name}` }).click();
  await administrator.getByRole('menuitem', { name: 'Educators' }).click();

  const colleague = unique('Colleague');
  await administrator.getByLabel('Name', { exact: true }).fill(colleague);
  await administrator.getByRole('button', { name: 'Make a code' }).click();
  const shown = administrator.getByRole('dialog');
  const code = await shown.locator('.font-mono').innerText();
  await shown.getByRole('button', { name: 'Close' }).click();
  await expect(
    administrator.getByRole('button', { name: `Withdraw the invitation of ${colleague}` }),
  ).toBeVisible();

  const invited = await newPage(browser);
  // Scanned, or typed on the page of codes: it leads to where an account is made.
  await invited.goto(`/code#${code}`);
  await expect(invited.getByLabel('Name', { exact: true })).toHaveValue(colleague);
  const email = `${colleague.replace(/\s/g, '.').toLowerCase()}@example.test`;
  await invited.getByLabel('Email').fill(email);
  await invited.getByLabel('Password').fill(PASSWORD);
  await invited.getByRole('button', { name: 'Create account' }).click();
  await expect(invited.getByRole('heading', { name: 'Classes' })).toBeVisible();
  await signOutThere(invited);

  await administrator.reload();
  await administrator.getByRole('button', { name: `New password for ${colleague}` }).click();
  const reset = await administrator.getByRole('dialog').locator('.font-mono').innerText();
  await invited.goto('/code');
  await invited.getByLabel('Code on your slip').fill(reset.toLowerCase());
  await invited.getByRole('button', { name: 'Continue' }).click();
  await expect(invited.getByText(`Set a new password for ${colleague}.`)).toBeVisible();
  await invited.getByLabel('New password').fill('quite another one');
  await invited.getByRole('button', { name: 'Save and sign in' }).click();
  await expect(invited.getByRole('heading', { name: 'Classes' })).toBeVisible();
});

test('a roster of thirty by paste and by file, slips claimed, a password reset, a student removed and brought back', async ({
  browser,
}) => {
  test.setTimeout(180_000);
  const educator = await newPage(browser);
  await register(educator, 'an educator', unique('Lister'));
  await makeClass(educator, unique('Thirty'));
  await rosterOf(educator);
  const names = educator.getByLabel('Names');
  const thirty = Array.from({ length: 30 }, (_, i) => `Student ${String.fromCharCode(65 + (i % 26))}${i}`);
  await names.fill(`${thirty.join('\n')}\n${thirty[3]}`);
  await expect(educator.getByText(`Row 31: ${thirty[3]} is in row 4 already.`)).toBeVisible();
  await expect(educator.getByRole('button', { name: /^Add/ })).toBeDisabled();
  await names.fill(thirty.join('\n'));
  // What is typed survives a reload.
  await educator.reload();
  await expect(names).toHaveValue(thirty.join('\n'));
  await educator.getByRole('button', { name: 'Add 30 students' }).click();
  await expect(educator.getByText('30 students have been added.')).toBeVisible();
  await expect(educator.getByRole('heading', { name: '30 students' })).toBeVisible();

  const csv =
    'sourcedId,status,role,givenName,familyName,identifier\n1,active,student,Amal,Two,901\n2,active,student,Amal,Two,902\n3,active,teacher,Not,Me,903\n';
  await educator
    .locator('input[type=file]')
    .setInputFiles({ name: 'users.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(educator.getByText('2 students found.')).toBeVisible();
  await educator.getByRole('button', { name: 'Add 2 students' }).click();
  await expect(educator.getByRole('heading', { name: '32 students' })).toBeVisible();

  await educator.getByRole('button', { name: 'Slips for all who need one' }).click();
  await educator.getByRole('button', { name: 'Make slips' }).click();
  await expect(educator.getByRole('heading', { name: 'Slips', exact: true })).toBeVisible();
  // What is printed is the sheet, and the dialog is still there afterwards.
  await educator.emulateMedia({ media: 'print' });
  await expect(educator.locator('body > .print-sheet li').last()).toBeVisible();
  await expect(educator.getByRole('heading', { name: '32 students' })).not.toBeInViewport();
  await educator.emulateMedia({ media: 'screen' });
  const codes = await codesOf(educator);
  expect(Object.keys(codes)).toHaveLength(31);

  const phone = await newPage(browser, { viewport: { width: 390, height: 844 } });
  await phone.goto(`/code#${codes[thirty[0]]}`);
  await expect(phone.getByText(`This is the place of ${thirty[0]}`)).toBeVisible();
  const email = `${unique('claimed').replace(/\s/g, '.')}@example.test`;
  await phone.getByLabel('The email you will sign in with').fill(email);
  await phone.getByLabel('New password').fill('short');
  await phone.getByRole('button', { name: 'Save and sign in' }).click();
  await expect(phone.getByText('At least ten characters.')).toBeVisible();
  await phone.getByLabel('New password').fill(PASSWORD);
  await phone.getByRole('button', { name: 'Save and sign in' }).click();
  await expect(phone.getByRole('heading', { name: 'Assignments' })).toBeVisible();

  await educator.reload();
  const row = educator.getByRole('row').filter({ hasText: thirty[0] });
  await expect(row).toContainText('with their own password');
  await educator.getByRole('button', { name: `Slip for ${thirty[0]}`, exact: true }).click();
  await expect(educator.getByText('1 of them signs in already')).toBeVisible();
  await educator.getByRole('button', { name: 'Make slips' }).click();
  const reset = await codesOf(educator);
  await signOutThere(phone);
  await phone.goto('/code');
  await phone.getByLabel('Code on your slip').fill(reset[thirty[0]]);
  await phone.getByRole('button', { name: 'Continue' }).click();
  await phone.getByLabel('New password').fill('a password of mine');
  await phone.getByRole('button', { name: 'Save and sign in' }).click();
  await expect(phone.getByRole('heading', { name: 'Assignments' })).toBeVisible();
  // Used once, the code is good no more.
  await phone.goto(`/code#${reset[thirty[0]]}`);
  await expect(phone.getByText('has been used, or is too old')).toBeVisible();

  await educator.getByRole('button', { name: `Remove ${thirty[0]}`, exact: true }).click();
  await educator.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
  await expect(educator.getByRole('heading', { name: '31 students' })).toBeVisible();
  await educator.getByRole('button', { name: `Bring back ${thirty[0]}`, exact: true }).click();
  await expect(educator.getByRole('heading', { name: '32 students' })).toBeVisible();
  await educator.getByText('What was done').click();
  await expect(educator.getByRole('cell', { name: 'changed on the roster' }).first()).toBeVisible();

  await phone.goto('/account');
  await phone.getByLabel('Present password').fill('not this');
  await phone.getByLabel('New password').fill('the last one of all');
  await phone.getByRole('button', { name: 'Change password' }).click();
  await expect(phone.getByText('This is not your current password.')).toBeVisible();
  await phone.getByLabel('Present password').fill('a password of mine');
  await phone.getByRole('button', { name: 'Change password' }).click();
  await expect(phone.getByText('Your password has been changed.')).toBeVisible();
});

test('a colleague looks and marks, or does everything; a class is copied, put away and deleted', async ({
  browser,
}) => {
  const owner = await newPage(browser);
  await register(owner, 'an educator', unique('Owner'));
  const name = unique('Shared class');
  await makeClass(owner, name);
  const colleague = await newPage(browser);
  const called = unique('Second');
  await register(colleague, 'an educator', called);
  await rosterOf(owner);
  const email = owner.getByLabel('Email of a colleague');
  await email.fill('nobody@example.test');
  await owner.getByRole('button', { name: 'Let them in' }).click();
  await expect(owner.getByText('No educator here has this address.')).toBeVisible();
  await email.fill(`${called.replace(/\s+/g, '.').toLowerCase()}@example.test`);
  await owner.getByRole('radio', { name: 'looks and marks' }).click();
  await owner.getByRole('button', { name: 'Let them in' }).click();
  await expect(owner.getByText(`${called} looks and marks`)).toBeVisible();

  await colleague.goto('/classes');
  await colleague.getByRole('link', { name }).click();
  await expect(colleague.getByRole('heading', { name })).toBeVisible();
  await expect(colleague.getByRole('link', { name: 'Roster' })).toBeHidden();
  await expect(colleague.getByRole('link', { name: 'Assign an exercise' })).toBeHidden();
  await email.fill(`${called.replace(/\s+/g, '.').toLowerCase()}@example.test`);
  await owner.getByRole('radio', { name: 'may do everything' }).click();
  await owner.getByRole('button', { name: 'Let them in' }).click();
  await expect(owner.getByText(`${called} may do everything`)).toBeVisible();
  await colleague.reload();
  await rosterOf(colleague);

  const next = unique('Next term');
  await owner.getByLabel('Name of the new class').fill(next);
  await owner.getByRole('button', { name: 'Copy the class' }).click();
  await expect(owner.getByRole('heading', { name: next })).toBeVisible();
  await rosterOf(owner);
  await owner.getByRole('button', { name: 'Put the class away' }).click();
  await owner.getByRole('dialog').getByRole('button', { name: 'Put the class away' }).click();
  await expect(owner.getByRole('button', { name: 'Take the class out again' })).toBeVisible();
  const download = owner.waitForEvent('download');
  await owner.getByRole('link', { name: 'Save everything in it' }).click();
  await download;
  await owner.getByRole('button', { name: 'Delete the class for good' }).click();
  await owner.getByRole('dialog').getByRole('button', { name: 'Delete the class for good' }).click();
  await expect(owner.getByRole('heading', { name: 'Classes', exact: true })).toBeVisible();
  await expect(owner.getByRole('link', { name: next })).toBeHidden();
  await expect(owner.getByRole('link', { name })).toBeVisible();
});

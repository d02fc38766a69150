import { expect, type Page } from '@playwright/test';
import { makeClass, register, setExercise, signOutThere, test, unique, walkIn } from './pages';

async function openGraded(page: Page): Promise<void> {
  await walkIn(page, 'Odile Brandvoort');
  await page.getByRole('link', { name: /Lantern Yard/ }).click();
  await page.getByRole('link', { name: 'Cover half grey, keep it golden', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Submissions of the class' })).toBeVisible();
}

test('thirty answers are read by sorting, by keys and without going back', async ({ page }) => {
  await openGraded(page);
  const firstName = () =>
    page.getByRole('table').getByRole('row').nth(1).getByRole('cell').first().innerText();
  expect(await firstName()).toBe('Amina Tessaly');
  await test.step('what the class has wrong becomes its practice with one press, and that is taken back', async () => {
    const set = page.getByRole('button', { name: 'Set practice: Ratio reversed' });
    await set.click();
    await expect(page.getByText('Set for the class')).toBeVisible();
    await page.getByRole('button', { name: 'Undo, practice of Ratio reversed' }).click();
    await expect(set).toBeVisible();
    await page.getByText('What tells strong answers from weak').click();
    await expect(page.getByRole('row', { name: /^Base shade for grey coverage/ })).toContainText('%');
  });
  await page.getByRole('button', { name: 'Total' }).click();
  await page.getByRole('button', { name: 'Total' }).click();
  const sorted = await firstName();
  expect(['Leo Marchetto', 'Hana Morikese', 'Amina Tessaly', 'Bo Lindqvarn']).toContain(sorted);
  await page.getByRole('link', { name: 'Bo Lindqvarn' }).click();
  await expect(page.getByRole('heading', { name: 'Bo Lindqvarn' })).toBeVisible();
  await page.keyboard.press('j');
  await expect(page.getByRole('heading', { name: 'Carys Ollenby' })).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByRole('heading', { name: 'Bo Lindqvarn' })).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByRole('heading', { name: 'Amina Tessaly' })).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByRole('heading', { name: 'Amina Tessaly' })).toBeVisible();
});

test('taking a release back hides the model answer from students again; releasing shows it', async ({
  page,
  browser,
}) => {
  await openGraded(page);
  const student = await (await browser.newContext()).newPage();
  await walkIn(student, 'Dmitri Vasko');
  const card = student.getByRole('listitem').filter({ hasText: 'Cover half grey' });
  await expect(card.getByRole('link', { name: 'View result' })).toBeVisible();
  await page.getByRole('button', { name: 'Hide results' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Results are released')).toBeVisible();
  await page.getByRole('button', { name: 'Hide results' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Hide results' }).click();
  await expect(page.getByRole('button', { name: 'Release results' })).toBeVisible();
  await student.reload();
  await expect(card.getByText('Waiting for results')).toBeVisible();
  await expect(card.getByText(/of \d/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Release results' }).click();
  await expect(page.getByText('Results are released')).toBeVisible();
  await student.reload();
  await card.getByRole('link', { name: 'View result' }).click();
  await expect(student.getByText(/^[\d.]+ of \d+ points$/)).toBeVisible();
  await expect(student.getByText(/Changed by Odile Brandvoort/)).toBeVisible();
});

test('an exercise nobody answered can be deleted, after asking; a half-made one is kept on the device', async ({
  page,
}) => {
  await register(page, 'an educator', unique('Keeper'));
  await makeClass(page, unique('Late'));
  await page.getByRole('link', { name: 'Assign an exercise' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'A golden gloss' });
  await page.getByLabel('Title').fill('Half made');
  await page.reload();
  await expect(page.getByLabel('Title')).toHaveValue('Half made');
  await page.getByLabel('Title').fill('Half made, in part');
  // The letters of a word are one step; starting over is one that can be taken back.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Half made');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Half made');
  await page.getByRole('button', { name: 'Start over' }).click();
  await page.goBack();
  const title = unique('To be deleted');
  await test.step('what was just assigned is taken back into its form', async () => {
    await setExercise(page, { from: 'A golden gloss', title, release: 'when I release them' });
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('Title')).toHaveValue(title);
    await expect(page.getByLabel('Start from')).toContainText(`${title} (not assigned yet)`);
    await page.getByRole('button', { name: 'Assign', exact: true }).click();
    await expect(page.getByRole('heading', { name: title })).toBeVisible();
  });
  await page.getByRole('button', { name: 'Delete assignment' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('button', { name: 'Delete assignment' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('Nothing is assigned yet.')).toBeVisible();
});

test('a wrong password and a wrong code are said where they are', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByLabel('Email').fill('odile@lanternyard.example');
  await page.getByLabel('Password').fill('not the one');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByText('Email or password is incorrect.')).toBeVisible();
  await page.getByLabel('Email').fill('no address');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByText('Enter a full address')).toBeVisible();
  await page.getByLabel('Email').fill('odile@lanternyard.example');
  await page.getByLabel('Password').fill('grey-room-practice');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Account of Odile Brandvoort' })).toBeVisible();
  await signOutThere(page);
  await walkIn(page, 'Farid Khoulani');
  await page.getByLabel('Class code').fill('abc');
  await page.getByRole('button', { name: 'Join', exact: true }).click();
  await expect(page.getByText('A code has eight letters and digits.')).toBeVisible();
  await page.getByLabel('Class code').fill('ABCD-EFGH');
  await page.getByRole('button', { name: 'Join', exact: true }).click();
  await expect(page.getByText('This code is not known.')).toBeVisible();
});

test('the room is dark when asked for, and stays so', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Dark mode' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(page.getByRole('button', { name: 'Light mode' })).toBeVisible();
});

test('house rules are chosen by key, saved, undone, and say what they come to', async ({ page }) => {
  await register(page, 'an educator', unique('Ruler'));
  await makeClass(page, unique('Rules'));
  await page.getByRole('link', { name: 'House rules' }).click();
  const lift = page.getByRole('radiogroup', { name: 'Lifting with colour' });
  await expect(lift).toContainText('From 5 to 7 takes a shade of level 9.');
  await lift.getByRole('radio').first().focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('Not saved yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.reload();
  await expect(lift.getByRole('radio').nth(1)).toBeChecked();
  await lift.getByRole('radio').first().click();
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lift.getByRole('radio').nth(1)).toBeChecked();
  await expect(page.getByText('Saved.')).toBeVisible();
});

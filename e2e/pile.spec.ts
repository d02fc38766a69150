import { expect, type Page } from '@playwright/test';
import { test, unique, walkIn } from './pages';

async function openPile(page: Page): Promise<void> {
  await walkIn(page, 'Odile Brandvoort');
  await page.getByRole('link', { name: /Lantern Yard/ }).click();
  await page.getByRole('link', { name: 'Retouch over half grey', exact: true }).click();
  await page.getByRole('link', { name: 'Mark the pile' }).click();
  await expect(page.getByRole('heading', { name: 'Marking pile', level: 1 })).toBeVisible();
}
/** What the line under the title says of how far the pile is. */
const lookedAt = async (page: Page): Promise<number> =>
  Number(
    (await page.getByRole('status').filter({ hasText: 'looked at' }).innerText()).match(/^(\d+) of/)?.[1],
  );
const group = (page: Page) => page.getByRole('heading', { level: 2, name: /answers? alike|^1 answer/ });
const rows = (page: Page) => page.getByRole('table', { name: 'Answers of this group' }).getByRole('row');

test('a pile is marked by groups with a few keys; what is said is taken back, kept, and read by the student', async ({
  page,
  browser,
}) => {
  await openPile(page);
  await expect(group(page)).toHaveText(/alike/);
  const many = (await rows(page).count()) - 1;
  expect(many).toBeGreaterThan(1);
  const done = await lookedAt(page);
  const first = await page.getByText('Base shade for grey coverage:').innerText();
  expect(first).not.toBe('');

  await test.step('one press leaves the marks of a group, and goes on; one takes that back', async () => {
    await page.keyboard.press('l');
    await expect.poll(() => lookedAt(page)).toBe(done + many);
    await expect(page.getByText('Base shade for grey coverage:')).toBeHidden();
    await page.getByRole('button', { name: `Undo: ${many} marks left as they are` }).click();
    await expect.poll(() => lookedAt(page)).toBe(done);
    await page.keyboard.press('k');
    await expect(page.getByText('Base shade for grey coverage:')).toBeVisible();
  });

  await test.step('one answer is put aside to be talked about', async () => {
    await page.keyboard.press('n');
    await page.keyboard.press('t');
    await expect(page.getByText('1 to talk about')).toBeVisible();
    await expect(rows(page).nth(2).getByRole('combobox')).toHaveValue('talk');
  });

  const said = unique('Half of it natural, on half grey');
  await test.step('all are told the same, and the phrase is kept', async () => {
    await page.keyboard.press('c');
    const dialog = page.getByRole('dialog', { name: `Comment on all ${many}` });
    await dialog.getByRole('button', { name: 'Say it' }).click();
    await expect(dialog.getByRole('alert')).toHaveText('Write something, 500 characters at most.');
    await dialog.getByLabel('Comment', { exact: true }).fill(said);
    await dialog.getByRole('checkbox', { name: 'Keep as a phrase of mine' }).check();
    await dialog.getByRole('button', { name: 'Say it' }).click();
    await expect(dialog).toBeHidden();
    await expect(page.getByRole('list', { name: 'Comments' })).toContainText(said);
  });

  await test.step('all get the same points, with the reason, and lose them again', async () => {
    await page.getByRole('button', { name: 'Give all the same points' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByLabel('Criterion')).toHaveValue('greyShare');
    await dialog.getByLabel(/^Points \(of/).fill('2,5');
    await dialog.getByLabel('Reason, shown to the student').fill('Said so in class.');
    await dialog.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('button', { name: /^Undo: \d+ marks? changed/ })).toBeVisible();
    await expect(page.getByLabel('changed by hand').first()).toBeVisible();
    // A dialog that is going still takes the keys.
    await expect(page.locator('[role="dialog"]')).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(page.getByLabel('changed by hand')).toHaveCount(0);
  });

  await test.step('names are hidden, and all of it is there after a reload', async () => {
    await page.getByRole('checkbox', { name: 'Hide names' }).check();
    await expect(rows(page).nth(1)).toContainText(/Answer \d+/);
    await page.reload();
    await expect(page.getByText('1 to talk about')).toBeVisible();
    await expect(rows(page).nth(1)).toContainText(/Answer \d+/);
    await page.getByRole('checkbox', { name: 'Hide names' }).uncheck();
  });

  await test.step('the student reads it with the mark', async () => {
    const student = await (await browser.newContext()).newPage();
    await walkIn(student, 'Bo Lindqvarn');
    await student
      .getByRole('listitem')
      .filter({ hasText: 'Retouch over half grey' })
      .getByRole('link', { name: 'View result' })
      .click();
    await expect(student.getByRole('list', { name: 'Comments' })).toContainText(said);
    await expect(student.getByRole('button', { name: 'Change the wording' })).toHaveCount(0);
    await student.context().close();
  });

  await test.step('where the whole answer is read it is worded anew, said again by phrase, and taken back', async () => {
    await page.getByRole('link', { name: 'Read the whole answer' }).click();
    // The pile has such a list as well, until the answer stands in its place.
    await expect(page.getByRole('heading', { name: 'Marking pile', level: 1 })).toBeHidden();
    const comments = page.getByRole('list', { name: 'Comments' });
    await comments.getByRole('button', { name: 'Change the wording' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Comment', { exact: true }).fill('See me.');
    await dialog.getByRole('button', { name: 'Save' }).click();
    await expect(comments).toContainText('See me.');
    await page.getByRole('button', { name: 'Comment', exact: true }).click();
    await dialog.getByRole('button', { name: said, exact: true }).click();
    await expect(dialog.getByLabel('Comment', { exact: true })).toHaveValue(said);
    await dialog.getByRole('button', { name: 'Say it' }).click();
    await expect(comments.getByRole('listitem')).toHaveCount(2);
    await comments.getByRole('button', { name: 'Change the wording' }).first().click();
    await dialog.getByRole('button', { name: 'Take back' }).click();
    await expect(comments.getByRole('listitem')).toHaveCount(1);
  });
});

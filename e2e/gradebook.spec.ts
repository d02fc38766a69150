import { expect, type Page } from '@playwright/test';
import { joinByCode, makeClass, register, test, unique } from './pages';

const cell = (page: Page, student: string, title: string) =>
  page.getByRole('button', { name: new RegExp(`^${student}, ${title}:`) });
const termOf = (page: Page, student: string) =>
  page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: student }) });
const typed = (page: Page, student: string) =>
  page.getByRole('dialog').getByRole('textbox', { name: student });
const made = (page: Page) => page.locator('p[aria-live]');

test('a term is typed in, weighted, excused, read by its student, frozen and taken along', async ({
  page,
  browser,
}) => {
  const [ada, ben] = [unique('Ada'), unique('Ben')];
  await register(page, 'an educator', unique('Gradekeeper'));
  const code = await makeClass(page, unique('Term'));
  const student = await (await browser.newContext()).newPage();
  await register(student, 'a student', ada);
  await joinByCode(student, code, page);
  const other = await (await browser.newContext()).newPage();
  await register(other, 'a student', ben);
  await joinByCode(other, code, page);
  await other.context().close();

  await page.getByRole('link', { name: 'Gradebook' }).click();
  await expect(page.getByText('Nothing has been set yet.')).toBeVisible();

  await test.step('practical work is typed in for all, and a reload loses nothing', async () => {
    await page.getByRole('button', { name: 'Add practical work' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(dialog.getByRole('alert')).toBeVisible();
    await dialog.getByLabel('What was done').fill('Partings');
    await dialog.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('button', { name: 'Partings', exact: true }).click();
    await page.getByRole('button', { name: 'Type in marks' }).click();
    await typed(page, ada).fill('8,5');
    await typed(page, ada).press('Enter');
    await expect(typed(page, ben)).toBeFocused();
    await page.keyboard.type('11');
    await expect(page.getByRole('alert')).toHaveText('0 to 10, in quarters.');
    await page.reload();
    await page.getByRole('button', { name: 'Partings', exact: true }).click();
    await page.getByRole('button', { name: 'Type in marks' }).click();
    await expect(typed(page, ada)).toHaveValue('8,5');
    await typed(page, ben).fill('4');
    await page.getByRole('button', { name: 'Save 2' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(termOf(page, ada)).toContainText('85 %');
    await expect(termOf(page, ben)).toContainText('40 % no pass');
  });

  await test.step('weights that do not make 100 are said, and count in proportion', async () => {
    await page.getByRole('button', { name: 'How it is reckoned' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Weight: Practical work').fill('10');
    await expect(dialog.getByRole('status')).toHaveText(
      'Weights make 90, not 100. They count in proportion.',
    );
    await dialog.getByRole('checkbox', { name: 'Students see their own sheet' }).check();
    await dialog.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByText('Weights make 90, not 100.')).toBeVisible();
    await expect(termOf(page, ada)).toContainText('85 %');
  });

  await test.step('keys go through the table, say what a mark is made of, and open it', async () => {
    await cell(page, ada, 'Partings').focus();
    await expect(made(page)).toContainText(`${ada} · Partings: 8.5 of 10 points, given by`);
    await page.keyboard.press('ArrowDown');
    await expect(cell(page, ben, 'Partings')).toBeFocused();
    await expect(made(page)).toContainText('makes 100% of the term');
    await page.keyboard.press('Enter');
    const dialog = page.getByRole('dialog', { name: `${ben} · Partings` });
    await dialog.getByRole('checkbox', { name: 'Excused: counts nowhere' }).check();
    await dialog.getByLabel('Reason').fill('Hand in a cast.');
    await dialog.getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('[role="dialog"]')).toHaveCount(0);
    await expect(cell(page, ben, 'Partings')).toHaveText('excused');
    await expect(termOf(page, ben)).not.toContainText('%');
    await cell(page, ben, 'Partings').focus();
    await expect(made(page)).toContainText('“Hand in a cast.”');
  });

  await test.step('a student reads their own sheet, and nobody else’s', async () => {
    await student.goto('/term');
    await expect(student.getByText('Term so far: 85 %')).toBeVisible();
    await expect(student.getByRole('row', { name: /Partings/ })).toContainText('8.5 / 10');
    await expect(student.getByText(ben)).toHaveCount(0);
  });

  await test.step('it is frozen as it stands, and goes out as a table', async () => {
    await page.getByRole('button', { name: 'Freeze the term' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Freeze the term' }).click();
    await expect(page.getByText(/^Frozen on/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Add practical work' })).toHaveCount(0);
    await cell(page, ada, 'Partings').click();
    await expect(page.getByRole('dialog').getByLabel(/^Points/)).toHaveCount(0);
    await page.keyboard.press('Escape');
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'CSV' }).click(),
    ]);
    expect(file.suggestedFilename()).toBe('gradebook.csv');
    await page.getByRole('button', { name: 'Let it go on' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Let it go on' }).click();
    await expect(page.getByText(/^Frozen on/)).toHaveCount(0);
  });

  await test.step('a sheet stands alone to be printed', async () => {
    await page.getByRole('link', { name: ada }).click();
    await expect(page.getByRole('heading', { name: `Term of ${ada}` })).toBeVisible();
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('banner')).toBeHidden();
    await expect(page.getByText('Term so far: 85 %')).toBeVisible();
    await page.emulateMedia({ media: 'screen' });
  });
  await student.context().close();
});

import { expect, type Page } from '@playwright/test';
import { makeClass, register, settingStep, test, shownText, unique } from './pages';

/** What a spreadsheet puts on the clipboard, pasted where the focus is. */
async function paste(page: Page, text: string): Promise<void> {
  await page.evaluate((copied) => {
    const data = new DataTransfer();
    data.setData('text', copied);
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  }, text);
}
const row = (page: Page, number: number) => page.getByLabel(`Label in row ${number}`, { exact: true });

test('the college’s own line is entered, pasted, mended, saved, set in an exercise, and kept in its versions', async ({
  page,
}) => {
  await register(page, 'an educator', unique('Colourist'));
  await page.goto('/');
  await page.getByRole('link', { name: 'Shade charts' }).click();
  await expect(page.getByText('None yet. Start a new one', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: 'New shade chart' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('2 entries are not valid yet', { exact: false })).toBeVisible();
  await expect(page.getByText('Enter at least one shade.').first()).toBeVisible();

  await page.getByLabel('Name of the line').fill('College Cream');
  await page.getByLabel('Separator').fill('=');
  await page.getByLabel('Code for neutral').fill('p');
  await page.getByLabel('Code for ash').fill('z');
  await page.getByLabel('Code for gold').fill('z');
  await expect(page.getByText('The code z stands for two tones.')).toBeVisible();
  await page.getByLabel('Code for gold').fill('m');
  await expect(page.getByText('The code z stands for two tones.')).toBeHidden();

  await page.getByRole('button', { name: 'Add a row' }).click();
  await expect(row(page, 1)).toBeFocused();
  await page.keyboard.type('5=p');
  await expect(page.getByText('level 5 · neutral · natural', { exact: true })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(row(page, 2)).toBeFocused();
  await paste(page, 'label\tlevel\n5=m\t6\n6=z\t6\n');
  await expect(
    page.getByText('Row 2, level: 5=m reads as “5” in this numbering system; the table says “6”.'),
  ).toBeVisible();
  await paste(page, 'label\tlevel\n5=m\t5\n6=z\t6\n7=zz\t7\n');
  await expect(row(page, 4)).toHaveValue('7=zz');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row(page, 4)).toBeHidden();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(row(page, 4)).toHaveValue('7=zz');

  // Half-made work is still there after a reload.
  await page.reload();
  await expect(row(page, 3)).toHaveValue('6=z');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'College Cream' })).toBeVisible();
  await expect(page.getByText('version 1', { exact: false })).toBeAttached();

  await page.getByRole('link', { name: 'Edit' }).click();
  await row(page, 1).fill('5=q');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Row 1: 5=q: “q” is not in this line’s key.')).toBeVisible();
  await row(page, 1).fill('5=p');
  await page.getByLabel('Ratios, parts to one of colour').fill('2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('option', { name: /^version 2/ })).toBeAttached();
  await page.getByLabel('Version').selectOption({ index: 1 });
  await expect(page.getByText('An older version.', { exact: false })).toBeVisible();

  await makeClass(page, unique('Own line'));
  await page.getByRole('link', { name: 'Assign an exercise' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'Cover half grey, keep it golden' });
  await settingStep(page, 'Wish and shelf');
  await page.getByRole('checkbox', { name: 'Tarnwick Cream' }).uncheck();
  await page.getByRole('checkbox', { name: 'College Cream' }).check();
  const answer = page.getByRole('region', { name: 'Model answer' });
  await expect(answer).toContainText('5=m');
  await expect(answer).toContainText('1 : 2');
});

test('a book goes out as a file and comes in again; a broken one says where', async ({ page }) => {
  await register(page, 'an educator', unique('Filer'));
  await page.goto('/shade-books/shipped/quillet');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Chart as JSON' }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe('quillet-gel.json');
  const text = await shownText(file);

  await page.goto('/shade-books/new');
  const choose = (name: string, body: string) =>
    page
      .getByLabel('Import a file')
      .first()
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) });
  await choose('broken.json', text.replace('"8-S"', '"8_S"'));
  await expect(page.getByText('The file was not imported: one entry is not valid.')).toBeVisible();
  await expect(page.getByText(/^Row \d+: 8_S has no “-” between level and tone\.$/)).toBeVisible();
  await choose('quillet.json', text);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Quillet Gel');
  await choose('shades.csv', 'label\n5-L\n6-L\n');
  await expect(page.getByRole('heading', { name: '2 shades' })).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByText('This chart is archived', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByText('This chart is archived', { exact: false })).toBeHidden();
});

import { expect, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
// The build for Node.js; the parser is not the one that writes the files.
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { test, walkIn } from './pages';

/** Text of each page of a file that the page makes, in the order in which it stands there. */
async function made(page: Page, kind: string): Promise<{ name: string; pages: string[] }> {
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: kind, exact: true }).click();
  await dialog.getByRole('button', { name: 'Make the file' }).click();
  const waited = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Save the file' }).click();
  const file = await waited;
  const data = new Uint8Array(await readFile(await file.path()));
  const document = await getDocument({ data, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let n = 1; n <= document.numPages; n++) {
    const { items } = await (await document.getPage(n)).getTextContent();
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    );
  }
  return { name: file.suggestedFilename(), pages };
}

/** Whether these stand in a text in this order. */
const inOrder = (text: string, words: readonly string[]) => {
  let from = 0;
  for (const word of words) {
    const at = text.indexOf(word, from);
    expect(at, `"${word}" after position ${from} of: ${text}`).toBeGreaterThanOrEqual(from);
    from = at + word.length;
  }
};

test('worksheets, their key and results are made into files of their own', async ({ page }) => {
  await walkIn(page, 'Odile Brandvoort');
  await page.getByRole('link', { name: /Lantern Yard/ }).click();
  await page.getByRole('link', { name: 'White only at the face', exact: true }).click();
  const table = page.getByRole('table', { name: 'Submissions of the class' });
  await expect(table).toBeVisible();
  const students = await table.getByRole('row').count();
  await page.getByRole('button', { name: 'On paper' }).click();

  await test.step('a worksheet for each student: what the bench shows and room to write, no answer', async () => {
    const { name, pages } = await made(page, 'Worksheets');
    expect(name).toBe('white-only-at-the-face-worksheets.pdf');
    const ofAmina = pages.filter((text) => text.includes('Amina Tessaly'));
    // The heading is a row of the table as well.
    expect(pages).toHaveLength((students - 1) * ofAmina.length);
    expect(ofAmina[0]).toContain('1 / 2');
    inOrder(ofAmina.join(' '), [
      'White only at the face',
      'Name: Amina Tessaly (2041)',
      'Before you start',
      'Client: Mrs Tamsin Okoro-Bell',
      'Desired result',
      'Level 4, neutral',
      'Consult',
      'Read',
      'Mix',
      'Shades and grams',
      'Apply',
      'Process',
      'Finish',
    ]);
    for (const told of ['30.0 g', '20 vol', '4:0', '% white', 'level 4 ·'])
      expect(pages.join(' ')).not.toContain(told);
  });

  await test.step('the key is a file apart, with what is weighed and when', async () => {
    const { name, pages } = await made(page, 'Answer key');
    expect(name).toBe('white-only-at-the-face-answer-key.pdf');
    expect(pages).toHaveLength(1);
    inOrder(pages[0], [
      'Answer key',
      'Decision',
      'Read, regrowth',
      'A: Tarnwick Cream',
      'What is done, and when',
      'At home',
    ]);
    expect(pages[0]).toMatch(/\d+\.\d g \+ /);
  });

  await test.step('results hold every student by number, with points and the average', async () => {
    const { pages } = await made(page, 'Results of the class');
    inOrder(pages[0], [
      'Number',
      'Student',
      'Total',
      '2041',
      'Amina Tessaly',
      '2042',
      'Bo Lindqvarn',
      'Average of those',
    ]);
  });

  await test.step('Letter paper is remembered by the device', async () => {
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('radio', { name: 'Letter' }).click();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'On paper' }).click();
    await expect(page.getByRole('dialog').getByRole('radio', { name: 'Letter' })).toBeChecked();
  });
});

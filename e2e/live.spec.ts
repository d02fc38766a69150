import { expect } from '@playwright/test';
import { test, unique, walkIn } from './pages';

test('an educator watches a class at work, gives a hint, pauses and lets it go on', async ({
  page,
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const bench = await context.newPage();
  await walkIn(bench, 'Greta Paulsund');
  await bench
    .getByRole('link', { name: /White only at the face/ })
    .first()
    .click();
  await expect(bench.getByText('Your educator can follow your card')).toBeVisible();

  await walkIn(page, 'Odile Brandvoort');
  await page.getByRole('link', { name: /Lantern Yard/ }).click();
  await page.getByRole('link', { name: 'White only at the face', exact: true }).click();
  await page.getByRole('link', { name: 'Watch live' }).click();
  const row = page.getByRole('row', { name: /Greta Paulsund/ });
  await expect(row).toContainText('Consult');
  await expect(page.getByRole('status').filter({ hasText: 'Follows by the second' })).toBeVisible();

  await test.step('a hand goes up, and comes down with a hint', async () => {
    await bench.getByRole('button', { name: 'Ask for help' }).click();
    await expect(bench.getByText('You have asked for help')).toBeVisible();
    await expect(row).toContainText('Asks for help');
    const said = unique('Look at the hairline first');
    await page.getByRole('button', { name: 'Hint for Greta Paulsund' }).click();
    await page.getByLabel('What you say').fill(said);
    await page.getByRole('button', { name: 'Send' }).click();
    await expect(bench.getByRole('alert')).toContainText(said);
    await expect(row).not.toContainText('Asks for help');
    await bench.getByRole('button', { name: 'Read', exact: true }).click();
    await expect(row).toContainText('Hint read');
  });

  await test.step('a pause lies over the bench, and goes by itself', async () => {
    await page.getByRole('button', { name: 'Pause' }).click();
    await expect(bench.getByRole('heading', { name: 'Your class pauses' })).toBeVisible();
    await expect(page.getByText('Paused since')).toBeVisible();
    // A reload finds it as it is.
    await bench.reload();
    await expect(bench.getByRole('heading', { name: 'Your class pauses' })).toBeVisible();
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(bench.getByRole('heading', { name: 'Your class pauses' })).toBeHidden();
  });

  await test.step('where no stream holds, the board looks by itself and says so', async () => {
    const other = await browser.newContext();
    const board = await other.newPage();
    await board.route('**/api/events', (route) => route.abort());
    await walkIn(board, 'Odile Brandvoort');
    await board.goto(page.url());
    await expect(board.getByText('Looks every ten seconds')).toBeVisible();
    await bench.getByRole('button', { name: 'Ask for help' }).click();
    await expect(board.getByRole('row', { name: /Greta Paulsund/ })).toContainText('Asks for help');
    await other.close();
  });

  await test.step('the step is followed', async () => {
    await bench.getByRole('button', { name: /Next:/ }).click();
    await expect(row).not.toContainText('Consult');
  });
  await context.close();
});

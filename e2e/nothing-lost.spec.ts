import { expect, type Page } from '@playwright/test';
import {
  handItIn,
  joinByCode,
  makeClass,
  mixBowl,
  register,
  saved,
  setExercise,
  signOutThere,
  startExercise,
  test,
  unique,
  walkIn,
} from './pages';
import { freePort, startServer, stopServer } from './servers';

const open = async (page: Page, step: string) => {
  await page.goto('/due');
  await page.getByRole('listitem').filter({ hasText: 'Deeper for winter' }).getByRole('link').click();
  await expect(page.getByRole('button', { name: /^Next/ })).toBeVisible();
  const address = new URL(page.url());
  await page.goto(`${address.pathname}?step=${step}`);
};
const mix = (page: Page) =>
  mixBowl(page, 'A', { line: 'Quillet Gel, demi-permanent', shades: ['6-O'], total: 90 });
const amount = (page: Page) => page.getByRole('spinbutton', { name: 'Amount of 6-O' });

test('work goes on without a connection and is sent when it is back', async ({ page, context }) => {
  await walkIn(page, 'Hana Morikese');
  await open(page, 'mix');
  await mix(page);
  await saved(page);
  await context.setOffline(true);
  await amount(page).fill('95');
  await expect(page.getByText('Offline: kept on this device')).toBeVisible();
  await page.getByRole('button', { name: 'Add 7-O', exact: true }).click();
  await context.setOffline(false);
  await saved(page);
  await page.evaluate(() => localStorage.clear());
  await page.reload();
  await expect(amount(page)).toHaveValue('95');
  await expect(page.getByRole('spinbutton', { name: 'Amount of 7-O' })).toBeVisible();
});

test('two devices do not write over each other unasked', async ({ browser }) => {
  const [laptop, phone] = await Promise.all(
    [browser.newContext(), browser.newContext()].map(async (c) => (await c).newPage()),
  );
  await walkIn(laptop, 'Ivo Santarel');
  await walkIn(phone, 'Ivo Santarel');
  await open(laptop, 'mix');
  await open(phone, 'mix');
  await mix(laptop);
  await amount(laptop).fill('70');
  await saved(laptop);
  await phone.getByRole('button', { name: 'Add bowl' }).click();
  const dialog = phone.getByRole('dialog', { name: 'Another device or tab has a newer version' });
  await dialog.getByRole('button', { name: 'Use the newer version' }).click();
  await expect(amount(phone)).toHaveValue('70');
  await amount(phone).fill('85');
  await saved(phone);
  await amount(laptop).fill('75');
  await laptop.getByRole('dialog').getByRole('button', { name: 'Keep this device’s version' }).click();
  await saved(laptop);
  await laptop.reload();
  await expect(amount(laptop)).toHaveValue('75');
});

test('two tabs of one browser are two writers', async ({ context }) => {
  const [page, other] = [await context.newPage(), await context.newPage()];
  await walkIn(page, 'Greta Paulsund');
  await open(page, 'mix');
  await open(other, 'mix');
  // It has what there was before the first tab wrote anything.
  await expect(other.getByRole('button', { name: 'Add bowl' })).toBeVisible();
  await page.bringToFront();
  await mix(page);
  await saved(page);
  // A page behind another may be given no frames.
  await other.bringToFront();
  await other.getByRole('button', { name: 'Add bowl' }).click();
  const dialog = other.getByRole('dialog', { name: 'Another device or tab has a newer version' });
  await expect(dialog.getByRole('button', { name: 'Use the newer version' })).toBeVisible();
  // A reload is the same writer: nothing is asked.
  await page.bringToFront();
  await page.reload();
  await amount(page).fill('77');
  await saved(page);
});

test('one device, two students: each hands in, and nothing of the first is left when they leave', async ({
  browser,
}) => {
  const educator = await (await browser.newContext()).newPage();
  await register(educator, 'an educator', unique('Shared'));
  const code = await makeClass(educator, unique('Class'));
  const title = unique('On one tablet');
  await setExercise(educator, { from: 'Deeper for winter, on porous hair', title, steps: 'Mix' });
  const tablet = await (await browser.newContext()).newPage();
  for (const name of [unique('First'), unique('Second')]) {
    await register(tablet, 'a student', name);
    await joinByCode(tablet, code, educator);
    await startExercise(tablet, title);
    await mixBowl(tablet, 'A', { line: 'Quillet Gel, demi-permanent', shades: ['6-O'], total: 90 });
    await handItIn(tablet);
    await signOutThere(tablet);
    const left = () =>
      tablet.evaluate(() =>
        Object.keys(localStorage).filter((key) => /draft|submission|drillAnswers/.test(key)),
      );
    await expect.poll(left).toEqual([]);
  }
  await educator.reload();
  await expect(educator.getByText('2 of 2 submitted')).toBeVisible();
});

test('a server that goes away and comes back finds everything', async ({ browser }) => {
  const port = await freePort();
  let server = await startServer(port);
  const page = await (await browser.newContext({ baseURL: `http://127.0.0.1:${port}` })).newPage();
  try {
    await walkIn(page, 'Jun Seopark');
    await open(page, 'mix');
    await mix(page);
    await amount(page).fill('60');
    await saved(page);
    await stopServer(server);
    await amount(page).fill('65');
    await expect(page.getByText('Offline: kept on this device')).toBeVisible();
    server = await startServer(port);
    await saved(page);
    await page.reload();
    await expect(amount(page)).toHaveValue('65');
  } finally {
    await stopServer(server);
    await page.context().close();
  }
});

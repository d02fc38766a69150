import { expect, type Page } from '@playwright/test';
import {
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
} from './pages';

test.use({ serviceWorkers: 'allow' });

/** The application is kept on the device, and so is what the page has fetched. */
const isKept = (page: Page, path: string) =>
  expect
    .poll(
      () =>
        page.evaluate(async (wanted) => {
          if (!navigator.serviceWorker.controller) return false;
          const requests = await (await caches.open('mine')).keys();
          return requests.some(({ url }) => new URL(url).pathname === wanted);
        }, path),
      { timeout: 30_000 },
    )
    .toBe(true);

test('without a network a student goes on where they were: reload, mix, read, submit', async ({
  browser,
}) => {
  test.setTimeout(180_000);
  const educator = await (await browser.newContext()).newPage();
  await register(educator, 'an educator', unique('Unplugged'));
  const code = await makeClass(educator, unique('Class'));
  const title = unique('On the train');
  await setExercise(educator, { from: 'Deeper for winter, on porous hair', title, steps: 'Mix' });
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const name = unique('Traveller');
  await register(page, 'a student', name);
  await joinByCode(page, code, educator);
  await page.goto('/reading/practice');
  await expect(page.getByRole('heading').first()).toBeVisible();
  await startExercise(page, title);
  await mixBowl(page, 'A', { line: 'Quillet Gel, demi-permanent', shades: ['6-O'], total: 90 });
  await saved(page);
  await isKept(page, new URL(page.url()).pathname.replace('/due/', '/api/my/assignments/'));
  await isKept(page, '/api/session');

  await context.setOffline(true);
  await page.reload();
  // What was saved since it was fetched is on the device.
  await expect(page.getByText('90.0 g', { exact: false }).first()).toBeVisible();
  await page.getByRole('spinbutton', { name: 'Total mixture' }).fill('96');
  await page.getByRole('button', { name: 'Calculate weights' }).click();
  await expect(page.getByText('Offline: kept on this device')).toBeVisible();
  await page.reload();
  await expect(page.getByText('96.0 g', { exact: false }).first()).toBeVisible();

  await page.goto('/due');
  await expect(page.getByRole('listitem').filter({ hasText: title })).toBeVisible();
  await page.goto('/reading/reading-profile');
  await expect(page.getByText('it needs the network')).toBeVisible();

  await context.setOffline(false);
  await page.goto('/due');
  await page.getByRole('listitem').filter({ hasText: title }).getByRole('link').click();
  await saved(page);
  await signOutThere(page);
  // Nothing of theirs is left on the device for the next person.
  expect(
    await page.evaluate(async () =>
      (await caches.open('mine'))
        .keys()
        .then((requests) => requests.filter(({ url }) => url.includes('/api/my/')).length),
    ),
  ).toBe(0);
  await context.setOffline(true);
  await page.goto('/due');
  await expect(page.getByText(title)).toBeHidden();
});

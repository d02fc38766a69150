import { expect, type Page } from '@playwright/test';
import { test, walkIn } from './pages';

const stage = (page: Page, side: 'A' | 'B') =>
  page.getByRole('img', { name: new RegExp(`^Side ${side}(,| at)`) });

/** The picture itself, so that "it changed" is said of pixels. */
async function picture(page: Page, side: 'A' | 'B'): Promise<string> {
  const canvas = stage(page, side);
  await expect(canvas).toHaveAttribute('data-drawn', 'true');
  let last = '';
  // Drawing lags the slider by a worker's turn; the picture has settled when two looks agree.
  await expect
    .poll(async () => {
      const now = await canvas.evaluate((element) => (element as HTMLCanvasElement).toDataURL());
      const same = now === last;
      last = now;
      return same;
    })
    .toBe(true);
  return last;
}

const minuteTo = (page: Page, minute: number) =>
  page.getByRole('slider', { name: 'Minute' }).fill(String(minute));

test('dragging the time line lifts the hair before one’s eyes', async ({ page }) => {
  await walkIn(page, 'Odile Brandvoort');
  await page.getByRole('link', { name: 'Laboratory' }).click();
  await minuteTo(page, 0);
  const untouched = await picture(page, 'A');
  const slider = page.getByRole('slider', { name: 'Minute' });
  const box = (await slider.boundingBox())!;
  await page.mouse.move(box.x + 8, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(slider).toHaveValue('60');
  expect(await picture(page, 'A')).not.toBe(untouched);
  await expect(page.getByText('Root started at 0 min against 15 min.')).toBeVisible();
  await expect(page.getByText(/Root: B is .* deeper\./)).toBeVisible();
  await expect(page.getByText(/Mid-lengths: B is .* lighter\./)).toBeVisible();
});

test('another light changes what is seen, not what is there', async ({ page }) => {
  await walkIn(page, 'Amina Tessaly');
  await page.goto('/lab');
  const day = await picture(page, 'B');
  const readings = await page.getByRole('table', { name: 'Readings' }).innerText();
  await page.getByRole('radio', { name: 'warm indoor light' }).click();
  expect(await picture(page, 'B')).not.toBe(day);
  expect(await page.getByRole('table', { name: 'Readings' }).innerText()).toBe(readings);
});

test('two sides are compared, one setting changed, and the state sent as a link', async ({
  page,
  context,
}) => {
  await walkIn(page, 'Odile Brandvoort');
  await page.goto('/lab');
  await page.getByLabel('Examples').selectOption('tonerTooLight');
  await expect(page.getByText('Shades 9-U against 7-L.')).toBeVisible();
  await expect(page.getByText(/Whole length: A reads .*, B .*\./)).toBeVisible();
  const sideA = page.getByRole('region', { name: 'Side A' });
  await page.getByRole('button', { name: 'Copy A to B' }).click();
  await expect(page.getByText('A and B are set up the same.')).toBeVisible();
  await sideA.getByLabel('Natural level').selectOption('6');
  await sideA.getByLabel('Product').selectOption('lightenerGentle');
  await sideA.getByLabel('Developer').selectOption('30');
  await expect(
    page.getByText('Product: gentle powder lightener against demi-permanent colour.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Copy link' }).click();
  await expect(page).toHaveURL(/state=/);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(
    other.getByText('Product: gentle powder lightener against demi-permanent colour.'),
  ).toBeVisible();
  expect(await picture(other, 'A')).toBe(await picture(page, 'A'));
  await other.goto('/lab?state=nonsense');
  await expect(other.getByText('This link could not be read')).toBeVisible();
});

test('a history is laid down layer by layer, and what is never rinsed goes on', async ({ page }) => {
  await walkIn(page, 'Odile Brandvoort');
  await page.goto('/lab');
  const sideA = page.getByRole('region', { name: 'Side A' });
  const layer = (n: number) =>
    sideA
      .getByRole('listitem')
      .nth(n - 1)
      .getByRole('combobox');
  const untouched = await picture(page, 'A');
  await sideA.getByRole('button', { name: 'Add to the history' }).click();
  await layer(1).nth(0).selectOption('lightened');
  await layer(1).nth(1).selectOption('9');
  await sideA.getByRole('button', { name: 'Add to the history' }).click();
  await layer(2).nth(0).selectOption('direct');
  await layer(2).nth(1).selectOption('directGreen');
  expect(await picture(page, 'A')).not.toBe(untouched);
  await expect(page.getByText('History: lightened 9, direct dye (vivid) green against')).toBeVisible();

  await sideA.getByRole('button', { name: 'Add a second application' }).click();
  await expect(sideA.getByRole('heading', { name: 'Application 2' })).toBeVisible();
  await expect(page.getByText('Applications: 2 against 1.')).toBeVisible();
  await sideA.getByRole('button', { name: 'Remove application 2' }).click();
  await expect(sideA.getByRole('heading', { name: 'Application 2' })).toHaveCount(0);

  await sideA.getByLabel('Rinse at').selectOption({ label: 'never' });
  await minuteTo(page, 120);
  await expect(page.getByRole('table', { name: 'Readings' })).toContainText('product on');
  await sideA.getByRole('button', { name: 'Remove entry 2 of the history' }).click();
  await sideA.getByRole('button', { name: 'Remove entry 1 of the history' }).click();
  await expect(sideA.getByText('Virgin hair: never coloured or treated.')).toBeVisible();
});

test('weeks go on after the service: growth shows, care differs, and a link keeps it', async ({
  page,
  context,
}) => {
  await walkIn(page, 'Odile Brandvoort');
  await page.goto('/lab');
  await page.getByLabel('Examples').selectOption('careAgainstYellow');
  await expect(page.getByText('Care against yellow, times a week: 0 against 1.')).toBeVisible();
  await expect(page.getByText('New growth: 1.8 cm.')).toBeVisible();
  const cared = await picture(page, 'B');
  await page.getByRole('region', { name: 'Side B' }).getByLabel('Violet care a week').selectOption('0');
  await expect(page.getByText('After these weeks they look the same.')).toBeVisible();
  expect(await picture(page, 'B')).not.toBe(cared);
  await page.getByRole('slider', { name: 'Weeks on' }).press('ArrowRight');
  await expect(page.getByText('New growth: 2 cm.')).toBeVisible();
  await page.getByRole('button', { name: 'Copy link' }).click();
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('slider', { name: 'Weeks on' })).toHaveValue('7');
});

test('a result goes on for weeks: what a plan looks like when it has grown and faded', async ({ page }) => {
  await walkIn(page, 'Amina Tessaly');
  await page.goto('/due');
  await page.getByRole('link', { name: 'View result: Retouch over half grey' }).click();
  const weeks = page.getByRole('slider', { name: 'Weeks on' });
  await weeks.fill('6');
  await expect(
    page.getByText('6 weeks on, with three gentle washes a week: 1.8 cm of new growth'),
  ).toBeVisible();
  const minute = page.getByRole('slider', { name: 'Minute' });
  await minute.fill('10');
  await expect(weeks).toHaveValue('0');
});

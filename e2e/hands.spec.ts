import { expect, type Page } from '@playwright/test';
import { register, screenChecked, test, unique } from './pages';

const verdict = (page: Page) => page.getByText(/^(Right|Close|Not this time)$/);
const question = (page: Page) => page.getByRole('heading', { level: 2 });

/** What lays on what was put together by hand. */
const LETS_GO = /^(Lay it on|Let go of the beam)/;

/** Answers whatever is asked until what is looked for is on the screen: which question comes next is drawn. */
async function until(page: Page, skill: string, there: () => Promise<boolean>): Promise<void> {
  await page.goto(`/reading/practice?skills=${skill}&minutes=60`);
  // By chance a facet can be long in coming.
  test.setTimeout(180_000);
  for (let i = 0; i < 120; i++) {
    await expect(question(page)).toBeVisible();
    if (await there()) return;
    const figure = page.locator('input[inputmode="decimal"]');
    const options = page.locator('main [role="group"] button');
    const radios = page.getByRole('radio');
    const lets = page.getByRole('button', { name: LETS_GO });
    if (await lets.isVisible()) {
      for (const row of await page.getByRole('radiogroup').all())
        await row.getByRole('radio').first().click();
      await lets.click();
    } else if ((await figure.count()) > 0) await figure.first().fill('7');
    else if ((await radios.count()) > 0) await radios.first().check();
    else if ((await options.count()) > 0) await options.first().click();
    if (!(await verdict(page).isVisible())) await page.getByRole('button', { name: /^Answer/ }).click();
    await expect(verdict(page)).toBeVisible();
    await page.getByRole('button', { name: /^(Next|Finish)/ }).click();
    await expect(verdict(page)).toBeHidden();
  }
  throw new Error(`it was never asked: ${skill}`);
}
const shows = (page: Page, text: RegExp) => () => page.getByText(text).first().isVisible();

test.beforeEach(async ({ page }) => {
  await screenChecked(page);
  await register(page, 'a student', unique('Hands'));
});

test('developer is poured until it stands in the bowl, by mouse and by keyboard', async ({ page }) => {
  await until(page, 'dilution', shows(page, /^On the bench:/));
  const scale = page.getByRole('status', { name: 'The scale shows' });
  const grams = async () => Number(await scale.textContent());
  const [first, second] = await Promise.all(
    [0, 1].map(async (i) => page.locator('button.touch-none').nth(i)),
  );
  await first.hover();
  await page.mouse.down();
  await expect.poll(grams).toBeGreaterThan(6);
  await page.mouse.up();
  // What is let go drips a moment longer, and then rests.
  await page.waitForTimeout(600);
  const poured = await grams();
  await page.waitForTimeout(400);
  expect(await grams()).toBe(poured);
  await second.focus();
  await page.keyboard.down(' ');
  await expect.poll(grams).toBeGreaterThan(poured + 6);
  await page.keyboard.up(' ');
  await page.waitForTimeout(600);
  await page.getByRole('button', { name: /^Answer/ }).click();
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByText(/stand in the bowl|stands in the bowl/).first()).toBeVisible();
});

test('the same bowl in words: two figures, and the choice is remembered', async ({ page }) => {
  await until(page, 'dilution', shows(page, /^On the bench:/));
  await page.getByRole('button', { name: 'In words instead' }).click();
  await expect(page.getByRole('spinbutton')).toHaveCount(2);
  await page.getByRole('spinbutton').first().fill('30');
  await page.getByRole('spinbutton').last().fill('30');
  await page.getByRole('button', { name: /^Answer/ }).click();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('button', { name: /^(Next|Finish)/ }).click();
  // The choice holds for what comes next, whatever that is.
  await until(
    page,
    'condition',
    async () => (await page.getByRole('button', { name: 'By hand instead' }).count()) > 0,
  );
  await expect(
    page.getByText(/^(A wet strand|Fingers|A drop|Last time|Up the strand|When wet)/),
  ).toBeVisible();
});

test('a wet strand is pulled by keyboard and by mouse, lets go, and is judged', async ({ page }) => {
  await until(page, 'condition', shows(page, /^Pull the strand/));
  const strand = page.getByRole('slider', { name: /wet strand/ });
  await strand.focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/^(It gives|It resists|It snapped)/)).toBeVisible();
  await page.keyboard.press(' ');
  await expect(page.getByText(/^(Let go:|It snapped)/)).toBeVisible();
  await page.getByRole('button', { name: 'Another strand' }).click();
  const box = (await strand.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 60, { steps: 6 });
  await expect(page.getByText(/^(It gives|It resists|It snapped)/)).toBeVisible();
  await page.mouse.up();
  await expect(page.getByText(/^(Let go:|It snapped)/)).toBeVisible();
  await page.locator('main [role="group"] button').first().click();
  await expect(verdict(page)).toBeVisible();
});

test('a strand pulled to breaking is told so, though it was read rightly', async ({ page }) => {
  await until(
    page,
    'condition',
    async () => (await shows(page, /^Pull the strand/)()) && (await shows(page, /^What is the condition/)()),
  );
  await page.getByRole('slider', { name: /wet strand/ }).focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('PageDown');
  await expect(page.getByText(/^(It snapped|It gives)/)).toBeVisible();
  // Brittle hair snaps by itself. Of any other, what was pulled too far is never marked in full, whichever of them is right.
  await page.locator('main [role="group"] button').filter({ hasNotText: 'Brittle' }).first().click();
  await expect(page.getByText(/^(Close|Not this time)$/)).toBeVisible();
});

test('one clock: zones are begun, looks are placed, and it is rinsed', async ({ page }) => {
  await until(page, 'timing', shows(page, /^Set the clock/));
  const needs = async (zone: string) =>
    Number((await page.getByText(new RegExp(`^${zone}: \\d+ min`)).innerText()).match(/\d+/)![0]);
  const minutes = {
    'Mid-lengths': await needs('Mid-lengths'),
    Ends: await needs('Ends'),
    Root: await needs('Root'),
  };
  const longest = Math.max(...Object.values(minutes));
  for (const [zone, takes] of Object.entries(minutes))
    await page.getByRole('slider', { name: `Begin: ${zone}` }).fill(String(longest - takes));
  await page.getByRole('slider', { name: 'Rinse' }).fill(String(longest));
  // Foam hides how far the hair is: a strand is wiped at every look, or a look is set down without one.
  for (let at = 8; at < longest; at += 8) {
    await page.getByRole('slider', { name: 'Look at' }).fill(String(at));
    const wipe = page.getByRole('button', { name: 'Wipe a strand: Mid-lengths' });
    if (at === 8 && minutes['Mid-lengths'] === longest) {
      await expect(page.getByRole('img', { name: 'Mid-lengths at minute 8: under lightener' })).toBeVisible();
      await wipe.click();
      await expect(page.getByRole('img', { name: 'Mid-lengths at minute 8: wiped clean.' })).toBeVisible();
      await expect(page.getByRole('button', { name: 'Look at minute 8', exact: true })).toBeDisabled();
    } else await page.getByRole('button', { name: `Look at minute ${at}` }).click();
  }
  await page.getByRole('button', { name: /^Answer/ }).click();
  await expect(page.getByText('Right', { exact: true })).toBeVisible();
});

test('four partings are read and the natural share is set', async ({ page }) => {
  await until(page, 'grey', shows(page, /^Read each parting/));
  for (const place of ['Front hairline', 'Temple', 'Crown', 'Nape'])
    await page.getByRole('slider', { name: `White at: ${place}` }).fill('5');
  const answer = page.getByRole('button', { name: /^Answer/ });
  await expect(answer).toBeDisabled();
  await page.getByRole('radio', { name: 'A half' }).check();
  await answer.click();
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByText(/^It is thickest at/)).toBeVisible();
});

test('the brush: past the line the band is drawn that it would make', async ({ page }) => {
  await until(page, 'zones', shows(page, /^Mark where the new growth ends/));
  const line = page.getByRole('slider', { name: 'New growth ends' });
  await line.focus();
  for (let i = 0; i < 9; i++) await page.keyboard.press('PageDown');
  await page.keyboard.press('Enter');
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByText(/cm past the line: colour would lie on colour/)).toBeVisible();
  await expect(page.getByRole('img', { name: 'Where you stopped' })).toBeVisible();
});

test.describe('with a thumb', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a strand is stroked and a drop set on it', async ({ page }) => {
    await until(page, 'condition', shows(page, /^Stroke from the tip/));
    const fingers = page.getByRole('slider', { name: 'Fingers on the strand' });
    const box = (await fingers.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const touch = await page.context().newCDPSession(page);
    const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: number) =>
      touch.send('Input.dispatchTouchEvent', { type, touchPoints: at === undefined ? [] : [{ x, y: at }] });
    await send('touchStart', y);
    for (let i = 1; i <= 12; i++) await send('touchMove', y - i * 8);
    await expect(page.getByText(/^(Fingers slide|A slight drag|Rough)/)).toBeVisible();
    await send('touchEnd');
    // A thumb is not back within the same instant; a tap that is counts as part of the stroke.
    await page.waitForTimeout(400);
    await page.getByRole('button', { name: 'A drop of water' }).tap();
    await expect(page.getByText(/the drop (stands on it|has gone in)/)).toBeVisible();
    await page.locator('main [role="group"] button').first().tap();
    await expect(verdict(page)).toBeVisible();
  });

  test('a tube is found on the shelf', async ({ page }) => {
    await until(page, 'label', shows(page, /which label is this shade/));
    await expect(page.getByRole('img', { name: /^Tube of / }).first()).toBeVisible();
    await page.locator('main [role="group"] button').first().tap();
    await expect(verdict(page)).toBeVisible();
  });
});

test('a toner is laid on the strand, by mouse, and what it leaves is shown beside the finish', async ({
  page,
}) => {
  await until(page, 'toner', () => page.getByRole('button', { name: 'Lay it on' }).isVisible());
  const lay = page.getByRole('button', { name: 'Lay it on' });
  await expect(lay).toBeDisabled();
  await page.getByRole('radiogroup', { name: 'Shade' }).getByRole('radio').first().click();
  await expect(lay).toBeDisabled();
  await page.getByRole('radio', { name: 'Three quarters clear' }).click();
  await lay.click();
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByText('Desired finish')).toBeVisible();
  await expect(page.getByText(/^It is .*(clear|undiluted)/)).toBeVisible();
});

test('the opposite is laid on the beam by keys, and the beam is let go', async ({ page }) => {
  await until(page, 'predict', () => page.getByRole('button', { name: 'Let go of the beam' }).isVisible());
  await expect(page.getByText('Warmth in one pan. The beam is held.')).toBeVisible();
  for (const key of ['1', '6']) await page.keyboard.press(key);
  await expect(page.getByRole('radio', { name: 'The whole dose' })).toBeChecked();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^(It is level|It falls on the side|It does not balance)/)).toBeVisible();
  await expect(verdict(page)).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 780 }, hasTouch: true });
  test('the beam is laid by touch, or asked in words', async ({ page }) => {
    await until(page, 'predict', () => page.getByRole('button', { name: 'Let go of the beam' }).isVisible());
    await page.getByRole('button', { name: 'In words instead' }).tap();
    await expect(page.getByRole('button', { name: /, twice the dose$/ })).toHaveCount(4);
    await page.getByRole('button', { name: 'By hand instead' }).tap();
    await page.getByRole('radiogroup', { name: 'Opposite' }).getByRole('radio').nth(1).tap();
    await page.getByRole('radio', { name: 'Twice the dose' }).tap();
    await page.getByRole('button', { name: 'Let go of the beam' }).tap();
    await expect(verdict(page)).toBeVisible();
  });
});

import { expect } from '@playwright/test';
import {
  expectNoSidewaysScroll,
  handItIn,
  joinByCode,
  makeClass,
  register,
  saved,
  setExercise,
  startExercise,
  test,
  unique,
} from './pages';

test('a price is quoted by the prices of the school, and a plan says when to come back and what it costs', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  const title = unique('Quote');
  await register(page, 'an educator', unique('Teacher'));
  const code = await makeClass(page, unique('Class'));
  const home = page.url();

  await test.step('the school types in its prices, which wait on the device and are taken back', async () => {
    await page.getByRole('link', { name: 'House rules' }).click();
    await page.getByLabel('Currency').selectOption('CHF');
    await page.getByLabel('An hour in the chair').fill('120');
    await page.reload();
    await expect(page.getByLabel('An hour in the chair')).toHaveValue('120');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('An hour in the chair')).toHaveValue('48');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('An hour in the chair')).toHaveValue('120');
    await page.goto(home);
  });

  await test.step('an exercise asks for a quote alone', async () => {
    await setExercise(page, { from: 'Retouch over half grey', title, steps: 'Quote and rebook' });
    await page.goto(home);
  });

  const student = await (await browser.newContext()).newPage();
  await register(student, 'a student', unique('Learner'));
  await joinByCode(student, code, page);
  await startExercise(student, title);

  await test.step('a student quotes what the given plan takes, and loses nothing by a reload', async () => {
    await expect(student.getByText('5:0 15.0 g')).toBeVisible();
    for (const care of ['Gentle wash', 'Heat protection', 'Cool water'])
      await student.getByRole('checkbox', { name: care }).check();
    await student.getByRole('spinbutton', { name: 'Rebook in' }).fill('6');
    await student.getByText('Prices', { exact: true }).click();
    await expect(student.getByText('CHF 120.00', { exact: false })).toBeVisible();
    // 90 minutes at 120 an hour, some 7 of product, and what every appointment takes.
    await student.getByRole('spinbutton', { name: 'Price of today' }).fill('250');
    await student.getByRole('spinbutton', { name: 'Minutes in the chair' }).fill('90');
    await saved(student);
    await student.reload();
    await expect(student.getByRole('spinbutton', { name: 'Price of today' })).toHaveValue('250');
    await handItIn(student);
  });

  await test.step('what was told is marked, and the months after are planned', async () => {
    await expect(student.getByText(/Quoted CHF.250\.00; this plan takes/)).toBeVisible();
    const sheet = student.locator('section, div').filter({
      has: student.getByRole('heading', { name: 'Appointments and cost' }),
    });
    await expect(sheet.getByText('Book next').first()).toBeVisible({ timeout: 20_000 });
    await expect(sheet.getByText(/Retouch: 1\.8 cm of regrowth, and grey shows/).first()).toBeVisible();
    await student.getByText('What the client lives by').click();
    await student.getByRole('spinbutton', { name: 'Budget for a year' }).fill('300');
    await expect(student.getByText('Given up for the budget')).toBeVisible({ timeout: 20_000 });
    await student.setViewportSize({ width: 390, height: 844 });
    await expectNoSidewaysScroll(student);
  });

  await test.step('the client takes a card home with the dates', async () => {
    await student.getByRole('button', { name: 'Aftercare card' }).click();
    const card = student.getByRole('dialog', { name: 'Aftercare card' });
    await card.getByLabel('Done on').fill('2026-03-02');
    await expect(card.getByText('Done on 2 March 2026')).toBeVisible();
    await expect(card.getByText('Do not wash for 48 hours')).toBeVisible();
    await expect(card.getByRole('listitem').filter({ hasText: 'retouch' }).first()).toContainText('2026');
    await student.keyboard.press('Escape');
    await expect(card).toBeHidden();
  });
  await student.context().close();
});

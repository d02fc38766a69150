import { expect, type Locator, type Page } from '@playwright/test';

/** The steps people take, in their words; the tests below are then the journeys themselves. */

let serial = 0;
export const unique = (name: string) => `${name} ${Date.now().toString(36)}${(serial++).toString(36)}`;
const addressOf = (name: string) => `${name.replace(/\s+/g, '.').toLowerCase()}@example.test`;
export const PASSWORD = 'long enough for a test';

export async function register(page: Page, role: 'a student' | 'an educator', name: string): Promise<void> {
  await page.goto('/register');
  await page.getByRole('radio', { name: role }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Email').fill(addressOf(name));
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Make account' }).click();
  await expect(page.getByRole('button', { name: `Account of ${name}` })).toBeVisible();
}

export async function walkIn(page: Page, name: string): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name }).click();
  await expect(page.getByRole('button', { name: `Account of ${name}` })).toBeVisible();
}

export async function makeClass(page: Page, name: string): Promise<string> {
  await page.goto('/classes');
  await page.getByLabel('Name of the class').fill(name);
  await page.getByRole('button', { name: 'Make class' }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  return (await page.getByTitle('Students join with it').innerText()).trim();
}

/** Half grey at level 5 to a golden 5 with the permanent line: the key is 5:0 and 5:1, 20 vol, 45 min. */
export async function setGreyExercise(page: Page, title: string, release: string): Promise<void> {
  await page.getByRole('link', { name: 'New exercise' }).click();
  await page.getByLabel('Title').fill(title);
  await page.getByLabel('Client', { exact: true }).fill('Mrs Orlane');
  await page.getByLabel('History and what the client tells').fill('Never coloured.');
  await page.getByLabel('Grey share').selectOption('0.5');
  await page
    .getByRole('radiogroup', { name: 'Target level' })
    .getByRole('radio', { name: 'Level 5, light brown' })
    .click();
  await page.getByLabel('Tone', { exact: true }).selectOption('gold');
  const answer = page.locator('section', { hasText: 'Computed answer' }).last();
  await expect(answer).toContainText('1 part 5:0, 1 part 5:1');
  await expect(answer).toContainText('20 vol');
  await expect(answer).toContainText('50% grey asks for a natural share');
  await page.getByRole('radio', { name: release }).click();
  await page.getByRole('button', { name: 'Assign to the class' }).click();
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
}

export async function joinClass(page: Page, code: string): Promise<void> {
  await page.goto('/due');
  await page.getByLabel('Class code').fill(code.toLowerCase());
  await page.getByRole('button', { name: 'Join', exact: true }).click();
  await expect(page.getByText('You are in')).toBeVisible();
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByText(/^Saved /)).toBeVisible();
}

export const bowl = (page: Page): Locator => page.locator('section', { hasText: 'In the bowl' }).last();

/** No page may scroll sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const wider = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(wider).toBeLessThanOrEqual(0);
}

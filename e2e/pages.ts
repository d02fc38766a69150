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

/** Sets a shipped case for the class that is open; `steps` is what the student works. */
export async function setService(
  page: Page,
  {
    from,
    title,
    steps = 'The whole service',
    slip,
  }: { from: string; title: string; steps?: string; slip?: string },
): Promise<void> {
  await page.getByRole('link', { name: 'Set a whole service' }).click();
  await page.getByLabel('Start from').selectOption({ label: from });
  await page.getByLabel('Title').fill(title);
  await page.getByRole('radio', { name: steps }).click();
  if (slip) await page.getByLabel('The slip on the card').selectOption({ label: slip });
  await page.getByRole('radio', { name: 'as soon as they hand in' }).click();
  await expect(page.getByRole('heading', { name: 'The computed key' })).toBeVisible();
  await page.getByRole('button', { name: 'Assign to the class' }).click();
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
}

export async function startService(page: Page, title: string): Promise<void> {
  await page.goto('/due');
  await page.getByRole('listitem').filter({ hasText: title }).getByRole('link', { name: 'Start' }).click();
  await expect(page.getByRole('navigation', { name: 'Order of the service' })).toBeVisible();
}

export const stepTo = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Order of the service' }).getByRole('button', { name }).click();

/** Asks everything, tests everything, and goes on with so many visits. */
export async function consultWell(page: Page, visits = 1): Promise<void> {
  for (const name of ['Ask', 'Test'] as const) {
    const list = page.locator('section', { has: page.getByRole('heading', { name, exact: true }) });
    for (const button of await list.getByRole('button').all()) {
      await button.click();
      await expect(button).toBeDisabled();
    }
  }
  await page.getByRole('radio', { name: 'Go on' }).click();
  await page.getByRole('spinbutton', { name: 'Visits the client is told of' }).fill(String(visits));
}

/** Reads a zone: level by the ring, and grey where there is some. */
export async function readZone(
  page: Page,
  zone: string,
  { level, grey, shows, counter }: { level: string; grey?: string; shows?: string; counter?: string },
): Promise<void> {
  await page.getByRole('radiogroup', { name: 'Zone' }).getByRole('radio', { name: zone }).click();
  await page.getByRole('radio', { name: level }).click();
  if (grey) await page.getByLabel(`Grey in the ${zone}`).selectOption(grey);
  if (shows) await page.getByRole('radio', { name: shows, exact: true }).click();
  if (counter) await page.getByRole('radio', { name: counter, exact: true }).click();
}

/** A bowl worked out in one keystroke. */
export async function mixBowl(
  page: Page,
  name: string,
  {
    line,
    shades = [],
    vol,
    total,
    ratio,
  }: { line: string; shades?: string[]; vol?: string; total: number; ratio?: number },
): Promise<void> {
  await page.getByRole('button', { name: 'Another bowl' }).click();
  await page.getByLabel(`Line in bowl ${name}`).selectOption({ label: line });
  for (const shade of shades) await page.getByRole('button', { name: `Add ${shade}`, exact: true }).click();
  if (vol) await page.getByLabel('Strength').selectOption({ label: vol });
  await page.getByRole('spinbutton', { name: 'Mixed in all' }).fill(String(total));
  if (ratio) await page.getByRole('spinbutton', { name: 'Ratio' }).fill(String(ratio));
  await page.getByRole('button', { name: 'Work out the weights' }).click();
}

export const washFirst = (page: Page, how: 'unwashed' | 'washed and dried') =>
  page
    .getByRole('radiogroup', { name: 'Hair before the first bowl' })
    .getByRole('radio', { name: how, exact: true })
    .click();

/** A bowl put on zones, by the figures of its form. */
export async function putOn(
  page: Page,
  bowlName: string,
  zones: string[],
  {
    start,
    minutes,
    looks,
    front = false,
    stops = true,
    wet = false,
  }: { start: number; minutes: number; looks?: string; front?: boolean; stops?: boolean; wet?: boolean },
): Promise<void> {
  await page.getByRole('button', { name: `Bowl ${bowlName}`, exact: true }).click();
  const form = page.getByRole('region', { name: `Bowl ${bowlName} on the hair` });
  const all = form.getByRole('group', { name: 'On these zones' }).getByRole('checkbox');
  for (const zone of zones) await form.getByRole('checkbox', { name: zone }).check();
  for (const box of await all.all()) {
    const label = (await box.evaluate((input) => input.closest('label')!.innerText)).trim();
    if (!zones.includes(label)) await box.uncheck();
  }
  await form.getByRole('spinbutton', { name: 'From minute' }).fill(String(start));
  await form.getByRole('spinbutton', { name: 'Lies for' }).fill(String(minutes));
  if (looks) await form.getByLabel('Wipe and look').selectOption({ label: looks });
  if (front) await form.getByLabel('Begin at').selectOption('front');
  if (wet) await form.getByRole('checkbox', { name: 'On wet hair' }).check();
  if (stops) await form.getByRole('checkbox', { name: 'Stops at the line' }).check();
}

export async function finishWith(page: Page, care: string[]): Promise<void> {
  for (const name of care) await page.getByRole('checkbox', { name }).check();
  await page.getByRole('spinbutton', { name: 'Next visit in' }).fill('5');
}

export async function handItIn(page: Page): Promise<void> {
  await saved(page);
  await stepTo(page, 'Hand in');
  await page.getByRole('button', { name: 'Hand in', exact: true }).last().click();
  await page.getByRole('dialog', { name: 'Hand in now?' }).getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByRole('heading', { name: 'What it would have done' })).toBeVisible();
}

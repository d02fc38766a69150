import { test as plain, expect, request, type Download, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';

/** The steps people take, in their words; the tests below are then the journeys themselves. */

/** Browsers that a journey opened are closed with it: pages left open go on asking, and slow down the journeys after it. */
export const test = plain.extend<{ leavesNothingOpen: void }>({
  leavesNothingOpen: [
    async ({ browser }, use) => {
      await use();
      await Promise.all(browser.contexts().map((context) => context.close()));
    },
    { auto: true },
  ],
});

let serial = 0;
export const unique = (name: string) => `${name} ${Date.now().toString(36)}${(serial++).toString(36)}`;
const addressOf = (name: string) => `${name.replace(/\s+/g, '.').toLowerCase()}@example.test`;
export const PASSWORD = 'long enough for a test';

const root = new URL('..', import.meta.url).pathname;
/** A code from the operator of the installation, as the terminal says it. */
export const fromTerminal = (...args: string[]): string =>
  execFileSync(process.execPath, ['server/dist/people.js', ...args], { cwd: root, encoding: 'utf8' }).split(
    '\n',
  )[0];

/** What a page would send from here, sent for it: what leads up to a journey is not the journey. */
async function send<T>(page: Page, method: 'POST' | 'PATCH', path: string, data: object): Promise<T> {
  const { origin } = new URL((await page.request.get('/healthz')).url());
  const answer = await page.request.fetch(path, { method, data, headers: { origin } });
  expect(answer.ok(), `${path} is taken`).toBe(true);
  return (await answer.json()) as T;
}
const asked = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(path)).json()) as T;

/** An invitation from the first of all. */
async function invited(name: string): Promise<string> {
  const { baseURL, storageState } = JSON.parse(process.env.FIRST_ADMINISTRATOR!);
  const administrator = await request.newContext({ baseURL, storageState });
  const answer = await administrator.post('/api/invitations', {
    data: { label: name },
    headers: { origin: baseURL },
  });
  const { code } = await answer.json();
  await administrator.dispose();
  return code;
}

/** An account, signed in; nothing is open yet. */
export async function register(page: Page, role: 'a student' | 'an educator', name: string): Promise<void> {
  const account = { name, email: addressOf(name), password: PASSWORD };
  await send(
    page,
    'POST',
    '/api/accounts',
    role === 'an educator'
      ? { ...account, role: 'educator', code: await invited(name) }
      : { ...account, role: 'student' },
  );
}

/** The same by the form. */
export async function registerByHand(
  page: Page,
  role: 'a student' | 'an educator',
  name: string,
): Promise<void> {
  await page.goto('/register');
  await page.getByRole('radio', { name: role }).click();
  if (role === 'an educator') await page.getByLabel('Invitation code').fill(fromTerminal('invite', name));
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Email').fill(addressOf(name));
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Create account' }).click();
  await expect(page.getByRole('button', { name: `Account of ${name}` })).toBeVisible();
}

export async function walkIn(page: Page, name: string): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name }).click();
  await expect(page.getByRole('button', { name: `Account of ${name}` })).toBeVisible();
}

/** Signs out and waits for it: what waits on the device is sent first. */
export async function signOutThere(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Account of/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
}

/** A class, opened; the code by which students join it. */
export async function makeClass(page: Page, name: string): Promise<string> {
  const { id } = await send<{ id: string }>(page, 'POST', '/api/classes', { name });
  const { joinCode } = await asked<{ joinCode: string }>(page, `/api/classes/${id}`);
  await page.goto(`/classes/${id}`);
  await expect(page.getByRole('heading', { name })).toBeVisible();
  return joinCode;
}

/** The same by the form. */
export async function makeClassByHand(page: Page, name: string): Promise<string> {
  await page.goto('/classes');
  await page.getByLabel('Class name').fill(name);
  await page.getByRole('button', { name: 'Create class' }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  return (await page.getByTitle('Students join with it').innerText()).trim();
}

/** Goes to a step of the page an exercise is composed on. */
export const settingStep = (
  page: Page,
  name: 'Client' | 'Wish and shelf' | 'Work' | 'Marks' | 'Class and dates',
) =>
  page
    .getByRole('navigation', { name: 'Steps of setting an exercise' })
    .getByRole('button', { name })
    .click();

/**
 * Sets a shipped case for the class that is open; `steps` is what the student works, by default what suits the case, and
 * `figures` in which it is set, by default those that are written.
 */
export async function setExercise(
  page: Page,
  {
    from,
    title,
    steps,
    slip,
    release = 'as soon as they submit',
    figures = 'as written',
  }: { from: string; title: string; steps?: string; slip?: string; release?: string; figures?: string },
): Promise<void> {
  await page.getByRole('link', { name: 'Assign an exercise' }).click();
  await page.getByLabel('Start from').selectOption({ label: from });
  await page.getByLabel('Title').fill(title);
  await settingStep(page, 'Work');
  if (steps) await page.getByRole('radio', { name: steps, exact: true }).click();
  if (slip) await page.getByLabel('Error in the record card').selectOption({ label: slip });
  await expect(page.getByRole('heading', { name: 'Model answer' })).toBeVisible();
  await settingStep(page, 'Class and dates');
  // A case that ships is varied unless it is said otherwise; most journeys know what is written.
  await expect(page.getByRole('radio', { name: 'varied, the same for all' })).toBeChecked();
  await page.getByRole('radio', { name: figures, exact: true }).click();
  const released = page.getByRole('radio', { name: release });
  await released.click();
  await expect(released).toBeChecked();
  await page.getByRole('button', { name: 'Assign', exact: true }).click();
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
}

/** A student asks by the class code, and the educator lets them in. */
export async function joinByCode(page: Page, code: string, educator: Page): Promise<void> {
  const joinCode = code.replace('-', '');
  await send(page, 'POST', '/api/memberships', { joinCode });
  const { me } = await asked<{ me: { id: string } }>(page, '/api/session');
  const classes = await asked<{ id: string; joinCode: string }[]>(educator, '/api/classes');
  const { id } = classes.find((one) => one.joinCode === joinCode)!;
  await send(educator, 'PATCH', `/api/classes/${id}/students/${me.id}`, { state: 'active' });
}

/** The same by their pages. */
export async function joinClassByHand(page: Page, code: string, educator: Page): Promise<void> {
  await page.goto('/due');
  await page.getByLabel('Class code').fill(code.toLowerCase());
  await page.getByRole('button', { name: 'Join', exact: true }).click();
  await expect(page.getByText('Your educator lets you in.')).toBeVisible();
  const account = await page.getByRole('button', { name: /^Account of/ }).getAttribute('aria-label');
  const roster = await educator.context().newPage();
  const classes = await (await roster.request.get('/api/classes')).json();
  const { id } = classes.find(({ joinCode }: { joinCode: string }) => joinCode === code.replace('-', ''));
  await roster.goto(`/classes/${id}/roster`);
  const letIn = roster.getByRole('button', { name: account!.replace('Account of', 'Let in'), exact: true });
  await letIn.click();
  await expect(letIn).toBeHidden();
  await roster.close();
  await page.reload();
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByText(/^Saved /)).toBeVisible();
}

/** The row of a criterion in a table of marks. */
export const criterion = (page: Page, name: string) =>
  page.getByRole('row').filter({ has: page.getByText(name, { exact: true }) });

/** All the points of a criterion, whatever they come to. */
export const FULL = /(?<!\d\.)(\d+(?:\.\d+)?) \/ \1(?![\d.])/;

export async function shownText(download: Download): Promise<string> {
  let all = '';
  for await (const chunk of await download.createReadStream()) all += chunk;
  return all;
}

/** No page may scroll sideways; one that does is named. What draws itself to its width may take a frame to take a new one. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const wider = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  await expect.poll(wider, { message: page.url() }).toBeLessThanOrEqual(0);
}

export async function startExercise(page: Page, title: string): Promise<void> {
  await page.goto('/due');
  await page.getByRole('listitem').filter({ hasText: title }).getByRole('link', { name: 'Start' }).click();
  await expect(page.getByRole('navigation', { name: 'Order of the service' })).toBeVisible();
}

export const stepTo = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Order of the service' }).getByRole('button', { name }).click();

/** Asks everything, tests everything, and goes on with so many visits. */
export async function consultWell(page: Page, visits = 1): Promise<void> {
  for (const name of ['Consultation questions', 'Hair and skin tests'] as const) {
    const list = page.locator('section', { has: page.getByRole('heading', { name, exact: true }) });
    // The rules beside what was told are no questions.
    for (const button of await list.getByRole('button', { name: /^(?!Rule )/ }).all()) {
      await button.click();
      await expect(button).toBeDisabled();
    }
  }
  await page.getByRole('radio', { name: 'Proceed with the service' }).click();
  await page.getByRole('spinbutton', { name: 'Number of appointments quoted' }).fill(String(visits));
}

/** Reads a zone: level by the ring, and grey where there is some. */
export async function readZone(
  page: Page,
  zone: string,
  { level, grey, shows, counter }: { level: string; grey?: string; shows?: string; counter?: string },
): Promise<void> {
  await page.getByRole('radiogroup', { name: 'Zone' }).getByRole('radio', { name: zone }).click();
  await page.getByRole('radio', { name: level }).click();
  if (grey) await page.getByLabel(`Grey at the ${zone} (%)`).selectOption(grey);
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
  await page.getByRole('button', { name: 'Add bowl' }).click();
  await page.getByLabel(`Line in bowl ${name}`).selectOption({ label: line });
  for (const shade of shades) await page.getByRole('button', { name: `Add ${shade}`, exact: true }).click();
  if (vol) await page.getByLabel('Strength').selectOption({ label: vol });
  await page.getByRole('spinbutton', { name: 'Total mixture' }).fill(String(total));
  if (ratio) await page.getByRole('spinbutton', { name: 'Ratio' }).fill(String(ratio));
  await page.getByRole('button', { name: 'Calculate weights' }).click();
}

export const washFirst = (page: Page, how: 'unwashed' | 'washed and dried') =>
  page
    .getByRole('radiogroup', { name: 'Hair preparation' })
    .getByRole('radio', { name: how, exact: true })
    .click();

/** A bowl put on zones, by the figures of its form. */
export async function putOn(
  page: Page,
  bowlName: string,
  zones: string[],
  {
    start,
    front = false,
    stops = true,
    wet = false,
  }: { start: number; front?: boolean; stops?: boolean; wet?: boolean },
): Promise<void> {
  await page.getByRole('button', { name: `Bowl ${bowlName}`, exact: true }).click();
  const form = page.getByRole('region', { name: `Application of bowl ${bowlName}` });
  const all = form.getByRole('group', { name: 'Apply to' }).getByRole('checkbox');
  for (const zone of zones) await form.getByRole('checkbox', { name: zone }).check();
  for (const box of await all.all()) {
    const label = (await box.evaluate((input) => input.closest('label')!.innerText)).trim();
    if (!zones.includes(label)) await box.uncheck();
  }
  await form.getByRole('spinbutton', { name: 'Start at minute' }).fill(String(start));
  if (front) await form.getByRole('radio', { name: 'From the hairline back' }).click();
  if (wet) await form.getByRole('checkbox', { name: 'On damp hair' }).check();
  if (stops) await form.getByRole('checkbox', { name: 'No overlap onto coloured hair' }).check();
}

/** A gentle wash of every place at a minute: lightener is washed out before it is toned. */
export async function washOut(page: Page, minute: number): Promise<void> {
  const between = page.getByRole('region', { name: 'Between the bowls' });
  await between.getByRole('button', { name: 'Wash', exact: true }).click();
  await between.getByRole('spinbutton', { name: 'At minute: Wash' }).fill(String(minute));
}

/** How long a bowl processes on its zones, and how often a strand is checked. */
export async function timeIt(
  page: Page,
  bowl: string,
  zones: string,
  { minutes, looks }: { minutes: number; looks?: string },
): Promise<void> {
  const of = `bowl ${bowl} on ${zones}`;
  await page.getByRole('spinbutton', { name: `Processing time: ${of}`, exact: true }).fill(String(minutes));
  if (looks) await page.getByLabel(`Strand check: ${of}`, { exact: true }).selectOption({ label: looks });
}

/** Plays the card as it stands on the head. */
export async function playCard(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Play the card' }).click();
  await expect(page.getByText('Shown below as the card stands.')).toBeVisible({ timeout: 30_000 });
}

export async function finishWith(page: Page, care: string[]): Promise<void> {
  for (const name of care) await page.getByRole('checkbox', { name }).check();
  await page.getByRole('spinbutton', { name: 'Rebook in' }).fill('5');
}

export async function handItIn(page: Page): Promise<void> {
  await saved(page);
  await stepTo(page, 'Submit');
  await page.getByRole('button', { name: 'Submit', exact: true }).last().click();
  await page.getByRole('dialog', { name: 'Submit now?' }).getByRole('button', { name: 'Submit' }).click();
  await expect(page.getByRole('heading', { name: 'What it would have done' })).toBeVisible();
}

/** The screen check is a page of its own; journeys that are not about it have it behind them. */
export async function screenChecked(page: Page): Promise<void> {
  await page.addInitScript(() =>
    localStorage.setItem(
      'cimbel.screenCheck',
      JSON.stringify({ day: new Date().toISOString().slice(0, 10), good: true }),
    ),
  );
}

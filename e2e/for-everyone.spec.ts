import { expect, type Page } from '@playwright/test';
import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { expectNoSidewaysScroll, test, walkIn } from './pages';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** By the colours of a page: all that the checker finds otherwise in the dark room than in the light. */
const BY_COLOUR = ['color-contrast', 'link-in-text-block'];
const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** Serious findings of the accessibility checker, each with the element it is about. */
async function findings(page: Page, runOnly: string[]): Promise<string[]> {
  return page.evaluate(async (only) => {
    const axe = (
      window as unknown as {
        axe: {
          run: (o: object) => Promise<{
            violations: { id: string; nodes: { target: string[]; failureSummary?: string }[] }[];
          }>;
        };
      }
    ).axe;
    const { violations } = await axe.run({ runOnly: only });
    return violations.flatMap(({ id, nodes }) =>
      nodes.map(({ target, failureSummary }) => `${id}: ${target.join(' ')} ${failureSummary ?? ''}`),
    );
  }, runOnly);
}

/** A page as it is opened, in both rooms: it is not loaded again for the dark one, only its colours change. */
async function findingsInBothRooms(page: Page): Promise<string[]> {
  const inRoom = (theme: string) =>
    page.evaluate((room) => void (document.documentElement.dataset.theme = room), theme);
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  await inRoom('light');
  const light = await findings(page, STANDARDS);
  await inRoom('dark');
  const dark = await findings(page, BY_COLOUR);
  await inRoom('light');
  return [...light, ...dark.map((text) => `in the dark room ${text}`)];
}

/** What a page is asked for is counted, so that a journey sees when all of it has come. */
async function countsCalls(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const counted = window as unknown as { underWay: number };
    counted.underWay = 0;
    const fetchPlain = window.fetch.bind(window);
    window.fetch = async (...args) => {
      counted.underWay++;
      try {
        return await fetchPlain(...args);
      } finally {
        counted.underWay--;
      }
    };
  });
}

/**
 * Opens a page as a link within the application does: to load the application anew for each of a hundred pages would take
 * most of the time. It is there once another heading stands in place of the last and nothing is under way any more.
 */
async function follow(page: Page, path: string): Promise<void> {
  const before = new URL(page.url());
  const samePage = before.pathname === new URL(path, before).pathname;
  const left = await page.evaluate((to) => {
    const heading = document.querySelector('h1');
    heading?.setAttribute('data-left', '');
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate'));
    return heading?.textContent ?? null;
  }, path);
  if (!samePage)
    await page.waitForFunction((text) => {
      const heading = document.querySelector('h1');
      return heading && (!heading.hasAttribute('data-left') || heading.textContent !== text);
    }, left);
  for (let quiet = 0; quiet < 3;) {
    await page.waitForTimeout(100);
    const isQuiet = await page.evaluate(
      () =>
        (window as unknown as { underWay: number }).underWay === 0 &&
        !document.querySelector('.animate-spin'),
    );
    quiet = isQuiet ? quiet + 1 : 0;
  }
}

async function studentPages(page: Page): Promise<string[]> {
  const list = await (await page.request.get('/api/my/assignments')).json();
  const idOf = (title: string) =>
    list.find((exercise: { title: string }) => exercise.title.startsWith(title)).id;
  const whole = idOf('First time blonde');
  const small = idOf('Deeper');
  const tests: { id: string }[] = await (await page.request.get('/api/my/reading-tests')).json();
  return [
    '/lab',
    '/handbook',
    '/due',
    ...['read', 'mix', 'process', 'handIn'].map((step) => `/due/${small}?step=${step}`),
    ...['consult', 'read', 'mix', 'apply', 'process', 'finish', 'handIn'].map(
      (step) => `/due/${whole}?step=${step}`,
    ),
    `/due/${idOf('Mix only')}`,
    // Not open yet.
    `/due/${idOf('A golden')}`,
    `/due/${idOf('Retouch')}/result`,
    `/due/${idOf('Retouch')}/again?step=mix`,
    '/term',
    '/reading',
    '/reading/practice?skills=level',
    '/reading/reading-profile',
    ...tests.map(({ id }) => `/reading/tests/${id}`),
  ];
}

async function educatorPages(page: Page): Promise<string[]> {
  const [{ id }] = await (await page.request.get('/api/classes')).json();
  const { assignments, students } = await (await page.request.get(`/api/classes/${id}`)).json();
  const desk = await (await page.request.get(`/api/classes/${id}/reading`)).json();
  const test = await (await page.request.get(`/api/reading-tests/${desk.tests[0].id}`)).json();
  const [set] = assignments;
  return [
    '/lab',
    '/library',
    '/library/new',
    '/classes',
    `/classes/${id}`,
    `/classes/${id}/new-exercise`,
    `/assignments/${set.id}`,
    `/assignments/${set.id}/pile`,
    `/assignments/${set.id}/live`,
    `/answers/${students[1].standings[set.id].attemptId}`,
    `/classes/${id}/reading`,
    '/shade-books',
    '/shade-books/shipped/tarnwick',
    '/shade-books/shipped/brindle',
    '/shade-books/new?from=quillet',
    `/classes/${id}/gradebook`,
    `/classes/${id}/gradebook/${students[1].id}`,
    `/classes/${id}/house-rules`,
    `/classes/${id}/roster`,
    '/account',
    `/classes/${id}/new-practice`,
    `/classes/${id}/new-test`,
    `/classes/${id}/students/${students[1].id}/reading-profile`,
    `/reading-tests/${desk.tests[0].id}`,
    `/sittings/${test.rows.find((row: { sittingId: string | null }) => row.sittingId).sittingId}`,
  ];
}

/** Whose pages they are; each journey has a browser of its own, so they go side by side. */
test.describe.configure({ mode: 'parallel' });
const STUDENTS = { who: 'a student', pages: studentPages };
const EDUCATORS = { who: 'an educator', name: 'Odile Brandvoort', pages: educatorPages };

for (const { who, name, pages, before } of [
  { ...STUDENTS, name: 'Amina Tessaly', before: ['/sign-in', '/register', '/code'] },
  { ...EDUCATORS, before: [] },
])
  test(`every page of ${who} can be used by everyone, in the light room and the dark, and logs no error`, async ({
    page,
  }) => {
    test.setTimeout(300_000);
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
    const found: string[] = [];
    const titles: string[] = [];
    const alike: string[] = [];
    const visit = async (paths: string[]) => {
      for (const path of paths) {
        await follow(page, path);
        await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
        titles.push(await page.title());
        found.push(...(await findingsInBothRooms(page)).map((text) => `${path} ${text}`));
        alike.push(...(await alikeLinks(page)).map((link) => `${path} ${link}`));
        await expectNoSidewaysScroll(page);
      }
    };
    await countsCalls(page);
    await page.goto('/sign-in');
    await visit(before);
    await walkIn(page, name);
    await visit(await pages(page));
    expect(found).toEqual([]);
    expect(alike).toEqual([]);
    // A name of its own for every page, after which the application's.
    for (const title of titles) expect(title).toMatch(/^\S.* · Cimbel$/);
    expect(errors).toEqual([]);
  });

/** What opens over pages: where it is, and what opens it. */
async function educatorDialogs(page: Page): Promise<[string, (page: Page) => Promise<void>][]> {
  const [{ id }] = await (await page.request.get('/api/classes')).json();
  const { assignments, students } = await (await page.request.get(`/api/classes/${id}`)).json();
  const attempt = students[1].standings[assignments[0].id].attemptId;
  const press =
    (name: string | RegExp) =>
    (on: Page): Promise<void> =>
      on.getByRole('button', { name }).first().click();
  return [
    ['/library', press(/^Assign /)],
    [`/assignments/${assignments[3].id}`, press('Dates and attempts')],
    [`/assignments/${assignments[3].id}`, press('Close submissions')],
    [`/assignments/${assignments[0].id}`, press('Re-mark all submissions')],
    [`/answers/${attempt}`, press(/^Change the mark for/)],
    [`/answers/${attempt}`, press(/^Rule /)],
    [`/classes/${id}/house-rules`, press('Re-mark this class’s exercises…')],
    [`/classes/${id}`, press('Keyboard shortcuts')],
    [`/classes/${id}`, press(/^Account of/)],
  ];
}

/** Links of one name that lead to different places: in a screen reader they cannot be told apart. */
const alikeLinks = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const places = new Map<string, Set<string>>();
    for (const link of document.querySelectorAll<HTMLAnchorElement>('main a[href]')) {
      const name = (link.getAttribute('aria-label') ?? link.textContent ?? '').trim();
      places.set(name, (places.get(name) ?? new Set()).add(link.href));
    }
    return [...places].filter(([, to]) => to.size > 1).map(([name]) => name);
  });

test('what opens over a page can be used by everyone, in the light room and the dark', async ({ page }) => {
  test.setTimeout(120_000);
  const found: string[] = [];
  await walkIn(page, 'Odile Brandvoort');
  for (const [path, open] of await educatorDialogs(page)) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await open(page);
    const over = page.getByRole('dialog').or(page.getByRole('menu'));
    await expect(over.getByRole('heading').or(page.getByRole('menuitem')).first()).toBeVisible();
    found.push(...(await findingsInBothRooms(page)).map((text) => `${path} ${text}`));
    await page.keyboard.press('Escape');
    await expect(over).toHaveCount(0);
  }
  expect(found).toEqual([]);
});

/** What is pressed and is smaller than a finger, links within a line of text aside. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const LEAST = 43.5;
    const pressed = 'a[href], button, select, input, summary, [role="radio"], [role="slider"]';
    return [...document.querySelectorAll<HTMLElement>(pressed)].flatMap((element) => {
      const { width, height } = element.getBoundingClientRect();
      const inText =
        element.hasAttribute('data-inline') ||
        (getComputedStyle(element).display === 'inline' && element.tagName === 'A');
      // The label of a tick box is pressed with it.
      const inLabel = element.matches('[type="checkbox"], [type="radio"]') && element.closest('label');
      const unseen = width === 0 || height === 0 || element.classList.contains('sr-only');
      if (inText || inLabel || unseen || Math.min(width, height) >= LEAST) return [];
      const name = element.getAttribute('aria-label') ?? element.textContent ?? '';
      return [`${element.tagName} ${Math.round(width)}×${Math.round(height)} ${name.trim().slice(0, 40)}`];
    });
  });

/** Widths of phones, in pixels of the page. */
const PHONES = [320, 390];
for (const { who, name, pages } of [{ ...STUDENTS, name: 'Ivo Santarel' }, EDUCATORS])
  test(`on a phone everything of ${who} is large enough to press, and nothing scrolls sideways`, async ({
    browser,
  }) => {
    test.setTimeout(180_000);
    const page = await (
      await browser.newContext({
        viewport: { width: PHONES[0], height: 844 },
        hasTouch: true,
        isMobile: true,
      })
    ).newPage();
    const small: string[] = [];
    await countsCalls(page);
    await walkIn(page, name);
    for (const path of await pages(page)) {
      await follow(page, path);
      await expect(page.getByRole('heading').first()).toBeVisible();
      for (const width of PHONES) {
        await page.setViewportSize({ width, height: 844 });
        await expectNoSidewaysScroll(page);
        small.push(...(await tooSmall(page)).map((name) => `${path} at ${width} ${name}`));
        if (path.includes('step='))
          await expect(page.getByRole('img', { name: /root at the top/ })).toBeInViewport();
      }
    }
    expect(small).toEqual([]);
  });

test('the level is read with the keyboard alone', async ({ page }) => {
  await walkIn(page, 'Carys Ollenby');
  await page.goto((await studentPages(page)).find((path) => path.endsWith('step=read'))!);
  await expect(page.getByRole('heading', { name: 'Hair analysis by zone' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keyboard shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  const ring = page.getByRole('radiogroup', { name: 'Level of the mid-lengths' });
  await ring.getByRole('radio').first().focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect(ring.getByRole('radio', { name: 'Between 2 and 3' })).toBeChecked();
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Formulate' })).toBeVisible();
});

test('pages that are not there, or not yours, say so', async ({ page }) => {
  await page.goto('/due');
  await expect(page).toHaveURL(/sign-in/);
  await walkIn(page, 'Leo Marchetto');
  await page.goto('/classes');
  await expect(page.getByText('Your account does not have access to this page.')).toBeVisible();
  await page.goto('/due/00000000-0000-4000-8000-000000000000');
  await expect(page.getByText('There is nothing at this address')).toBeVisible();
  await page.goto('/no-such-page');
  await expect(page.getByText('There is nothing at this address')).toBeVisible();
});

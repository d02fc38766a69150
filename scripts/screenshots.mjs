import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { CHROMIUM, ensureChromium } from './lib/chromium.mjs';
import { fail, inRoot, say } from './lib/system.mjs';

/**
 * Takes the pictures of the README from the demo data of a running `npm start`.
 *   node scripts/screenshots.mjs [--base=URL] [--out=FOLDER] [--dark] [--phone] [NAME …]
 */
const option = (name, other) =>
  process.argv.find((arg) => arg.startsWith(`--${name}=`))?.slice(name.length + 3) ?? other;
const base = option('base', 'http://127.0.0.1:4600');
const out = option('out', inRoot('docs', 'screenshots'));
const dark = process.argv.includes('--dark');
const phone = process.argv.includes('--phone');
const wanted = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));

const EDUCATOR = 'Odile Brandvoort';
const STUDENT = 'Amina Tessaly';
/** Has a card all but finished. */
const ALMOST = 'Ivo Santarel';

const assignmentNamed = (title) => async (page) => {
  const response = await page.request.get(`${base}/api/my/assignments`);
  return (await response.json()).find((one) => one.title.startsWith(title)).id;
};
async function classroom(page) {
  const [first] = await (await page.request.get(`${base}/api/classes`)).json();
  return (await page.request.get(`${base}/api/classes/${first.id}`)).json();
}

const VIEWS = {
  'student-home': { as: STUDENT, go: async () => '/due' },
  roster: {
    as: EDUCATOR,
    go: async (page) => `/classes/${(await classroom(page)).id}/roster`,
    then: (page) => page.getByLabel('Names').fill('Noor Havel, 2101\nTomas Rell, 2102\nIda Brandt, 2103'),
  },
  gradebook: {
    as: EDUCATOR,
    go: async (page) => `/classes/${(await classroom(page)).id}/gradebook`,
    then: (page) => page.getByRole('button', { name: /^Greta Paulsund, Retouch/ }).focus(),
  },
  class: { as: EDUCATOR, go: async (page) => `/classes/${(await classroom(page)).id}` },
  'new-exercise': {
    as: EDUCATOR,
    go: async (page) => `/classes/${(await classroom(page)).id}/new-exercise`,
    then: async (page) => {
      await page.getByLabel('Start from').selectOption({ label: 'Dark root, pale ends, one gold' });
      await page.getByRole('button', { name: 'Next: Wish and shelf' }).click();
      await page.getByRole('heading', { name: 'Routes' }).waitFor();
    },
  },
  'bench-consult': {
    as: STUDENT,
    go: async (page) => `/due/${await assignmentNamed('First time')(page)}?step=consult`,
  },
  'bench-mix': {
    as: ALMOST,
    go: async (page) => `/due/${await assignmentNamed('First time')(page)}?step=mix`,
    then: (page) => page.getByRole('button', { name: 'B: Quillet Gel' }).click(),
  },
  'bench-apply': {
    as: 'Carys Ollenby',
    go: async (page) => `/due/${await assignmentNamed('White only')(page)}?step=apply`,
    then: (page) => page.getByRole('group', { name: 'Order of the areas' }).scrollIntoViewIfNeeded(),
  },
  'bench-process': {
    as: ALMOST,
    go: async (page) => `/due/${await assignmentNamed('First time')(page)}?step=process`,
    then: async (page) => {
      await page.getByRole('button', { name: 'Play the card' }).click();
      await page.getByRole('slider').fill('22');
      await page.getByRole('button', { name: 'Check a strand' }).last().click();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  result: {
    as: 'Bo Lindqvarn',
    go: async (page) => `/due/${await assignmentNamed('Retouch')(page)}/result`,
  },
  answers: {
    as: EDUCATOR,
    go: async (page) => {
      const { assignments } = await classroom(page);
      return `/assignments/${assignments.find(({ title }) => title.startsWith('First time')).id}`;
    },
  },
  pile: {
    as: EDUCATOR,
    go: async (page) => {
      const { assignments } = await classroom(page);
      return `/assignments/${assignments.find(({ title }) => title.startsWith('Retouch')).id}/pile`;
    },
  },
  library: { as: EDUCATOR, go: async () => '/library' },
  practice: {
    as: STUDENT,
    go: async () => '/reading/practice?skills=level&minutes=5',
    then: async (page) => {
      await page.getByText(/· step \d of 5/).waitFor();
      await page.keyboard.press('9');
      await page.keyboard.press('Enter');
    },
  },
  'reading-profile': { as: STUDENT, go: async () => '/reading/reading-profile' },
  'reading-desk': { as: EDUCATOR, go: async (page) => `/classes/${(await classroom(page)).id}/reading` },
  'shade-book': { as: EDUCATOR, go: async () => '/shade-books/shipped/ostrel' },
  lab: { as: EDUCATOR, go: async () => '/lab' },
};

async function main() {
  mkdirSync(out, { recursive: true });
  await ensureChromium();
  const browser = await chromium.launch(CHROMIUM);
  for (const [name, view] of Object.entries(VIEWS)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const context = await browser.newContext({
      baseURL: base,
      viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
      colorScheme: dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    page.on('console', (message) => message.type() === 'error' && say(`${name}: ${message.text()}`));
    page.on('pageerror', (error) => say(`${name}: ${error.message}`));
    // The screen was looked at already: the check is a page of its own.
    await page.addInitScript(() =>
      localStorage.setItem(
        'cimbel.screenCheck',
        JSON.stringify({ day: new Date().toISOString().slice(0, 10), good: true }),
      ),
    );
    await page.goto('/sign-in');
    if (view.as) await page.getByRole('button', { name: view.as }).click();
    if (view.as) await page.waitForURL((url) => !url.pathname.startsWith('/sign-in'));
    await page.goto(await view.go(page));
    await page.waitForLoadState('networkidle');
    await view.then?.(page);
    await page.waitForTimeout(400);
    await page.evaluate(() => document.fonts.ready);
    await page.waitForFunction(() =>
      [...document.querySelectorAll('canvas')].every((canvas) => canvas.dataset.drawn === 'true'),
    );
    const file = path.join(out, `${name}${dark ? '-dark' : ''}${phone ? '-phone' : ''}.png`);
    await page.screenshot({ path: file });
    say(file);
    await context.close();
  }
  await browser.close();
}

main().catch(fail);

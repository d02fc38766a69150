import { expect, type Page } from '@playwright/test';
import { accented } from '../web/lib/pseudo';
import { joinByCode, makeClass, register, test, unique } from './pages';

const local = (hours: number) => {
  const at = new Date(Date.now() + hours * 3600_000);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};

/** Words as the page has them: as they are, or as the strange language writes them. */
type Words = (text: string) => string;
const WORDS: Record<string, Words> = { English: (text) => text, 'a strange language': accented };
/** What begins with these words, and goes on with none of English. */
const whole = (w: Words, text: string) => new RegExp(`^⟦?${w(text)}( ·|$)`);
/** Words with a name after them, which a line from right to left holds together. */
const named = (w: Words, text: string, name: string) => new RegExp(`${w(text)} \u2068?${name}`);

/** Adds a student to the form of dates, with what holds for them. */
async function addStudent(
  page: Page,
  w: Words,
  name: string,
  part: { due?: string; attempts?: string; extra?: string } = {},
) {
  await page.getByLabel(w('Add a student')).selectOption({ label: name });
  if (part.due) await page.getByLabel(named(w, 'Due for', name)).fill(part.due);
  if (part.attempts) await page.getByLabel(named(w, 'Attempts for', name)).fill(part.attempts);
  if (part.extra) await page.getByLabel(named(w, 'Extra time for', name)).selectOption(part.extra);
}

const settingStepIn = (page: Page, w: Words, name: string) =>
  page
    .getByRole('navigation', { name: w('Steps of setting an exercise') })
    .getByRole('button', { name: w(name) })
    .click();

async function submit(page: Page, w: Words): Promise<void> {
  const steps = page.getByRole('navigation', { name: w('Order of the service') });
  await steps.getByRole('button', { name: w('Submit') }).click();
  await page
    .getByRole('main')
    .getByRole('button', { name: w('Submit') })
    .last()
    .click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: w('Submit') })
    .click();
  // To the result, where it is shown at once.
  await expect(page).toHaveURL(/\/due(\/[^/]+\/result)?$/);
}

for (const [language, w] of Object.entries(WORDS))
  test(`exercises are filed and found, assigned to some, come in late by the rule and are closed, in ${language}`, async ({
    browser,
  }) => {
    test.setTimeout(240_000);
    const pageOf = async () => (await browser.newContext()).newPage();
    const educator = await pageOf();
    await register(educator, 'an educator', unique('Librarian'));
    const code = await makeClass(educator, unique('Wednesday'));
    const names = ['Ada', 'Bea', 'Cleo', 'Dora'].map(unique);
    const students: Page[] = [];
    for (const name of names) {
      const page = await pageOf();
      await register(page, 'a student', name);
      await joinByCode(page, code, educator);
      students.push(page);
    }
    // Accounts are made in English; from here on everything is in the language of the journey.
    if (w !== WORDS.English) for (const page of [educator, ...students]) await page.goto('/?language=en-XB');
    const title = unique('Winter brown');

    await test.step('the educator files two exercises with tags, and finds one of them', async () => {
      for (const [name, from, tag] of [
        [title, 'Deeper for winter, on porous hair', 'porous'],
        [unique('Gold'), 'A golden gloss', 'gloss'],
      ]) {
        await educator.goto('/library/new');
        await educator.getByLabel(w('Start from')).selectOption({ label: from });
        await educator.getByLabel(w('Title')).fill(name);
        await educator.getByLabel(w('Add a tag')).fill(`${tag}, week 4`);
        await educator.getByLabel(w('Add a tag')).press('Enter');
        await settingStepIn(educator, w, 'Work');
        await educator.getByRole('radio', { name: whole(w, 'Mix') }).click();
        await expect(educator.getByRole('heading', { name: w('Model answer') })).toBeVisible();
        await educator.getByRole('button', { name: w('Save to library') }).click();
        await expect(educator.getByText(w('Saved as version'))).toBeVisible();
      }
      await educator
        .getByRole('link', { name: w('Library') })
        .first()
        .click();
      await expect(educator.getByText(new RegExp(`2\u2069? ${w('exercises')}`))).toBeVisible();
      await educator.getByLabel(w('Search titles, clients and tags')).fill('POROUS');
      await expect(educator.getByText(new RegExp(`1\u2069? ${w('exercise')}`))).toBeVisible();
      await expect(educator.getByRole('link', { name: title, exact: true })).toBeVisible();
    });

    await test.step('and assigns it to three students, one with two attempts and extra time', async () => {
      await educator.getByRole('button', { name: named(w, 'Assign', title) }).click();
      await educator.getByRole('dialog').getByRole('link').first().click();
      await expect(educator.getByRole('heading', { name: w('Model answer') })).toBeVisible();
      await settingStepIn(educator, w, 'Class and dates');
      await educator.getByRole('radio', { name: w('chosen students') }).click();
      await educator.getByLabel(w('Time limit')).fill('20');
      // Where results show when it is due, nothing can come late.
      const reduced = educator.getByRole('radio', { name: w('accepted, with points off') });
      await expect(reduced).toBeDisabled();
      await educator.getByRole('radio', { name: w('as soon as they submit') }).click();
      await reduced.click();
      await educator.getByLabel(w('Points off when late')).fill('50');
      await addStudent(educator, w, names[0], { attempts: '2', extra: '0.5' });
      await addStudent(educator, w, names[1], { due: local(72) });
      await addStudent(educator, w, names[2]);
      await educator.getByRole('button', { name: whole(w, 'Assign') }).click();
      await expect(educator.getByRole('heading', { name: title, exact: true })).toBeVisible();
      await expect(
        educator.getByText(new RegExp(`${w('for')} \u2068?3\u2069? ${w('students')}`)),
      ).toBeVisible();
      await expect(educator.getByRole('row', { name: new RegExp(names[3]) })).toHaveCount(0);
    });

    const begin = async (page: Page) => {
      await page.goto('/due');
      const item = page.getByRole('listitem').filter({ hasText: title });
      await item.getByRole('link', { name: new RegExp(`${w('Start')}|${w('Try again')}`) }).click();
    };

    await test.step('each has what holds for them, and a fourth has nothing', async () => {
      await students[3].goto('/due');
      await expect(students[3].getByText(w('Nothing is assigned to you yet.'))).toBeVisible();
      await begin(students[0]);
      await expect(students[0].getByText(new RegExp(`30\\u2069? ${w('min')}`)).first()).toBeVisible();
      await students[0].getByRole('button', { name: w('Start now') }).click();
      await expect(students[0].getByRole('timer')).toHaveText(/(30|29):\d\d/);
      await submit(students[0], w);
      await begin(students[0]);
      await expect(students[0].getByText(new RegExp(`${w('Attempt')} \u2068?2`))).toBeVisible();
      await students[0].getByRole('button', { name: w('Start from an empty card') }).click();
      await expect(students[0].getByRole('timer')).toBeVisible();
      await submit(students[0], w);
      await students[0].goto('/due');
      await expect(
        students[0]
          .getByRole('listitem')
          .filter({ hasText: title })
          .getByRole('link', { name: w('View result') }),
      ).toBeVisible();
      await begin(students[2]);
      await students[2].getByRole('button', { name: w('Start now') }).click();
      await expect(students[2].getByRole('timer')).toHaveText(/(20|19):\d\d/);
    });

    await test.step('another due time is shown by what it changes, and a late one loses points', async () => {
      await educator.reload();
      await educator.getByRole('button', { name: w('Dates and attempts') }).click();
      await educator.getByRole('textbox', { name: whole(w, 'Due') }).fill(local(-1));
      await educator.getByRole('button', { name: w('Save') }).click();
      await expect(educator.getByText(w('This changes work that has begun'))).toBeVisible();
      await expect(educator.getByRole('dialog')).toContainText(w('becomes late'));
      await educator.getByRole('button', { name: w('Change it') }).click();
      await expect(educator.getByRole('dialog')).toHaveCount(0);
      await students[2].reload();
      await students[2]
        .getByRole('navigation', { name: w('Order of the service') })
        .getByRole('button')
        .last()
        .click();
      await expect(students[2].getByText(w('This is late:'))).toBeVisible();
      await submit(students[2], w);
      await educator.reload();
      await expect(educator.getByRole('row', { name: new RegExp(names[2]) })).toContainText(w('late'));
    });

    await test.step('closed by hand, the last can no longer submit', async () => {
      await educator.getByRole('button', { name: w('Close submissions') }).click();
      await educator
        .getByRole('dialog')
        .getByRole('button', { name: w('Close submissions') })
        .click();
      await expect(educator.getByText(w('Closed for submissions'))).toBeVisible();
      await begin(students[1]);
      await expect(students[1].getByText(w('This exercise is closed'))).toBeVisible();
    });

    await test.step('what is edited becomes another version, and what is assigned keeps its own', async () => {
      await educator.goto('/library');
      await educator.getByRole('link', { name: named(w, 'Edit', title) }).click();
      await expect(
        educator.getByText(w('What you change becomes a new version'), { exact: false }),
      ).toBeVisible();
      await educator.getByLabel(w('Title')).fill(`${title} again`);
      await educator.getByRole('button', { name: w('Save to library') }).click();
      await expect(educator.getByText(w('Saved as version'))).toBeVisible();
      await educator.goBack();
      await educator.goto('/classes');
      await educator.getByRole('link', { name: /Wednesday/ }).click();
      await educator.getByRole('link', { name: title, exact: true }).click();
      await expect(
        educator.getByText(
          new RegExp(`${w('this is version')} \u2068?1\u2069?, ${w('the library has version')} \u2068?2`),
        ),
      ).toBeVisible();
    });
  });

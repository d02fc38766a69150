import { expect, test, type Page } from '@playwright/test';
import { joinClass, makeClass, register, stepTo, unique } from './pages';

const local = (hours: number) => {
  const at = new Date(Date.now() + hours * 3600_000);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};

/** Adds a student to the form of dates, with what holds for them. */
async function addStudent(
  page: Page,
  name: string,
  part: { due?: string; attempts?: string; extra?: string } = {},
) {
  await page.getByLabel('Add a student').selectOption({ label: name });
  if (part.due) await page.getByLabel(`Due for ${name}`).fill(part.due);
  if (part.attempts) await page.getByLabel(`Attempts for ${name}`).fill(part.attempts);
  if (part.extra) await page.getByLabel(`Extra time for ${name}`).selectOption({ label: part.extra });
}

async function submit(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /^\d?\s*Submit$/ })
    .first()
    .click();
  await page.getByRole('main').getByRole('button', { name: 'Submit', exact: true }).last().click();
  await page.getByRole('dialog').getByRole('button', { name: 'Submit' }).click();
  await expect(page.getByRole('heading', { name: 'Assignments' })).toBeVisible();
}

test('exercises are filed and found, assigned to some with dates of their own, come in late by the rule and are closed', async ({
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
    await joinClass(page, code, educator);
    students.push(page);
  }
  const title = unique('Winter brown');

  await test.step('the educator files two exercises with tags, and finds one of them', async () => {
    for (const [name, from, tag] of [
      [title, 'Deeper for winter, on porous hair', 'porous'],
      [unique('Gold'), 'A golden gloss', 'gloss'],
    ]) {
      await educator.goto('/library/new');
      await educator.getByLabel('Start from').selectOption({ label: from });
      await educator.getByLabel('Title').fill(name);
      await educator.getByLabel('Add a tag').fill(`${tag}, week 4`);
      await educator.getByLabel('Add a tag').press('Enter');
      await educator.getByRole('radio', { name: 'Mix', exact: true }).click();
      await expect(educator.getByRole('heading', { name: 'Model answer' })).toBeVisible();
      await educator.getByRole('button', { name: 'Save to library' }).click();
      await expect(educator.getByText('Saved as version 1.')).toBeVisible();
    }
    await educator.getByRole('link', { name: 'Library' }).first().click();
    await expect(educator.getByText('2 exercises')).toBeVisible();
    await educator.getByLabel('Search titles, clients and tags').fill('POROUS');
    await expect(educator.getByText('1 exercise', { exact: true })).toBeVisible();
    await expect(educator.getByRole('link', { name: title, exact: true })).toBeVisible();
  });

  await test.step('and assigns it to three students, one with two attempts and extra time', async () => {
    await educator.getByRole('button', { name: `Assign ${title}` }).click();
    await educator.getByRole('dialog').getByRole('link').first().click();
    await expect(educator.getByRole('heading', { name: 'Model answer' })).toBeVisible();
    await educator.getByRole('radio', { name: 'chosen students' }).click();
    await educator.getByLabel('Time limit').fill('20');
    await educator.getByRole('radio', { name: 'accepted, with points off' }).click();
    await educator.getByLabel('Points off when late').fill('50');
    await educator.getByRole('radio', { name: 'as soon as they submit' }).click();
    await addStudent(educator, names[0], { attempts: '2', extra: '+50%' });
    await addStudent(educator, names[1], { due: local(72) });
    await addStudent(educator, names[2]);
    await educator.getByRole('button', { name: 'Assign', exact: true }).click();
    await expect(educator.getByRole('heading', { name: title })).toBeVisible();
    await expect(educator.getByText('for 3 students', { exact: false })).toBeVisible();
    await expect(educator.getByRole('row', { name: new RegExp(names[3]) })).toHaveCount(0);
  });

  const begin = async (page: Page) => {
    await page.goto('/due');
    const item = page.getByRole('listitem').filter({ hasText: title });
    await item.getByRole('link', { name: /Start|Try again/ }).click();
  };

  await test.step('each has what holds for them, and a fourth has nothing', async () => {
    await students[3].goto('/due');
    await expect(students[3].getByText('Nothing is assigned to you yet.')).toBeVisible();
    await begin(students[0]);
    await expect(students[0].getByText('30 min', { exact: true })).toBeVisible();
    await students[0].getByRole('button', { name: 'Start now' }).click();
    await expect(students[0].getByRole('timer')).toHaveText(/^(30|29):\d\d left$/);
    await submit(students[0]);
    await begin(students[0]);
    await expect(students[0].getByText('Attempt 2 of 2')).toBeVisible();
    await students[0].getByRole('button', { name: 'Start from an empty card' }).click();
    await expect(students[0].getByRole('timer')).toBeVisible();
    await submit(students[0]);
    await expect(
      students[0].getByRole('listitem').filter({ hasText: title }).getByRole('link', { name: 'View result' }),
    ).toBeVisible();
    await begin(students[2]);
    await students[2].getByRole('button', { name: 'Start now' }).click();
    await expect(students[2].getByRole('timer')).toHaveText(/^(20|19):\d\d left$/);
  });

  await test.step('another due time is shown by what it changes, and a late one loses points', async () => {
    await educator.reload();
    await educator.getByRole('button', { name: 'Dates and attempts' }).click();
    await educator.getByRole('textbox', { name: 'Due', exact: true }).fill(local(-1));
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(educator.getByText('This changes work that has begun')).toBeVisible();
    await expect(educator.getByRole('dialog')).toContainText(`${names[0]} becomes late`);
    await educator.getByRole('button', { name: 'Change it' }).click();
    await expect(educator.getByRole('dialog')).toHaveCount(0);
    await students[2].reload();
    await stepTo(students[2], 'Submit');
    await expect(students[2].getByText('This is late: 50 % of the points come off.')).toBeVisible();
    await submit(students[2]);
    await educator.reload();
    await expect(educator.getByRole('row', { name: new RegExp(names[2]) })).toContainText('late');
  });

  await test.step('closed by hand, the last can no longer submit', async () => {
    await educator.getByRole('button', { name: 'Close submissions' }).click();
    await educator.getByRole('dialog').getByRole('button', { name: 'Close submissions' }).click();
    await expect(educator.getByText('Closed for submissions')).toBeVisible();
    await begin(students[1]);
    await expect(students[1].getByText('This exercise is closed')).toBeVisible();
  });

  await test.step('what is edited becomes another version, and what is assigned keeps its own', async () => {
    await educator.goto('/library');
    await educator.getByRole('link', { name: `Edit ${title}` }).click();
    await expect(educator.getByText('What you change becomes a new version', { exact: false })).toBeVisible();
    await educator.getByLabel('Title').fill(`${title} again`);
    await educator.getByRole('button', { name: 'Save to library' }).click();
    await expect(educator.getByText('Saved as version 2.')).toBeVisible();
    await educator.goBack();
    await educator.goto('/classes');
    await educator.getByRole('link', { name: /Wednesday/ }).click();
    await educator.getByRole('link', { name: title, exact: true }).click();
    await expect(
      educator.getByText('this is version 1, the library has version 2', { exact: false }),
    ).toBeVisible();
  });
});

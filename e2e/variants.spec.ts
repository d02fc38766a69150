import { expect, type Page } from '@playwright/test';
import { joinByCode, makeClass, register, setExercise, startExercise, test, unique } from './pages';

test('neighbours have clients of their own: each works one, and the educator sees which', async ({
  browser,
}) => {
  const newPage = async () => (await browser.newContext()).newPage();
  const educator = await newPage();
  await register(educator, 'an educator', unique('Setter'));
  const code = await makeClass(educator, unique('Side by side'));
  const students: { name: string; page: Page }[] = [];
  for (const who of ['Ada', 'Bea', 'Cyd']) {
    const student = { name: unique(who), page: await newPage() };
    await register(student.page, 'a student', student.name);
    await joinByCode(student.page, code, educator);
    students.push(student);
  }
  await educator.reload();
  const title = unique('One lighter');
  await setExercise(educator, {
    from: 'One level lighter, never coloured',
    title,
    figures: 'varied, up to five sets',
  });
  const answerOf = educator.getByRole('radiogroup', { name: 'Model answer of' });
  expect(await answerOf.getByRole('radio').count()).toBeGreaterThan(1);
  const shades: string[] = [];
  for (const choice of await answerOf.getByRole('radio').all()) {
    await choice.click();
    shades.push(
      await educator
        .getByText(/g \+ \d+ vol/)
        .first()
        .innerText(),
    );
  }
  expect(new Set(shades).size, 'one formula is not right for all').toBeGreaterThan(1);

  for (const { name, page } of students) {
    const row = educator.getByRole('row').filter({ hasText: name });
    const number = (await row.getByText(/client \d/).innerText()).match(/\d/)![0];
    const client = (await answerOf.getByRole('radio', { name: new RegExp(`^${number} `) }).innerText()).slice(
      4,
    );
    await startExercise(page, title);
    await expect(page.getByRole('heading', { name: client })).toBeVisible();
    await expect(page.getByText('First colour of her life')).toBeHidden();
  }
});

import { expect, test } from '@playwright/test';
import { bowl, joinClass, makeClass, register, saved, setGreyExercise, unique } from './pages';

test('an educator sets an exercise, a student solves it, it is marked, and a mark is changed', async ({
  browser,
}) => {
  const educator = await (await browser.newContext()).newPage();
  const student = await (await browser.newContext()).newPage();
  const [teacher, learner] = [unique('Teacher'), unique('Learner')];
  const title = unique('Grey and gold');

  await test.step('the educator makes a class and sets an exercise with a computed answer', async () => {
    await register(educator, 'an educator', teacher);
    const code = await makeClass(educator, unique('Morning'));
    await setGreyExercise(educator, title, 'as soon as they hand in');
    await register(student, 'a student', learner);
    await joinClass(student, code);
  });

  await test.step('the student reads, mixes and times', async () => {
    await student
      .getByRole('listitem')
      .filter({ hasText: title })
      .getByRole('link', { name: 'Start' })
      .click();
    await expect(student.getByText('Never coloured.')).toBeVisible();
    await expect(student.getByText('Patch test as the maker says')).toBeVisible();
    await student.getByRole('button', { name: 'Next: Read' }).click();
    await student.getByRole('radio', { name: 'Level 5, light brown' }).click();
    await student.getByRole('radio', { name: 'red-orange' }).click();
    await student.getByRole('radio', { name: 'keep the warmth' }).click();
    await student.keyboard.press(']');
    await student.getByRole('button', { name: 'Add 5:0', exact: true }).click();
    await student.getByRole('button', { name: 'Add 5:1', exact: true }).click();
    await bowl(student).getByLabel('Parts of 5:0').fill('2');
    await bowl(student).getByLabel('Parts of 5:1').fill('2');
    await student.getByRole('radio', { name: '40 vol' }).click();
    await student.getByLabel('Poured together with').selectOption('0');
    await expect(student.getByText('Together 20 vol, 6 % peroxide')).toBeVisible();
    await student.getByRole('spinbutton', { name: 'Ratio' }).fill('1.5');
    await student.getByRole('spinbutton', { name: 'Mixed in all' }).fill('100');
    const weights = student.locator('section', { hasText: 'To weigh out' }).last();
    await expect(weights).toContainText('20.0 g');
    await expect(weights).toContainText('30.0 g');
    await saved(student);
  });

  await test.step('a reload loses nothing', async () => {
    await student.reload();
    await expect(bowl(student).getByLabel('Parts of 5:1')).toHaveValue('2');
    await expect(student.getByRole('spinbutton', { name: 'Mixed in all' })).toHaveValue('100');
  });

  await test.step('undo takes the last change back', async () => {
    await student.getByRole('spinbutton', { name: 'Mixed in all' }).fill('10');
    await student.getByRole('button', { name: 'Undo' }).click();
    await expect(student.getByRole('spinbutton', { name: 'Mixed in all' })).toHaveValue('100');
  });

  await test.step('hands in once, with one short time', async () => {
    await student.getByRole('button', { name: 'Next: Process' }).click();
    await student.getByRole('spinbutton', { name: 'Minutes on the hair' }).fill('35');
    await student.getByRole('button', { name: 'Next: Hand in' }).click();
    await expect(student.getByText('Every part is answered.')).toBeVisible();
    await student.getByRole('button', { name: 'Hand in', exact: true }).last().click();
    const dialog = student.getByRole('dialog', { name: 'Hand in now?' });
    await dialog.getByRole('button', { name: 'Hand in' }).click();
    await expect(student.getByRole('heading', { name: title })).toBeVisible();
  });

  await test.step('the result shows marks, key and why; equal effect earned full marks', async () => {
    await expect(student.getByText('19.5 of 20 points')).toBeVisible();
    const row = (name: string) => student.getByRole('row').filter({ hasText: name });
    await expect(row('Developer')).toContainText('3 / 3');
    await expect(row('Developer')).toContainText('1 : 1 40 vol and water');
    await expect(row('Natural share for grey')).toContainText('2 / 2');
    await expect(row('Processing time')).toContainText('35 min of 45 min');
    await expect(row('Processing time')).toContainText('R7');
    await expect(student.getByText('House rules this rests on')).toBeVisible();
    await expect(student.getByRole('img', { name: /Balance of warmth and mix/ })).toBeVisible();
    const outcome = student.locator('section', { hasText: 'What it would have done' });
    for (const name of ['Wanted', 'This formula', 'The computed one'])
      await expect(outcome.getByRole('img', { name, exact: true })).toBeVisible();
    await expect(outcome).toContainText(/This formulalevel [\d.]+, \w+ · ΔE \d/);
    await outcome.getByRole('slider').fill('0');
    await expect(outcome).toContainText(/This formulalevel 5, .*white showing/);
  });

  await test.step('the educator opens it beside the key and changes a mark with a reason', async () => {
    await educator.reload();
    await educator.getByRole('button', { name: 'Change due time' }).click();
    await educator.getByRole('textbox', { name: 'Due' }).fill('2031-05-06T18:30');
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(educator.getByText('Due Tue 6 May, 18:30')).toBeVisible();
    await expect(educator.getByRole('row').filter({ hasText: learner })).toContainText('19.5');
    await educator.getByRole('link', { name: learner }).click();
    await educator.getByRole('button', { name: 'Change the mark for Processing time' }).click();
    await educator.getByLabel(/Points \(of 1\)/).fill('3');
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(educator.getByText('Points from 0 to 1, in quarters.')).toBeVisible();
    await expect(educator.getByText('Write a reason, so that the student can follow it.')).toBeVisible();
    await educator.getByLabel(/Points \(of 1\)/).fill('1');
    await educator.getByLabel('Reason, shown to the student').fill('Warm room, agreed in class.');
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(educator.getByText('20 of 20 points')).toBeVisible();
    await student.reload();
    await expect(
      student.getByText(`Changed by ${teacher}: 0.5 to 1. Warm room, agreed in class.`),
    ).toBeVisible();
    await expect(student.getByText('20 of 20 points')).toBeVisible();
  });
});

test('a target out of reach is said while setting, and cannot be assigned', async ({ page }) => {
  await register(page, 'an educator', unique('Setter'));
  await makeClass(page, unique('Noon'));
  await page.getByRole('link', { name: 'New exercise' }).click();
  await page
    .getByRole('radiogroup', { name: 'Natural level' })
    .getByRole('radio', { name: 'Level 3, dark brown' })
    .click();
  await page
    .getByRole('radiogroup', { name: 'Target level' })
    .getByRole('radio', { name: 'Level 8, light blonde' })
    .click();
  await expect(
    page.getByText('5 levels to lift; Tarnwick Cream can be counted on for 3 levels.'),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Assign to the class' })).toBeDisabled();
  await page.getByLabel('Line of colour').selectOption('quillet');
  await expect(page.getByText('Quillet Gel is a demi line and does not lift')).toBeVisible();
  await page
    .getByRole('radiogroup', { name: 'Target level' })
    .getByRole('radio', { name: 'Level 3, dark brown' })
    .click();
  await page.getByRole('button', { name: 'Assign to the class' }).click();
  await expect(page.getByText('Give it a title.')).toBeVisible();
  await expect(page.getByText('Write a name.')).toBeVisible();
});

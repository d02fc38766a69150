import { expect } from '@playwright/test';
import {
  FULL,
  criterion,
  handItIn,
  joinClassByHand,
  makeClass,
  makeClassByHand,
  mixBowl,
  readZone,
  register,
  registerByHand,
  saved,
  setExercise,
  settingStep,
  startExercise,
  stepTo,
  test,
  timeIt,
  unique,
  playCard,
} from './pages';

const SMALL = 'Cover half grey, keep it golden';

test('an educator sets a small exercise, a student solves it, it is marked, and a mark is changed', async ({
  browser,
}) => {
  test.setTimeout(150_000);
  const educator = await (await browser.newContext()).newPage();
  const student = await (await browser.newContext()).newPage();
  const [teacher, learner] = [unique('Teacher'), unique('Learner')];
  const title = unique('Grey and gold');

  await test.step('the educator makes a class and sets a case whose answer is computed', async () => {
    await registerByHand(educator, 'an educator', teacher);
    const code = await makeClassByHand(educator, unique('Morning'));
    await setExercise(educator, { from: SMALL, title });
    await registerByHand(student, 'a student', learner);
    await joinClassByHand(student, code, educator);
    await startExercise(student, title);
  });

  await test.step('what the client told and the tests showed is given; the student reads', async () => {
    await expect(student.getByText('Never coloured until now.', { exact: false })).toBeVisible();
    await expect(student.getByText('“Never had any trouble with colour.”')).toBeVisible();
    await readZone(student, 'mid-lengths', { level: 'Level 5, light brown', grey: '0.5' });
  });

  await test.step('mixes 40 vol with water to 20, weighed to the tenth', async () => {
    await student.keyboard.press(']');
    await mixBowl(student, 'A', {
      line: 'Tarnwick Cream, permanent',
      shades: ['5:0', '5:1'],
      vol: '40 vol',
      total: 100,
    });
    await student.getByLabel('Blended with').selectOption({ label: 'water' });
    await student.getByRole('button', { name: 'Calculate weights' }).click();
    await expect(student.getByText('In the bowl: 100.0 g, 1 : 1.5, 20 vol.')).toBeVisible();
    await saved(student);
  });

  await test.step('a reload loses nothing, and undo takes the last change back', async () => {
    await student.reload();
    const amount = student.getByRole('spinbutton', { name: 'Amount of 5:1' });
    await expect(amount).toHaveValue('20');
    await amount.fill('2');
    await student.getByRole('button', { name: 'Undo' }).click();
    await expect(amount).toHaveValue('20');
  });

  await test.step('times what is applied for the student, too short', async () => {
    await stepTo(student, 'Process');
    await expect(student.getByText('on grey 45 min.')).toBeVisible();
    await timeIt(student, 'A', 'mid-lengths', { minutes: 35 });
    await playCard(student);
    await expect(student.getByRole('heading', { name: 'The clock' })).toBeVisible();
    await handItIn(student);
  });

  await test.step('the result shows marks, model answer and why; equal effect earned full marks', async () => {
    await expect(criterion(student, 'Developer')).toContainText(FULL);
    await expect(criterion(student, 'Base shade for grey coverage')).toContainText(FULL);
    await expect(criterion(student, 'Timing and checks')).toContainText('35 min on grey');
    await expect(criterion(student, 'Timing and checks')).not.toContainText(FULL);
    await expect(student.getByText('House rules behind this')).toBeVisible();
    for (const name of ['Target colour', 'This plan', 'Model answer'])
      await expect(student.getByRole('img', { name, exact: true })).toBeVisible();
    await student.getByText('Why this answer').click();
    await expect(student.getByText('50% grey asks for a natural share', { exact: false })).toBeVisible();
  });

  await test.step('the educator opens it beside the model answer and changes a mark with a reason', async () => {
    await educator.reload();
    await educator.getByRole('button', { name: 'Dates and attempts' }).click();
    await educator.getByRole('textbox', { name: 'Due', exact: true }).fill('2031-05-06T18:30');
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(educator.getByText('Due Tue 6 May, 18:30')).toBeVisible();
    await educator.getByRole('link', { name: learner }).click();
    await educator.getByRole('button', { name: 'Change the mark for Timing and checks' }).click();
    await educator.getByLabel(/Points \(of 13.5\)/).fill('14');
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(educator.getByText('Points from 0 to 13.5, in quarters.')).toBeVisible();
    await expect(educator.getByText('Give a reason, so that the student can follow it.')).toBeVisible();
    await educator.getByLabel(/Points \(of 13.5\)/).fill('13.5');
    await educator.getByLabel('Reason, shown to the student').fill('Warm room, agreed in class.');
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(criterion(educator, 'Timing and checks')).toContainText(FULL);
    await student.reload();
    await expect(student.getByText(/Changed by .* to 13\.5\. Warm room, agreed in class\./)).toBeVisible();
  });
});

test('from an empty head: what is out of reach is said while setting, and cannot be assigned', async ({
  page,
}) => {
  await register(page, 'an educator', unique('Setter'));
  await makeClass(page, unique('Noon'));
  await page.getByRole('link', { name: 'Assign an exercise' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'An empty head' });
  const assign = page.getByRole('button', { name: 'Assign', exact: true });
  await expect(assign).toBeDisabled();
  await page.getByLabel('Client', { exact: true }).fill('Mrs Orlane');
  const zone = page.getByRole('group', { name: 'mid-lengths' });
  await zone.getByLabel('Natural level').selectOption('3');
  await settingStep(page, 'Wish and shelf');
  await zone.getByRole('checkbox', { name: 'Include in service' }).check();
  await zone.getByLabel('Target level').selectOption('8');
  await expect(page.getByText('There is no plan for this.')).toBeVisible();
  await expect(assign).toBeDisabled();
  await zone.getByLabel('Target level').selectOption('4');
  const answer = page.getByRole('region', { name: 'Model answer' });
  await expect(answer).toContainText('vol');
  await expect(assign).toBeEnabled();
  await assign.click();
  // What is missing leads to where it is put right.
  await page.getByRole('button', { name: 'Enter a title.' }).click();
  await expect(page.getByLabel('Title')).toBeFocused();
  await page.getByLabel('Title').fill('A level lighter');
  await assign.click();
  await expect(page.getByRole('heading', { name: 'A level lighter' })).toBeVisible();
});

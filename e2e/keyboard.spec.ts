import { expect } from '@playwright/test';
import { arrowTo, countKeys, tabTo, typeInto } from './keys';
import { joinByCode, makeClass, register, setExercise, startExercise, test, unique, walkIn } from './pages';

test('a whole service is worked by the keyboard alone, in fewer than 250 keys', async ({ browser }) => {
  test.setTimeout(180_000);
  const pageOf = async () => (await browser.newContext()).newPage();
  const [educator, student] = [await pageOf(), await pageOf()];
  await register(educator, 'an educator', unique('Teacher'));
  const code = await makeClass(educator, unique('Class'));
  const title = unique('Gloss');
  await setExercise(educator, { from: 'A golden gloss', title, steps: 'Whole service' });
  await register(student, 'a student', unique('Keys'));
  await joinByCode(student, code, educator);
  await startExercise(student, title);
  const pressed = await countKeys(student);
  const press = async (key: string, times = 1) => {
    for (let i = 0; i < times; i++) await student.keyboard.press(key);
  };
  const heading = (name: string) => expect(student.getByRole('heading', { name })).toBeVisible();

  await test.step('asks and tests', async () => {
    for (const name of [
      'Previous services',
      'Previous reactions',
      'The scalp today',
      'Maintenance',
      'Patch test',
    ]) {
      await tabTo(student, student.getByRole('button', { name }));
      await press('Enter');
      await expect(student.getByRole('button', { name })).toBeDisabled();
    }
    await tabTo(student, student.getByRole('radio', { name: 'Proceed with the service' }));
    await press('Space');
    await typeInto(student, student.getByRole('spinbutton', { name: 'Number of appointments quoted' }), '1');
    await press('Tab');
  });
  await test.step('reads the level on the ring', async () => {
    await press(']');
    await heading('Hair analysis by zone');
    await tabTo(
      student,
      student
        .getByRole('radiogroup', { name: /^Level of/ })
        .getByRole('radio')
        .first(),
    );
    await press('ArrowRight', 12);
    await expect(student.getByRole('radio', { name: 'Level 7, medium blonde' })).toBeChecked();
  });
  await test.step('picks a shade with the arrows and mixes', async () => {
    await press(']');
    await heading('Formulate');
    await tabTo(student, student.getByRole('button', { name: 'Add bowl' }));
    await press('Enter');
    await tabTo(student, student.getByLabel('Line in bowl A'));
    await student.keyboard.type('Quillet');
    const chart = student.getByRole('group', { name: /^Shades of Quillet/ });
    await arrowTo(student, chart, student.getByRole('button', { name: 'Add 7-H', exact: true }));
    await press('Enter');
    await typeInto(student, student.getByRole('spinbutton', { name: 'Total mixture' }), '90');
    await tabTo(student, student.getByRole('button', { name: 'Calculate weights' }));
    await press('Enter');
  });
  await test.step('applies it, and times it', async () => {
    await press(']');
    await heading('Application');
    await tabTo(student, student.getByRole('button', { name: 'Bowl A', exact: true }));
    await press('Enter');
    await press(']');
    await heading('Processing time');
    await typeInto(student, student.getByRole('spinbutton', { name: /^Processing time: bowl A/ }), '20');
    await tabTo(student, student.getByRole('button', { name: /^Next: Finish/ }));
    await press('Enter');
  });
  await test.step('gives advice, books the client in and submits', async () => {
    // A key that comes before the step is there would go on from the one that is left.
    await heading('Finish');
    await tabTo(student, student.getByRole('checkbox', { name: 'Gentle wash' }));
    await press('Space');
    await typeInto(student, student.getByRole('spinbutton', { name: 'Rebook in' }), '6');
    await expect(student.getByText(/^Saved /)).toBeVisible();
    await tabTo(student, student.getByRole('button', { name: /^Next: Submit/ }));
    await press('Enter');
    await tabTo(student, student.getByRole('button', { name: 'Submit', exact: true }).last());
    await press('Enter');
    await tabTo(student, student.getByRole('dialog').getByRole('button', { name: 'Submit' }));
    await press('Enter');
    await heading('What it would have done');
  });
  const keys = await pressed();
  test.info().annotations.push({ type: 'keys', description: String(keys) });
  expect(keys).toBeGreaterThan(60);
  expect(keys).toBeLessThan(250);
});

test('another page begins at its heading, and single keys can be switched off', async ({ page }) => {
  await walkIn(page, 'Leo Marchetto');
  await page.getByRole('link', { name: 'Handbook' }).click();
  const title = page.getByRole('heading', { level: 1, name: 'Handbook' });
  await expect(title).toBeFocused();
  await expect(page).toHaveTitle('Handbook · Cimbel');
  await page.keyboard.press('?');
  const dialog = page.getByRole('dialog', { name: 'Keyboard shortcuts' });
  const list = page.getByRole('heading', { name: 'Keyboard shortcuts' });
  await expect(list).toBeVisible();
  await dialog.getByRole('checkbox', { name: 'Single keys act as shortcuts' }).uncheck();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(list).toBeHidden();
  // It is kept on this device, and comes back by the button.
  await page.reload();
  await page.keyboard.press('?');
  await expect(list).toBeHidden();
  await page.getByRole('button', { name: 'Keyboard shortcuts' }).click();
  await dialog.getByRole('checkbox').check();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(list).toBeVisible();
});

test('a comma is a decimal sign, and arrows go by a step', async ({ page }) => {
  await walkIn(page, 'Leo Marchetto');
  await page.goto('/due');
  await page.getByRole('listitem').filter({ hasText: 'Mix only' }).getByRole('link').click();
  await page.getByRole('button', { name: 'Add bowl' }).click();
  await page.getByLabel('Line in bowl A').selectOption({ index: 1 });
  const total = page.getByRole('spinbutton', { name: 'Total mixture' });
  await total.fill('62,5');
  await total.press('Tab');
  await expect(total).toHaveValue('62.5');
  await total.press('ArrowUp');
  await expect(total).not.toHaveValue('62.5');
});

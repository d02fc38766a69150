import { expect, type Page } from '@playwright/test';
import { arrowTo, tabTo, typeInto } from './keys';
import {
  handItIn,
  joinByCode,
  makeClass,
  mixBowl,
  readZone,
  register,
  settingStep,
  startExercise,
  stepTo,
  test,
  shownText,
  timeIt,
  unique,
} from './pages';

const answer = (page: Page) => page.getByRole('region', { name: 'Model answer' });
const found = (page: Page) =>
  expect(answer(page).getByRole('heading', { name: 'Model answer' })).toBeVisible();

test('a head of two regions, grey at the face, from nothing: previewed, kept as a draft, set, changed, worked on a phone and by keys', async ({
  browser,
}) => {
  test.setTimeout(300_000);
  const educator = await (await browser.newContext()).newPage();
  const title = unique('Grey at the root');
  await register(educator, 'an educator', unique('Builder'));
  const code = await makeClass(educator, unique('Class'));

  await test.step('the head is made zone by zone, its history layer by layer', async () => {
    await educator.getByRole('link', { name: 'Assign an exercise' }).click();
    await educator.getByLabel('Title').fill(title);
    await educator.getByLabel('Client', { exact: true }).fill('Mrs Orlane');
    await educator.getByLabel('What the client does not want to lose').fill('Its length.');
    await educator.getByRole('checkbox', { name: 'regrowth' }).check();
    const root = educator.getByRole('group', { name: 'regrowth' });
    await root.getByLabel('Natural level').selectOption('5');
    await root.getByLabel('Percentage of grey').selectOption('0.5');
    const lengths = educator.getByRole('group', { name: 'mid-lengths' });
    await lengths.getByRole('button', { name: 'Add to the history' }).click();
    await lengths
      .locator('label')
      .filter({ hasText: /^Level/ })
      .getByRole('combobox')
      .selectOption('5');
    await expect(lengths.getByText('Shows level 5 today.')).toBeVisible();
    await educator.getByRole('button', { name: 'No desired result.' }).click();
    await root.getByRole('checkbox', { name: 'Include in service' }).check();
    await root.getByLabel('Target level').selectOption('5');
    await root.getByLabel('Tone').selectOption('gold');
    await found(educator);
    await expect(answer(educator)).toContainText('20 vol');
  });

  await test.step('the face is told apart on the head sheet, and is the greyer of two regions', async () => {
    await settingStep(educator, 'Client');
    await educator.getByRole('button', { name: 'front hairline' }).click();
    const areas = educator.getByRole('group', { name: 'Areas of the region: front' });
    await areas.getByRole('button', { name: 'temples' }).click();
    await expect(areas.getByRole('button', { name: 'temples' })).toHaveAttribute('aria-pressed', 'true');
    const behind = educator.getByRole('group', { name: 'regrowth (rest of the head)' });
    await behind.getByLabel('Percentage of grey').selectOption('0.1');
    await settingStep(educator, 'Wish and shelf');
    await expect(behind.getByLabel('Target level')).toHaveValue('5');
    await found(educator);
    await expect(answer(educator)).toContainText('Regrowth (front)');
    await expect(answer(educator)).toContainText('Regrowth (rest of the head)');
  });

  await test.step('it is seen as a student will see it, and nothing of that is kept', async () => {
    await settingStep(educator, 'Work');
    await educator.getByRole('radio', { name: 'Read, mix and process' }).click();
    await educator.getByRole('button', { name: 'Preview as a student' }).click();
    await expect(educator.getByText('“Its length.”')).toBeHidden();
    await expect(educator.getByText('Preview: nothing is saved.')).toBeVisible();
    await expect(educator.getByRole('heading', { name: 'Hair analysis by zone' })).toBeVisible();
    await educator.getByRole('button', { name: 'Back to the exercise' }).first().click();
  });

  await test.step('as a draft it is among one’s own; set, and changed while nobody has begun', async () => {
    await educator.getByRole('button', { name: 'Save to library' }).click();
    await expect(educator.getByText('Saved to your library.')).toBeVisible();
    await educator.reload();
    await expect(educator.getByLabel('Start from')).toContainText(`${title} (not assigned yet)`);
    await found(educator);
    await settingStep(educator, 'Class and dates');
    await educator.getByRole('radio', { name: 'as soon as they submit' }).click();
    await educator.getByRole('button', { name: 'Assign', exact: true }).click();
    await expect(educator.getByRole('heading', { name: title })).toBeVisible();
    await educator.getByRole('link', { name: 'Edit' }).click();
    await educator.getByLabel('Title').fill(`${title}, mended`);
    await found(educator);
    await educator.getByRole('button', { name: 'Save changes' }).click();
    await expect(educator.getByRole('heading', { name: `${title}, mended` })).toBeVisible();
    await educator.getByRole('link', { name: 'Duplicate' }).click();
    await expect(educator.getByLabel('Title')).toHaveValue(`${title}, mended, copy`);
    await educator.goBack();
  });

  await test.step('a student works it on a phone', async () => {
    const phone = await (
      await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
    ).newPage();
    await register(phone, 'a student', unique('Phone'));
    await joinByCode(phone, code, educator);
    await startExercise(phone, title);
    const greys = { 'regrowth (front)': '0.5', 'regrowth (rest of the head)': '0.1' };
    for (const zone of [...Object.keys(greys), 'mid-lengths (front)', 'mid-lengths (rest of the head)'])
      await readZone(phone, zone, {
        level: 'Level 5, light brown',
        grey: greys[zone as keyof typeof greys],
      });
    await stepTo(phone, 'Mix');
    await mixBowl(phone, 'A', {
      line: 'Tarnwick Cream, permanent',
      shades: ['5:0', '5:1'],
      vol: '20 vol',
      total: 15,
    });
    await mixBowl(phone, 'B', {
      line: 'Tarnwick Cream, permanent',
      shades: ['5:1'],
      vol: '20 vol',
      total: 65,
    });
    await stepTo(phone, 'Process');
    await timeIt(phone, 'A', 'regrowth (front)', { minutes: 45 });
    await timeIt(phone, 'B', 'regrowth (rest of the head)', { minutes: 45 });
    await handItIn(phone);
    const [, points, max] = /([\d.]+) of (\d+) points/.exec(
      await phone.getByText(/of \d+ points/).innerText(),
    )!;
    expect(Number(points)).toBeGreaterThan(0.8 * Number(max));
  });

  await test.step('another does it by the keyboard alone', async () => {
    const keys = await (await browser.newContext()).newPage();
    await register(keys, 'a student', unique('Keys'));
    await joinByCode(keys, code, educator);
    await startExercise(keys, title);
    const ring = keys.getByRole('radiogroup', { name: 'Level of the regrowth (front)' });
    await tabTo(keys, ring.getByRole('radio').first());
    for (let i = 0; i < 8; i++) await keys.keyboard.press('ArrowRight');
    await expect(ring.getByRole('radio', { name: 'Level 5, light brown' })).toBeChecked();
    await keys.keyboard.press(']');
    await tabTo(keys, keys.getByRole('button', { name: 'Add bowl' }));
    await keys.keyboard.press('Enter');
    await tabTo(keys, keys.getByLabel('Line in bowl A'));
    await keys.keyboard.type('Tarnwick');
    for (const shade of ['5:0', '5:1']) {
      const chart = keys.getByRole('group', { name: /^Shades of Tarnwick/ });
      await arrowTo(keys, chart, keys.getByRole('button', { name: `Add ${shade}`, exact: true }));
      await keys.keyboard.press('Enter');
    }
    await tabTo(keys, keys.getByLabel('Strength'));
    await keys.keyboard.type('20');
    await typeInto(keys, keys.getByRole('spinbutton', { name: 'Total mixture' }), '15');
    await tabTo(keys, keys.getByRole('button', { name: 'Calculate weights' }));
    await keys.keyboard.press('Enter');
    await keys.keyboard.press('Escape');
    await tabTo(keys, keys.getByRole('button', { name: /^Next: Process/ }));
    await keys.keyboard.press('Enter');
    const time = keys.getByRole('spinbutton', { name: 'Processing time: bowl A on regrowth (front)' });
    await typeInto(keys, time, '45');
    await expect(keys.getByText(/^Saved /)).toBeVisible();
    await tabTo(keys, keys.getByRole('button', { name: 'Back' }));
    await keys.keyboard.press('c');
    await expect(keys.getByRole('dialog', { name: 'Client record card' })).toContainText('A: Tarnwick Cream');
    await keys.keyboard.press('Escape');
    await tabTo(keys, keys.getByRole('button', { name: /^Next: Submit/ }));
    await keys.keyboard.press('Enter');
    await tabTo(keys, keys.getByRole('button', { name: 'Submit', exact: true }).last());
    await keys.keyboard.press('Enter');
    const dialog = keys.getByRole('dialog', { name: 'Submit now?' });
    await tabTo(keys, dialog.getByRole('button', { name: 'Submit' }));
    await keys.keyboard.press('Enter');
    await expect(keys.getByRole('heading', { name: 'What it would have done' })).toBeVisible();
  });

  await test.step('both are in, and the exercise can no longer be changed', async () => {
    await educator.reload();
    await expect(educator.getByText('2 of 2 submitted')).toBeVisible();
    await expect(educator.getByRole('link', { name: 'Edit' })).toBeHidden();
  });
});

test('a pack of several cases and a line of its own is taken by another educator, whole', async ({
  page,
}) => {
  await register(page, 'an educator', unique('Taker'));
  await makeClass(page, unique('Class'));
  await page.getByRole('link', { name: 'Assign an exercise' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'A golden gloss' });
  await found(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as case pack' }).click();
  const pack = JSON.parse(await shownText(await download));
  const [line] = pack.lines;
  const [gloss] = pack.cases;
  const ofOwn = {
    ...pack,
    lines: [{ ...line, id: 'someone-else', name: 'Borrowed Gel' }],
    cases: [
      { ...gloss, id: 'one', case: { ...gloss.case, title: 'The first of two', lineIds: ['someone-else'] } },
      { ...gloss, id: 'two', case: { ...gloss.case, title: 'The second of two', lineIds: ['someone-else'] } },
    ],
  };
  const file = {
    name: 'two.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(ofOwn)),
  };
  const take = () => page.getByLabel('Import case pack', { exact: true }).last().setInputFiles(file);
  await take();
  await expect(page.getByText('2 cases imported; new shade charts: 1.', { exact: false })).toBeVisible();
  await expect(page.getByLabel('Title')).toHaveValue('The first of two');
  await expect(answer(page)).toContainText('Borrowed Gel');
  await page.getByLabel('Start from').selectOption({ label: 'The second of two' });
  await expect(page.getByLabel('Title')).toHaveValue('The second of two');
  // A line that is there already is not made twice.
  await take();
  await expect(page.getByText('2 cases imported; new shade charts: 0.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Assign', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The first of two' })).toBeVisible();
});

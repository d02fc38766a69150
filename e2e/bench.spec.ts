import { expect, type Browser, type Page } from '@playwright/test';
import {
  FULL,
  consultWell,
  criterion,
  finishWith,
  handItIn,
  joinByCode,
  makeClass,
  mixBowl,
  putOn,
  readZone,
  register,
  saved,
  setExercise,
  settingStep,
  startExercise,
  stepTo,
  test,
  timeIt,
  unique,
  washFirst,
  washOut,
  playCard,
} from './pages';

/** Chooses the ways of a class that are not the usual ones. */
async function teach(educator: Page, schools: string[]): Promise<void> {
  const at = educator.url();
  await educator.getByRole('link', { name: 'House rules' }).click();
  for (const name of schools) await educator.getByRole('radio', { name }).click();
  await educator.getByRole('button', { name: 'Save' }).click();
  await expect(educator.getByText('Saved.')).toBeVisible();
  await educator.goto(at);
}

/** An educator who has set a case, and a student who has begun it. */
async function began(
  browser: Browser,
  from: string,
  { steps, slip, schools = [] }: { steps?: string; slip?: string; schools?: string[] } = {},
): Promise<{ educator: Page; student: Page; title: string }> {
  const educator = await (await browser.newContext()).newPage();
  const student = await (await browser.newContext()).newPage();
  const title = unique('Application');
  await register(educator, 'an educator', unique('Teacher'));
  const code = await makeClass(educator, unique('Class'));
  if (schools.length > 0) await teach(educator, schools);
  await setExercise(educator, { from, title, steps, slip });
  await register(student, 'a student', unique('Learner'));
  await joinByCode(student, code, educator);
  await startExercise(student, title);
  // A page behind another may be given no frames, and what is dragged or poured waits for them.
  await student.bringToFront();
  return { educator, student, title };
}
const CARE = ['Gentle wash', 'Heat protection', 'Cool water'];

test('a retouch over half grey, done well, gets full marks; marked again it stays so', async ({
  browser,
}) => {
  test.setTimeout(150_000);
  const { educator, student, title } = await began(browser, 'Retouch over half grey');
  await test.step('asking brings to light what the client knows', async () => {
    await expect(student.getByText('“Never had any trouble with colour.”')).toBeHidden();
    await consultWell(student);
    await expect(student.getByText('“Never had any trouble with colour.”')).toBeVisible();
    await expect(student.getByText('Regrowth: never coloured.')).toBeVisible();
  });
  await test.step('reads zone by zone', async () => {
    await student.getByRole('button', { name: 'Next: Read' }).click();
    for (const zone of ['regrowth', 'mid-lengths', 'ends'])
      await readZone(student, zone, { level: 'Level 5, light brown', grey: '0.5' });
  });
  await test.step('mixes for the root and for the ends', async () => {
    await student.keyboard.press(']');
    await mixBowl(student, 'A', {
      line: 'Tarnwick Cream, permanent',
      shades: ['5:0', '5:1'],
      vol: '20 vol',
      total: 75,
    });
    await mixBowl(student, 'B', { line: 'Quillet Gel, demi-permanent', shades: ['5-H'], total: 45 });
    await expect(student.getByText('In the bowl: 45.0 g, 1 : 2, 7 vol.')).toBeVisible();
  });
  await test.step('puts both on so that they end together', async () => {
    await stepTo(student, 'Apply');
    await putOn(student, 'A', ['regrowth'], { start: 0, front: true });
    await putOn(student, 'B', ['ends'], { start: 35 });
    await stepTo(student, 'Process');
    await timeIt(student, 'A', 'regrowth', { minutes: 45 });
    await timeIt(student, 'B', 'ends', { minutes: 10 });
    await expect(
      student.getByRole('button', { name: 'Bowl A on the regrowth, from minute 0 to 45' }),
    ).toBeVisible();
    await playCard(student);
    await expect(student.getByRole('heading', { name: 'The clock' })).toBeVisible();
  });
  await test.step('finishes and hands in', async () => {
    await stepTo(student, 'Finish');
    await finishWith(student, CARE);
    await handItIn(student);
    await expect(student.getByText('100 of 100 points')).toBeVisible();
  });
  await test.step('tries again as practice, where nothing counts', async () => {
    await student.getByRole('link', { name: 'Try again as practice' }).click();
    await stepTo(student, 'Submit');
    await student.getByRole('button', { name: 'Check my plan' }).click();
    await expect(student.getByText(/^\d.* of 100 points$/)).toBeVisible();
    await student.getByRole('link', { name: 'Back to the result' }).click();
    await expect(student.getByText('100 of 100 points')).toBeVisible();
  });
  await test.step('the educator has it marked again with other points, and sees how far it is', async () => {
    await educator.reload();
    await expect(educator.getByRole('heading', { name: title })).toBeVisible();
    await educator.getByRole('button', { name: 'Re-mark' }).click();
    const dialog = educator.getByRole('dialog', { name: 'Re-mark all submissions' });
    await dialog.getByRole('spinbutton', { name: 'Points for Developer' }).fill('8');
    await dialog.getByRole('button', { name: 'Re-mark' }).click();
    await expect(dialog.getByText('All 1 re-marked; 1 marks changed.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Close' }).click();
    await expect(educator.getByRole('row').filter({ hasText: 'Learner' })).toContainText('97');
  });
  await test.step('lowers the class’s limits, and sees that a plan with nothing wrong loses nothing', async () => {
    await educator
      .getByRole('link', { name: /^Class \S+/ })
      .first()
      .click();
    await educator.getByRole('link', { name: 'House rules' }).click();
    await educator.getByRole('spinbutton', { name: 'near the target, One wrong' }).fill('40');
    // What may not be higher is lowered with it.
    await expect(educator.getByRole('spinbutton', { name: 'near the target, Two wrong' })).toHaveValue('40');
    await educator.getByRole('button', { name: 'Save' }).click();
    await expect(educator.getByText('Saved.')).toBeVisible();
    await educator.getByRole('button', { name: 'Re-mark this class’s exercises…' }).click();
    await expect(educator.getByText('No mark would change.')).toBeVisible();
  });
});

test('in the ways of the class: in ounces, a scale of twelve, and the ends from the same bowl', async ({
  browser,
}) => {
  test.setTimeout(150_000);
  const { educator, student } = await began(browser, 'Retouch over half grey', {
    schools: ['1 to 12', 'The leftover, emulsified with water', 'Fluid ounces'],
  });
  await consultWell(student);
  await stepTo(student, 'Read');
  for (const zone of ['regrowth', 'mid-lengths', 'ends'])
    await readZone(student, zone, { level: 'Level 5, light brown', grey: '0.5' });
  await expect(student.getByRole('radio', { name: 'Level 12, white blonde' })).toBeVisible();
  await stepTo(student, 'Mix');
  await mixBowl(student, 'A', {
    line: 'Tarnwick Cream, permanent',
    shades: ['5:0', '5:1'],
    vol: '20 vol',
    // 75 g.
    total: 2.54,
  });
  await expect(student.getByText(/^In the bowl: 2\.5\d fl oz, 1 : 1\.5, 20 vol\.$/)).toBeVisible();
  await expect(student.getByRole('spinbutton', { name: 'Amount of 5:0' })).toHaveValue('0.51');
  await stepTo(student, 'Apply');
  await putOn(student, 'A', ['regrowth'], { start: 0, front: true });
  await putOn(student, 'A', ['ends'], { start: 35, wet: true });
  await stepTo(student, 'Process');
  await timeIt(student, 'A', 'regrowth', { minutes: 45 });
  await timeIt(student, 'A', 'ends', { minutes: 10 });
  await stepTo(student, 'Finish');
  await finishWith(student, CARE);
  await handItIn(student);
  await expect(student.getByText('100 of 100 points')).toBeVisible();
  await criterion(student, 'Route').locator('summary').click();
  await expect(
    student.getByText(
      'Ends: refreshed with the leftover emulsified through wet ends, the method of this class.',
    ),
  ).toBeVisible();
  await test.step('the educator sees the same ounces', async () => {
    await educator.reload();
    await educator.getByRole('link', { name: /Learner/ }).click();
    await expect(educator.getByText(/5:0 0\.5\d fl oz/).first()).toBeVisible();
  });
});

test('lighten, then tone: watched under the clock, wiped and rinsed zone by zone', async ({ browser }) => {
  test.setTimeout(150_000);
  const { student } = await began(browser, 'First time blonde');
  await consultWell(student);
  await stepTo(student, 'Read');
  for (const zone of ['regrowth', 'mid-lengths', 'ends'])
    await readZone(student, zone, {
      level: 'Level 6, dark blonde',
      shows: 'light yellow',
      counter: 'soft violet',
    });
  await stepTo(student, 'Mix');
  await mixBowl(student, 'A', {
    line: 'Calder Powder, strong powder lightener',
    vol: '20 vol',
    total: 150,
    ratio: 2,
  });
  await mixBowl(student, 'B', { line: 'Quillet Gel, demi-permanent', shades: ['9-U'], total: 150 });
  await stepTo(student, 'Apply');
  await washFirst(student, 'unwashed');
  await putOn(student, 'A', ['mid-lengths', 'ends'], { start: 0 });
  await putOn(student, 'A', ['regrowth'], { start: 10 });
  await stepTo(student, 'Process');
  await timeIt(student, 'A', 'mid-lengths, ends', { minutes: 50 });
  await timeIt(student, 'A', 'regrowth', { minutes: 40 });
  await test.step('foam hides the level until a strand is wiped; what is ready is rinsed', async () => {
    await playCard(student);
    const clock = student.locator('section', { has: student.getByRole('heading', { name: 'The clock' }) });
    const zone = (name: string) => clock.getByRole('listitem').filter({ hasText: name });
    await clock.getByRole('slider').fill('30');
    await expect(zone('mid-lengths')).toContainText('Processing');
    await zone('mid-lengths').getByRole('button', { name: 'Check a strand' }).click();
    await expect(
      zone('mid-lengths').getByRole('img', { name: 'Hair of the mid-lengths, wiped clean' }),
    ).toBeVisible();
    for (const name of ['mid-lengths', 'ends'])
      await zone(name).getByRole('button', { name: 'Rinse here' }).click();
    await clock.getByRole('slider').fill('32');
    await zone('regrowth').getByRole('button', { name: 'Rinse here' }).click();
    await expect(
      student.getByRole('button', { name: 'Bowl A on the regrowth, from minute 10 to 32' }),
    ).toBeVisible();
  });
  await test.step('looked at in a rhythm it comes off by itself when it is ready, whatever it may have', async () => {
    // Rinsed one by one, the places have times of their own by now.
    for (const place of ['mid-lengths', 'ends'])
      await timeIt(student, 'A', place, { minutes: 45, looks: 'every 5 min' });
    await timeIt(student, 'A', 'regrowth', { minutes: 30, looks: 'every 5 min' });
    await expect(student.getByText('29 of 30 plays left')).toBeVisible();
    await playCard(student);
    await expect(student.getByText('28 of 30 plays left')).toBeVisible();
    await student.getByRole('slider').fill('40');
    await expect(student.getByText(/Bowl A, mid-lengths: off at minute 3\d/)).toBeVisible();
  });
  await stepTo(student, 'Apply');
  await washOut(student, 42);
  await putOn(student, 'B', ['regrowth', 'mid-lengths', 'ends'], { start: 42 });
  await stepTo(student, 'Process');
  await timeIt(student, 'B', 'regrowth, mid-lengths, ends', { minutes: 20, looks: 'every 3 min' });
  await stepTo(student, 'Finish');
  await finishWith(student, [...CARE, 'Purple shampoo (against yellow)', 'A treatment every week']);
  await handItIn(student);
  await expect(student.getByText('100 of 100 points')).toBeVisible();
  await expect(criterion(student, 'Timing and checks')).toContainText(FULL);
  await student.getByRole('slider', { name: 'Minute' }).fill('24');
  await expect(student.getByRole('img', { name: 'Model answer' })).toBeVisible();
});

test('two zones, two mixes, with a reload in the middle and a bar moved by key and by pointer', async ({
  browser,
}) => {
  test.setTimeout(150_000);
  const { student } = await began(browser, 'Dark root, pale ends, one gold');
  await consultWell(student);
  await stepTo(student, 'Read');
  await readZone(student, 'regrowth', {
    level: 'Level 5, light brown',
    shows: 'orange',
    counter: 'keep the warmth',
  });
  await readZone(student, 'ends', {
    level: 'Level 7, medium blonde',
    shows: 'yellow-orange',
    counter: 'keep the warmth',
  });
  await stepTo(student, 'Mix');
  await mixBowl(student, 'A', {
    line: 'Tarnwick Cream, permanent',
    shades: ['6:1'],
    vol: '20 vol',
    total: 75,
  });
  await saved(student);
  await student.reload();
  await expect(student.getByRole('button', { name: 'A: Tarnwick Cream' })).toBeVisible();
  await expect(student.getByRole('spinbutton', { name: 'Amount of 6:1' })).toHaveValue('30');
  await mixBowl(student, 'B', { line: 'Quillet Gel, demi-permanent', shades: ['6-H', '7-H'], total: 110 });
  await stepTo(student, 'Apply');
  await putOn(student, 'A', ['regrowth'], { start: 0 });
  await putOn(student, 'B', ['ends'], { start: 10 });
  await stepTo(student, 'Process');
  await timeIt(student, 'A', 'regrowth', { minutes: 35 });
  await timeIt(student, 'B', 'ends', { minutes: 20, looks: 'every 3 min' });
  const bar = (from: number, to: number) =>
    student.getByRole('button', { name: `Bowl B on the ends, from minute ${from} to ${to}` });
  await bar(10, 30).focus();
  await student.keyboard.press('Control+ArrowRight');
  await expect(bar(15, 35)).toBeVisible();
  await student.keyboard.press('Shift+ArrowRight');
  await expect(bar(15, 36)).toBeVisible();
  await student.keyboard.press('Shift+ArrowLeft');
  const box = (await bar(15, 35).boundingBox())!;
  await student.mouse.move(box.x + 20, box.y + box.height / 2);
  await student.mouse.down();
  await student.mouse.move(box.x + 60, box.y + box.height / 2, { steps: 5 });
  await student.mouse.up();
  await expect(bar(15, 35)).toBeHidden();
  await student.getByRole('button', { name: 'Undo' }).click();
  await expect(student.getByRole('button', { name: /^Bowl B on the ends/ })).toBeVisible();
  await stepTo(student, 'Apply');
  await student.getByRole('button', { name: /^Bowl B on the ends/ }).click();
  const form = student.getByRole('region', { name: 'Application of bowl B' });
  await form.getByRole('spinbutton', { name: 'Start at minute' }).fill('15');
  await stepTo(student, 'Finish');
  await finishWith(student, [...CARE, 'A treatment every week']);
  await handItIn(student);
  const [, points, max] = /([\d.]+) of (\d+) points/.exec(
    await student.getByText(/of \d+ points/).innerText(),
  )!;
  expect(Number(points) / Number(max)).toBeGreaterThan(0.95);
  await expect(criterion(student, 'Depth of the formula')).toContainText(FULL);
});

test('a short exercise weighed on the scale, by pointer and by key', async ({ browser }) => {
  test.setTimeout(150_000);
  const { student } = await began(browser, 'Two levels lighter, and cool', { steps: 'Mix' });
  await student.getByText('Part of this card is pre-filled.').click();
  await expect(student.getByText(/regrowth/).first()).toBeVisible();
  await student.getByRole('button', { name: 'Add bowl' }).click();
  await student.getByLabel('Line in bowl A').selectOption({ label: 'Tarnwick Cream, permanent' });
  await student.getByRole('button', { name: 'Add 7:7', exact: true }).click();
  await student.getByLabel('Strength').selectOption({ label: '30 vol' });
  await student.getByRole('spinbutton', { name: 'Total mixture' }).fill('150');
  /** Holds until the scale shows about as much, as a hand would. */
  const pour = async (
    what: string,
    wanted: number,
    hold: () => Promise<void>,
    release: () => Promise<void>,
  ) => {
    await student.getByRole('button', { name: `Weigh ${what} on the scale` }).click();
    const dialog = student.getByRole('dialog', { name: `On the scale: ${what}` });
    await expect(dialog).toContainText(`Calculated: ${wanted} g`);
    const shown = async () => Number(await dialog.getByLabel('The scale shows').innerText());
    await dialog.getByRole('button', { name: 'Hold to dispense' }).hover();
    await hold();
    await expect.poll(shown, { intervals: [30], timeout: 20_000 }).toBeGreaterThan(wanted - 3);
    await release();
    await dialog.getByRole('button', { name: 'Use this weight' }).click();
    await expect(dialog).toBeHidden();
  };
  await pour(
    '7:7',
    60,
    () => student.mouse.down(),
    () => student.mouse.up(),
  );
  await pour(
    '30 vol',
    90,
    () => student.keyboard.down('Space'),
    () => student.keyboard.up('Space'),
  );
  const grams = async (label: string) =>
    Number(await student.getByRole('spinbutton', { name: `Amount of ${label}` }).inputValue());
  // What the scale showed is what is graded, overshoot and all.
  expect(Math.abs((await grams('7:7')) - 60)).toBeLessThan(9);
  expect(Math.abs((await grams('30 vol')) - 90)).toBeLessThan(9);
  await handItIn(student);
  await expect(criterion(student, 'Developer')).toContainText(FULL);
  await expect(criterion(student, 'Tone and correctors')).toContainText(FULL);
});

test('a plan that would hurt the client is capped, and says why', async ({ browser }) => {
  test.setTimeout(150_000);
  const { educator, student, title } = await began(browser, 'Not today');
  await student.getByRole('button', { name: 'Previous reactions to colour' }).click();
  await expect(student.getByText('“My scalp swelled the last time')).toBeVisible();
  await student.getByRole('radio', { name: 'Proceed with the service' }).click();
  await student.getByRole('spinbutton', { name: 'Number of appointments quoted' }).fill('1');
  await stepTo(student, 'Mix');
  await mixBowl(student, 'A', {
    line: 'Tarnwick Cream, permanent',
    shades: ['7:1'],
    vol: '20 vol',
    total: 75,
  });
  await stepTo(student, 'Apply');
  await putOn(student, 'A', ['regrowth'], { start: 0 });
  await stepTo(student, 'Process');
  await timeIt(student, 'A', 'regrowth', { minutes: 35 });
  await handItIn(student);
  await expect(student.getByText('Unsafe for the client.')).toBeVisible();
  await expect(
    student.getByText('The service went ahead although it had to be declined.').first(),
  ).toBeVisible();
  await expect(student.getByText('Proceeded despite a contraindication.')).toBeVisible();
  await educator.reload();
  await expect(educator.getByRole('heading', { name: title })).toBeVisible();
  await expect(educator.getByLabel('Capped: unsafe for the client')).toBeVisible();
  await educator.getByRole('link', { name: /^Learner/ }).click();
  await expect(educator.getByText('Unsafe for the client.')).toBeVisible();
});

test('an educator changes a case, sees the plan follow, and takes it out and in as a file', async ({
  page,
}) => {
  await register(page, 'an educator', unique('Teacher'));
  await makeClass(page, unique('Class'));
  await page.getByRole('link', { name: 'Assign an exercise' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'A quiet brown for winter' });
  const key = page.getByRole('region', { name: 'Model answer' });
  await expect(key).toContainText('Quillet Gel');
  const zone = page.getByRole('group', { name: 'mid-lengths' });
  await zone.getByLabel('Natural level').selectOption('4');
  await settingStep(page, 'Wish and shelf');
  await zone.getByLabel('Target level').selectOption('9');
  await page.getByRole('checkbox', { name: 'Wrenfell Powder' }).check();
  await page.getByRole('checkbox', { name: 'Calder Powder' }).check();
  await expect(key).toContainText('lighten, then tone');
  await settingStep(page, 'Client');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as case pack' }).click();
  const file = await (await download).path();
  await page.getByLabel('Start from').selectOption({ label: 'A golden gloss' });
  await expect(key).not.toContainText('lighten, then tone');
  await page
    .getByLabel('Import case pack', { exact: true })
    .last()
    .setInputFiles({
      name: 'wrong.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"format":"else"}'),
    });
  await expect(page.getByText('wrong.json cannot be read')).toBeVisible();
  await page.getByLabel('Import case pack', { exact: true }).last().setInputFiles(file);
  await expect(key).toContainText('lighten, then tone');
  await settingStep(page, 'Wish and shelf');
  await zone.getByRole('checkbox', { name: 'Include in service' }).uncheck();
  await expect(page.getByText('No desired result.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Assign', exact: true })).toBeDisabled();
});

test('short exercises: the developer alone, and a card with a slip to put right', async ({ browser }) => {
  test.setTimeout(150_000);
  await test.step('pours to bowls that are mixed already', async () => {
    const { student } = await began(browser, 'Retouch over half grey', { steps: 'Developer only' });
    const sheet = (name: string) =>
      student
        .locator('section, div')
        .filter({ has: student.getByRole('heading', { name }) })
        .last();
    const pour = async (name: string, vol: string, grams: string) => {
      await sheet(name).getByLabel('Strength').selectOption({ label: vol });
      await sheet(name)
        .getByRole('spinbutton', { name: `Amount of ${vol}` })
        .fill(grams);
    };
    await expect(student.getByText('5:0 15.0 g + 5:1 15.0 g').last()).toBeVisible();
    await expect(student.getByRole('button', { name: /^Add / })).toHaveCount(0);
    await pour('A: Tarnwick Cream', '20 vol', '45');
    await pour('B: Quillet Gel', '7 vol', '30');
    await expect(student.getByText('Poured: 1 : 1.5, 20 vol.')).toBeVisible();
    await stepTo(student, 'Submit');
    await handItIn(student);
    await expect(student.getByText('100 of 100 points')).toBeVisible();
  });
  await test.step('finds the slip on a card', async () => {
    const { educator, student, title } = await began(browser, 'Retouch over half grey', {
      steps: 'Find the error',
      slip: 'Grey under-processed',
    });
    await expect(student.getByText('There is one error on this card.')).toBeVisible();
    await stepTo(student, 'Process');
    const time = student.getByRole('spinbutton', { name: 'Processing time: bowl A on regrowth' });
    await expect(time).not.toHaveValue('45');
    await time.fill('45');
    await stepTo(student, 'Apply');
    const form = student.getByRole('region', { name: 'Application of bowl A' });
    await form.getByRole('spinbutton', { name: 'Start at minute' }).fill('0');
    await stepTo(student, 'Submit');
    await handItIn(student);
    await expect(student.getByText('100 of 100 points')).toBeVisible();
    await expect(student.getByText('The error on the card was: Grey under-processed.')).toBeVisible();
    await educator.reload();
    await expect(educator.getByRole('heading', { name: title })).toBeVisible();
  });
});

test('a card says more than bowls and minutes: station, leftovers, checks and heat by the minute, rinsing apart', async ({
  browser,
}) => {
  const { student } = await began(browser, 'Light round the face, softer behind');
  await test.step('client and place are made ready', async () => {
    for (const item of ['Two towels and the cape', 'Gloves', 'No metal clips or bowls'])
      await student.getByRole('checkbox', { name: item }).check();
  });
  await test.step('what is left of a bowl begins another, thinned with water', async () => {
    await stepTo(student, 'Mix');
    await mixBowl(student, 'A', {
      line: 'Quillet Gel, demi-permanent',
      shades: ['9-O'],
      vol: '7 vol',
      total: 60,
    });
    await student.getByRole('button', { name: 'Start from what is left of A' }).click();
    await student.getByLabel('Amount of what is left of A').fill('15');
    await student.getByLabel('Amount of water').fill('15');
    await expect(student.getByText('30.0 g')).toBeVisible();
  });
  await test.step('partings, checks and heat by the minute', async () => {
    await stepTo(student, 'Apply');
    await student.getByRole('button', { name: 'Bowl A', exact: true }).click();
    await student.getByLabel('Parting').fill('8');
    await student.getByLabel('Takes to apply').fill('12');
    await student.getByRole('button', { name: 'Rinse', exact: true }).click();
    await stepTo(student, 'Process');
    await student.getByRole('combobox', { name: /^Strand check/ }).selectOption('at minutes …');
    await student.getByRole('textbox', { name: /^at minutes/ }).fill('10 4, 7');
    await student.getByRole('combobox', { name: /^Watch for/ }).selectOption('the tone');
    await student.getByRole('checkbox', { name: 'Heat' }).check();
    await saved(student);
  });
  await test.step('the card tells it, also after a reload', async () => {
    await student.reload();
    await expect(student.getByRole('heading', { name: 'Processing time' })).toBeVisible();
    await student.keyboard.press('c');
    const card = student.getByRole('dialog');
    await expect(card.getByText('two towels and the cape, gloves, no metal clips or bowls')).toBeVisible();
    await expect(card.getByText('what is left of A 15.0 g + water 15.0 g')).toBeVisible();
    await expect(card.getByText(/8 mm partings · 12 min to apply · heat from 0 to 10 min/)).toBeVisible();
    await expect(card.getByText(/checked at 4, 7, 10 min · the tone/)).toBeVisible();
    await expect(card.getByText('Rinse, lukewarm water', { exact: false })).toBeVisible();
  });
});

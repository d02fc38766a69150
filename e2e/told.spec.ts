import { expect } from '@playwright/test';
import ICAL from 'ical.js';
import { test, walkIn } from './pages';

test('results for one, a mark on the list, dates in a calendar, and everything by its name', async ({
  page,
  browser,
}) => {
  const title = 'Two levels lighter in one bowl';
  await walkIn(page, 'Odile Brandvoort');

  await test.step('by its name from anywhere, with the keyboard alone', async () => {
    await page.keyboard.press('Control+k');
    const search = page.getByRole('combobox', { name: 'Search everywhere' });
    await search.fill('levels lightr');
    await expect(page.getByRole('option', { name: new RegExp(`${title}.*Assignment`) })).toBeVisible();
    await search.fill('dmitri');
    await search.press('Enter');
    await expect(page.getByRole('heading', { name: /Dmitri Vasko/ })).toBeVisible();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill('F8');
    await page.getByRole('combobox').press('Enter');
    await expect(page).toHaveURL(/handbook#F8$/);
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').press('Escape');
    await expect(page.getByRole('combobox')).toBeHidden();
  });

  await test.step('one of the class sees the result', async () => {
    await page.goto('/classes');
    await page.getByRole('link', { name: /Lantern Yard/ }).click();
    await page.getByRole('link', { name: title, exact: true }).click();
    await page.getByRole('button', { name: 'Release to some' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByText('could learn the answer from the others')).toBeVisible();
    await dialog.getByRole('checkbox', { name: 'Carys Ollenby' }).check();
    await dialog.getByRole('button', { name: /^Show to/ }).click();
    await expect(page.getByText(/^Shown to 1 of/)).toBeVisible();
  });

  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await context.newPage();
  await test.step('a new result is marked on the list until it was looked at; others wait', async () => {
    await walkIn(phone, 'Carys Ollenby');
    const listed = phone.getByRole('listitem').filter({ hasText: title });
    await expect(listed.getByText('New', { exact: true })).toBeVisible();
    await listed.getByRole('link', { name: /View result/ }).click();
    await expect(phone.getByRole('heading', { name: 'Model answer' }).first()).toBeVisible();
    await phone.getByRole('link', { name: 'Assignments' }).first().click();
    await expect(listed.getByRole('link', { name: /View result/ })).toBeVisible();
    await expect(listed.getByText('New', { exact: true })).toBeHidden();
  });

  await test.step('a calendar fetches due dates by an address that is told once', async () => {
    await phone.getByRole('button', { name: 'Calendar' }).click();
    await phone.getByRole('button', { name: 'Make an address' }).click();
    const address = await phone.getByLabel('Address for your calendar').inputValue();
    // As a calendar does it: signed in nowhere.
    const calendar = await browser.newContext();
    const fetched = await calendar.request.get(address);
    expect(fetched.headers()['content-type']).toContain('text/calendar');
    const text = await fetched.text();
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    const summaries = events.map((event) => new ICAL.Event(event).summary);
    expect(summaries).toContain(`${title} · Lantern Yard, Tuesday evening`);
    for (const name of ['Carys', 'Ollenby', 'Amina']) expect(text).not.toContain(name);
    await phone.getByRole('button', { name: 'Close' }).click();
    await phone.getByRole('button', { name: 'Calendar' }).click();
    await expect(phone.getByLabel('Address for your calendar')).toBeHidden();
    await phone.getByRole('button', { name: 'End it' }).click();
    await phone.getByRole('button', { name: 'End it' }).last().click();
    await expect(phone.getByText('There is no address yet')).toBeVisible();
    expect((await calendar.request.get(address)).status()).toBe(404);
    await calendar.close();
  });

  await test.step('what was shown is hidden again', async () => {
    await page.getByRole('button', { name: 'Release to some' }).click();
    await page.getByRole('dialog').getByRole('checkbox', { name: 'Carys Ollenby' }).uncheck();
    await page.getByRole('button', { name: /^Show to/ }).click();
    await expect(page.getByText(/^Shown to/)).toBeHidden();
  });
  await context.close();
});

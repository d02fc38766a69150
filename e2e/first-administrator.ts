import { chromium, expect, type FullConfig } from '@playwright/test';

/** The first educator of an installation needs no invitation and administers it; every other test finds them there. */
export default async function firstAdministrator({ projects: [{ use }] }: FullConfig): Promise<void> {
  const browser = await chromium.launch(use.launchOptions);
  const page = await browser.newPage({ baseURL: use.baseURL });
  await page.goto('/register');
  await page.getByRole('radio', { name: 'an educator' }).click();
  await expect(page.getByText('You are the first educator here')).toBeVisible();
  await expect(page.getByLabel('Invitation code')).toBeHidden();
  await page.getByLabel('Name', { exact: true }).fill('First of all');
  await page.getByLabel('Email').fill('first@example.test');
  await page.getByLabel('Password').fill('long enough for a test');
  await page.getByRole('button', { name: 'Create account' }).click();
  await page.getByRole('button', { name: 'Account of First of all' }).click();
  await expect(page.getByRole('menuitem', { name: 'Educators' })).toBeVisible();
  // Their session, from which every test invites its educators.
  process.env.FIRST_ADMINISTRATOR = JSON.stringify({
    baseURL: use.baseURL,
    storageState: await page.context().storageState(),
  });
  await browser.close();
}

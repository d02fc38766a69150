import type { Locator, Page } from '@playwright/test';

/** Goes on with Tab alone until what is wanted has the focus. */
export async function tabTo(page: Page, wanted: Locator): Promise<void> {
  for (let i = 0; i < 200; i++) {
    if (await wanted.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('the keyboard does not get there');
}

export async function typeInto(page: Page, field: Locator, text: string): Promise<void> {
  await tabTo(page, field);
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(text);
}

/** One stop of the Tab key with many buttons in it: Tab to where it stops, then arrows as the chart lies on the screen. */
export async function arrowTo(page: Page, chart: Locator, wanted: Locator): Promise<void> {
  const isIn = () => chart.evaluate((element) => element.contains(document.activeElement));
  for (let i = 0; i < 200 && !(await isIn()); i++) await page.keyboard.press('Tab');
  for (let i = 0; i < 80; i++) {
    const way = await wanted.evaluate((element) => {
      const [at, to] = [document.activeElement!, element].map((one) => one.getBoundingClientRect());
      if (element === document.activeElement) return null;
      if (Math.abs(to.top - at.top) > 8) return to.top > at.top ? 'ArrowDown' : 'ArrowUp';
      return to.left > at.left ? 'ArrowRight' : 'ArrowLeft';
    });
    if (way === null) return;
    await page.keyboard.press(way);
  }
  throw new Error('the arrows do not get there');
}

/** Counts the keys that are pressed from here on, those that go with another left out. */
export async function countKeys(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    sessionStorage.setItem('keys', '0');
    window.addEventListener(
      'keydown',
      ({ key }) => {
        if (['Shift', 'Control', 'Meta', 'Alt'].includes(key)) return;
        sessionStorage.setItem('keys', String(1 + Number(sessionStorage.getItem('keys'))));
      },
      { capture: true },
    );
  });
  return () => page.evaluate(() => Number(sessionStorage.getItem('keys')));
}

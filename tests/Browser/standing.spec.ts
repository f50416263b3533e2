import { type Page } from '@playwright/test';
import { cell, choose, expect, openDemo, test } from './support';

// Whoever works with the keyboard, or with one thumb, never falls off the page, misses what is meant, or has it jump away.

/** What has the focus, as a person would call it; the page itself is nowhere. */
const standing = (page: Page) =>
  page.evaluate(() => {
    const at = document.activeElement as HTMLElement | null;
    return !at || at === document.body
      ? 'nowhere'
      : (at.getAttribute('aria-label') ?? (at.id === 'stage' ? 'the stage' : at.textContent) ?? '').trim();
  });

test('after every act one stands somewhere sensible', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Explore the demo garage' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('grid')).toBeVisible();
  await expect.poll(() => standing(page)).toBe('the stage');

  // Changing the stage with its key, from inside the stage.
  await cell(page, 'Pippin', 'Fernway 350').focus();
  await page.keyboard.press('5');
  await expect(page.getByRole('heading', { name: 'Kit', level: 1 })).toBeVisible();
  await expect.poll(() => standing(page)).toBe('the stage');

  // Taking a piece away: next to where it was; and back again.
  await page.getByRole('button', { name: 'More for Gudgeon G-2' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Delete Gudgeon G-2' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Edit Gudgeon G-2' })).toHaveCount(0);
  await expect.poll(() => standing(page)).toBe('Edit Tenon T-31');
  await page.getByRole('button', { name: /^Undo/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Edit Gudgeon G-2' })).toHaveCount(1);
  await expect.poll(() => standing(page)).toBe('Edit Tenon T-31');

  // The plate's form, closed without and with a change.
  const edit = page.getByRole('button', { name: 'Edit Tenon T-31' });
  await edit.press('Enter');
  const editor = page.getByRole('dialog', { name: 'Edit Tenon T-31' });
  await expect(editor).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(editor).toBeHidden();
  await expect.poll(() => standing(page)).toBe('Edit Tenon T-31');
  await edit.press('Enter');
  await editor.getByLabel('Short description').fill('tried');
  await editor.getByRole('button', { name: 'Save', exact: true }).press('Enter');
  await expect(editor).toBeHidden();
  await expect.poll(() => standing(page)).toBe('Edit Tenon T-31');
  await page.keyboard.press('u');

  // The kinds of the catalogue are a key away from their button, and gone again.
  const add = page.getByRole('button', { name: 'Add adapter from the catalogue' });
  await add.press('Enter');
  const kinds = page.getByRole('dialog', { name: 'Kinds of adapter' });
  await expect(kinds.getByLabel('Search')).toBeFocused();
  await page.keyboard.type('chademo');
  await expect(kinds.getByRole('button', { name: /chademo/i }).first()).toBeVisible();
  expect(await kinds.locator('.item').count()).toBeLessThan(12);
  await page.keyboard.press('Tab');
  await expect(kinds.locator('.item').first()).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(kinds).toBeHidden();
  await expect(add).toBeFocused();
  await add.press('Enter');
  await expect(kinds.getByLabel('Search')).toBeFocused();
  await page.keyboard.type('no such thing');
  await expect(kinds.getByText('No kind matches "no such thing".')).toBeVisible();
  await page.keyboard.press('Escape');

  // From a session to its report, by a thumb that does not wait for the list of readings.
  let pressed = () => {};
  const press = new Promise<void>((resolve) => (pressed = resolve));
  await page.route('**/readings', async (route) => {
    await press;
    await route.continue();
  });
  await page.goto('/board');
  await cell(page, 'Sorrel', 'Ostler, second generation').press('Enter');
  await page.keyboard.press('n');
  await page.getByRole('button', { name: 'Start session' }).press('Enter');
  await page.getByRole('button', { name: 'Enter readings' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Peaks and ratings' })).toBeVisible();
  await expect.poll(() => standing(page)).not.toBe('nowhere');
  await page.getByRole('button', { name: 'Finish session' }).press('Enter');
  pressed();
  await expect(page).toHaveURL(/\/log\//);
  await expect.poll(() => standing(page)).not.toBe('nowhere');
});

/** What can be pressed and is smaller than a fingertip needs, and words that run into each other. */
const faults = (page: Page) =>
  page.evaluate(() => {
    const LEAST_PX = 24;
    const seen = [
      ...document.querySelectorAll<HTMLElement>('button, a[href], input, select, textarea, summary'),
    ].filter((e) => {
      const box = e.getBoundingClientRect();
      // The field inside a drawn list is no target of its own.
      return (
        box.width > 1 &&
        box.height > 1 &&
        !e.closest('[aria-hidden=true], .el-select') &&
        getComputedStyle(e).opacity !== '0'
      );
    });
    const told = (e: HTMLElement) =>
      `${e.tagName} ${e.getAttribute('aria-label') ?? e.textContent?.trim().slice(0, 40) ?? ''}`;
    const small = seen.filter(
      (e) => e.getBoundingClientRect().width < LEAST_PX - 0.1 || e.getBoundingClientRect().height < LEAST_PX - 0.1,
    );
    const stages = [...document.querySelectorAll('nav li .title')].map((e) => e.getBoundingClientRect());
    const touching = stages.some((box, i) => i > 0 && box.left - (stages[i - 1]?.right ?? 0) < 4);
    return [...small.map(told), ...(touching ? ['the stages run into each other'] : [])];
  });

for (const width of [1280, 390, 320]) {
  test(`nothing is too small to press and nothing jumps away, ${width} px wide`, async ({ browser, baseURL }) => {
    test.setTimeout(120_000);
    const page = await (await browser.newContext({ baseURL, viewport: { width, height: 800 } })).newPage();
    await page.addInitScript(() => {
      const shifted = window as unknown as { shift: number };
      shifted.shift = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as unknown as { value: number; hadRecentInput: boolean }[]) {
          shifted.shift += entry.hadRecentInput ? 0 : entry.value;
        }
      }).observe({ type: 'layout-shift', buffered: true });
    });
    const shift = () => page.evaluate(() => (window as unknown as { shift: number }).shift);
    await page.goto('/sign-in');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    expect(await faults(page)).toEqual([]);
    await openDemo(page);
    await expect(page.locator('.cell .figure, .stop .figure').first()).toBeVisible();
    expect(await faults(page)).toEqual([]);
    expect(await shift()).toBeLessThan(0.05);
    await choose(page, 'Sorrel', 'Ostler, second generation');
    expect(await faults(page)).toEqual([]);

    for (const [path, sign] of [
      ['/forecast', 'into the battery'],
      ['/kit', 'Tenon T-31'],
      ['/kit/cars', 'Pippin'],
      ['/kit/places', 'Fernway 350'],
      ['/kit/tours', 'Autumn season'],
      ['/kit/shop', 'In the shop'],
      ['/connect', 'Start session'],
      ['/log', 'Log'],
      ['/bench', 'The station shows'],
      ['/bench/practise', 'How far you are'],
      ['/bench/feed', 'Feed a session'],
    ] as const) {
      await page.goto(path);
      await expect(page.getByRole('main').getByText(sign).filter({ visible: true }).first()).toBeVisible();
      expect(await faults(page), path).toEqual([]);
      expect(await shift(), path).toBeLessThan(0.05);
    }
    for (const [path, button, dialog] of [
      ['/kit/cars', 'Edit Pippin', 'Edit Pippin'],
      ['/kit/places', 'Edit Fernway 350', 'Edit Fernway 350'],
      ['/kit', 'Add adapter from the catalogue', 'Kinds of adapter'],
      ['/kit/places', 'Import places (OCPI)', 'Import charging places'],
    ] as const) {
      await page.goto(path);
      await page.getByRole('button', { name: button }).first().click();
      await expect(page.getByRole('dialog', { name: dialog })).toBeVisible();
      expect(await faults(page), dialog).toEqual([]);
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog', { name: dialog })).toBeHidden();
    }
    await page.context().close();
  });
}

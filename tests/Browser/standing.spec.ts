import { type Page } from '@playwright/test';
import { cell, expect, test } from './support';

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

import { type Page } from '@playwright/test';
import { cell, choose, demo, expect, openDemo, test } from './support';

/** Tab until the focus stands on something with this name; fails when it cannot be reached. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 60; i++) {
    await page.keyboard.press('Tab');
    const label = await page.evaluate(() => {
      const at = document.activeElement === document.body ? null : (document.activeElement as HTMLElement | null);
      const labelled = (at as HTMLInputElement | null)?.labels?.[0]?.textContent;
      return (at?.getAttribute('aria-label') ?? labelled ?? at?.textContent ?? '').trim();
    });
    if (name.test(label)) {
      return;
    }
  }
  throw new Error(`the Tab key does not reach ${name}`);
}

test('the whole way with the keyboard alone', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await tabTo(page, /E-mail/);
  await page.keyboard.type(demo.email);
  await tabTo(page, /Password/);
  await page.keyboard.type(demo.password);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('grid')).toBeVisible();

  // Into the grid, and across it with the arrows.
  await tabTo(page, /^Pippin at Yard socket/);
  await page.keyboard.press('ArrowRight');
  await expect(cell(page, 'Brindle', 'Yard socket, 240 V 50 A')).toBeFocused();
  for (let i = 0; i < 9; i++) await page.keyboard.press('ArrowDown');
  await expect(cell(page, 'Brindle', 'Ostler, second generation')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Brindle at Ostler, second generation', level: 2 })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(cell(page, 'Brindle', 'Ostler, second generation')).toBeFocused();

  // The keys show themselves, and go.
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeHidden();

  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/connect(\?|$)/);
  await tabTo(page, /Start session/);
  await page.keyboard.press('Enter');
  await tabTo(page, /Enter readings/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Peaks and ratings' })).toBeVisible();

  for (const [minute, amps] of [
    ['0', '0'],
    ['1', '380'],
    ['2', '385'],
  ] as const) {
    await page.getByLabel('Volts').focus();
    await page.keyboard.type('301');
    await tabTo(page, /Amps/);
    await page.keyboard.type(amps);
    await tabTo(page, /at minute/);
    await page.keyboard.type(minute);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: `Readings, ${Number(minute) + 1}` })).toBeVisible();
    await expect(page.getByLabel('at minute')).toHaveValue('');
    // This driver begins with the volts.
    await expect(page.getByLabel('Volts')).toBeFocused();
  }
  await tabTo(page, /^Finish/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Within all ratings' })).toBeVisible();

  await page.keyboard.press('4');
  await expect(page.getByRole('heading', { name: 'Log', level: 1 })).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByRole('grid')).toBeVisible();
});

test('a term is explained where it stands, with the keyboard alone, and all of them together', async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Marten', 'Fernway 150');
  const term = page.getByRole('button', { name: 'protocol', exact: true });
  await term.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('How car and station talk before and during charging.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('How car and station talk before and during charging.')).toBeHidden();
  await expect(term).toBeFocused();
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'All terms' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Glossary' })).toBeVisible();
  await expect(page.getByText('How car and station talk before and during charging.')).toBeInViewport();
  await expect(page.getByRole('term')).toHaveCount(34);

  // On a phone there is no strip with shortcuts: help is in the head.
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: 'Help' }).click();
  await page.getByRole('dialog', { name: 'Shortcuts' }).getByRole('link', { name: 'Glossary' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

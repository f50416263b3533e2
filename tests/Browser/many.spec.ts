import { type Page } from '@playwright/test';
import { expect, openDemo, test } from './support';

const sift = (page: Page) => page.getByRole('search', { name: 'Search pieces' });

/** A network's file of places with ten stalls each, every one with a plate of its own. */
function region(outlets: number): { name: string; mimeType: string; buffer: Buffer } {
  const places = Array.from({ length: outlets / 10 }, (_, p) => ({
    id: `P${p}`,
    name: `Towpath ${p + 1}`,
    evses: Array.from({ length: 10 }, (__, e) => ({
      uid: `P${p}E${e}`,
      physical_reference: String(e + 1),
      connectors: [
        {
          id: '1',
          standard: 'IEC_62196_T1_COMBO',
          format: 'CABLE',
          power_type: 'DC',
          max_voltage: 920,
          max_amperage: 100 + 20 * e,
          max_electric_power: 50_000 + 10_000 * e,
        },
      ],
    })),
  }));
  return { name: 'region.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(places)) };
}

test('pieces are looked for, sifted and ordered', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  await sift(page).getByRole('searchbox').fill('brindle');
  await expect(page.getByRole('heading', { name: 'Brindle' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Pippin' })).toHaveCount(0);
  // By what people call its plug, a car and a charger alike; the switch counts what was found.
  await sift(page).getByRole('searchbox').fill('NACS');
  await expect(page.getByRole('heading', { name: 'Sorrel' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Brindle' })).toHaveCount(0);
  await page.getByRole('link', { name: /^Places/ }).click();
  await expect(page.getByRole('heading', { name: 'Millrace post, J3400' })).toBeVisible();
  await sift(page).getByRole('searchbox').fill('nobody has this');
  await expect(page.getByText('Nothing here matches.')).toBeVisible();
  await sift(page).getByRole('searchbox').fill('');
  await sift(page).getByRole('combobox').nth(2).selectOption('Millrace');
  await expect(page.getByRole('heading', { name: 'Millrace post, J3400' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Fernway 350' })).toHaveCount(0);
  await sift(page).getByRole('combobox').nth(2).selectOption('');
  await sift(page).getByLabel('only with unread facts').check();
  await expect(page.getByRole('heading', { name: 'Fernway 400' })).toBeVisible();
  await expect(page.getByText('1 fact not read').first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Fernway 350' })).toHaveCount(0);
});

test('two figures are written on several plates, and taken back as one', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/places');
  await page.getByRole('button', { name: 'Edit several' }).click();
  await sift(page).getByRole('combobox').nth(2).selectOption('Fernway');
  await page.getByRole('checkbox', { name: 'select Fernway 150' }).check();
  const several = page.getByRole('form', { name: 'Several at once' });
  await several.getByRole('button', { name: 'Select all shown' }).click();
  await expect(several.getByRole('status')).toHaveText('5 selected');
  await several.getByRole('combobox').selectOption('tariff.per_kwh');
  await several.getByRole('textbox').fill('0.99');
  await page.keyboard.press('Tab');
  await several.getByRole('button', { name: 'Add another figure' }).click();
  await expect(several.getByRole('combobox').nth(1).locator('option[value="tariff.per_kwh"]')).toBeDisabled();
  await several.getByRole('combobox').nth(1).selectOption('tariff.session_fee');
  await several.getByRole('textbox').nth(1).fill('1.25');
  await page.keyboard.press('Tab');
  await several.getByRole('button', { name: 'Set 2 figures for all 5' }).click();
  await expect(page.getByText('$0.99 per kWh')).toHaveCount(5);
  await expect(page.getByText('$1.25 per session')).toHaveCount(5);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('$0.99 per kWh')).toHaveCount(0);
  await expect(page.getByText('$0.48 per kWh')).toHaveCount(5);
  await expect(page.getByText('$1.25 per session')).toHaveCount(0);
});

test('a place is copied with its chargers, and the copy is undone as one', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/places');
  await page.getByRole('button', { name: 'More for Fernway junction' }).click();
  await page.getByRole('button', { name: 'Copy Fernway junction' }).click();
  const copy = page.getByRole('region', { name: 'Fernway junction, copy' });
  await expect(copy.getByRole('heading', { name: 'Fernway 350' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(copy).toHaveCount(0);
});

test('a tour of three places: board and ranking follow it, and so does a link that is sent', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/tours');
  await page.getByRole('button', { name: 'Add tour' }).click();
  const tours = page.getByRole('region', { name: 'Tours' });
  await tours.getByLabel('Name', { exact: true }).fill('Three stops');
  for (const place of ['Ostler ridge', 'Millrace car park', 'Fernway junction']) {
    await tours.getByRole('combobox').selectOption({ label: place });
  }
  await tours.getByRole('button', { name: 'Move up Fernway junction' }).click();
  await tours.getByRole('checkbox', { name: 'Sorrel' }).check();
  await tours.getByRole('button', { name: 'Save' }).click();
  await expect(tours.getByText('Ostler ridge, Fernway junction, Millrace car park')).toBeVisible();

  await page.goto('/board');
  await page.getByRole('combobox', { name: 'Tour' }).selectOption({ label: 'Three stops' });
  const grid = page.getByRole('grid', { name: 'Cars at chargers' });
  await expect(grid.getByRole('heading', { level: 2 })).toHaveText([
    'Ostler ridge',
    'Fernway junction',
    'Millrace car park',
  ]);
  await expect(grid.getByRole('columnheader')).toHaveCount(2);
  // What its best answers go through: the AC adapter at the car park, the DC adapter at the junction.
  await expect(page.getByText('Pack for this tour: A1 · Tenon T-11, A2 · Gudgeon G-2')).toBeVisible();
  await page.getByRole('button', { name: 'Sorrel at Fernway 350:' }).click();
  await page.keyboard.press('2');
  await page.getByText('Where to go', { exact: true }).click();
  await expect(page.getByText(/of 9/).first()).toBeVisible();
  await expect(page).toHaveURL(/tour=/);
  const sent = page.url();
  await page.evaluate(() => sessionStorage.clear());
  await page.goto(sent.replace('/forecast', '/board'));
  await expect(grid.getByRole('heading', { level: 2 }).first()).toHaveText('Ostler ridge');
});

test('a region of 2,000 outlets comes in, is looked through, and its board scrolls', async ({ page }) => {
  test.setTimeout(180_000);
  await openDemo(page);
  await page.goto('/kit/places');
  await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import charging places' });
  // Looking is told, and can be stopped: nothing is written by it.
  await page.route('**/api/ocpi/preview', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 400));
    await route.continue().catch(() => undefined);
  });
  await dialog.getByLabel(/file/i).first().setInputFiles(region(2000));
  await expect(dialog.getByText('Reading the file. Nothing is saved yet.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(dialog.getByText('Stopped. Nothing was saved')).toBeVisible();
  await page.unroute('**/api/ocpi/preview');
  await dialog.getByLabel(/file/i).first().setInputFiles(region(2000));
  await dialog.getByRole('button', { name: /^Import 200/ }).click();
  await expect(dialog).toHaveCount(0, { timeout: 60_000 });

  await sift(page).getByRole('searchbox').fill('towpath 137');
  await expect(page.getByRole('heading', { name: 'Towpath 137' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Towpath 136' })).toHaveCount(0);
  await page.goto('/board');
  // The names come bit by bit; what is scrolled to is answered.
  const row = page.getByRole('row').filter({ has: page.getByRole('heading', { name: 'Towpath 40', exact: true }) });
  await expect(row).toBeAttached({ timeout: 60_000 });
  await row.scrollIntoViewIfNeeded();
  const answered = () =>
    page
      .locator('[data-cell]')
      .evaluateAll(
        (cells) =>
          cells.filter(
            (c) =>
              c instanceof HTMLElement && parseInt(c.dataset.cell ?? '', 10) > 350 && c.textContent?.includes('check'),
          ).length,
      );
  await expect.poll(answered, { timeout: 30_000 }).toBeGreaterThan(0);
});

test('a car is copied with one press, and the copy is taken back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  await page.getByRole('button', { name: 'More for Brindle' }).click();
  await page.getByRole('button', { name: 'Copy Brindle' }).click();
  const copied = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Brindle, copy' }) });
  await expect(copied).toContainText('CCS1: ');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(copied).toHaveCount(0);
});

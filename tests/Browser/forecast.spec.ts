import { type Page } from '@playwright/test';
import { choose, expect, openDemo, test } from './support';

const rail = (page: Page) => page.getByRole('group', { name: 'The chain' });
const verdict = (page: Page) => page.locator('.verdict');

async function openForecast(page: Page, car: string, outlet: string): Promise<void> {
  await openDemo(page);
  await choose(page, car, outlet);
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: `Forecast: ${car} at ${outlet}`, level: 1 })).toBeAttached();
  await expect(page.getByText('into the battery')).toBeVisible();
}

test('two stops are compared and the cheaper one is chosen', async ({ page }) => {
  await openForecast(page, 'Brindle', 'Fernway 350');
  await page.getByText('Compare', { exact: true }).click();
  await page.getByRole('button', { name: 'Keep this chain to compare' }).click();

  await page.getByText('Where to go', { exact: true }).click();
  await page.getByText('by money', { exact: true }).click();
  const cheaper = page.getByRole('listitem').filter({ hasText: 'Ostler, second generation' });
  await expect(cheaper).toContainText('26.61 USD for 63.4 kWh');
  await page.getByRole('button', { name: 'compare with Ostler, second generation' }).click();

  await page.getByText('Compare', { exact: true }).click();
  const row = (name: string) => page.getByRole('row').filter({ hasText: name });
  await expect(row('A Brindle at Fernway 350')).toContainText('$30.42');
  await expect(row('B Brindle at Ostler, second generation, A3')).toContainText('$26.61');
  await page.getByRole('button', { name: 'Use Brindle at Ostler, second generation, A3' }).click();

  await expect(rail(page)).toContainText('A3 Tenon T-31');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Forecast: Brindle at Ostler, second generation');
  await expect(page.locator('.figures-line')).toContainText('$26.61');
});

test('a membership pays from the third session', async ({ page }) => {
  await openForecast(page, 'Pippin', 'Fernway 50, CHAdeMO');
  // 25.2 kWh into the battery are 26.526 at the plug: 12.73 at 0.48, 9.55 at 0.36; 7.00 are saved with 58.33 kWh.
  const figures = page.locator('.figures-line');
  await expect(figures).toContainText('$12.73');
  await expect(figures).toContainText(
    '$9.55 as a member; membership pays off from 3 sessions like this a month (58.33 kWh).',
  );

  await page.getByRole('switch', { name: 'I am a member here' }).focus();
  await page.keyboard.press('Space');
  await expect(figures).toContainText('$12.73 without membership');
  await expect(figures.getByText('as a member', { exact: true })).toBeVisible();
});

test('a slider changes the binding link and the rail follows', async ({ page }) => {
  await openForecast(page, 'Brindle', 'Ostler, second generation');
  await expect(verdict(page)).toContainText("Limited by the adapter's current rating (500 A).");
  await expect(rail(page).locator('.binds')).toContainText('A3 Tenon T-31');
  await expect(rail(page)).toContainText('boost used: 15.0 min today');

  // A pack at 0 °C takes 35 % of its curve: less than the adapter allows.
  await page.getByRole('switch', { name: 'battery warmed up on the way' }).focus();
  await page.keyboard.press('Space');
  const pack = page.getByRole('slider', { name: 'battery temperature' });
  await pack.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft');
  await expect(pack).toHaveAttribute('aria-valuenow', '0');
  await expect(verdict(page)).toContainText('Limited by the cold battery.');
  await expect(rail(page).locator('.binds')).toContainText("Brindle's battery");
  await expect(page.getByRole('list', { name: 'Minutes by what limits them' })).toContainText('cold battery');

  // At 40 °C 300 A become 263 A; towards (500/263)² = 3.61 the load is full after 33.6 ln(3.61/2.61) min.
  await page.getByRole('button', { name: 'as usual' }).click();
  const ambient = page.getByRole('slider', { name: 'ambient' });
  await ambient.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
  await expect(rail(page)).toContainText('boost used: 10.9 min today');
});

test('the cursor reads every value and fills the heat bars', async ({ page }) => {
  await openForecast(page, 'Brindle', 'Ostler, second generation');
  const cursor = page.getByRole('slider', { name: 'Cursor on the power curve' });
  await cursor.focus();
  await page.keyboard.press('Home');
  await expect(rail(page)).toContainText('thermal load 0 %');
  await page.keyboard.press('End');
  await expect(cursor).toHaveAttribute('aria-valuetext', /80 %, 82 kW, limited by the car's charge curve/);
  await expect(page.locator('.cursor-line')).toContainText('330 V');
  await expect(rail(page).locator('.binds')).toContainText("Brindle's battery");
  await expect(verdict(page)).toContainText('82 kW at 32:14');
  await page.keyboard.press('Escape');
  await expect(verdict(page)).toContainText('158 kW');
});

test('sticker and plate, and the units of the garage', async ({ page }) => {
  await openForecast(page, 'Brindle', 'Fernway 350');
  await page.getByText('Advertised power', { exact: true }).click();
  await expect(page.getByText('Advertised: 350 kW.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'at 300 V' })).toContainText('150');

  const figures = page.locator('.figures-line');
  await expect(figures).toContainText('217 km gained');
  await page.getByText('mi, °F', { exact: true }).click();
  await expect(figures).toContainText('135 mi gained');
  await expect(page.getByText('68 °F').first()).toBeVisible();
  const ambient = page.getByRole('slider', { name: 'ambient' });
  await ambient.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('69 °F')).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('68 °F')).toBeVisible();
  await page.getByText('km, °C', { exact: true }).click();
  await expect(figures).toContainText('217 km gained');
});

test('a chain that does not charge has a reason instead of a curve', async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Marten', 'Ostler, third in full');
  await page.keyboard.press('2');

  await expect(page.getByRole('heading', { name: "Fits, won't charge: no forecast" })).toBeVisible();
});

test('a price is written down and the forecast knows it', async ({ page }) => {
  await openForecast(page, 'Sorrel', 'Ostler, third on old cabinet');
  await expect(page.locator('.figures-line')).toContainText('$24.61');
  await page.goto('/kit/places');
  await page.getByRole('button', { name: 'Edit Ostler, third on old cabinet' }).click();
  const price = page.getByRole('region', { name: 'Price' });
  await price.getByLabel('per kWh').fill('cheap');
  await price.getByLabel('per kWh').press('Tab');
  await expect(price.getByRole('alert')).toContainText('expected an amount of money');
  await price.getByLabel('per kWh').fill('0.50');
  await price.getByLabel('per kWh').press('Tab');
  await expect(price.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeVisible();

  await page.keyboard.press('2');
  await expect(page.locator('.figures-line')).toContainText('$29.29');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.locator('.figures-line')).toContainText('$24.61');
});

test('a forecast that rests on an unread fact says so, and fits a narrow window', async ({ page }) => {
  await openForecast(page, 'Dray', 'Fernway 400');
  await page.getByText('Compare', { exact: true }).click();
  await page.getByRole('button', { name: 'Keep this chain to compare' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'B Dray at Fernway 400' })).toBeVisible();
  await expect(page.getByText("Check first. Not known yet: the station's maximum voltage.")).toBeVisible();
  for (const width of [1180, 1000, 820, 390]) {
    await page.setViewportSize({ width, height: 760 });
    await expect(page.getByRole('slider', { name: 'Cursor on the power curve' })).toBeVisible();
    // The curve follows the width with the next frame.
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth))
      .toBe(0);
  }
});

test('a night at a socket is told in hours', async ({ page }) => {
  await openForecast(page, 'Pippin', 'Yard socket, 240 V 50 A');
  await expect(page.locator('.figures-line')).toContainText('4 h 15 min');
  await expect(page.getByText('hours since plugging in')).toBeAttached();
  await expect(page.getByRole('list', { name: 'Minutes by what limits them' })).toContainText('onboard charger');
});

test('a stall that failed is noted in the report and ranks last by risk', async ({ page }) => {
  await openDemo(page);
  await page.goto('/log');
  const failed = page.getByRole('link').filter({ hasText: 'Pippin at Fernway 50, CHAdeMO' }).first();
  await failed.click();
  await page.getByRole('button', { name: 'Report a fault at this stall' }).click();
  await page.getByLabel("What's wrong with this stall?").fill('the screen froze');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Known fault at this stall: the screen froze.')).toBeVisible();

  await page.keyboard.press('2');
  await page.getByText('Where to go', { exact: true }).click();
  await page.getByText('by risk', { exact: true }).click();
  const last = page.locator('.stops > li').last();
  await expect(last).toContainText('Fernway 50, CHAdeMO');
  await expect(last).toContainText('Known fault: the screen froze.');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(last).not.toContainText('the screen froze');
});

// Takes the pictures for the README from the demo garage of a running server:
//   ./harmozon reset-demo && ./harmozon start &      then      node build/pictures.mjs [address]
import { chromium } from '@playwright/test';
import { args, executablePath } from './chromium.mjs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const base = process.argv[2] ?? 'http://127.0.0.1:8080';
const folder = join(dirname(fileURLToPath(import.meta.url)), '../docs/screenshots');
const browser = await chromium.launch({ executablePath, args });

async function at(size, colorScheme, walk) {
  const context = await browser.newContext({ viewport: size, colorScheme, reducedMotion: 'reduce', baseURL: base });
  const page = await context.newPage();
  await page.goto('/sign-in');
  const take = async (name) => {
    await page.evaluate(() => document.fonts.ready);
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: join(folder, `${name}.png`) });
  };
  const open = async () => {
    await page.getByRole('button', { name: 'Explore the demo garage' }).click();
    // A table, or on a phone one car at a time.
    await page
      .getByRole('grid')
      .or(page.getByRole('group', { name: 'Cars at chargers' }))
      .waitFor();
  };
  const choose = async (car, outlet) => {
    const chips = page.getByRole('group', { name: 'Stops for' });
    if ((await chips.count()) > 0) {
      await chips.getByRole('button', { name: car }).click();
    }
    await page.getByRole('button', { name: `${car} at ${outlet}:` }).click();
    await page.getByRole('heading', { name: `${car} at ${outlet}` }).waitFor();
  };
  await walk({ page, take, open, choose });
  await context.close();
}

const wide = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

/** Starts a session for the chain in the rail, and deletes it again when the picture is taken. */
async function session(page, picture, step = async () => undefined) {
  await page.goto('/connect');
  await page.getByRole('heading', { name: 'Park', level: 2 }).waitFor();
  for (let i = 0; i < 4; i++) {
    await page.getByRole('button', { name: 'Done', exact: true }).click();
  }
  await step();
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Current flows' }).click();
  for (const [minute, soc, volts, amps] of [
    ['0', '18', '289', '0'],
    ['2', '21', '296', '470'],
    ['6', '30', '300', '468'],
    ['9', '37', '303', '466'],
  ]) {
    await page.getByRole('textbox', { name: 'Charge' }).fill(soc);
    await page.getByRole('textbox', { name: 'Volts' }).fill(volts);
    await page.getByRole('textbox', { name: 'Amps' }).fill(amps);
    await page.getByLabel('at minute').fill(minute);
    await page.getByRole('button', { name: 'Save reading' }).click();
    await page.getByRole('cell', { name: soc + '.0' }).waitFor();
  }
  await page.getByRole('button', { name: 'Dismiss' }).click();
  await page.getByRole('textbox', { name: 'Charge' }).fill('41');
  await page.evaluate(() => document.getElementById('stage')?.scrollTo(0, 0));
  await picture();
  await page.getByRole('button', { name: 'Delete this session' }).click();
  await page.waitForURL(/\/connect(\?|$)/);
}

await at(wide, 'light', async ({ page, take, open, choose }) => {
  await page.goto('/begin');
  await take('begin');
  await page.goto('/sign-in');
  await open();
  await choose('Sorrel', 'Ostler, second generation');
  await take('board');
  await choose('Pippin', 'Fernway 350');
  await take('why');
  await page.getByRole('button', { name: 'What is this plug?' }).click();
  await page.getByRole('button', { name: /^GB.T DC/ }).waitFor();
  await page.waitForFunction(() => document.querySelector('.dialog-fade-enter-active') === null);
  await take('identify');
  await page.goto('/new-car');
  await page.getByRole('button', { name: /Small, two big above/ }).click();
  await page.getByRole('button', { name: /Both of them/ }).click();
  await page.getByRole('heading', { name: /battery voltage/ }).waitFor();
  await page.mouse.move(0, 0);
  await take('new-car');
  await page.evaluate(() => localStorage.clear());
  await page.goto('/kit');
  await page.getByRole('heading', { name: 'What one more would reach' }).waitFor();
  await page.getByText('3 new pairs').waitFor();
  await take('kit');
  await page.goto('/board');
  await choose('Brindle', 'Fernway 150');
  await page.goto('/forecast');
  await page.getByText('into the battery').waitFor();
  await page.getByText('Compare', { exact: true }).click();
  await page.getByRole('button', { name: 'Keep this chain to compare' }).click();
  await page.getByText('Where to go', { exact: true }).click();
  await page.getByRole('button', { name: 'compare with Ostler, second generation' }).click();
  await page.getByRole('button', { name: 'Fernway 350', exact: true }).click();
  await page.getByText('Compare', { exact: true }).click();
  await page.getByRole('row').filter({ hasText: 'A Brindle at Fernway 350' }).waitFor();
  await take('forecast-compare');
  await page.evaluate(() => sessionStorage.clear());
  await page.goto('/board');
  await choose('Brindle', 'Ostler, second generation');
  await page.goto('/forecast');
  await page.getByText('into the battery').waitFor();
  const curve = await page.getByRole('slider', { name: 'Cursor on the power curve' }).boundingBox();
  await page.mouse.move(curve.x + curve.width * 0.44, curve.y + 60);
  await take('forecast');
  await session(page, () => take('connect'));
  await page.goto('/log');
  await page.getByRole('heading', { name: 'Log', level: 1 }).waitFor();
  await take('log');
  await page.getByRole('link').filter({ hasText: 'left it running' }).click();
  await page.locator('.chart svg').waitFor();
  await take('report');
  await page.goto('/board');
  await choose('Brindle', 'Ostler, third in full');
  await page.goto('/bench?fault=precharge');
  const along = page.getByRole('slider', { name: 'Along the phases' });
  await along.focus();
  await page.keyboard.press('End');
  await page.getByText('What helps, first things first').waitFor();
  await page.evaluate(() => document.activeElement?.blur());
  await take('bench');
});
await at(wide, 'dark', async ({ take, open, choose }) => {
  await open();
  await choose('Marten', 'Ostler, third in full');
  await take('board-night');
});
await at(phone, 'dark', async ({ page, take, open, choose }) => {
  await open();
  await choose('Brindle', 'Ostler, second generation');
  await page.keyboard.press('Escape');
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await page.evaluate(() => document.querySelector('[data-scrolls]').scrollTo(0, 0));
  await take('board-phone');
  await page.goto('/forecast');
  await page.getByText('into the battery').waitFor();
  await take('forecast-phone');
  await session(page, () => take('connect-phone'));
});
await at(phone, 'light', async ({ page, take, open, choose }) => {
  await open();
  await choose('Brindle', 'Ostler, second generation');
  await session(
    page,
    async () => undefined,
    () => take('steps-phone'),
  );
  await page.goto('/kit/shop');
  await page.getByLabel('charger side').selectOption('j3400');
  await page.getByLabel('car side').selectOption('ccs1');
  await page.getByLabel('V', { exact: true }).fill('500');
  await page.getByLabel('continuous A').fill('200');
  await page.getByRole('button', { name: 'Continue to the questions' }).click();
  for (let question = 0; question < 9; question++) {
    await page.getByRole('button', { name: question === 2 ? 'Not said' : 'Yes', exact: true }).click();
  }
  await page.getByRole('heading', { name: 'Leave it' }).waitFor();
  await take('shop-phone');
  await page.goto('/bench/practise');
  await page.getByRole('button', { name: 'Do not connect it.' }).click();
  await page.getByRole('button', { name: 'Next question' }).waitFor();
  await take('drill-phone');
});
await browser.close();

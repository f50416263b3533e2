// Takes the pictures for the README from the demo garage of a running server:
//   ./harmozon reset-demo && ./harmozon start &      then      node build/pictures.mjs [address]
import { chromium } from '@playwright/test';
import { args, executablePath } from './chromium.mjs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const base = process.argv[2] ?? 'http://127.0.0.1:8080';
const folder = join(dirname(fileURLToPath(import.meta.url)), '../docs/screenshots');
const browser = await chromium.launch({ executablePath, args });

const WORDS = {
  'en-US': { demo: 'Explore the demo garage', board: 'Cars at chargers', stops: 'Stops for', at: 'at' },
  'de-DE': { demo: 'Demo-Garage ansehen', board: 'Autos an Ladestationen', stops: 'Halte für', at: 'an' },
};

async function at(size, colorScheme, walk, locale = 'en-US') {
  const words = WORDS[locale];
  const context = await browser.newContext({
    viewport: size,
    colorScheme,
    reducedMotion: 'reduce',
    baseURL: base,
    locale,
  });
  const page = await context.newPage();
  await page.goto('/sign-in');
  const take = async (name) => {
    await page.evaluate(() => document.fonts.ready);
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: join(folder, `${name}.png`) });
  };
  const open = async () => {
    await page.getByRole('button', { name: words.demo }).click();
    // A table, or on a phone one car at a time.
    await page
      .getByRole('grid')
      .or(page.getByRole('group', { name: words.board }))
      .waitFor();
  };
  const choose = async (car, outlet) => {
    const chips = page.getByRole('group', { name: words.stops });
    if ((await chips.count()) > 0) {
      await chips.getByRole('button', { name: car }).click();
    }
    await page.getByRole('button', { name: `${car} ${words.at} ${outlet}:` }).click();
    await page.getByRole('heading', { name: `${car} ${words.at} ${outlet}` }).waitFor();
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
  await open();
  await choose('Sorrel', 'Ostler, second generation');
  await take('board');
  await choose('Pippin', 'Fernway 350');
  await take('why');
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
  await page.goto('/bench/practise');
  await page.getByRole('button', { name: 'Do not connect it.' }).click();
  await page.getByRole('button', { name: 'Next question' }).waitFor();
  await take('drill-phone');
});
await at(
  wide,
  'light',
  async ({ page, take, open, choose }) => {
    await open();
    await choose('Sorrel', 'Ostler, second generation');
    await take('german-board');
    await page.goto('/forecast');
    await page.getByText('in die Batterie').waitFor();
    await take('german-forecast');
    await page.goto('/log');
    await page.getByRole('heading', { name: 'Logbuch', level: 1 }).waitFor();
    await take('german-log');
    await page.goto('/kit');
    await page.getByRole('heading', { name: 'Was ein weiterer erreichen würde' }).waitFor();
    await page.getByText('3 neue Paare').waitFor();
    await take('german-kit');
  },
  'de-DE',
);
await at(
  phone,
  'light',
  async ({ page, take, open, choose }) => {
    await open();
    await choose('Brindle', 'Ostler, second generation');
    await page.goto('/connect');
    await page.getByRole('heading', { name: 'Parken', level: 2 }).waitFor();
    for (let i = 0; i < 4; i++) {
      await page.getByRole('button', { name: 'Erledigt', exact: true }).click();
    }
    await take('german-steps-phone');
  },
  'de-DE',
);
await browser.close();

import AxeBuilder from '@axe-core/playwright';
import { type Page } from '@playwright/test';
import { choose, expect, locationsFile, openDemo, readingsFile, test } from './support';

/** Faults of the page as it stands by every rule of the checker, experimental ones as well, one line each. */
async function faults(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice', 'experimental'])
    .analyze();
  return violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.target.join(' ')} ${n.failureSummary ?? ''}`));
}

async function fits(page: Page): Promise<boolean> {
  return page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);
}

for (const [name, colorScheme, viewport] of [
  ['by day', 'light', { width: 1280, height: 800 }],
  ['by night', 'dark', { width: 1280, height: 800 }],
  ['on a phone', 'dark', { width: 390, height: 844 }],
  ['on the narrowest phone', 'light', { width: 320, height: 700 }],
  ['at twice the size', 'light', { width: 640, height: 400 }],
] as const) {
  test(`no screen has a fault, ${name}`, async ({ browser, baseURL }) => {
    // The whole page is read by the checker a dozen times over.
    test.setTimeout(600_000);
    const context = await browser.newContext({ colorScheme, viewport, baseURL, reducedMotion: 'reduce' });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    expect(await faults(page)).toEqual([]);
    for (const path of ['/begin', '/forgotten', '/new-password#email=a%40b.example&token=x', '/invitation#x']) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      expect(await faults(page), path).toEqual([]);
      expect(await fits(page), path).toBe(true);
    }

    await openDemo(page);
    expect(await faults(page)).toEqual([]);
    await choose(page, 'Sorrel', 'Ostler, second generation');
    expect(await faults(page)).toEqual([]);
    await closeWhy(page);

    await page.goto('/forecast');
    await expect(page.getByText('into the pack')).toBeVisible();
    for (const sheet of ['Compare', 'Where to go', 'Sticker', 'Next 5 %']) {
      await page.getByText(sheet, { exact: true }).click();
      expect(await faults(page), sheet).toEqual([]);
      expect(await fits(page), sheet).toBe(true);
    }

    for (const path of ['/you', '/forecast', '/kit', '/bench', '/log', '/nowhere']) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      expect(await faults(page), path).toEqual([]);
      expect(await fits(page), path).toBe(true);
    }

    await newCar(page);

    await page.goto('/connect');
    await expect(page.getByRole('button', { name: 'Start the session' })).toBeVisible();
    expect(await faults(page)).toEqual([]);
    await page.getByRole('button', { name: 'Start the session' }).click();
    await expect(page.getByRole('button', { name: 'Nothing happens' })).toBeEnabled();
    expect(await faults(page), 'waiting for power').toEqual([]);
    await page.getByRole('button', { name: 'Nothing happens' }).click();
    expect(await faults(page), 'when nothing starts').toEqual([]);
    expect(await fits(page), 'when nothing starts').toBe(true);
    await page.getByRole('button', { name: 'Back to the clock' }).click();
    await page.getByRole('button', { name: 'Stop and part' }).click();
    expect(await faults(page), 'stop and part').toEqual([]);
    expect(await fits(page), 'stop and part').toBe(true);
    await page.getByRole('button', { name: 'Smell or heat' }).click();
    await expect(page.getByRole('dialog', { name: 'Stop the session' })).toBeVisible();
    expect(await faults(page), 'smell or heat').toEqual([]);
    await page.getByRole('button', { name: /It was a slip/ }).click();
    await page.getByRole('button', { name: 'Back to the readings' }).click();
    await page.getByRole('button', { name: 'To the readings' }).click();
    await page.getByLabel('Load a readings file').setInputFiles(readingsFile());
    await expect(page.getByText('readings added')).toBeVisible();
    expect(await faults(page)).toEqual([]);
    expect(await fits(page)).toBe(true);
    const text = 'Zeit [s];Strom (mA);T1\n0;-250000;20,5\n10;-260000;21\n';
    const foreign = { name: 'foreign.csv', mimeType: 'text/csv', buffer: Buffer.from(text) };
    await page.getByLabel('Load a readings file').setInputFiles(foreign);
    await expect(page.getByRole('dialog').getByRole('slider')).toBeVisible();
    expect(await faults(page), 'a file before it is taken').toEqual([]);
    expect(await fits(page), 'a file before it is taken').toBe(true);
    await page.getByRole('button', { name: 'Put the file away' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);

    await page.getByRole('button', { name: 'Finish' }).click();
    await expect(page.getByRole('heading', { name: 'Plate check' })).toBeVisible();
    expect(await faults(page)).toEqual([]);
    expect(await fits(page)).toBe(true);
    await context.close();
  });
}

test("no screen has a fault in the system's own colours, and no dialog has one", async ({ browser, baseURL }) => {
  test.setTimeout(600_000);
  for (const forcedColors of ['active', 'none'] as const) {
    const context = await browser.newContext({ forcedColors, baseURL, reducedMotion: 'reduce' });
    const page = await context.newPage();
    await page.goto('/sign-in');
    expect(await faults(page)).toEqual([]);
    await openDemo(page);
    await page.getByRole('button', { name: 'What is this plug?' }).click();
    await expect(page.getByRole('dialog', { name: 'What is this plug?' })).toBeVisible();
    expect(await faults(page), 'identify').toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog', { name: 'What is this plug?' })).toBeHidden();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    expect(await faults(page), 'keys').toEqual([]);
    await page.goto('/kit');
    await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
    await expect(page.getByRole('dialog', { name: 'Edit Tenon T-31' })).toBeVisible();
    expect(await faults(page), 'editor').toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Add an adapter from the catalogue' }).click();
    await expect(page.getByRole('dialog', { name: 'Kinds of adapter' }).getByRole('button').nth(3)).toBeVisible();
    expect(await faults(page), 'catalogue').toEqual([]);
    await page.getByRole('button', { name: 'DC adapter, ccs1 to j3400' }).click();
    await expect(page.getByRole('heading', { name: 'What its label says' })).toBeVisible();
    expect(await faults(page), 'label').toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog', { name: 'New adapter' })).toBeHidden();
    await page.getByRole('button', { name: 'Edit Autumn season' }).click();
    await page.getByRole('button', { name: 'Edit several' }).click();
    await page.getByRole('checkbox', { name: 'choose Brindle' }).check();
    await page.getByRole('form', { name: 'Several at once' }).getByRole('combobox').selectOption('km_per_kwh');
    expect(await faults(page), 'tours and several').toEqual([]);
    await page.getByRole('button', { name: 'Choose no more' }).click();

    // A network's file with words of its own, before and after; its stalls in the form.
    const imports = page.getByRole('dialog', { name: 'Import charging places' });
    await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
    await imports.getByLabel(/A Locations file/).setInputFiles(locationsFile());
    await expect(imports.getByLabel(/connector "PANTOGRAPH"/)).toBeVisible();
    expect(await faults(page), 'import').toEqual([]);
    await imports.getByRole('button', { name: /^Bring in/ }).click();
    await expect(imports).toBeHidden();
    await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
    await expect(imports.getByRole('button', { name: 'Take back as a whole' })).toBeVisible();
    expect(await faults(page), 'what was brought in').toEqual([]);
    await page.keyboard.press('Escape');
    await expect(imports).toBeHidden();
    await page.getByRole('button', { name: 'Edit ccs1, 120 kW' }).click();
    await expect(page.getByLabel('known fault of stall 2')).toHaveValue('out of order, says its network');
    expect(await faults(page), 'stalls').toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
    await imports.getByRole('button', { name: 'Take back as a whole' }).click();
    await expect(imports.getByText('Taken back.')).toBeVisible();
    await context.close();
  }
});

/** Every question about a new car, with what it comes to; then what a forecast of it rests on. */
async function newCar(page: Page): Promise<void> {
  const answers = [
    ['Open the flap.', /Round, two big below/],
    ['Which fast charging', /Combined charging/],
    ['How high is the volts', /about 400 V/],
    ['How many kWh', "I don't know"],
    ['How many kW', "I don't know"],
    ['Which charger is built in', /11\.5 kW/],
  ] as const;
  await page.goto('/new-car');
  for (const [question, answer] of answers) {
    await expect(page.getByRole('heading', { name: question })).toBeVisible();
    expect(await faults(page), question).toEqual([]);
    expect(await fits(page), question).toBe(true);
    await page.getByRole('button', { name: answer }).click();
  }
  await expect(page).toHaveURL(/\/board/);
  await choose(page, 'New car', 'Fernway 350');
  expect(await faults(page), 'what it rests on').toEqual([]);
  await closeWhy(page);
  await page.goto('/forecast');
  await expect(page.getByRole('region', { name: /It rests on/ })).toBeVisible();
  expect(await faults(page), 'a forecast that rests on typical facts').toEqual([]);
  expect(await fits(page), 'a forecast that rests on typical facts').toBe(true);
}

/** On a narrow screen Why is a drawer over the board: closed before going on. */
async function closeWhy(page: Page): Promise<void> {
  const drawer = page.getByRole('dialog', { name: 'Why' });
  if (await drawer.isVisible()) {
    await page.keyboard.press('Escape');
    await expect(drawer).toBeHidden();
  }
}

import { cell, choose, expect, locationsFile, openDemo, tariffsFile, test } from './support';

test.describe.configure({ mode: 'serial' });

test('a newcomer with the same-looking plug learns that a retrofit would help', async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Marten', 'Ostler, third in full');
  const why = page.getByRole('complementary', { name: 'Why' });

  await expect(why).toContainText("only the closed network's older protocol");
  await expect(why.getByRole('heading', { name: 'What would change it' })).toBeVisible();
  await expect(why).toContainText('a retrofit for Marten that adds power-line communication');
});

test('a mixed household reads one fact and finds that one adapter serves two cars', async ({ page }) => {
  await openDemo(page);
  await expect(cell(page, 'Brindle', 'Ostler, third in full')).toHaveAccessibleName(/Charges, 158 kW through A3/);
  await expect(cell(page, 'Dray', 'Ostler, third in full')).toHaveAccessibleName(/Check first/);
  await page.getByRole('button', { name: /^Dray.* 4 of 12/ }).click();
  await expect(page.getByText(/Dray can charge at 4 of 12/)).toBeVisible();
  const check = page.getByRole('region', { name: 'How to check Dray' });
  await check.getByLabel('which networks accept Dray').fill('ostler');
  await check.getByLabel('which networks accept Dray').press('Tab');
  await check.getByRole('button', { name: 'I have read it' }).click();

  await expect(cell(page, 'Dray', 'Ostler, third in full')).toHaveAccessibleName(/Charges, 270 kW through A3/);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(cell(page, 'Dray', 'Ostler, third in full')).toHaveAccessibleName(/Check first/);
});

test('refused: a high-voltage truck at 500 V, an AC adapter at a hub, a recalled adapter anywhere', async ({
  page,
}) => {
  await openDemo(page);
  const why = page.getByRole('complementary', { name: 'Why' });
  await choose(page, 'Dray', 'Ostler, second generation');
  await expect(why).toContainText("The station can't go above 500 V, and the car has no step-up converter");
  await choose(page, 'Pippin', 'Ostler, second generation');
  await expect(why).toContainText('A5 (Gudgeon G-5) is wired for AC only. This charger gives DC');

  for (const each of await page.getByRole('gridcell').getByRole('button').all()) {
    await expect(each).not.toHaveAccessibleName(/(Charges|Limited|Check first).*A4/);
  }
  // Where nothing else joins, the recalled one is at hand: the cell says so.
  await expect(cell(page, 'Brindle', 'Ostler, first generation')).toHaveAccessibleName(/Do not connect through A4/);
  await choose(page, 'Brindle', 'Ostler, second generation');
  await why.getByRole('button', { name: 'through A4' }).click();
  await expect(why).toContainText('is under recall. ');
});

test('the board is read by kind, by row, and with what could be bought', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'by place' }).click();
  await expect(page.getByRole('rowheader', { name: 'Closed hubs' })).toBeVisible();
  await page.getByRole('button', { name: 'Fernway 350' }).first().click();
  await expect(
    page.getByText('Fernway 350 charges 3 of 5: Brindle 158 kW · Sorrel 234 kW · Dray 270 kW.'),
  ).toBeVisible();

  await expect(cell(page, 'Pippin', 'Fernway 350')).toHaveAccessibleName(/Fits, won't charge/);
  await page.getByText('could buy').click();
  await expect(cell(page, 'Pippin', 'Fernway 350')).toHaveAccessibleName(/Would charge/);
});

test('the identify key leads from what one sees to a row', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'What is this plug?' }).click();
  const key = page.getByRole('dialog', { name: 'What is this plug?' });
  await key.getByRole('radio', { name: 'no' }).check();
  await key.getByRole('radio', { name: '10' }).check();
  await expect(key.getByRole('listitem')).toHaveCount(1);
  await key.getByRole('button', { name: /^CHAdeMO/ }).click();
  await key.getByRole('button', { name: 'Fernway 50, CHAdeMO' }).click();
  await expect(key).toBeHidden();
  await expect(page.getByRole('button', { name: 'Fernway 50, CHAdeMO', exact: true })).toBeFocused();

  await page.getByRole('button', { name: 'What is this plug?' }).click();
  await key.getByRole('button', { name: /^Historic paddle/ }).click();
  await expect(key).toContainText('No car in use today takes it.');

  // What nobody has here leads to its kind, with the usual figures and the place still to be chosen.
  await key.getByRole('button', { name: 'Start over' }).click();
  await key.getByRole('button', { name: /^GB\/T DC/ }).click();
  await key.getByRole('link', { name: 'GB/T DC, 120 kW' }).click();
  const editor = page.getByRole('dialog', { name: 'New charger' });
  await expect(editor.getByLabel('Name')).toHaveValue('GB/T DC, 120 kW');
  await editor.getByLabel('Place').selectOption('Ostler quay');
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('article').filter({ hasText: 'GB/T DC, 120 kW' })).toBeVisible();
});

test('a plate is edited with checks as it is typed, and the change is taken back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/places');
  await page.getByRole('button', { name: 'Edit Fernway 150' }).click();
  const editor = page.getByRole('dialog', { name: 'Edit Fernway 150' });
  const plate = editor.getByRole('region', { name: 'Data plate' });
  await plate.getByLabel('V, to').fill('95000');
  await plate.getByLabel('V, to').press('Tab');
  await expect(plate.getByRole('alert')).toContainText('95000 is outside 1 to 2000 V');
  await plate.getByLabel('V, to').fill('500');
  await plate.getByLabel('kW', { exact: true }).fill('90000 W');
  await plate.getByLabel('kW', { exact: true }).press('Tab');
  await expect(plate.getByRole('alert')).toHaveCount(0);
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(editor).toBeHidden();
  const card = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Fernway 150' }) });
  await expect(card).toContainText('500 V · 350 A · 90 kW');

  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(card).toContainText('950 V · 350 A · 150 kW');
});

test('a plate begun from the catalogue says what must be read off the real one', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/places');
  await page.getByRole('button', { name: 'Add charger from the catalogue' }).first().click();
  await page.getByRole('button', { name: /^CCS1, 150 kW with 350 A/ }).click();
  const editor = page.getByRole('dialog', { name: 'New charger' });

  await expect(editor.getByText("amps, on the data plate: not the station's advertised power")).toBeVisible();
});

test('places come from a network file stall by stall, follow the next one, and are taken back as a whole', async ({
  page,
}) => {
  const dialog = page.getByRole('dialog', { name: 'Import charging places' });
  const load = async (file: ReturnType<typeof locationsFile>) => {
    await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
    await dialog.getByLabel(/A Locations file/).setInputFiles(file);
  };
  await openDemo(page);
  await page.goto('/kit/places');
  await load(locationsFile());
  await expect(dialog.getByText('Left out: stall 3: connector "PANTOGRAPH" is not known here')).toBeVisible();
  await expect(dialog.getByText('stalls 1, 2 (out of order, says its network)')).toBeVisible();
  await dialog.getByLabel(/connector "PANTOGRAPH"/).selectOption('ccs2');
  await dialog.getByLabel(/status "WOBBLY"/).selectOption('out_of_order');

  // A reload takes the file away, not what was said of its words.
  await page.reload();
  await load(locationsFile());
  await expect(dialog.getByLabel(/connector "PANTOGRAPH"/)).toHaveValue('ccs2');
  await expect(dialog.getByText(/The file names 1 tariff but has no prices/)).toBeVisible();
  await dialog.getByLabel(/a Tariffs file/).setInputFiles(tariffsFile());
  await expect(dialog.getByText('Prices found for 1 of 1 tariff.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Import 1 new place, 2 new chargers' }).click();

  const card = page.getByRole('article').filter({ hasText: 'CCS1, 120 kW' });
  await expect(card).toContainText('2 stalls: 1, 2 (out of order, says its network)');
  await expect(card).toContainText('$0.44');
  await page.getByRole('link', { name: /^Tours/ }).click();
  await expect(page.getByRole('button', { name: 'Kingcup' })).toBeVisible();
  await page.getByRole('link', { name: /^Places/ }).click();
  await expect(page.getByRole('article').filter({ hasText: 'CCS2, 120 kW' })).toContainText('3 (out of order');

  // The next file: what it changed is shown, what was assigned is remembered.
  await load(locationsFile(150_000, 'AVAILABLE'));
  await expect(dialog.getByText('kW: 120 → 150', { exact: true })).toHaveCount(2);
  await expect(dialog.getByText('stall 2: out of order, says its network → no known fault')).toBeVisible();
  await expect(dialog.getByLabel(/connector "PANTOGRAPH"/)).toHaveValue('ccs2');
  await dialog.getByRole('button', { name: 'Import 2 changed chargers' }).click();
  await expect(page.getByRole('article').filter({ hasText: 'CCS1, 150 kW' })).toContainText('2 stalls: 1, 2');

  await load(locationsFile(150_000, 'AVAILABLE'));
  await expect(dialog.getByText('Nothing new, and nothing has changed since the last file.')).toBeVisible();
  await dialog.getByLabel(/connector "PANTOGRAPH"/).selectOption('chademo');
  await expect(dialog.getByRole('button', { name: /^Import/ })).toBeVisible();
  await dialog.getByLabel(/connector "PANTOGRAPH"/).selectOption('ccs2');
  await dialog.getByRole('button', { name: 'Remember what these words mean' }).click();
  await expect(dialog).toBeHidden();
  await load(locationsFile(150_000, 'AVAILABLE'));
  await dialog.getByRole('button', { name: 'Undo this import' }).click();
  await expect(dialog.getByText('Import undone.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Undo this import' }).click();
  await expect(dialog.getByText('Earlier imports')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Sluice wharf' })).toHaveCount(0);
});

test('no new name stands beside an old verdict while the answer is on its way', async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Sorrel', 'Ostler, second generation');
  const why = page.getByRole('complementary', { name: 'Why' });
  let answer: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (answer = resolve));
  const asked = new Promise<void>((resolve) => {
    void page.route('**/api/fit', async (route) => {
      resolve();
      await held;
      await route.continue();
    });
  });
  await cell(page, 'Pippin', 'Fernway 350').click();
  await asked;
  await expect(why).toContainText('Sorrel at Ostler, second generation');
  await expect(why).toContainText('Charges, limited');
  await expect(why).not.toContainText('Pippin');

  answer();
  await expect(why).toContainText('Pippin at Fernway 350');
  await expect(why).toContainText("Fits, won't charge");
  await expect(why).not.toContainText('Charges, limited');
});

test('numbers, distances and temperatures are written as where the garage is', async ({ page }) => {
  await openDemo(page);
  await expect(cell(page, 'Pippin', 'Yard socket, 240 V 50 A')).toContainText('6.6');
  await page.goto('/you');
  await page.getByLabel('Number and date format').selectOption('Netherlands');
  await expect(page.getByText('12.345,6 · 25 Nov 2026, 14:05')).toBeVisible();
  await page.getByLabel('Units').selectOption('us');
  await page.goto('/kit/cars');
  await page.getByRole('button', { name: 'Edit Pippin' }).click();
  const editor = page.getByRole('dialog', { name: 'Edit Pippin' });
  // 6.4 km/kWh.
  await expect(editor.getByLabel('distance per kWh')).toHaveValue('3,9767756');
  await expect(editor.getByText('mi/kWh')).toBeVisible();
  await editor.getByLabel('distance per kWh').fill('4,5');
  await editor.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(editor).toBeHidden();

  await page.goto('/board');
  await expect(cell(page, 'Pippin', 'Yard socket, 240 V 50 A')).toContainText('6,6');
  await choose(page, 'Sorrel', 'Ostler, second generation');
  // The cable's 1.9 m.
  await expect(page.getByText(/cable 6,2 ft/)).toBeVisible();
});

test('on a phone the board is one car at a time, and never a table to drag sideways', async ({ browser, baseURL }) => {
  for (const width of [390, 320]) {
    const context = await browser.newContext({ viewport: { width, height: 844 }, hasTouch: true, baseURL });
    const page = await context.newPage();
    await openDemo(page);
    await expect(page.getByRole('grid')).toHaveCount(0);
    await page.getByRole('group', { name: 'Stops for' }).getByRole('button', { name: 'Brindle' }).tap();
    await expect(cell(page, 'Brindle', 'Fernway 350')).toHaveAccessibleName(/Charges, 158 kW/);
    await expect(cell(page, 'Brindle', 'Fernway 350')).toContainText("limit: station's maximum current");
    await expect(cell(page, 'Brindle', 'Fernway 50, CHAdeMO')).toContainText("shapes don't fit");
    await expect(cell(page, 'Brindle', 'Millrace post, J3400')).toContainText('voltage above a rating');
    await expect(cell(page, 'Pippin', 'Fernway 350')).toHaveCount(0);
    expect(
      await page.evaluate(() =>
        [...document.querySelectorAll('[data-scrolls], html')].every((e) => e.scrollWidth <= e.clientWidth),
      ),
    ).toBe(true);

    await cell(page, 'Brindle', 'Fernway 350').tap();
    await expect(page.getByRole('heading', { name: 'Brindle at Fernway 350', level: 2 })).toBeVisible();
    // What is chosen stands in the address, and the board opens with its car.
    await page.reload();
    await expect(cell(page, 'Brindle', 'Fernway 350')).toHaveAttribute('aria-pressed', 'true');
    await context.close();
  }
});

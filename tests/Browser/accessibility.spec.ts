import { DIALOGS, EVERYWHERE, Looker, NARROW, STAGES } from './faults';
import { choose, expect, locationsFile, openDemo, readingsFile, test } from './support';
import { type Page } from '@playwright/test';

test.describe(`no screen has a fault, ${EVERYWHERE.name}:`, () => {
  test('the first pages', async ({ browser, baseURL }) => {
    const looker = await Looker.at(browser, baseURL, EVERYWHERE);
    const { page } = looker;
    const paths = [
      '/sign-in',
      '/begin',
      '/check',
      '/forgotten',
      '/new-password#email=a%40b.example&token=x',
      '/invitation#x',
    ];
    for (const path of paths) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await looker.finds(path);
    }
    await page.context().close();
  });

  test('board and forecast', async ({ browser, baseURL }) => {
    const looker = await Looker.at(browser, baseURL, EVERYWHERE);
    const { page } = looker;
    await openDemo(page);
    await looker.finds('board');
    await choose(page, 'Sorrel', 'Ostler, second generation');
    await looker.finds('why');
    await closeWhy(page);
    await page.goto('/forecast');
    await expect(page.getByText('into the battery')).toBeVisible();
    for (const sheet of ['Compare', 'Where to go', 'Advertised power', 'Next 5 %']) {
      await page.getByText(sheet, { exact: true }).click();
      await looker.finds(sheet);
    }
    await page.context().close();
  });

  test('stages', async ({ browser, baseURL }) => {
    const looker = await Looker.at(browser, baseURL, EVERYWHERE);
    const { page } = looker;
    await openDemo(page);
    for (const path of STAGES) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await looker.finds(path);
    }
    await page.context().close();
  });

  test('a new car', async ({ browser, baseURL }) => {
    const looker = await Looker.at(browser, baseURL, EVERYWHERE);
    await openDemo(looker.page);
    await newCar(looker);
    await looker.page.context().close();
  });

  test('a session and its report', async ({ browser, baseURL }) => {
    const looker = await Looker.at(browser, baseURL, EVERYWHERE);
    const { page } = looker;
    await openDemo(page);
    await choose(page, 'Brindle', 'Fernway 350');
    await closeWhy(page);
    await page.goto('/connect');
    await expect(page.getByRole('button', { name: 'Start session' })).toBeVisible();
    await looker.finds('steps');
    await page.getByRole('button', { name: 'Start session' }).click();
    await expect(page.getByRole('button', { name: 'Nothing happens' })).toBeEnabled();
    await looker.finds('waiting for power');
    await page.getByRole('button', { name: 'Nothing happens' }).click();
    await looker.finds('when nothing starts');
    await page.getByRole('button', { name: 'Back to the clock' }).click();
    await page.getByRole('button', { name: 'Stop and disconnect' }).click();
    await looker.finds('stop and disconnect');
    await page.getByRole('button', { name: 'Smell or heat' }).click();
    await expect(page.getByRole('dialog', { name: 'Stop the session' })).toBeVisible();
    await looker.finds('smell or heat');
    await page.getByRole('button', { name: /Pressed by mistake/ }).click();
    await page.getByRole('button', { name: 'Back to the readings' }).click();
    await page.getByRole('button', { name: 'Enter readings' }).click();
    await page.getByLabel('Load a readings file').setInputFiles(readingsFile());
    await expect(page.getByText('readings added')).toBeVisible();
    await looker.finds('readings');
    const text = 'Zeit [s];Strom (mA);T1\n0;-250000;20,5\n10;-260000;21\n';
    const foreign = { name: 'foreign.csv', mimeType: 'text/csv', buffer: Buffer.from(text) };
    await page.getByLabel('Load a readings file').setInputFiles(foreign);
    await expect(page.getByRole('dialog').getByRole('slider')).toBeVisible();
    await looker.finds('a file before it is taken');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);

    await page.getByRole('button', { name: 'Finish session' }).click();
    await expect(page.getByRole('heading', { name: 'Ratings check' })).toBeVisible();
    await looker.finds('report');
    await page.context().close();
  });
});

test('what opens over a stage has no fault where it is narrow', async ({ browser, baseURL }) => {
  const looker = await Looker.at(browser, baseURL, NARROW);
  const { page } = looker;
  await openDemo(page);
  for (const [path, button, dialog] of [
    ['/kit/cars', 'Edit Pippin', 'Edit Pippin'],
    ['/kit/places', 'Edit Fernway 350', 'Edit Fernway 350'],
    ['/kit', 'Add adapter from the catalogue', 'Kinds of adapter'],
    ['/kit/places', 'Import places (OCPI)', 'Import charging places'],
  ] as const) {
    await page.goto(path);
    await page.getByRole('button', { name: button }).first().click();
    await expect(page.getByRole('dialog', { name: dialog })).toBeVisible();
    await looker.finds(dialog);
  }
  await page.context().close();
});

test(`no dialog has a fault, ${DIALOGS.name}`, async ({ browser, baseURL }) => {
  const looker = await Looker.at(browser, baseURL, DIALOGS);
  const { page } = looker;
  await page.goto('/sign-in');
  await looker.finds('the first page');
  await openDemo(page);
  await page.getByRole('button', { name: 'What is this plug?' }).click();
  await expect(page.getByRole('dialog', { name: 'What is this plug?' })).toBeVisible();
  await looker.finds('identify');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'What is this plug?' })).toBeHidden();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeVisible();
  await looker.finds('keys');
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  await expect(page.getByRole('dialog', { name: 'Edit Tenon T-31' })).toBeVisible();
  await looker.finds('editor');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Add adapter from the catalogue' }).click();
  await expect(page.getByRole('dialog', { name: 'Kinds of adapter' }).getByRole('button').nth(3)).toBeVisible();
  await looker.finds('catalogue');
  await page.getByRole('button', { name: 'DC adapter, CCS1 to J3400' }).click();
  await expect(page.getByRole('heading', { name: 'What its label shows' })).toBeVisible();
  await looker.finds('label');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'New adapter' })).toBeHidden();
  await page.getByRole('button', { name: 'More for Tenon T-31' }).click();
  await page.getByRole('button', { name: 'Lend Tenon T-31' }).click();
  await looker.finds('lending');
  await page.goto('/kit/tours');
  await page.getByRole('button', { name: 'Edit Autumn season' }).click();
  await looker.finds('a tour');
  await page.goto('/kit/cars');
  await page.getByRole('button', { name: 'Edit several' }).click();
  await page.getByRole('checkbox', { name: 'select Brindle' }).check();
  await page.getByRole('form', { name: 'Several at once' }).getByRole('combobox').selectOption('km_per_kwh');
  await looker.finds('several');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.goto('/kit/places');

  // A network's file with words of its own, before and after; its stalls in the form.
  const imports = page.getByRole('dialog', { name: 'Import charging places' });
  await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
  await imports.getByLabel(/A Locations file/).setInputFiles(locationsFile());
  await expect(imports.getByLabel(/connector "PANTOGRAPH"/)).toBeVisible();
  await looker.finds('import');
  await imports.getByRole('button', { name: /^Import/ }).click();
  await expect(imports).toBeHidden();
  await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
  await expect(imports.getByRole('button', { name: 'Undo this import' })).toBeVisible();
  await looker.finds('what was brought in');
  await page.keyboard.press('Escape');
  await expect(imports).toBeHidden();
  await page.getByRole('button', { name: 'Edit CCS1, 120 kW' }).click();
  await expect(page.getByLabel('stall 2: known fault')).toHaveValue('out of order, says its network');
  await looker.finds('stalls');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Import places (OCPI)' }).click();
  await imports.getByRole('button', { name: 'Undo this import' }).click();
  await expect(imports.getByText('Import undone.')).toBeVisible();
  await page.context().close();
});

/** Every question about a new car, with what it comes to; then what a forecast of it rests on. */
async function newCar(looker: Looker): Promise<void> {
  const { page } = looker;
  const answers = [
    ['Open the charge-port door.', /Round, two big below/],
    ["What's the battery voltage", /about 400 V/],
    ['How much energy', "I don't know"],
    ['What peak power', "I don't know"],
    ['How strong is the built-in AC charger', /11\.5 kW/],
  ] as const;
  await page.goto('/new-car');
  for (const [question, answer] of answers) {
    await expect(page.getByRole('heading', { name: question })).toBeVisible();
    await looker.finds(question);
    await page.getByRole('button', { name: answer }).click();
  }
  await expect(page).toHaveURL(/\/board/);
  await choose(page, 'New car', 'Fernway 350');
  await looker.finds('what it rests on');
  await closeWhy(page);
  await page.goto('/forecast');
  await expect(page.getByRole('region', { name: /This depends on/ })).toBeVisible();
  await looker.finds('a forecast that rests on typical facts');
}

/** On a narrow screen Why is a drawer over the board: closed before going on. */
async function closeWhy(page: Page): Promise<void> {
  const drawer = page.getByRole('dialog', { name: 'Why' });
  if (await drawer.isVisible()) {
    await page.keyboard.press('Escape');
    await expect(drawer).toBeHidden();
  }
}

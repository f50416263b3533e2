import { GERMAN, Looker, STAGES } from './faults';
import { cell, expect, openDemo, readingsFile, test } from './support';

test('every word has its place in German, also mirrored: without an account', async ({ browser, baseURL }) => {
  const looker = await Looker.at(browser, baseURL, GERMAN);
  for (const path of ['/sign-in', '/begin', '/check', '/forgotten']) {
    await looker.page.goto(path);
    await expect(looker.page.getByRole('heading', { level: 1 })).toBeVisible();
    await looker.finds(path);
  }
  await looker.page.context().close();
});

test('every word has its place in German, also mirrored: stages', async ({ browser, baseURL }) => {
  const looker = await Looker.at(browser, baseURL, GERMAN);
  const { page } = looker;
  await openDemo(page, 'Autos an Ladestationen');
  await looker.finds('board');
  await cell(page, 'Sorrel', 'Ostler, second generation', 'an').click();
  await expect(page.getByRole('heading', { name: 'Sorrel an Ostler, second generation', level: 2 })).toBeVisible();
  await looker.finds('why');
  await page.keyboard.press('Escape');
  await page.goto('/forecast');
  await expect(page.getByText('in die Batterie')).toBeVisible();
  for (const sheet of ['Vergleichen', 'Wohin', 'Beworbene Leistung', 'Nächste 5 %']) {
    await page.getByText(sheet, { exact: true }).click();
    await looker.finds(sheet);
  }
  for (const path of STAGES) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await looker.finds(path);
  }
  await page.context().close();
});

test('every word has its place in German, also mirrored: a new car', async ({ browser, baseURL }) => {
  const looker = await Looker.at(browser, baseURL, GERMAN);
  const { page } = looker;
  await openDemo(page, 'Autos an Ladestationen');
  await page.goto('/new-car');
  for (const [question, answer] of [
    ['Öffne die Ladeklappe.', /Rund, darunter zwei große/],
    ['Welche Spannung hat die Batterie?', /etwa 400 V/],
    ['Wie viel Energie', 'Ich weiß es nicht'],
    ['Welche Höchstleistung', 'Ich weiß es nicht'],
    ['Wie stark ist der eingebaute AC-Lader', /11,5 kW/],
  ] as const) {
    await expect(page.getByRole('heading', { name: question })).toBeVisible();
    await looker.finds(question);
    await page.getByRole('button', { name: answer }).click();
  }
  await expect(page).toHaveURL(/\/board/);
  await cell(page, 'Neues Auto', 'Fernway 350', 'an').click();
  await looker.finds('what it rests on');
  await page.goto('/forecast');
  await expect(page.getByRole('region', { name: /Das hängt von/ })).toBeVisible();
  await looker.finds('a forecast that rests on typical facts');
  await page.context().close();
});

test('every word has its place in German, also mirrored: a session and its report', async ({ browser, baseURL }) => {
  const looker = await Looker.at(browser, baseURL, GERMAN);
  const { page } = looker;
  const press = (name: string | RegExp) => page.getByRole('button', { name }).first().click();
  await openDemo(page, 'Autos an Ladestationen');
  await cell(page, 'Brindle', 'Ostler, second generation', 'an').click();
  await expect(page.getByRole('heading', { name: 'Brindle an Ostler, second generation', level: 2 })).toBeVisible();
  await page.goto('/connect');
  await expect(page.getByRole('button', { name: 'Ladevorgang starten' })).toBeVisible();
  await looker.finds('steps');
  await press('Ladevorgang starten');
  await expect(page.getByRole('button', { name: 'Nichts geschieht' })).toBeEnabled();
  await looker.finds('waiting for power');
  await press('Nichts geschieht');
  await looker.finds('when nothing starts');
  await press('Zurück zur Uhr');
  await press('Beenden und trennen');
  await looker.finds('stop and disconnect');
  await press('Geruch oder Hitze');
  await expect(page.getByRole('dialog', { name: 'Ladevorgang beenden' })).toBeVisible();
  await looker.finds('smell or heat');
  await press(/Aus Versehen gedrückt/);
  await press('Zurück zu den Messwerten');
  await press('Messwerte eingeben');
  await page.getByLabel('Messdatei laden').setInputFiles(readingsFile());
  await expect(page.getByText('Messwerte hinzugefügt')).toBeVisible();
  await looker.finds('readings');
  const text = 'Zeit [s];Strom (mA);T1\n0;-250000;20,5\n10;-260000;21\n';
  await page
    .getByLabel('Messdatei laden')
    .setInputFiles({ name: 'foreign.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await expect(page.getByRole('dialog').getByRole('slider')).toBeVisible();
  await looker.finds('a file before it is taken');
  await page.getByRole('dialog').getByRole('button', { name: 'Abbrechen' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await press('Ladevorgang beenden');
  await expect(page.getByRole('heading', { name: 'Prüfung der Nennwerte' })).toBeVisible();
  await looker.finds('report');
  await page.context().close();
});

test('every word has its place in German, also mirrored: what opens over a stage', async ({ browser, baseURL }) => {
  const looker = await Looker.at(browser, baseURL, GERMAN);
  const { page } = looker;
  await openDemo(page, 'Autos an Ladestationen');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Tasten' })).toBeVisible();
  await looker.finds('keys');
  for (const [path, button, dialog] of [
    ['/board', 'Was ist das für ein Stecker?', 'Was ist das für ein Stecker?'],
    ['/kit/cars', 'Ändern: Pippin', 'Pippin ändern'],
    ['/kit/places', 'Ändern: Fernway 350', 'Fernway 350 ändern'],
    ['/kit', 'Adapter aus dem Katalog hinzufügen', 'Arten von Adaptern'],
    ['/kit/places', 'Orte einlesen (OCPI)', 'Ladeorte einlesen'],
  ] as const) {
    await page.goto(path);
    await page.getByRole('button', { name: button }).first().click();
    await expect(page.getByRole('dialog', { name: dialog })).toBeVisible();
    await looker.finds(dialog);
  }
  await page.getByRole('button', { name: 'Dialog schließen' }).click();
  await page.goto('/board');
  await cell(page, 'Brindle', 'Ostler, second generation', 'an').click();
  await page.goto('/bench?fault=precharge');
  const along = page.getByRole('slider', { name: 'Durch die Phasen' });
  await along.focus();
  await page.keyboard.press('End');
  await expect(page.getByText('Was hilft, das Erste zuerst')).toBeVisible();
  await looker.finds('bench with a fault');
  await page.context().close();
});

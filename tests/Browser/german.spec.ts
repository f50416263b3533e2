import { GERMAN, Looker } from './faults';
import { cell, expect, openDemo, test } from './support';

const PATHS = [
  '/you',
  '/kit',
  '/kit/cars',
  '/kit/places',
  '/kit/tours',
  '/kit/shop',
  '/bench',
  '/bench/practise',
  '/bench/feed',
  '/log',
  '/glossary',
  '/nowhere',
];

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
  for (const path of PATHS) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await looker.finds(path);
  }
  await page.context().close();
});

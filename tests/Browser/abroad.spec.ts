import { expect, test } from './support';

test.describe('on a phone', () => {
  test.use({ locale: 'de-CH', viewport: { width: 390, height: 844 }, serviceWorkers: 'allow', hasTouch: true });

  test('a whole visit in German on a phone, without a network in between', async ({ page, context }) => {
    await page.goto('/sign-in');
    await expect(page.locator('html')).toHaveAttribute('lang', 'de');
    await page.getByRole('button', { name: 'Demo-Garage ansehen' }).click();
    await expect(page.getByRole('group', { name: 'Autos an Ladestationen' })).toBeVisible();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));

    await page.getByRole('group', { name: 'Halte für' }).getByRole('button', { name: 'Brindle' }).click();
    await page.getByRole('button', { name: 'Brindle an Fernway 350:' }).click();
    await expect(page.getByRole('heading', { name: 'Brindle an Fernway 350', level: 2 })).toBeVisible();
    await expect(page.getByRole('dialog').getByText('Powerline-Kommunikation').first()).toBeVisible();
    await page.getByRole('button', { name: 'Diese Kette verbinden' }).click();
    await page.getByRole('button', { name: 'Ladevorgang starten' }).click();
    await page.getByRole('button', { name: 'Messwerte eingeben' }).click();

    await context.setOffline(true);
    await page.getByRole('textbox', { name: 'Leistung' }).fill('50,5');
    await page.getByRole('button', { name: 'Messwert speichern' }).click();
    await expect(page.getByText(/Kein Netz seit/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Messwerte, 1' })).toBeVisible();
    await page.reload();
    await expect(page.getByText(/Ein Eintrag liegt auf diesem Gerät|Kein Netz seit/).first()).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/Kein Netz seit/)).toHaveCount(0);

    await page.getByRole('button', { name: 'Ladevorgang beenden' }).click();
    await expect(page).toHaveURL(/\/log\//);
    await expect(page.getByText('zu wenige Messwerte').first()).toBeVisible();
    await expect(
      page
        .getByRole('definition')
        .filter({ hasText: /^50,5 kW$/ })
        .first(),
    ).toBeVisible();
  });
});

test('whoever has no account of their own chooses a language on the device, and keeps what was typed', async ({
  page,
}) => {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill('rook@lanternfish.example');
  await page.getByLabel('Language').selectOption('Deutsch');
  await expect(page.getByRole('button', { name: 'Anmelden' })).toBeVisible();
  await expect(page.getByLabel('E-Mail')).toHaveValue('rook@lanternfish.example');
  await page.getByRole('button', { name: 'Demo-Garage ansehen' }).click();
  await expect(page.getByRole('grid', { name: 'Autos an Ladestationen' })).toBeVisible();

  await page.goto('/you');
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  await page.getByLabel('Sprache').selectOption('English');
  await expect(page.getByRole('heading', { name: 'Account', level: 1 })).toBeVisible();
  await page.getByLabel('Language').selectOption('Same as the browser');
  await expect(page.getByLabel('Language')).toHaveValue('');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Account', level: 1 })).toBeVisible();
});

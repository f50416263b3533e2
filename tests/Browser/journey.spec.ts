import { cell, choose, demo, expect, openDemo, readingsFile, test } from './support';

test('from signing in to a session that stands in the log', async ({ page, baseURL }) => {
  const elsewhere: string[] = [];
  const troubles: string[] = [];
  page.on('request', (r) => {
    if (!r.url().startsWith(baseURL ?? '') && !r.url().startsWith('data:')) elsewhere.push(r.url());
  });
  page.on('pageerror', (e) => troubles.push(e.message));
  page.on('console', (m) => {
    if (m.type() === 'error') troubles.push(m.text());
  });

  // Nobody has an account of their own here yet: the first page makes one.
  await page.goto('/');
  await expect(page).toHaveURL(/\/begin/);
  await page.getByRole('link', { name: 'Sign in instead' }).click();
  // The page before it asks for an e-mail too.
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.getByLabel('E-mail').fill(demo.email);
  await page.getByLabel('Password').fill(demo.password);
  await page.getByRole('button', { name: 'Sign in' }).click();

  await expect(cell(page, 'Brindle', 'Ostler, second generation')).toHaveAccessibleName(/Charges, 158 kW through A3/);
  await choose(page, 'Brindle', 'Ostler, second generation');
  const why = page.getByRole('complementary', { name: 'Why' });
  await expect(why.getByRole('listitem').filter({ hasText: 'protocol' })).toContainText('power-line communication');
  await expect(why).toContainText('adapter into the car first');
  await expect(page.getByRole('group', { name: 'The chain' })).toContainText('A3 Tenon T-31');

  await page.getByRole('button', { name: 'Connect this chain' }).click();
  const note = `matinee ${Date.now()}`;
  await page.getByLabel('Note').fill(note);
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Enter readings' }).click();
  await expect(page).toHaveURL(/\/connect\/[0-9a-z]{26}/i);

  await page.getByLabel('Load a readings file').setInputFiles(readingsFile());
  await expect(page.getByText('151 readings added; 1 row left out.')).toBeVisible();
  await expect(page.getByText('line 153: soc_pct: "full" is not a number')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Peaks and ratings' })).toContainText('14 of 15 min');
  await page.getByRole('button', { name: 'Finish session' }).click();

  await expect(page).toHaveURL(/\/log\/[0-9a-z]{26}/i);
  await expect(page.getByRole('heading', { name: 'Within all ratings' })).toBeVisible();
  const amps = page.getByRole('row', { name: /A3 \(Tenon T-31\).* 420 A/ });
  await expect(amps).toContainText('500 A');
  await expect(amps).toContainText('80 A');
  await expect(amps).toContainText('within');

  await page.getByRole('link', { name: 'Log', exact: true }).first().click();
  await expect(page).toHaveURL(/\/log$/);
  await expect(page.getByRole('heading', { name: 'Log', level: 1 })).toBeVisible();
  await page.reload();
  const line = page.getByRole('link').filter({ hasText: note });
  await expect(line).toContainText('Within all ratings');
  await expect(line).toContainText('Brindle at Ostler, second generation');

  expect(elsewhere).toEqual([]);
  expect(troubles).toEqual([]);
});

test('an adapter held above its continuous amps too long fails, and says why', async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Brindle', 'Ostler, second generation');
  await page.getByRole('button', { name: 'Connect this chain' }).click();
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Enter readings' }).click();
  await page.getByLabel('Load a readings file').setInputFiles(readingsFile(440, 20));
  await expect(page.getByText('readings added')).toBeVisible();
  await page.getByRole('button', { name: 'Finish session' }).click();

  await expect(page.getByRole('heading', { name: 'Exceeded a rating' })).toBeVisible();
  await expect(
    page.getByText(/carried more than its continuous 300 A for 20 min; it is rated for 15 min/),
  ).toBeVisible();
});

test('a newcomer learns why the same-looking plug does nothing', async ({ page }) => {
  await openDemo(page);
  await expect(cell(page, 'Marten', 'Ostler, third in full')).toHaveAccessibleName(/Fits, won't charge/);
  await choose(page, 'Marten', 'Ostler, third in full');

  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText(
    'A retrofit that adds power-line communication is available',
  );
});

test('a piece is swapped in the rail and the rest follows', async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Sorrel', 'Ostler, second generation');
  await page.getByRole('button', { name: /Change charger/ }).click();
  const outlets = page.getByRole('group', { name: 'charger' });
  await outlets.getByRole('button', { name: /Ostler, third in full/ }).click();
  await expect(page.getByRole('heading', { name: 'Sorrel at Ostler, third in full' })).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('234 kW');

  await page.getByRole('button', { name: /Change adapter/ }).click();
  await page
    .getByRole('group', { name: 'adapter' })
    .getByRole('button', { name: /A4 · Halyard/ })
    .click();
  await expect(
    page.getByRole('complementary', { name: 'Why' }).getByText("Doesn't fit", { exact: true }),
  ).toBeVisible();
});

test('what was typed wrong is named and kept, and a reading can be taken back', async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Pippin', 'Fernway 50, CHAdeMO');
  await page.getByRole('button', { name: 'Connect this chain' }).click();
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Enter readings' }).click();

  await page.getByLabel('Amps').fill('99999');
  await page.getByLabel('Charge').fill('31');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByRole('alert')).toContainText('Amps: 99999 is outside');
  await expect(page.getByLabel('Amps')).toHaveValue('99999');
  await expect(page.getByLabel('Charge')).toHaveValue('31');

  await page.getByLabel('Amps').fill('118');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByRole('heading', { name: 'Readings, 1' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: /^Readings/ })).toHaveCount(0);
});

test('a wrong password is refused and nothing is lost', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill('someone@else.example');
  await page.getByLabel('Password').fill('guess');
  await page.getByRole('button', { name: 'Sign in' }).click();

  await expect(page.getByRole('alert')).toContainText("don't match");
  await expect(page.getByLabel('E-mail')).toHaveValue('someone@else.example');
});

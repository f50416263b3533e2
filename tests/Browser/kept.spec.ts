import { cell, choose, demo, expect, expire, openDemo, other, signIn, test } from './support';

// What a person typed is theirs.

test('a car kept without figures takes every figure later', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  await page.getByRole('button', { name: 'Enter all figures' }).click();
  const editor = page.getByRole('dialog');
  await editor.getByLabel('Name', { exact: true }).fill('Second-hand');
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(editor).toBeHidden();

  const edit = async () => {
    await page.getByRole('button', { name: 'Edit Second-hand' }).click();
    return page.getByRole('dialog');
  };
  await (await edit()).getByLabel('usable').fill('58');
  await editor.getByRole('region', { name: 'DC behind inlet 1' }).getByLabel('V', { exact: true }).fill('1,000');
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(editor).toContainText('expected a number, got text');
  await editor.getByRole('region', { name: 'DC behind inlet 1' }).getByLabel('V', { exact: true }).fill('1000');
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(editor).toBeHidden();

  await page.reload();
  await expect((await edit()).getByLabel('usable')).toHaveValue('58');
  await expect(editor.getByRole('region', { name: 'DC behind inlet 1' }).getByLabel('V', { exact: true })).toHaveValue(
    '1000',
  );
});

test('an answer that is lost on its way makes nothing twice, also after a reload', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  await page.route('**/api/pieces/vehicles', async (route) => {
    await route.fetch();
    await route.abort();
  });
  const type = async () => {
    await page.getByRole('button', { name: 'Enter all figures' }).click();
    await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill('Second-hand');
    await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  };
  await type();
  await expect(page.getByRole('dialog')).toContainText("Can't reach Harmozon");
  await page.reload();
  await page.unroute('**/api/pieces/vehicles');
  await type();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Edit Second-hand' })).toHaveCount(1);
});

test('two tabs: an older copy overwrites nothing, and what was typed stays', async ({ page, context }) => {
  await openDemo(page);
  await page.goto('/kit');
  const other = await context.newPage();
  await other.goto('/kit');
  for (const tab of [page, other]) {
    await tab.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  }
  const mine = page.getByRole('dialog');
  const theirs = other.getByRole('dialog');
  await theirs.getByLabel('continuous A').fill('250');
  await theirs.getByRole('button', { name: 'Save' }).click();
  await expect(theirs).toBeHidden();

  await mine.getByLabel('Short description').fill('typed late');
  await mine.getByLabel('continuous A').fill('280');
  await mine.getByRole('button', { name: 'Save' }).click();
  const meanwhile = mine.getByRole('region', { name: 'Changed in the meantime' });
  await expect(meanwhile).toContainText('continuous A');
  await expect(meanwhile).toContainText('saved: 250');
  await expect(meanwhile).toContainText('yours: 280');
  await meanwhile.getByRole('button', { name: 'Use the saved figures' }).click();
  await expect(mine.getByLabel('continuous A')).toHaveValue('250');
  await expect(mine.getByLabel('Short description')).toHaveValue('typed late');
  await mine.getByRole('button', { name: 'Save' }).click();
  await expect(mine).toBeHidden();

  // Put aside in the other tab while it is edited here.
  await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  await other.reload();
  await other.getByRole('button', { name: 'More for Tenon T-31' }).click();
  await other.getByRole('button', { name: 'Delete Tenon T-31' }).click();
  await expect(other.getByText('Tenon T-31 deleted.')).toBeVisible();
  await mine.getByLabel('continuous A').fill('290');
  await mine.getByRole('button', { name: 'Save' }).click();
  await mine.getByRole('button', { name: 'Restore it' }).click();
  await expect(mine.getByLabel('continuous A')).toHaveValue('290');
  await mine.getByRole('button', { name: 'Save' }).click();
  await expect(mine).toBeHidden();
  await expect(page.getByText('290 A', { exact: true })).toBeVisible();
});

test('a report prints as a report', async ({ page }) => {
  await openDemo(page);
  await page.goto('/log');
  await page.locator('a[href*="/log/"]').first().click();
  await expect(page.getByRole('article')).toBeVisible();
  await page.emulateMedia({ media: 'print' });

  await expect(page.getByRole('heading', { name: 'Ratings check' })).toBeVisible();
  await expect(page.getByRole('navigation')).toBeHidden();
  await expect(page.getByRole('group', { name: 'The chain' })).toBeHidden();
  for (const button of await page.getByRole('button').all()) {
    await expect(button).toBeHidden();
  }
  const { scroll, seen } = await page.evaluate(() => ({
    scroll: document.documentElement.scrollHeight,
    seen: document.querySelector('article')?.getBoundingClientRect().height ?? 0,
  }));
  expect(scroll).toBeGreaterThanOrEqual(Math.floor(seen));
});

test('what is chosen and wanted stands in the address: reload, back and a sent link show the same', async ({
  page,
  context,
}) => {
  await openDemo(page);
  await choose(page, 'Brindle', 'Ostler, second generation');
  await choose(page, 'Sorrel', 'Ostler, second generation');
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Brindle at Ostler, second generation', level: 2 })).toBeVisible();
  await page.getByText('no adapter', { exact: true }).click();
  await expect(cell(page, 'Brindle', 'Ostler, second generation')).toHaveAccessibleName(/Doesn't fit/);
  await page.getByText('my adapters').click();

  await page.goto('/forecast');
  const ambient = page.getByRole('slider', { name: 'ambient' });
  await ambient.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
  await page.getByText('Where to go').click();
  await expect(page).toHaveURL(/sheet=stops/);
  await page.reload();
  await expect(ambient).toHaveAttribute('aria-valuenow', '40');
  await expect(page.getByRole('heading', { name: 'Forecast: Brindle at Ostler, second generation' })).toBeAttached();

  // An address in other words is put into ours on the spot: back goes to where one came from.
  await page.goto('/kit');
  await page.goto('/board?policy=mine&kit=buy');
  await expect(page).toHaveURL(/\/board\?kit=buy$/);
  await page.goBack();
  await expect(page).toHaveURL(/\/kit$/);
  await page.goBack();
  await expect(ambient).toHaveAttribute('aria-valuenow', '40');

  // Somebody else's browser, with nothing of its own kept.
  const sent = await context.newPage();
  await sent.goto(page.url());
  await expect(sent.getByRole('slider', { name: 'ambient' })).toHaveAttribute('aria-valuenow', '40');
  await expect(sent.getByRole('heading', { name: 'Forecast: Brindle at Ostler, second generation' })).toBeAttached();
});

test('a session that runs out while one types: one signs in where one stands', async ({ page, baseURL }) => {
  await signIn(page);
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Edit Gudgeon G-2' }).click();
  const editor = page.getByRole('dialog', { name: 'Edit Gudgeon G-2' });
  expire(baseURL);
  // It is noticed while the plate is checked.
  await editor.getByLabel('Short description').fill('typed before');

  const again = page.getByRole('dialog', { name: 'Sign in again' });
  await again.getByLabel('Password').fill('wrong');
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(again.getByRole('alert')).toContainText("don't match");
  await again.getByLabel('Password').fill(demo.password);
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(again).toBeHidden();
  await expect(editor.getByLabel('Short description')).toHaveValue('typed before');
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(editor).toBeHidden();
  await expect(page.getByText('typed before')).toBeVisible();
});

test('what was deleted is found again in a list, long after the undo has gone', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  await page.getByRole('button', { name: 'More for Pippin' }).click();
  await page.getByRole('button', { name: 'Delete Pippin' }).click();
  await expect(page.getByRole('button', { name: 'Edit Pippin' })).toHaveCount(0);
  await page.reload();
  await page.getByRole('button', { name: 'Show recently deleted' }).click();
  await page.getByRole('button', { name: 'Restore Pippin' }).click();
  await expect(page.getByText('Nothing was deleted in the last 30 days.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Edit Pippin' })).toBeVisible();
});

test('what is half typed outlives Escape, a reload and signing in again, and nobody else sees it', async ({
  page,
  baseURL,
}) => {
  await signIn(page);
  await page.goto('/kit');
  const open = async () => {
    await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
    return page.getByRole('dialog', { name: 'Edit Tenon T-31' });
  };
  let editor = await open();
  await editor.getByLabel('Short description').fill('half a sentence');
  await page.keyboard.press('Escape');
  await expect(editor).toBeHidden();
  editor = await open();
  await expect(editor.getByText('Not saved yet: this is what you typed before.')).toBeVisible();
  await expect(editor.getByLabel('Short description')).toHaveValue('half a sentence');

  await page.reload();
  editor = await open();
  await expect(editor.getByLabel('Short description')).toHaveValue('half a sentence');
  // What the page still asks for would be refused first, before anybody saves.
  await page.waitForLoadState('networkidle');
  expire(baseURL);
  await editor.getByRole('button', { name: 'Save' }).click();
  const again = page.getByRole('dialog', { name: 'Sign in again' });
  await again.getByLabel('Password').fill(demo.password);
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(again).toBeHidden();
  await expect(editor.getByLabel('Short description')).toHaveValue('half a sentence');

  // Not wanted after all.
  await page.reload();
  editor = await open();
  await editor.getByRole('button', { name: 'Discard it' }).click();
  await expect(editor.getByLabel('Short description')).not.toHaveValue('half a sentence');
  await editor.getByLabel('Short description').fill('another half');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();

  // It waits for the same person.
  await signIn(page);
  await page.goto('/kit');
  editor = await open();
  await expect(editor.getByLabel('Short description')).toHaveValue('another half');
  await page.keyboard.press('Escape');

  // Nobody else sees it, and nothing of it is left for them.
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await signIn(page, other);
  const left = () =>
    page.evaluate(() =>
      [...Object.keys(sessionStorage), ...Object.keys(localStorage)].filter((k) => k.startsWith('harmozon-draft')),
    );
  expect(await left()).toEqual([]);
});

test('a tour and a figure for several, half typed, are there after a reload', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/tours');
  await page.getByRole('button', { name: 'Add tour' }).click();
  const name = page.locator('#tour-name');
  await name.fill('Half a tour');
  await page.reload();
  await expect(name).toHaveValue('Half a tour');

  await page.goto('/kit');
  await page.getByRole('button', { name: 'Edit several' }).click();
  const pick = page.getByRole('checkbox', { name: 'select Tenon T-31' });
  await pick.check();
  const several = page.getByRole('form', { name: 'Several at once' });
  await several.getByLabel('Set for all of them').selectOption('continuous A');
  await page.reload();
  await page.getByRole('button', { name: 'Edit several' }).click();
  await pick.check();
  await expect(several.getByLabel('Set for all of them')).not.toHaveValue('');
});

import type { BrowserContext, Page } from '@playwright/test';
import { choose, demo, endElsewhere, expect, expire, keptHere, other, signIn, test } from './support';

// One device and what it keeps: who sees it, with a network and without.

const HERS = 'Fernway 350';

/** The application is on the device, and the page is drawn from there. */
async function installed(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
}

async function comeIn(page: Page, who: { email: string; password: string }): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(who.email);
  await page.getByLabel('Password').fill(who.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('grid')).toBeVisible();
}

/** Begins a session and takes a reading of 50 kW. */
async function record(page: Page): Promise<string> {
  await choose(page, 'Brindle', HERS);
  await page.goto('/connect');
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Enter readings' }).click();
  await page.getByRole('textbox', { name: 'Power' }).fill('50');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByRole('heading', { name: 'Readings, 1' })).toBeVisible();
  return /connect\/(\w+)/.exec(page.url())?.[1] ?? '';
}

async function seesNothing(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page).toHaveURL(/sign-in|begin/);
  await expect(page.getByText(/Brindle|Marionette|Lanternfish Puppet/)).toHaveCount(0);
}

async function device(
  browser: { newContext: (o: object) => Promise<BrowserContext> },
  baseURL: string | undefined,
): Promise<[BrowserContext, Page]> {
  const context = await browser.newContext({ baseURL, serviceWorkers: 'allow', reducedMotion: 'reduce' });
  const page = await context.newPage();
  await signIn(page);
  await installed(page);
  return [context, page];
}

test('whoever has just signed in finds the garage without a network', async ({ browser, baseURL }) => {
  const [context, page] = await device(browser, baseURL);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('grid')).toBeVisible();
  await expect(page.getByText('The Lanternfish Puppet Company', { exact: true })).toBeVisible();
  await context.close();
});

test('two people, one device: nothing of one is seen by the other, and nothing that waits is lost', async ({
  browser,
  baseURL,
}) => {
  const [context, page] = await device(browser, baseURL);
  await choose(page, 'Brindle', HERS);
  await page.goto('/connect');
  await expect(page.getByRole('button', { name: 'Start session' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Enter readings' }).click();
  await page.getByRole('textbox', { name: 'Power' }).fill('50');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByRole('heading', { name: 'Readings, 1' })).toBeVisible();
  const id = /connect\/(\w+)/.exec(page.url())?.[1] ?? '';

  // She signs out without a network, and is told what waits.
  await page.getByRole('button', { name: 'Sign out' }).click();
  const asked = page.getByRole('dialog', { name: 'Not everything has been sent yet' });
  await expect(asked).toContainText('stay on this device');
  await asked.getByRole('button', { name: 'Stay signed in' }).click();
  await expect(page.getByRole('heading', { name: 'Readings, 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await asked.getByRole('button', { name: 'Sign out' }).click();
  await seesNothing(page);
  for (const path of ['/board', `/connect/${id}`, '/log']) {
    await page.goto(path);
    await seesNothing(page);
  }
  const left = await keptHere(page);
  expect([left.answers, left.who]).toEqual([[], null]);
  expect(left.waiting).toBeGreaterThan(1);

  // The server hears of it as soon as it can.
  await context.setOffline(false);
  await expect.poll(async () => (await page.request.get('/api/me')).status()).toBe(401);

  await comeIn(page, other);
  await expect(page.getByText('Brindle')).toHaveCount(0);
  await page.goto(`/connect/${id}`);
  await expect(page.getByRole('alert')).toBeVisible();
  await expect(page.getByText('Brindle')).toHaveCount(0);
  await context.setOffline(true);
  await page.goto('/board');
  await expect(page.getByRole('grid')).toBeVisible();
  await expect(page.getByText('Brindle')).toHaveCount(0);
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await seesNothing(page);

  await comeIn(page, demo);
  await expect.poll(async () => (await keptHere(page)).waiting).toBe(0);
  const held = (await (await page.request.get(`/api/sessions/${id}/readings`)).json()) as {
    readings: { kw: number }[];
  };
  expect(held.readings.map((r) => r.kw)).toEqual([50]);
  await context.close();
});

test('signing out without a network also works where nothing was installed', async ({ page, context }) => {
  await signIn(page);
  await choose(page, 'Brindle', HERS);
  await page.goto('/connect');
  await expect(page.getByRole('button', { name: 'Start session' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page
    .getByRole('dialog', { name: 'Not everything has been sent yet' })
    .getByRole('button', { name: 'Sign out' })
    .click();
  await expect(page.getByText('Brindle')).toHaveCount(0);

  await context.setOffline(false);
  await page.goto('/board');
  await seesNothing(page);
  expect((await page.request.get('/api/me')).status()).toBe(401);
});

test('a browser that is signed out from elsewhere hides everything, with a network and without', async ({
  browser,
  baseURL,
}) => {
  const [context, page] = await device(browser, baseURL);
  await record(page);
  await page.goto('/log');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await endElsewhere(browser, baseURL);

  await page.getByRole('link', { name: 'Kit' }).click();
  await seesNothing(page);
  await context.setOffline(true);
  await page.goto('/board');
  await seesNothing(page);
  expect((await keptHere(page)).answers).toEqual([]);
  await context.close();
});

test('a browser whose time has run out goes on without a network, and is asked to sign in where there is one', async ({
  browser,
  baseURL,
}) => {
  const [context, page] = await device(browser, baseURL);
  await record(page);
  await context.setOffline(true);
  expire(baseURL);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Readings, 1' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Power' }).fill('60');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByRole('heading', { name: 'Readings, 2' })).toBeVisible();

  await context.setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  const again = page.getByRole('dialog', { name: 'Sign in again' });
  await again.getByLabel('Password').fill(demo.password);
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(again).toBeHidden();
  await expect.poll(async () => (await keptHere(page)).waiting).toBe(0);
  await expect(page.getByRole('heading', { name: 'Readings, 2' })).toBeVisible();
  await context.close();
});

test('two tabs: whoever signs in in one is who the other shows', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL });
  const [one, two] = [await context.newPage(), await context.newPage()];
  await signIn(one);
  await two.goto('/kit/cars');
  await expect(two.getByRole('heading', { name: 'Brindle' })).toBeVisible();
  await one.getByRole('button', { name: 'Sign out' }).click();
  await seesNothing(one);
  await seesNothing(two);

  await comeIn(one, other);
  await two.goto('/board');
  await expect(two.getByRole('grid')).toBeVisible();
  await expect(two.getByText('Brindle')).toHaveCount(0);
  await context.close();
});

test('a part of the page that is gone after an update comes with the page loaded anew, once', async ({ page }) => {
  await signIn(page);
  let refused = 0;
  await page.route(/assets\/LogStage-.*\.js/, async (route) => {
    await (refused++ === 0 ? route.fulfill({ status: 404, body: '' }) : route.continue());
  });
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page).toHaveURL(/\/log$/);
  await expect.poll(() => refused).toBe(2);

  await page.route(/assets\/KitStage-.*\.js/, async (route) => route.fulfill({ status: 404, body: '' }));
  await page.getByRole('link', { name: 'Kit' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Something on this page broke' })).toBeVisible();
});

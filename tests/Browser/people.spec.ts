import { spawn } from 'node:child_process';
import { type Page } from '@playwright/test';
import { expect, openDemo, test } from './support';
import { portOf } from './workers';

const PASSWORD = 'seven swans a-swimming';

/** The first account of all, with its garage. */
async function begin(page: Page): Promise<void> {
  await page.goto('/begin');
  await page.getByLabel('Name', { exact: true }).fill('Ida Wren');
  await page.getByLabel('E-mail').fill('ida@wren.example');
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByText('Guessed from your browser').click();
  await page.getByLabel('Garage name').fill('Wren and Daughter');
  await page.getByRole('button', { name: 'Open my garage' }).click();
  await expect(
    page.getByRole('heading', { name: 'Open the charge-port door. Which of these do you see?' }),
  ).toBeVisible();
}

async function invite(page: Page, role: string): Promise<string> {
  await page.goto('/you');
  await page.getByRole('radio', { name: role }).check();
  await page.getByLabel('Who it is for (a note to yourself)').fill('Bo, the van');
  await page.getByRole('button', { name: 'Create link' }).click();
  return page.getByLabel('Link').inputValue();
}

test('the first page makes the first account, and afterwards the door is closed', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Create the first account' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Explore the demo garage' })).toBeVisible();

  // What was typed stays when a field is refused.
  await page.getByLabel('Name', { exact: true }).fill('Ida Wren');
  await page.getByLabel('E-mail').fill('ida@wren.example');
  await page.getByLabel('Password', { exact: true }).fill('seven swans');
  await page.getByText('Guessed from your browser').click();
  await page.getByLabel('Garage name').fill('Wren and Daughter');
  await page.getByLabel('Currency').selectOption('CHF');
  await page.getByRole('button', { name: 'Open my garage' }).click();
  await expect(page.getByRole('alert')).toContainText('Use at least 12 characters');
  await expect(page.getByLabel('Garage name')).toHaveValue('Wren and Daughter');
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Open my garage' }).click();
  await expect(
    page.getByRole('heading', { name: 'Open the charge-port door. Which of these do you see?' }),
  ).toBeVisible();
  await expect(page.getByText('Wren and Daughter').first()).toBeVisible();

  await page.getByRole('button', { name: 'Sign out' }).first().click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Create the first account' })).toHaveCount(0);
  await page.goto('/begin');
  await expect(page.getByText('Accounts are by invitation. Ask a garage owner for a link.')).toBeVisible();
});

test('an invitation is accepted on a phone, once, and a driver is shown what a driver may do', async ({
  page,
  browser,
  baseURL,
}) => {
  await begin(page);
  const link = await invite(page, 'driver');

  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL });
  const bo = await phone.newPage();
  await bo.goto(link);
  await expect(bo.getByText('Join Wren and Daughter as driver.')).toBeVisible();
  await bo.getByLabel('Name', { exact: true }).fill('Bo');
  await bo.getByLabel('E-mail').fill('bo@wren.example');
  await bo.getByLabel('Password', { exact: true }).fill('eleven pipers piping');
  await bo.getByRole('button', { name: 'Accept invitation' }).tap();
  await expect(bo.getByRole('heading', { name: 'Start with your car' })).toBeVisible();
  await bo.goto('/kit/cars');
  await expect(bo.getByRole('button', { name: 'Enter all figures' })).toBeVisible();
  await bo.goto('/kit/places');
  await expect(bo.getByRole('button', { name: 'Add place' })).toBeVisible();
  await expect(bo.getByRole('button', { name: 'Import places (OCPI)' })).toHaveCount(0);

  // The link is used up; the keeper sees who came, makes a reader of them, and sends them away.
  await bo.context().clearCookies();
  await bo.goto(`${link}`);
  await bo.reload();
  await expect(bo.getByRole('alert')).toContainText('has been used');
  await page.reload();
  const role = page.getByLabel("Bo's role");
  await role.selectOption('reader');
  await expect(role).toHaveValue('reader');
  await page.getByRole('button', { name: 'Remove Bo' }).click();
  await expect(page.getByText('bo@wren.example')).toHaveCount(0);
  await phone.close();
});

test('somebody of one garage makes another and goes between them', async ({ page, browser, baseURL }) => {
  await begin(page);
  const link = await invite(page, 'viewer');

  const context = await browser.newContext({ baseURL });
  const guest = await context.newPage();
  await guest.goto(link);
  await guest.getByLabel('Name', { exact: true }).fill('Bo');
  await guest.getByLabel('E-mail').fill('bo@wren.example');
  await guest.getByLabel('Password', { exact: true }).fill('eleven pipers piping');
  await guest.getByRole('button', { name: 'Accept invitation' }).click();
  await expect(guest.getByRole('heading', { name: 'Start with your car' })).toBeVisible();
  await guest.goto('/kit/cars');
  await expect(guest.getByRole('heading', { name: 'Kit', level: 1 })).toBeVisible();
  await expect(guest.getByRole('button', { name: 'Enter all figures' })).toHaveCount(0);

  await guest.goto('/you');
  await guest.getByRole('button', { name: 'Create another garage' }).click();
  await guest.getByLabel('Garage name').fill("Bo's yard");
  await guest.getByRole('button', { name: 'Create garage' }).click();
  await expect(guest.getByRole('heading', { name: 'Start with your car' })).toBeVisible();
  await guest.goto('/kit/cars');
  await expect(guest.getByRole('button', { name: 'Enter all figures' })).toBeVisible();
  const tab = await context.newPage();
  await tab.goto('/kit/cars');
  await expect(tab.getByRole('button', { name: 'Enter all figures' })).toBeVisible();
  await guest.goto('/you');
  await guest.getByRole('button', { name: 'Open Wren and Daughter' }).click();
  // The page that was left names both garages; the next one comes when the server has answered.
  await guest.waitForURL('**/board');
  await expect(guest.getByText('Wren and Daughter').first()).toBeVisible();

  // The other tab still shows the other garage: what is typed there goes into no garage that it was not meant for.
  await tab.getByRole('button', { name: 'Enter all figures' }).click();
  await tab.getByLabel('Name', { exact: true }).fill('Van');
  await tab.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(tab.getByText('Another garage is open now').first()).toBeVisible();
  await expect(tab.getByLabel('Name', { exact: true })).toHaveValue('Van');

  // The made-up account, which anybody opens, is no way in.
  const next = await invite(page, 'driver');
  await guest.context().clearCookies();
  await openDemo(guest);
  await guest.goto(next);
  await guest.getByRole('button', { name: 'Accept invitation' }).click();
  await expect(guest.getByRole('alert')).toContainText('Create your own account instead');
  await context.close();
});

test('a password is changed, and every other browser is signed out', async ({ page, browser, baseURL }) => {
  await begin(page);
  const context = await browser.newContext({ baseURL });
  const other = await context.newPage();
  await other.goto('/sign-in');
  await other.getByLabel('E-mail').fill('ida@wren.example');
  await other.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await other.getByRole('button', { name: 'Sign in' }).click();
  await expect(other.getByRole('heading', { name: 'Start with your car' })).toBeVisible();

  await page.goto('/you');
  await expect(page.getByRole('main').getByRole('button', { name: 'Sign out', exact: true })).toHaveCount(1);
  await page.getByLabel('Current password').fill('a guess of mine');
  await page.getByLabel('New password').fill('nine ladies dancing');
  await page.getByRole('button', { name: 'Change password' }).click();
  await expect(page.getByRole('alert')).toContainText("This isn't your current password.");
  await page.getByLabel('Current password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Change password' }).click();
  await expect(page.getByText('Every other browser has been signed out.')).toBeVisible();
  await expect(page.getByRole('main').getByRole('button', { name: 'Sign out', exact: true })).toHaveCount(0);
  await other.reload();
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await context.close();
});

test('a garage is ended by its name, and its keeper makes another', async ({ page }) => {
  await begin(page);
  await page.goto('/you');
  await page.getByRole('button', { name: 'Delete garage' }).click();
  await page.getByLabel("Type the garage's name: Wren and Daughter").fill('Wren');
  await page.getByRole('button', { name: 'Delete garage permanently' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing was deleted');
  await page.getByLabel("Type the garage's name: Wren and Daughter").fill('Wren and Daughter');
  await page.getByRole('button', { name: 'Delete garage permanently' }).click();
  await expect(page.getByRole('heading', { name: "You don't belong to a garage" })).toBeVisible();
  await page.getByLabel('Garage name').fill('Wren wharf');
  await page.getByRole('button', { name: 'Create garage' }).click();
  await expect(page.getByText('Wren wharf').first()).toBeVisible();
});

test('a whole garage leaves as a file and comes into another', async ({ page, browser, baseURL }) => {
  const context = await browser.newContext({ baseURL });
  const lanternfish = await context.newPage();
  await openDemo(lanternfish);
  await lanternfish.goto('/you');
  const [download] = await Promise.all([
    lanternfish.waitForEvent('download'),
    lanternfish.getByRole('link', { name: 'Save everything as a file' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('the-lanternfish-puppet-company.garage.json');
  const file = await download.path();

  await begin(page);
  await page.goto('/you');
  await page.getByLabel('Import a garage file').setInputFiles(file);
  await expect(page.getByText(/\d+ pieces added; none replaced/)).toBeVisible();
  await page.getByLabel('Import a garage file').setInputFiles(file);
  await expect(page.getByText('Nothing new')).toBeVisible();
  await page.getByLabel('Import a garage file').setInputFiles({
    name: 'shopping.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"milk": 2}'),
  });
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(page.getByRole('grid', { name: 'Cars at chargers' })).toBeVisible();
  await context.close();
});

test('a garage that is too large to be waited for is sent in pieces and comes in beside the server', async ({
  page,
  browser,
  baseURL,
}, info) => {
  const context = await browser.newContext({ baseURL });
  const lanternfish = await context.newPage();
  await openDemo(lanternfish);
  const sound = await (await lanternfish.request.get('/api/garage/export')).text();
  await context.close();
  // Blanks between the signs of JSON make it large.
  const text = sound.replace('\n', '\n'.padEnd(5_000_000, ' '));
  const file = (content: string) => ({
    name: 'large.json',
    mimeType: 'application/json',
    buffer: Buffer.from(content),
  });

  await begin(page);
  await page.goto('/you');
  const panel = page.getByRole('status').filter({ hasText: 'large.json' });
  await page.getByLabel('Import a garage file').setInputFiles(file(text));
  await expect(panel).toContainText('large.json: waiting its turn. You can leave this page.');
  await page.reload();
  await expect(panel).toContainText('waiting its turn');
  const worker = spawn('bash', ['tests/Browser/work.sh'], {
    env: { ...process.env, HARMOZON_TEST_PORT: String(portOf(info.parallelIndex)) },
    detached: true,
    stdio: 'ignore',
  });
  try {
    await expect(panel).toContainText(/large\.json: imported\.\s*\d+ pieces added/, { timeout: 30_000 });
    await page.getByLabel('Import a garage file').setInputFiles(file(text.replace('"vehicles"', '"vehicles" oh')));
    await expect(panel).toContainText('is not valid JSON. Nothing was imported.', {
      timeout: 30_000,
    });
    await page.getByRole('button', { name: 'Remove large.json' }).click();
    await expect(panel).toHaveCount(0);
  } finally {
    if (worker.pid !== undefined) {
      process.kill(-worker.pid, 'SIGKILL');
    }
  }
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(page.getByRole('grid', { name: 'Cars at chargers' })).toBeVisible();
});

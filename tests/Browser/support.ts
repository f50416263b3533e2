import { execFileSync } from 'node:child_process';
import { test as plain, expect, type Browser, type Page } from '@playwright/test';
import { portOf } from './workers';

/* eslint-disable no-empty-pattern -- the runner reads from the pattern what a fixture needs */
/** A test at the server of its own worker, whose demo garage is as it was at first. */
export const test = plain.extend<{ freshGarage: undefined }>({
  baseURL: async ({}, use, { parallelIndex }) => use(`http://127.0.0.1:${portOf(parallelIndex)}`),
  freshGarage: [
    async ({}, use, { parallelIndex }) => {
      execFileSync('bash', ['tests/Browser/fresh.sh'], {
        env: { ...process.env, HARMOZON_TEST_PORT: String(portOf(parallelIndex)) },
      });
      await use(undefined);
    },
    { auto: true },
  ],
});
/* eslint-enable no-empty-pattern */
export { expect };

export const demo = { email: 'marionette@lanternfish.example', password: 'dovetail-and-shim' };

/** Somebody else, of another garage. */
export const other = { email: 'overseas@lanternfish.example', password: 'dovetail-and-shim' };

/** Signs in with a password, to the board. */
export async function signIn(page: Page, as = demo): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(as.email);
  await page.getByLabel('Password').fill(as.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('grid')).toBeVisible();
}

/** The time of every browser at this server has run out. */
export function expire(baseURL: string | undefined): void {
  execFileSync('bash', ['tests/Browser/expire.sh'], {
    env: { ...process.env, HARMOZON_TEST_PORT: new URL(baseURL ?? '').port },
  });
}

/** The drills of this server's garages are a day older. */
export function tomorrow(baseURL: string | undefined): void {
  execFileSync('bash', ['tests/Browser/tomorrow.sh'], {
    env: { ...process.env, HARMOZON_TEST_PORT: new URL(baseURL ?? '').port },
  });
}

/** Signs out every other browser of the same account, from another one. */
export async function endElsewhere(browser: Browser, baseURL: string | undefined): Promise<void> {
  const context = await browser.newContext({ baseURL });
  const page = await context.newPage();
  await signIn(page);
  await page.goto('/you');
  const devices = page.getByRole('main').getByRole('button', { name: 'Sign out', exact: true });
  await devices.first().click();
  await expect(devices).toHaveCount(0);
  await context.close();
}

/** Comes in as the button on the first page does, which other journeys press. */
export async function openDemo(page: Page, board = 'Cars at chargers'): Promise<void> {
  expect((await page.request.post('/api/demo-sign-in')).ok()).toBe(true);
  await page.goto('/board');
  // A table, or on a phone one car at a time.
  const table = page.getByRole('grid', { name: board });
  await expect(table.or(page.getByRole('group', { name: board }))).toBeVisible();
}

/** The board's cell for a car at a charger, by what a screen reader says of it. */
export function cell(page: Page, car: string, charger: string, at = 'at') {
  return page.getByRole('button', { name: `${car} ${at} ${charger}:` });
}

export async function choose(page: Page, car: string, charger: string): Promise<void> {
  const chips = page.getByRole('group', { name: 'Stops for' });
  if ((await chips.count()) > 0) {
    await chips.getByRole('button', { name: car }).click();
  }
  await cell(page, car, charger).click();
  await expect(page.getByRole('heading', { name: `${car} at ${charger}`, level: 2 })).toBeVisible();
}

/** A session of 25 minutes: 420 A for 14, then 290 A; one row is bad. */
export function readingsFile(peakA = 420, minutesAtPeak = 14): { name: string; mimeType: string; buffer: Buffer } {
  const rows = ['t_s,soc_pct,volts,amps,adapter_c,ambient_c'];
  for (let t = 0; t <= 1500; t += 10) {
    const amps = t < 60 ? 0 : t < 60 + minutesAtPeak * 60 ? peakA : 290;
    rows.push(`${t},${(12 + t / 30).toFixed(1)},${(290 + t / 50).toFixed(1)},${amps},${(20 + t / 90).toFixed(1)},19`);
  }
  rows.push('1510,full,330,1,40,19');
  return { name: 'session.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) };
}

/** A network's place of two stalls and one that bears its own words. */
export function locationsFile(watts = 120_000, status = 'OUTOFORDER') {
  const connectors = (standard: string) => [
    {
      id: '1',
      standard,
      format: 'CABLE',
      power_type: 'DC',
      max_voltage: 920,
      max_amperage: 200,
      max_electric_power: watts,
      tariff_ids: ['T1'],
    },
  ];
  const file = [
    {
      id: 'L1',
      name: 'Sluice wharf',
      operator: { name: 'Kingcup' },
      evses: [
        { uid: 'E1', physical_reference: '1', connectors: connectors('IEC_62196_T1_COMBO') },
        { uid: 'E2', physical_reference: '2', status, connectors: connectors('IEC_62196_T1_COMBO') },
        { uid: 'E3', physical_reference: '3', status: 'WOBBLY', connectors: connectors('PANTOGRAPH') },
      ],
    },
  ];
  return { name: 'locations.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) };
}

/** The price of its stalls, in a file of its own: 0.40 and a tenth of VAT. */
export function tariffsFile() {
  const component = { type: 'ENERGY', price: 0.4, vat: 10, step_size: 1 };
  const file = [{ id: 'T1', currency: 'USD', elements: [{ price_components: [component] }] }];
  return { name: 'tariffs.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) };
}

/** Everything that the device keeps of answers, and of who is there. */
export const keptHere = (page: Page): Promise<{ answers: string[]; who: string | null; waiting: number }> =>
  page.evaluate(async () => {
    const database = await new Promise<IDBDatabase>((done, fail) => {
      const asked = indexedDB.open('harmozon');
      asked.onsuccess = () => done(asked.result);
      asked.onerror = () => fail(asked.error ?? new Error('no database'));
    });
    const of = <T>(request: IDBRequest<T>) =>
      new Promise<T>((done, fail) => {
        request.onsuccess = () => done(request.result);
        request.onerror = () => fail(request.error ?? new Error('no answer'));
      });
    const tx = database.transaction(['kept', 'acts']);
    const answers = (await of(tx.objectStore('kept').getAllKeys())) as string[];
    const waiting = await of(database.transaction('acts').objectStore('acts').count());
    database.close();
    return { answers, who: localStorage.getItem('harmozon-me'), waiting };
  });

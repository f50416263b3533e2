import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, expect, openDemo, test } from './support';
import { portOf } from './workers';

/** A session that has just begun, at its readings. */
async function begin(page: Page): Promise<void> {
  await openDemo(page);
  await choose(page, 'Brindle', 'Ostler, second generation');
  await page.getByRole('button', { name: 'Connect this chain' }).click();
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Enter readings' }).click();
}

const csv = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
const load = (page: Page, name: string, text: string) =>
  page.getByLabel('Load a readings file').setInputFiles(csv(name, text));
const readings = (page: Page, n: number) =>
  expect(page.getByRole('heading', { name: `Readings, ${n}`, exact: true })).toBeVisible();

/** So many rows of our own, one a second. */
function ours(rows: number): string {
  const lines = ['t_s,soc_pct,kw'];
  for (let i = 0; i < rows; i++) {
    lines.push(`${i},${(12 + (60 * i) / rows).toFixed(3)},${(90 - (40 * i) / rows).toFixed(2)}`);
  }
  return lines.join('\n') + '\n';
}

test("two files are one session: the thermometer's is pushed beside the car's, by hand and by its keys", async ({
  page,
}) => {
  await begin(page);
  await load(page, 'car.csv', ours(600));
  await expect(page.getByText('600 readings added')).toBeVisible();
  await readings(page, 600);

  const rows = Array.from({ length: 30 }, (_, i) => `${i * 10};${(20 + i / 2).toFixed(1).replace('.', ',')}`);
  await load(page, 'thermometer.csv', ['Laufzeit (s);T1', ...rows, 'x;1'].join('\n'));
  const look = page.getByRole('dialog', { name: 'Check thermometer.csv before adding it' });
  await expect(look.getByRole('alert')).toBeVisible();
  // What the file says of itself need not be chosen again.
  await expect(look.getByLabel('What Laufzeit (s) contains')).toHaveValue('t_s');
  await expect(look.getByLabel('Decimal separator')).toHaveValue(',');
  await look.getByLabel('What T1 contains').selectOption('adapter_c');
  await expect(look.getByRole('alert')).toHaveCount(0);
  await expect(look.getByRole('row', { name: '0:10 20.5 °C' })).toBeVisible();
  await expect(look.getByText('30 rows read; 1 row left out.')).toBeVisible();

  const slide = look.getByRole('slider', { name: 'Seconds after plugging in' });
  await expect(slide).toHaveAttribute('aria-valuetext', 'when plugging in');
  await slide.press('PageUp');
  await slide.press('Shift+ArrowRight');
  await slide.press('ArrowLeft');
  await expect(look.getByText('The file starts 1:09 after plugging in.')).toBeVisible();
  await expect(look.getByRole('row', { name: '1:09 20.0 °C' })).toBeVisible();
  const box = await slide.boundingBox();
  if (!box) {
    throw new Error('the slider is not there');
  }
  // What is typed before the answer to the push comes stands.
  let answer = () => {};
  const typed = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/imports/*', (route) => typed.then(() => route.continue()), { times: 1 });
  const pushed = page.waitForRequest((r) => r.method() === 'PUT' && r.url().includes('/api/imports/'));
  // Ten minutes are as wide as the chart: a twentieth of it is half a minute.
  await page.mouse.move(box.x + 200, box.y + 150);
  await page.mouse.down();
  await page.mouse.move(box.x + 200 + (box.width - 20) / 20, box.y + 150, { steps: 4 });
  await page.mouse.up();
  await expect(look.getByText(/The file starts 1:(39|40|38) after plugging in\./)).toBeVisible();
  await pushed;
  await look.getByRole('spinbutton', { name: 'Seconds after plugging in' }).fill('120');
  answer();
  await expect(look.getByRole('row', { name: /^1:(39|40|38) 20\.0 °C$/ })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(look.getByRole('row', { name: '2:00 20.0 °C' })).toBeVisible();
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 630);

  await page.getByRole('button', { name: 'Finish session' }).click();
  await expect(page).toHaveURL(/\/log\//);
  await expect(page.getByText(/adapter\s*34\.5 °C/).first()).toBeVisible();
});

test('a file of that kind is read as was said, and one that was taken is taken back', async ({ page }) => {
  await begin(page);
  const file = (day: number) =>
    `Uhr;P1\n0${day}.05.2026 10:00:00;50500\n0${day}.05.2026 10:00:20;51000\n0${day}.05.2026 10:00:40;nothing\n`;
  await load(page, 'first.csv', file(1));
  const look = page.getByRole('dialog');
  await look.getByLabel('What Uhr contains').selectOption('time');
  await look.getByLabel('Format of Uhr').selectOption('d.m.Y H:i:s');
  await look.getByLabel('What P1 contains').selectOption('kw');
  await look.getByLabel('Unit of P1').selectOption('W');
  await expect(look.getByRole('row', { name: '0:20 51.0' })).toBeVisible();
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 2);
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the rows left out' }).click();
  expect(readFileSync(await (await saved).path(), 'utf8')).toMatch(
    /^line,reason,Uhr,P1\r\n4,.*not a number.*,01\.05\.2026 10:00:40,nothing\r\n$/,
  );

  await load(page, 'second.csv', file(2));
  await expect(look.getByText('Read the same way as the last file of this kind.')).toBeVisible();
  await expect(look.getByRole('row', { name: '0:20 51.0' })).toBeVisible();
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 4);
  await page.getByRole('button', { name: 'Remove first.csv' }).click();
  await readings(page, 2);
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByRole('heading', { name: /^Readings, / })).toHaveCount(0);
});

test('degrees Fahrenheit beside our own names are read as such, and the handle was too hot', async ({ page }) => {
  await begin(page);
  const rows = Array.from({ length: 12 }, (_, i) => `${i * 60},90,${i < 6 ? 95 : 190.4}`);
  await load(page, 'mixed.csv', ['t_s,kw,handle (degF)', ...rows].join('\n'));
  await expect(page.getByText('12 readings added')).toBeVisible();
  await page.getByRole('button', { name: 'Finish session' }).click();
  await expect(page.getByText('Handle reached 88 °C: too hot to hold.').first()).toBeVisible();
});

test('a clock of minutes is not taken for hours, and where nothing tells, it is asked', async ({ page }) => {
  await begin(page);
  const rows = (last: number) => Array.from({ length: last + 1 }, (_, m) => `${m}:00;50`);
  await load(page, 'long.csv', ['Time;Power (kW)', ...rows(39)].join('\n'));
  const look = page.getByRole('dialog');
  await expect(look.getByRole('row', { name: '7:00 50.0' })).toBeVisible();
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 40);

  await load(page, 'short.csv', ['Clock;Current (A)', '0:00;100', '0:25;110', '0:50;120'].join('\n'));
  const asked = look.getByRole('group', { name: /what 0:50 in the column "Clock" means/ });
  await expect(asked.getByRole('button')).toHaveText(['0 min 50 s', '0 h 50 min']);
  await expect(look.getByRole('button', { name: 'Add these readings' })).toBeDisabled();
  await asked.getByRole('button', { name: '0 min 50 s' }).click();
  await expect(look.getByRole('row', { name: '0:50 120.0' })).toBeVisible();
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 43);
});

test('French headers and a space between thousands are read, laid by the first clock, and named on paper', async ({
  page,
}) => {
  await begin(page);
  const at = (minute: number, second = 0) =>
    `01.03.2024 10:${String(minute).padStart(2, '0')}:${String(second).padStart(2, '0')}`;
  const car = Array.from({ length: 20 }, (_, i) => `${at(i)};${20 + i};50 ${200 + i},5`);
  await load(page, 'recorder.csv', ['Horodatage;État de charge (%);Puissance (W)', ...car].join('\n'));
  const look = page.getByRole('dialog');
  await expect(look.getByRole('row', { name: '1:00 21.0 50.2' })).toBeVisible();
  await look.getByLabel('Instrument').fill('Recorder of the club');
  await page.keyboard.press('Tab');
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 20);

  await load(page, 'probe.csv', ['Heure;Temp poignée (°C)', `${at(2, 30)};31,5`, `${at(12, 30)};36,5`].join('\n'));
  await expect(look.getByRole('row', { name: '2:30 31.5 °C' })).toBeVisible();
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 22);

  await page.getByRole('button', { name: 'Finish session' }).click();
  await expect(page.getByText('Recorder of the club, 20 readings')).toBeVisible();
  await expect(page.getByText('probe, 2 readings')).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Report as PDF' }).click();
  const text = execFileSync('php', ['tests/Browser/pdftext.php', await (await saved).path()]).toString();
  expect(text.replace(/\s+/g, '')).toContain('Recorderoftheclub:20readings');
});

test('what is said of a file last is heard before it is added: on a slow line, on none, and closed by Esc', async ({
  page,
}) => {
  await begin(page);
  const foreign = (name: string, kw: number) =>
    load(page, name, ['Time (s);Power (kW)', ...Array.from({ length: 12 }, (_, i) => `${i};${kw}`)].join('\n'));
  await foreign('slow.csv', 50);
  const look = page.getByRole('dialog');
  await expect(look.getByRole('row', { name: '0:03 50.0' })).toBeVisible();

  let answer: () => void = () => undefined;
  const isToAnswer = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/imports/*', async (route) => {
    await isToAnswer;
    await route.continue();
  });
  await look.getByLabel('Instrument').fill('Club recorder');
  await look.getByRole('slider').press('PageUp');
  await look.getByRole('button', { name: 'Add these readings' }).click();
  answer();
  await readings(page, 12);
  await page.unroute('**/api/imports/*');

  await foreign('gone.csv', 60);
  await page.route('**/api/imports/*', (route) => route.abort());
  await look.getByLabel('Instrument').fill('Second recorder');
  await page.keyboard.press('Escape');
  await expect(look).toHaveCount(0);
  await expect(page.getByText(/^Can't reach Harmozon/)).toBeVisible();
  await page.unroute('**/api/imports/*');
  await page.getByRole('button', { name: 'Check it' }).click();
  await expect(look.getByLabel('Instrument')).toHaveValue('Second recorder');
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 24);

  await foreign('again.csv', 70);
  await page.route('**/api/imports/*', (route) => route.abort());
  await look.getByLabel('Instrument').fill('Third recorder');
  await look.getByRole('slider').press('Shift+ArrowRight');
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await expect(look.getByText(/^Can't reach Harmozon/)).toBeVisible();
  await page.unroute('**/api/imports/*');
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await readings(page, 36);
  // The last of each: a minute later than its own clock, and ten seconds.
  await expect(page.getByRole('cell', { name: '1:11', exact: true })).toBeVisible();
  await expect(page.getByRole('cell', { name: '0:21', exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Finish session' }).click();
  await expect(page.getByText('Club recorder, 12 readings')).toBeVisible();
  await expect(page.getByText('Second recorder, 12 readings')).toBeVisible();
  await expect(page.getByText('Third recorder, 12 readings')).toBeVisible();
});

test('a large file is taken beside the server: stopped, gone on with, and its worker killed on the way', async ({
  page,
}, info) => {
  // A slow machine judges some ten thousand rows a second.
  test.setTimeout(240_000);
  const work = (): ChildProcess =>
    spawn('bash', ['tests/Browser/work.sh'], {
      env: { ...process.env, HARMOZON_TEST_PORT: String(portOf(info.parallelIndex)) },
      detached: true,
      stdio: 'ignore',
    });
  const kill = (child: ChildProcess) =>
    child.pid !== undefined && child.signalCode === null && process.kill(-child.pid, 'SIGKILL');
  await begin(page);
  let worker = work();
  try {
    await load(page, 'large.csv', ours(400_000));
    await expect(page.getByText(/large\.csv: [1-9]\d? % read, [1-9]/)).toBeVisible({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    await expect(page.getByText(/large\.csv: stopped at [1-9]\d? %/)).toBeVisible();

    await page.getByRole('button', { name: 'Continue' }).click();
    await expect(page.getByText(/large\.csv: \d+ % read, [1-9]/)).toBeVisible();
    kill(worker);
    await page.reload();
    await expect(page.getByText(/large\.csv: [1-9]\d? % read, [1-9]/)).toBeVisible();
    worker = work();
    await expect(page.getByText('400,000 readings added.')).toBeVisible({ timeout: 90_000 });
    await expect(page.getByRole('heading', { name: /^Readings, 400.?000$/ })).toBeVisible();
    // What they say follows when they are judged.
    await expect(page.getByText('The report is being worked out')).toHaveCount(0, { timeout: 90_000 });
    await expect(page.getByText('No readings yet.')).toHaveCount(0);
  } finally {
    kill(worker);
  }
});

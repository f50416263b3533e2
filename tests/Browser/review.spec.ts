import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { choose, expect, openDemo, readingsFile, test } from './support';

// From a session to what it proves: the report, two sessions compared, plates changed since, what the log adds up to.

/** The id of the session with this note. */
const noted = (page: Page, note: string): Promise<string> =>
  page.evaluate(async (start) => {
    const answer = await fetch('/api/sessions', { headers: { Accept: 'application/json' } });
    const { sessions } = (await answer.json()) as { sessions: { id: string; note: string }[] };
    return sessions.find((s) => s.note.startsWith(start))?.id ?? '';
  }, note);

test('a report tells first what cost the most, and shows it closer on its one axis', async ({ page }) => {
  await openDemo(page);
  await page.goto(`/log/${await noted(page, 'Saw 45 kW')}`);
  await expect(page.getByText(/a derated stall cost \d+ min\.$/)).toBeVisible();

  const held = page.getByRole('region', { name: 'What limited it' });
  await expect(held).toContainText('Steady at 45 kW from the start');
  await expect(held).toContainText('Change stalls');
  const axis = page.getByRole('slider', { name: 'Cursor on the curves of the session' });
  await axis.focus();
  await page.keyboard.press('End');
  await expect(axis).toHaveAttribute('aria-valuetext', /60 %.* kW/);
  await held.getByRole('button', { name: /Zoom in/ }).click();
  await expect(page.getByRole('button', { name: 'whole session' })).toBeVisible();
  await page.getByRole('button', { name: 'whole session' }).click();
  await expect(page.getByRole('button', { name: 'whole session' })).toBeHidden();
});

test('the piece under test stands first and open, its worst row in words', async ({ page }) => {
  await openDemo(page);
  await page.goto(`/log/${await noted(page, 'Hot afternoon')}`);
  const plates = page.getByRole('region', { name: 'Ratings', exact: true });
  await expect(plates.getByRole('group').first()).toContainText('A3 (Tenon T-31)');
  await expect(plates.getByText('25.1 of 15')).toBeVisible();
  await expect(plates.getByText('502 of 500')).toBeVisible();
  await expect(page.getByRole('region', { name: 'What it proves' })).toContainText('Not proven: 1000 V');
});

test('with against without: picked in the log, kept as a baseline, taken away and back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/log');
  await page
    .getByLabel(/^compare Brindle at Ostler, second generation/)
    .last()
    .check();
  await expect(page.getByText('Pick another session of the same car')).toBeVisible();
  // Another car cannot be picked now.
  await expect(page.getByLabel(/^compare Dray/)).toBeDisabled();
  await page
    .getByLabel(/^compare Brindle at Fernway 350/)
    .last()
    .check();
  const pair = page.getByRole('region', { name: 'Two sessions compared' });
  await expect(pair).toContainText(/\d+ % of the power( \(\d+–\d+ %\))? between/);
  await expect(pair).toContainText('At Ostler, second generation, the other session at Fernway 350.');
  await pair.getByRole('button', { name: 'Keep as baseline and open the report' }).click();

  const baselines = page.getByRole('region', { name: 'Compared with other sessions' });
  await expect(baselines).toContainText('of the power');
  await expect(page.getByRole('checkbox', { name: /B:/ })).toBeChecked();
  await baselines.getByRole('button', { name: 'Remove' }).click();
  await expect(baselines).not.toContainText('of the power');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(baselines).toContainText('of the power');
});

test('a plate edited later changes no verdict until it is judged anew, and that can be taken back', async ({
  page,
}) => {
  await openDemo(page);
  const id = await noted(page, 'The same stretch through A3');
  await page.evaluate(async () => {
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
    const json = { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token };
    const plates = (await (await fetch('/api/garage', { headers: json })).json()) as {
      adapters: { id: string; version: number; tag: string }[];
    };
    const a3 = plates.adapters.find((a) => a.tag === 'A3');
    const body = JSON.stringify({ version: a3?.version, changes: { 'plate.boost_minutes': 5 } });
    const kept = await fetch(`/api/pieces/adapters/${a3?.id}`, { method: 'PUT', headers: json, body });
    if (!kept.ok) throw new Error(await kept.text());
  });
  await page.goto(`/log/${id}`);
  await expect(page.getByRole('heading', { name: 'Within all ratings' })).toBeVisible();
  await expect(page.getByText('A3 (Tenon T-31) changed since.')).toBeVisible();
  await page.getByRole('button', { name: 'Re-check with current ratings' }).click();
  await expect(page.getByRole('heading', { name: 'Exceeded a rating' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'Within all ratings' })).toBeVisible();
});

test('the log is looked through, added up, and the address keeps it', async ({ page }) => {
  await openDemo(page);
  await page.goto('/log');
  await expect(page.getByText('34 sessions, newest first.')).toBeVisible();
  await page.getByRole('button', { name: 'Filter' }).click();
  await page.getByLabel('Limited by').selectOption('a derated stall');
  await expect(page.getByText('1 session, newest first.')).toBeVisible();
  await expect(page.getByRole('link').filter({ hasText: 'Sorrel at Fernway 400' })).toContainText(
    'a derated stall cost',
  );
  await page.reload();
  await expect(page.getByText('1 session, newest first.')).toBeVisible();
  await page.getByRole('button', { name: 'Show the whole log' }).click();
  await page.getByRole('searchbox', { name: 'Search' }).fill('matinee');
  await expect(page.getByText('1 session, newest first.')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search' }).fill('nothing like it');
  await expect(page.getByText('No session matches.')).toBeVisible();
  await page.getByRole('button', { name: 'Show the whole log' }).click();
  await expect(page.getByRole('region', { name: 'Totals' })).toContainText('Brindle');

  // What was picked to be compared stands in the address too, and a session of elsewhere is dropped from it.
  const picks = page.getByRole('checkbox', { name: /compare Brindle/ });
  await picks.nth(0).check();
  await picks.nth(1).check();
  await expect(page.getByRole('region', { name: 'Two sessions compared' })).toContainText('compared with');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Two sessions compared' })).toContainText('compared with');
  await page.goto('/log?compare=01ARZ3NDEKTSV4RRFFQ69G5FAV');
  await expect(page).toHaveURL(/\/log$/);
});

test('a chain that must not be connected has no start; a session of it is entered from the log, marked', async ({
  page,
}) => {
  await openDemo(page);
  await choose(page, 'Dray', 'Ostler, second generation');
  const why = page.getByRole('complementary', { name: 'Why' });
  await expect(why.getByRole('button', { name: 'Connect this chain' })).toHaveCount(0);
  await why.getByRole('link', { name: 'Log' }).click();
  const dialog = page.getByRole('dialog', { name: 'Enter a past session' });
  await expect(dialog.getByLabel('Adapter')).toHaveValue(/.+/);
  await dialog.getByLabel('h', { exact: true }).fill('3');
  await dialog.getByRole('button', { name: 'Enter session' }).click();
  await page.getByLabel('Load a readings file').setInputFiles(readingsFile());
  await expect(page.getByText('readings added')).toBeVisible();
  await page.getByRole('button', { name: 'Finish session' }).click();
  await expect(page.getByText(/Harmozon advises against this chain/).first()).toBeVisible();
  await page.goto('/log');
  await expect(page.getByRole('link').filter({ hasText: 'Dray at Ostler, second generation' }).first()).toContainText(
    /Run against advice: do not connect/i,
  );
});

test('a learned curve is taken and given back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  const brindle = page.getByRole('article').filter({ hasText: 'low-voltage crew van' });
  await expect(brindle).toContainText('3 sessions show this charge curve');
  await brindle.getByRole('button', { name: /Use this curve/ }).click();
  await expect(brindle).toContainText('The car now has the curve shown by 3 sessions.');
  await page.goto('/forecast');
  await page.goto('/kit/cars');
  await expect(brindle).toContainText('The car now has the curve shown by 3 sessions.');
});

test('a learned curve that was taken is given back with undo', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  const brindle = page.getByRole('article').filter({ hasText: 'low-voltage crew van' });
  await brindle.getByRole('button', { name: /Use this curve/ }).click();
  await expect(brindle).toContainText('The car now has the curve');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(brindle).toContainText('3 sessions show this charge curve');
});

test('what a stall is remembered for stands on the board, in the kit and among the reasons', async ({ page }) => {
  await openDemo(page);
  await expect(page.getByRole('rowheader', { name: /Fernway 400/ })).toContainText('stall 2');
  await choose(page, 'Brindle', 'Fernway 400');
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('less than its rating');
  await page.goto('/kit/places');
  await expect(page.getByRole('article').filter({ hasText: 'Fernway 400' })).toContainText(
    'Last time at stall 2 it gave no more than',
  );
  await page.goto('/kit');
  await expect(page.getByRole('article').filter({ hasText: 'J3400 to combined DC, recalled' })).toContainText(
    'Under recall',
  );
});

test("a thermometer's foreign file in °F and watts with decimal commas is taken and tells how", async ({ page }) => {
  await openDemo(page);
  await choose(page, 'Brindle', 'Ostler, second generation');
  await page.getByRole('button', { name: 'Connect this chain' }).click();
  await page.getByRole('button', { name: 'Start session' }).click();
  await page.getByRole('button', { name: 'Enter readings' }).click();
  const rows = Array.from(
    { length: 20 },
    (_, i) => `01.05.2026 10:${String(i).padStart(2, '0')}:00;${20 + i},5;120000,5;${60 + i},2`,
  );
  const text = ['Zeit;Akku [%];Leistung (W);Adapter (°F)', ...rows].join('\n');
  await page
    .getByLabel('Load a readings file')
    .setInputFiles({ name: 'logger.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const look = page.getByRole('dialog', { name: 'Check logger.csv before adding it' });
  await expect(look.getByLabel('What Leistung (W) contains')).toHaveValue('kw');
  await expect(look.getByLabel('Unit of Leistung (W)')).toHaveValue('W');
  await expect(look.getByRole('row', { name: /^0:00 20\.5 120\.0 15\.7/ })).toBeVisible();
  await look.getByRole('button', { name: 'Add these readings' }).click();
  await expect(page.getByText('20 readings added.')).toBeVisible();
  await expect(
    page.getByText('Read as: Akku [%] = Charge, Leistung (W) = Power in W, Adapter (°F) = Adapter in °F'),
  ).toBeVisible();
});

test('a long log draws what is in view alone, and keeps what was picked', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(async () => {
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
    const headers = { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token };
    const { sessions } = (await (await fetch('/api/sessions', { headers })).json()) as {
      sessions: { vehicle: { id: string }; outlet: { id: string }; note: string }[];
    };
    const like = sessions.find((s) => s.note.startsWith('Set and seating'));
    const pair = { vehicle: like?.vehicle.id, outlet: like?.outlet.id, adapters: [] };
    for (let i = 0; i < 40; i++) {
      const body = JSON.stringify({ ...pair, conditions: {}, note: `many ${i}`, age_s: 60 * i });
      const begun = await fetch('/api/sessions', { method: 'POST', headers, body });
      if (begun.status !== 201) {
        throw new Error(await begun.text());
      }
    }
  });
  await page.goto('/log');
  const picks = page.getByLabel(/^compare Brindle at Fernway 350/);
  await expect(page.getByText('74 sessions, newest first.')).toBeVisible();
  await expect(page.getByText('many 0', { exact: true })).toBeVisible();
  // The oldest are far below: not in the page until somebody comes near.
  await expect(picks).toHaveCount(0);

  const scroll = (by: number) => page.mouse.wheel(0, by);
  await page.getByText('many 0', { exact: true }).hover();
  await scroll(20_000);
  await expect(picks.last()).toBeVisible();
  await picks.last().check();
  await expect(page.getByText('many 0', { exact: true })).toHaveCount(0);
  await scroll(-20_000);
  await expect(page.getByText('many 0', { exact: true })).toBeVisible();
  await scroll(20_000);
  await expect(picks.last()).toBeChecked();
});

test('a report is printed to PDF, and read back it says what the screen says', async ({ page }) => {
  await openDemo(page);
  await page.goto('/log');
  await page.getByRole('link').filter({ hasText: 'Rain all day; A3 kept dry' }).click();
  const headline = (await page.locator('.headline').textContent()) ?? '';
  const amps = page.getByRole('row', { name: /A3 \(Tenon T-31\).* A/ }).first();
  await expect(amps).toContainText('502 A');
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Report as PDF' }).click();
  const file = await (await saved).path();
  const text = execFileSync('php', ['tests/Browser/pdftext.php', file]).toString().replace(/\s+/g, ' ');

  expect(headline.length).toBeGreaterThan(20);
  for (const words of [
    'Brindle at Ostler, second generation',
    headline,
    '502 A, measured',
    '500 A (300 A continuous)',
  ]) {
    expect(text.replaceAll(' ', '')).toContain(words.replaceAll(' ', ''));
  }
  expect(text).toContain("What this doesn't prove");
});

import { execFileSync } from 'node:child_process';
import { type Page, type TestInfo } from '@playwright/test';
import { choose, expect, openDemo, test } from './support';

// What is printed holds all that is said, and nothing that can only be pressed.

/** The text of the page as it would be printed. */
async function onPaper(page: Page, info: TestInfo, name: string): Promise<string> {
  const path = info.outputPath(`${name}.pdf`);
  await page.pdf({ path, format: 'A4', preferCSSPageSize: true });
  return execFileSync('php', ['tests/Browser/pdftext.php', path]).toString().replace(/\s+/g, ' ');
}

test('board, forecast, where to go, steps and kit print whole', async ({ page }, info) => {
  await openDemo(page);
  await choose(page, 'Brindle', 'Ostler, second generation');
  const board = await onPaper(page, info, 'board');
  expect(board).toContain('The Lanternfish Puppet Company');
  expect(board).toContain('printed ');
  for (const words of [
    'Yard socket, 240 V 50 A',
    'Ostler, third in full',
    'Pippin',
    'Dray',
    '9.6',
    '270',
    'do not',
    'high-voltage truck',
  ]) {
    expect(board).toContain(words);
  }
  expect(board).not.toContain('Sign out');
  expect(board).not.toContain('What is this plug?');

  await page.goto('/forecast');
  await expect(page.getByText('into the battery')).toBeVisible();
  await page.getByText('Where to go', { exact: true }).click();
  await expect(page.getByText(/Quickest/).first()).toBeVisible();
  const forecast = await onPaper(page, info, 'forecast');
  for (const words of [
    'Brindle at Ostler, second generation',
    'into the battery',
    'Quickest',
    'Fernway 350',
    'ambient',
  ]) {
    expect(forecast.toLowerCase()).toContain(words.toLowerCase());
  }
  expect(forecast).not.toContain('Move over the curve');
  expect(forecast).toMatch(/derated stall ?no/);

  await page.goto('/connect');
  await expect(page.getByRole('button', { name: 'Start session' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Park', level: 2 })).toBeVisible();
  const steps = await onPaper(page, info, 'steps');
  for (const words of ['Park', 'Look at the contacts', 'Wait for power', 'Stop the session', 'Move away']) {
    expect(steps).toContain(words);
  }
  expect(steps).not.toContain('Start session');

  // The crate prints as its plates.
  await page.goto('/kit');
  await expect(page.getByRole('heading', { name: '8 adapters' })).toBeVisible();
  const kit = await onPaper(page, info, 'kit');
  for (const words of ['Tenon T-31', '1000 V', '300 A', '500 A for 15 min', 'Under recall. Do not use']) {
    expect(kit).toContain(words);
  }
  expect(kit).not.toContain('Delete');
  expect(kit).toContain('The Lanternfish Puppet Company · Kit');
  // Tours, what to pack and what to set up for them stand on a sheet of their own, which says what it is.
  await page.goto('/kit/tours');
  await expect(page.getByText('0 of 5 packed')).toBeVisible();
  const tours = await onPaper(page, info, 'tours');
  for (const words of [
    'Autumn season',
    'Packing list for Autumn season',
    'P1 · Gudgeon portable supply',
    'Set up before you leave',
  ]) {
    expect(tours).toContain(words);
  }
  expect(tours).toMatch(/Millrace ?The app ?to do ?The account ?to do ?The card ?done/);

  // What to pack for a tour stands on its board.
  await page.goto('/board');
  await page.getByRole('combobox', { name: 'Tour' }).selectOption({ label: 'Autumn season' });
  await expect(page.getByText(/Pack for this tour/)).toBeVisible();
  const tour = await onPaper(page, info, 'tour');
  expect(tour).toContain('Pack for this tour: A1 · Tenon T-11');
  expect(tour).toContain('Autumn season');
});

import { choose, expect, openDemo, test, tomorrow } from './support';

// The bench: a session of a stand-in, phase by phase.

// What runs by itself does so only where motion is welcome.
test.use({ contextOptions: { reducedMotion: 'no-preference' } });

test('a chain is played by keyboard, a fault shows what helps, and what was played goes on in Connect', async ({
  page,
}) => {
  await openDemo(page);
  await choose(page, 'Brindle', 'Ostler, third in full');
  await page.keyboard.press('6');
  const along = page.getByRole('slider', { name: 'Along the phases' });
  await expect(along).toHaveAttribute('aria-valuetext', '0:00, Plugged in');

  await along.focus();
  for (let i = 0; i < 8; i++) {
    await page.keyboard.press('PageUp');
  }
  await expect(along).toHaveAttribute('aria-valuetext', '0:45, Current');
  await expect(page.getByText('contactors closed')).toBeVisible();

  await page.getByLabel('Fault', { exact: true }).selectOption('Pre-charge fails');
  await expect(along).toHaveAttribute('aria-valuetext', '0:00, Plugged in');
  await expect(page.getByText('What helps, first things first')).toBeHidden();
  await along.focus();
  await page.keyboard.press('End');
  await expect(page.getByText('What helps, first things first')).toBeVisible();
  await expect(page.getByText('Still preparing: the two voltages are too far apart.')).toBeVisible();

  await page.getByLabel('Fault', { exact: true }).selectOption('Data link lost');
  await page.getByLabel(/At minute/).fill('500');
  await page.getByLabel(/At minute/).press('Enter');
  await expect(page.getByRole('alert')).toContainText('Choose a minute in between');
  // Six minutes, then 3 s to stop, 2 s for the welding check, 1 s for the latch.
  await page.getByLabel(/At minute/).fill('6');
  await page.getByLabel(/At minute/).press('Enter');
  await expect(along).toHaveAttribute('aria-valuemax', '366');
  await along.focus();
  await page.keyboard.press('End');
  await expect(page.getByText('It has stopped: it lost the connection to the car.')).toBeVisible();

  await page.getByRole('button', { name: 'Record this in Connect' }).click();
  await page.waitForURL(/\/connect\/[0-9A-Z]{26}/);
  await expect(page.getByRole('heading', { name: 'Brindle at Ostler, third in full' })).toBeVisible();
  // What was played lies in the past: plugged in 366 s ago.
  const ago = await page.evaluate(async () => {
    const { session } = (await (await fetch(`/api/sessions/${location.pathname.split('/')[2]}`)).json()) as {
      session?: { started_at: string };
    };
    return (Date.now() - Date.parse(session?.started_at ?? '')) / 1000;
  });
  expect(ago).toBeGreaterThan(365);
  expect(ago).toBeLessThan(400);
});

test('it runs by itself, and stands still for those who asked for that', async ({ page }) => {
  await openDemo(page);
  await page.goto('/bench');
  await expect(page.getByRole('heading', { name: 'Pick a chain to play' })).toBeVisible();
  await page.getByLabel('Car', { exact: true }).selectOption('Brindle');
  await page.getByLabel('Charger', { exact: true }).selectOption('Ostler, third in full');
  const along = page.getByRole('slider', { name: 'Along the phases' });
  await page.getByText('60×').click();
  await page.getByRole('button', { name: 'Run' }).click();
  await expect(along).toHaveAttribute('aria-valuetext', /Current$/);
  await page.getByRole('button', { name: 'Pause' }).click();

  await page.emulateMedia({ reducedMotion: 'reduce' });
  await expect(page.getByRole('button', { name: 'Run' })).toBeHidden();
  await page.getByRole('button', { name: 'Next phase' }).click();
  await expect(along).toHaveAttribute('aria-valuetext', /Stop$/);
});

test('an open session is fed from the bench, offline in between', async ({ page, context }) => {
  await openDemo(page);
  await choose(page, 'Brindle', 'Ostler, third in full');
  await page.goto('/bench');
  await page.getByRole('button', { name: 'Record this in Connect' }).click();
  await page.waitForURL(/\/connect\/[0-9A-Z]{26}/);
  const session = page.url();
  await expect(page.getByRole('heading', { name: 'Brindle at Ostler, third in full' })).toBeVisible();

  await page.goto('/bench/feed');
  await page.getByLabel('Speed').selectOption('60×');
  await page.getByRole('button', { name: 'Feed this session' }).click();
  await expect(page.getByText(/^[1-9]\d* of \d+ readings sent/)).toBeVisible();
  await context.setOffline(true);
  await expect(page.getByText(/^(2\d|[3-9]\d) of \d+ readings sent/)).toBeVisible({ timeout: 20_000 });
  await context.setOffline(false);
  await page.goto(session);
  await expect(page.getByRole('heading', { name: /^Readings, (2\d|[3-9]\d|\d{3})/ })).toBeVisible();
});

test('a drill is answered by keyboard, and the next one comes; a missed one is back tomorrow', async ({
  page,
  baseURL,
}) => {
  await openDemo(page);
  await page.goto('/bench/practise');
  const first = page.getByRole('heading', { name: 'Will it charge with what is in your crate?' });
  await expect(first).toBeVisible();
  const progress = page.getByRole('region', { name: 'How far you are' });
  await expect(progress.getByText('not asked yet')).toHaveCount(12);

  await page.getByRole('button', { name: 'Do not connect it.' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('right', { exact: true })).toBeVisible();
  await expect(page.getByText('Not this time. It comes back tomorrow.')).toBeVisible();
  await expect(progress.getByText(/^back on .*; 1 of 1 missed$/)).toHaveCount(1);
  // The same plug, and nothing happens: the gates say where it ends.
  const gates = page.getByRole('region', { name: 'Gate by gate' });
  await expect(gates.getByText('shape: OK')).toHaveCount(1);
  await expect(gates.getByText(/^(protocol|voltage): stops here$/)).toHaveCount(1);

  await page.reload();
  await expect(page.getByRole('heading', { name: 'What do you connect it with?' })).toBeVisible();
  tomorrow(baseURL);
  await page.reload();
  await expect(first).toBeVisible();
});

test('a fault drill on a phone: the bench runs, then what helps and how the session went', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL });
  const page = await context.newPage();
  await openDemo(page);
  await page.goto('/bench/practise');
  const question = page.getByRole('heading', { level: 1 });
  for (let asked = 0; !(await question.textContent())?.includes('What has happened?'); asked++) {
    expect(asked, 'it is among the first ten').toBeLessThan(10);
    await page.getByRole('listitem').getByRole('button').first().tap();
    const before = await question.textContent();
    await page.getByRole('button', { name: 'Next question' }).tap();
    await expect(question).not.toHaveText(before ?? '');
  }
  const clock = page.getByText('after plugging in');
  await expect(clock).toBeVisible();
  const then = await clock.textContent();
  await expect(clock).not.toHaveText(then ?? '');

  await page.getByRole('listitem').getByRole('button').first().tap();
  const told = page.getByRole('region', { name: 'How it went' });
  await expect(told.getByText(/^Forecast: \d+ kWh in \d+ min\.$/)).toBeVisible();
  await expect(told.getByText('What helps, first things first')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await context.close();
});

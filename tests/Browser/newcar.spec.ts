import { type Page } from '@playwright/test';
import { expect, openDemo, test } from './support';

/** Where the browser is tells which kinds of charger come first. */
test.use({ timezoneId: 'America/Chicago', locale: 'en-US' });

/** Counts what a person does: a field filled, a thing pressed. */
class Hands {
  actions = 0;
  constructor(private readonly page: Page) {}

  async fill(label: string, text: string): Promise<void> {
    this.actions++;
    await this.page.getByLabel(label, { exact: true }).fill(text);
  }

  async press(name: string | RegExp): Promise<void> {
    this.actions++;
    await this.page.getByRole('button', { name }).click();
  }
}

async function begin(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await page.goto('/');
  await hands.fill('Name', 'Ida Wren');
  await hands.fill('E-mail', 'ida@wren.example');
  await hands.fill('Password', 'seven swans a-swimming');
  await hands.press('Open my garage');
  await expect(
    page.getByRole('heading', { name: 'Open the charge-port door. Which of these do you see?' }),
  ).toBeVisible();
  return hands;
}

const answers = (page: Page) => page.getByRole('region', { name: 'What we can say so far' });

test('from the first page to the first answer in five actions, and to the board in nine', async ({ page }) => {
  const hands = await begin(page);
  await hands.press(/Round, two big below/);
  await expect(answers(page).getByRole('listitem').filter({ hasText: 'AC post, Type 1, 240 V 40 A' })).toContainText(
    '3.2–9.6',
  );
  expect(hands.actions).toBe(5);

  await hands.press(/about 400 V/);
  await hands.press("I don't know");
  await hands.press("I don't know");
  await hands.press(/11\.5 kW/);
  await expect(page).toHaveURL(/\/board/);
  expect(hands.actions).toBe(9);
  await expect(page.getByRole('heading', { name: 'Combined DC' })).toBeVisible();
  await expect(page.getByText('This garage has no places yet')).toBeVisible();
  await expect(page.getByRole('button', { name: /^New car at Household socket, 120 V 15 A:/ })).toContainText(
    'about 1.4',
  );
});

test('what is pressed once more on a slow line answers no other question, and keeps no second car', async ({
  page,
}) => {
  const hands = await begin(page);
  await hands.press(/Round, two big below/);
  await expect(answers(page).getByRole('listitem').first()).toBeVisible();

  let answer: () => void = () => undefined;
  const isToAnswer = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/new-car', async (route) => {
    await isToAnswer;
    await route.continue();
  });
  const pressAgain = (name: string | RegExp) =>
    page.locator('.question button', { hasText: name }).dispatchEvent('click');
  await hands.press(/about 400 V/);
  await pressAgain("I don't know");
  await pressAgain(/about 400 V/);
  await expect(page.locator('.question')).toHaveAttribute('aria-busy', 'true');
  answer();
  await expect(page.getByRole('button', { name: 'Battery voltage about 400 V' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Energy open now' })).toBeVisible();

  await hands.press("I don't know");
  await hands.press("I don't know");
  await page.getByRole('button', { name: /11\.5 kW/ }).dblclick();
  await expect(page).toHaveURL(/\/board/);
  const garage = (await (await page.request.get('/api/garage')).json()) as { vehicles: unknown[] };
  expect(garage.vehicles).toHaveLength(1);
});

test('whoever has no account sees what one answer tells, and the car waits for the account', async ({ page }) => {
  const hands = new Hands(page);
  await page.goto('/');
  hands.actions++;
  await page.getByRole('link', { name: 'Check my car' }).click();
  await hands.press(/Round, two big below/);
  const socket = answers(page).getByRole('listitem').filter({ hasText: 'Household socket, 120 V 15 A' });
  await expect(socket).toContainText('1.4');
  await expect(socket).toContainText('with a portable supply for this socket');
  expect(hands.actions).toBe(2);

  // Somebody looks for a charger by what people call it, whether it fits or not.
  await page.getByRole('searchbox', { name: 'Find a kind of charger' }).fill('level 1');
  await expect(answers(page).getByRole('listitem')).toHaveCount(3);
  await expect(socket).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a kind of charger' }).fill('chademo');
  await expect(answers(page).getByRole('listitem').first()).toContainText("doesn't fit a CCS1 inlet");
  await page.getByRole('searchbox', { name: 'Find a kind of charger' }).fill('');

  // The answers are on the device: a reload loses none.
  await page.reload();
  await expect(socket).toContainText('1.4');
  await hands.press('Keep this car: create an account');
  await expect(
    page.getByText('The car checked on this device (CCS1) becomes the first car in your garage.'),
  ).toBeVisible();
  await hands.fill('Name', 'Ida Wren');
  await hands.fill('E-mail', 'ida@wren.example');
  await hands.fill('Password', 'seven swans a-swimming');
  await hands.press('Open my garage');
  await expect(page).toHaveURL(/\/board/);
  await expect(page.getByRole('button', { name: /^New car at Household socket, 120 V 15 A:/ })).toBeVisible();
});

test('whoever makes an account on a shared device leaves behind the car that somebody else checked', async ({
  page,
}) => {
  await page.goto('/check');
  await page.getByRole('button', { name: /Round, two big below/ }).click();
  await expect(answers(page).getByRole('listitem').first()).toBeVisible();
  await page.goto('/begin');
  await page.getByRole('button', { name: 'Discard it' }).click();
  await expect(page.getByText('The car checked on this device')).toHaveCount(0);
  await begin(page);
  await expect(page.getByText('before you signed in')).toHaveCount(0);
});

test('a newcomer who does not know three times is told to check, never that it charges', async ({ page }) => {
  const hands = await begin(page);
  await hands.press(/Small, two big above/);
  await expect(
    page.getByRole('heading', { name: 'Which communication protocol does the car use for fast charging?' }),
  ).toBeFocused();
  for (const question of [
    "What's the battery voltage?",
    'How much energy can the battery use?',
    'What peak power does',
  ]) {
    await hands.press("I don't know");
    await expect(page.getByRole('heading', { name: question })).toBeVisible();
  }
  // What was said outlives a reload.
  await page.reload();
  await expect(page.getByRole('heading', { name: 'What peak power does' })).toBeVisible();
  await page.getByLabel('Name of the car').fill('Teasel');
  await hands.press("That's enough: show the board");
  await expect(page).toHaveURL(/\/board/);
  await expect(
    page.getByRole('button', { name: /^Teasel at Closed hub, third generation in full: Check first/ }),
  ).toBeVisible();
  // What a standard fixes needs no answer: a post charges every car with this inlet, and nothing else does yet.
  const charges = page.getByRole('button', { name: /^Teasel at .*: Charges/ });
  const where = await charges.evaluateAll((cells) => cells.map((cell) => cell.getAttribute('aria-label') ?? ''));
  expect(where.map((name) => name.slice(0, 'Teasel at AC post, J3400'.length))).toEqual(
    where.map(() => 'Teasel at AC post, J3400'),
  );
  expect(where.length).toBeGreaterThan(0);
});

test('a chain of a new car says what it rests on, and a fact that is read narrows it', async ({ page }) => {
  const hands = await begin(page);
  await hands.press(/Round, two big below/);
  await hands.press(/about 400 V/);
  await page.getByLabel('Usable', { exact: false }).first().fill('72');
  await page.keyboard.press('Tab');
  await hands.press('Next');
  await page.getByLabel('Peak, as printed').fill('150');
  await page.getByLabel('Maximum voltage of the inlet, if a label shows it').fill('500');
  await page.keyboard.press('Tab');
  await hands.press('Next');
  await hands.press(/11\.5 kW/);
  await expect(page).toHaveURL(/\/board/);
  await page
    .getByRole('button', { name: /^New car at DC stall, 150 kW advertised, 500 A|^New car at .*350 kW.*:/ })
    .first()
    .click();
  const why = page.getByRole('complementary', { name: 'Why' });
  await expect(why).toContainText("the car's charge curve: typical");
  // No session begins at a kind of charger.
  await expect(why).toContainText('This is a kind of charger');
  await page.keyboard.press('2');
  const rests = page.getByRole('region', { name: /This depends on \d facts/ });
  await expect(rests.locator('summary').first()).toContainText('would narrow this from');
  await rests.locator('summary').filter({ hasText: 'the battery voltage' }).click();
  await rests.getByLabel('Battery voltage, nominal').fill('384');
  await page.keyboard.press('Tab');
  await rests.getByRole('button', { name: 'I have read it' }).click();
  const risen = rests.locator('summary').filter({ hasText: 'how the battery voltage rises with charge' });
  await expect(risen).toHaveCount(1);
  await rests.getByLabel('how the battery voltage rises with charge').fill('0:340 100:440');
  await page.keyboard.press('Tab');
  await rests.getByRole('button', { name: 'I have read it' }).click();
  await expect(rests.locator('summary').filter({ hasText: 'the battery voltage' })).toHaveCount(0);
  // And undoing it brings the typical one back; until then the bar still offers to undo the car itself.
  await expect(page.getByText('New car changed.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(rests.locator('summary').filter({ hasText: 'the battery voltage' })).toHaveCount(1);
});

test('a plate tells where each figure comes from, and one that is so needs no typing', async ({ page }) => {
  const hands = await begin(page);
  await hands.press(/Round, two big below/);
  await hands.press(/about 400 V/);
  await hands.press("That's enough: show the board");
  await expect(page).toHaveURL(/\/board/);
  await page.goto('/kit/cars');
  await page.getByRole('button', { name: 'Edit New car' }).click();
  const plate = page.getByRole('dialog');
  await expect(plate.getByText(/^typical · /).first()).toBeVisible();
  await expect(plate.getByText(/^read · /)).toHaveCount(0);
  const confirm = plate.getByRole('button', { name: /this is right.*oltage by charge/ }).first();
  await confirm.click();
  await plate.getByRole('button', { name: 'Save' }).click();
  await expect(plate).toHaveCount(0);
  await page.getByRole('button', { name: 'Edit New car' }).click();
  await expect(plate.getByText(/^read · /)).toHaveCount(1);
});

test('whoever has places sees a new car at those', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/cars');
  await page.getByRole('link', { name: 'Add car' }).click();
  const hands = new Hands(page);
  await hands.press(/Large round, next to another/);
  await page.getByRole('button', { name: /^Type 1/ }).click();
  await expect(page.getByRole('heading', { name: "What's the battery voltage?" })).toBeVisible();
  await hands.press("That's enough: show the board");
  await expect(page).toHaveURL(/\/board/);
  await expect(page.getByRole('heading', { name: 'Fernway' }).first()).toBeVisible();
});

test('a plate is photographed, and the picture is deleted and brought back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  const plate = page.getByRole('dialog');
  const photos = plate.getByRole('region', { name: 'Photographs' });
  // A pixel, as small as a PNG can be.
  const pixel = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  const file = (name: string, bytes: Buffer) => ({ name, mimeType: 'image/png', buffer: bytes });
  await photos.getByLabel('Photograph its rating plate').setInputFiles(file('plate.png', Buffer.from('no picture')));
  await expect(photos.getByRole('alert')).toContainText('Must be a JPEG, PNG or WebP picture');
  await photos.getByLabel('Photograph its rating plate').setInputFiles(file('plate.png', Buffer.from(pixel, 'base64')));
  const picture = photos.getByRole('img', { name: 'Photograph 1 of Tenon T-31' });
  await expect(picture).toBeVisible();
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1);
  await photos.getByRole('button', { name: /Delete photograph 1/ }).click();
  await expect(picture).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(plate).toHaveCount(0);
  await page.getByRole('button', { name: 'Show recently deleted' }).click();
  const aside = page.getByRole('region', { name: 'Recently deleted' });
  await expect(aside).toContainText('photograph');
  await aside
    .getByRole('button', { name: /Restore/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  await expect(page.getByRole('img', { name: 'Photograph 1 of Tenon T-31' })).toBeVisible();
});

test('what is left to do at a network is told before the visit, and is done', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit/tours');
  const networks = page.getByRole('region', { name: 'Set up before you leave' });
  await expect(networks.getByLabel('The app, Millrace')).toHaveValue('to_do');
  await page.goto('/board');
  await page.getByRole('button', { name: 'Pippin at Millrace post, Type 1:' }).click();
  await expect(page.getByText('Before you leave, set up Millrace: the app and the account.').first()).toBeVisible();
  await page.goto('/kit/tours');
  for (const step of ['The app', 'The account']) {
    const kept = page.waitForResponse((r) => r.url().includes('/api/pieces/networks/') && r.ok());
    await networks.getByLabel(`${step}, Millrace`).selectOption('done');
    await kept;
  }
  await expect(page.getByText('Millrace changed.')).toBeVisible();
  await page.goto('/board');
  await expect(page.getByRole('heading', { name: 'Pippin at Millrace post, Type 1' })).toBeVisible();
  await expect(page.getByText('Before you leave')).toHaveCount(0);
});

test('a photograph that is larger than anybody reads is scaled down before it is sent', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  const large = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 6000, height: 4000 });
    canvas.getContext('2d')?.fillRect(0, 0, 3000, 4000);
    return canvas.toDataURL('image/jpeg').split(',')[1] ?? '';
  });
  // The browser does not tell what is in a file that it sends.
  const sent = page.evaluate(
    () =>
      new Promise<[number, number]>((seen) => {
        const set = FormData.prototype.set;
        FormData.prototype.set = function (this: FormData, ...args: [string, string | Blob, string?]) {
          if (args[1] instanceof Blob) {
            void createImageBitmap(args[1]).then((drawn) => seen([drawn.width, drawn.height]));
          }
          Reflect.apply(set, this, args);
        } as typeof set;
      }),
  );
  const file = { name: 'plate.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(large, 'base64') };
  await page.getByLabel('Photograph its rating plate').setInputFiles(file);
  expect(await sent).toEqual([3000, 2000]);
  await expect(page.getByRole('img', { name: 'Photograph 1 of Tenon T-31' })).toBeVisible();
});

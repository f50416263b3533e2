import { type Page } from '@playwright/test';
import { cutOff } from './cutoff';
import { choose, expect, openDemo, test } from './support';

/** Chains by what the board says of them: "Brindle at Fernway 150: Charges, limited, 113 kW". */
async function chains(page: Page): Promise<{ car: string; outlet: string; kind: string }[]> {
  const labels = await page
    .locator('[data-cell]')
    .evaluateAll((cells) => cells.map((c) => c.getAttribute('aria-label') ?? ''));
  return labels.map((label) => {
    const [, car = '', outlet = '', answer = ''] = /^(.+?) at (.+): (.+)$/.exec(label) ?? [];
    return { car, outlet, kind: answer.replace(/[\d.]+ kW/, '').replace(/through \w+/, 'through') };
  });
}

test('nothing is cut off in any Why', async ({ page }) => {
  await openDemo(page);
  await expect.poll(async () => (await chains(page)).length).toBe(60);
  const all = await chains(page);
  const seen = new Set<string>();
  for (const { car, outlet, kind } of all) {
    await choose(page, car, outlet);
    expect.soft(await cutOff(page), `${car} at ${outlet}`).toEqual([]);
    seen.add(kind);
  }

  // On a phone each kind of answer once, since each takes a drawer.
  const kinds = [...seen].map((kind) => all.find((chain) => chain.kind === kind));
  await page.setViewportSize({ width: 320, height: 700 });
  for (const chain of kinds) {
    await choose(page, chain?.car ?? '', chain?.outlet ?? '');
    for (const [width, height] of [
      [390, 844],
      [640, 400],
      [320, 700],
    ] as const) {
      await page.setViewportSize({ width, height });
      expect.soft(await cutOff(page), `${chain?.car ?? ''} at ${chain?.outlet ?? ''}, ${String(width)} px`).toEqual([]);
    }
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
});

import AxeBuilder from '@axe-core/playwright';
import { expect, type Browser, type Page } from '@playwright/test';

/** One way of looking at the page. */
export interface Look {
  name: string;
  colorScheme: 'light' | 'dark';
  viewport: { width: number; height: number };
  /** What a rule can find differently here than by day on a wide and on the narrowest screen, where every rule is held. */
  rules: 'all' | 'those of colour and size';
}

export const LOOKS: readonly Look[] = [
  { name: 'by day', colorScheme: 'light', viewport: { width: 1280, height: 800 }, rules: 'all' },
  { name: 'by night', colorScheme: 'dark', viewport: { width: 1280, height: 800 }, rules: 'those of colour and size' },
  { name: 'on a phone', colorScheme: 'dark', viewport: { width: 390, height: 844 }, rules: 'those of colour and size' },
  { name: 'on the narrowest phone', colorScheme: 'light', viewport: { width: 320, height: 700 }, rules: 'all' },
  {
    name: 'at twice the size',
    colorScheme: 'light',
    viewport: { width: 640, height: 400 },
    rules: 'those of colour and size',
  },
];

/** Every rule of the checker, experimental ones as well. */
const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice', 'experimental'];

/** Faults of the page as it stands, one line each. */
export async function faults(page: Page, rules: Look['rules'] = 'all'): Promise<string[]> {
  // There are no frames: everything is checked in the page itself, and only what is wrong is told.
  const checker = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations } = await (
    rules === 'all' ? checker.withTags(ALL) : checker.withRules(['color-contrast', 'target-size'])
  ).analyze();
  return violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.target.join(' ')} ${n.failureSummary ?? ''}`));
}

async function fits(page: Page): Promise<boolean> {
  return page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);
}

/** A page looked at in one way. */
export class Looker {
  constructor(
    readonly page: Page,
    private readonly look: Look,
  ) {}

  static async at(browser: Browser, baseURL: string | undefined, look: Look): Promise<Looker> {
    const { colorScheme, viewport } = look;
    const context = await browser.newContext({ colorScheme, viewport, baseURL, reducedMotion: 'reduce' });
    return new Looker(await context.newPage(), look);
  }

  /** Nothing is wrong with what is shown now, and nothing of it runs out at the side. */
  async finds(what: string): Promise<void> {
    expect(await faults(this.page, this.look.rules), what).toEqual([]);
    expect(await fits(this.page), `${what}: nothing runs out at the side`).toBe(true);
  }
}

import axe from 'axe-core';
import { cutOff } from './cutoff';
import { expect, type Browser, type Page } from '@playwright/test';

/** One way of looking at the page. */
interface Look {
  name: string;
  colorScheme: 'light' | 'dark';
  forcedColors?: 'active';
  viewport: { width: number; height: number };
  /** Every rule by day on a wide and by night on the narrowest screen; elsewhere the one that can find something else there. */
  rules: Rules;
  direction?: string;
}

/** `words only`: whether they fit, and what is pressed is large enough; what the checker looks for does not hang on the language. */
type Rules = 'every rule' | 'color-contrast' | 'words only';

/** Looks that a page can be given where it stands: the first is the one it is walked through in. */
export type Walk = { name: string; looks: readonly [Look, ...Look[]]; locale?: string };

/** Every stage that opens by its address alone, and an address that leads nowhere. */
export const STAGES = [
  '/you',
  '/kit',
  '/kit/cars',
  '/kit/places',
  '/kit/tours',
  '/kit/shop',
  '/bench',
  '/bench/practise',
  '/bench/feed',
  '/log',
  '/glossary',
  '/nowhere',
];

const WIDE = { width: 1280, height: 800 };

/** By night where the rules are asked, since the wide screen has them by day. */
export const NARROW: Walk = {
  name: 'where it is narrow',
  looks: [
    {
      name: 'on the narrowest phone by night',
      colorScheme: 'dark',
      viewport: { width: 320, height: 700 },
      rules: 'every rule',
    },
    { name: 'on a phone', colorScheme: 'light', viewport: { width: 390, height: 844 }, rules: 'words only' },
    { name: 'at twice the size', colorScheme: 'light', viewport: { width: 640, height: 400 }, rules: 'words only' },
  ],
};

/** Wide by day and by night, then narrow: one way through the pages serves all of them. */
export const EVERYWHERE: Walk = {
  name: 'wide and narrow, by day and by night',
  looks: [
    { name: 'by day', colorScheme: 'light', viewport: WIDE, rules: 'every rule' },
    { name: 'by night', colorScheme: 'dark', viewport: WIDE, rules: 'color-contrast' },
    ...NARROW.looks,
  ],
};

/** Words that are longer than ours, on a screen, a phone, and the narrowest of them; then as a language would show it that is written from right to left. */
export const GERMAN: Walk = {
  name: 'in German',
  locale: 'de-DE',
  looks: ['ltr', 'rtl'].flatMap((direction) =>
    [1280, 390, 320].map((width) => ({
      name: `${String(width)} px wide, ${direction}`,
      colorScheme: 'light' as const,
      viewport: { width, height: width > 700 ? 800 : 700 },
      rules: 'words only' as const,
      direction,
    })),
  ) as [Look, ...Look[]],
};

/** Our colours by day, and the system's own. */
export const DIALOGS: Walk = {
  name: 'in our colours and in those of the system',
  looks: [
    { name: 'in our colours', colorScheme: 'light', viewport: WIDE, rules: 'every rule' },
    {
      name: "in the system's own",
      colorScheme: 'light',
      forcedColors: 'active',
      viewport: WIDE,
      rules: 'color-contrast',
    },
  ],
};

/** Every rule of the checker, experimental ones as well. */
const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice', 'experimental'];

/** Faults of the page as it stands, one line each. There are no frames: everything is checked in the page itself. */
export async function faults(page: Page, rules: Exclude<Rules, 'words only'> = 'every rule'): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) {
    await page.evaluate(axe.source);
  }
  const runOnly: axe.RunOnly =
    rules === 'every rule' ? { type: 'tag', values: ALL } : { type: 'rule', values: [rules] };
  const violations = await page.evaluate(
    async (only) =>
      (
        await (window as unknown as { axe: typeof axe }).axe.run(document, {
          runOnly: only,
          resultTypes: ['violations'],
        })
      ).violations,
    runOnly,
  );
  return violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.target.join(' ')} ${n.failureSummary ?? ''}`));
}

/** What can be pressed and is smaller than a fingertip needs, and words that run into each other. */
const tooSmall = (page: Page) =>
  page.evaluate(() => {
    const LEAST_PX = 24;
    const seen = [
      ...document.querySelectorAll<HTMLElement>('button, a[href], input, select, textarea, summary'),
    ].filter((e) => {
      const box = e.getBoundingClientRect();
      // A link in a line of text is as tall as the line.
      const isInText =
        getComputedStyle(e).display === 'inline' &&
        (e.parentElement?.textContent ?? '').trim().length > (e.textContent ?? '').trim().length;
      // The field inside a drawn list is no target of its own.
      return (
        box.width > 1 &&
        box.height > 1 &&
        !isInText &&
        !e.closest('[aria-hidden=true], .el-select') &&
        getComputedStyle(e).opacity !== '0'
      );
    });
    const told = (e: HTMLElement) =>
      `${e.tagName} ${e.getAttribute('aria-label') ?? e.textContent?.trim().slice(0, 40) ?? ''}`;
    const small = seen.filter(
      (e) => e.getBoundingClientRect().width < LEAST_PX - 0.1 || e.getBoundingClientRect().height < LEAST_PX - 0.1,
    );
    const stages = [...document.querySelectorAll('nav li .title')].map((e) => e.getBoundingClientRect());
    const touching = stages.some(
      (box, i) => i > 0 && Math.max(box.left - (stages[i - 1]?.right ?? 0), (stages[i - 1]?.left ?? 0) - box.right) < 4,
    );
    return [...small.map(told), ...(touching ? ['the stages run into each other'] : [])];
  });

async function fits(page: Page): Promise<boolean> {
  return page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);
}

const softly = expect.configure({ soft: true });

/** A page that is looked at in several ways wherever one stops. */
export class Looker {
  private constructor(
    readonly page: Page,
    private readonly walk: Walk,
  ) {}

  static async at(browser: Browser, baseURL: string | undefined, walk: Walk): Promise<Looker> {
    const { colorScheme, viewport } = walk.looks[0];
    const locale = walk.locale ?? 'en-US';
    const context = await browser.newContext({ colorScheme, viewport, baseURL, reducedMotion: 'reduce', locale });
    const page = await context.newPage();
    await page.addInitScript(() => {
      const shifted = window as unknown as { shift: number };
      shifted.shift = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as unknown as { value: number; hadRecentInput: boolean }[]) {
          shifted.shift += entry.hadRecentInput ? 0 : entry.value;
        }
      }).observe({ type: 'layout-shift', buffered: true });
    });
    return new Looker(page, walk);
  }

  /** Nothing is wrong with what is shown now, and nothing of it runs out at the side; it stands as before afterwards. */
  async finds(what: string): Promise<void> {
    expect(await this.jumped(), `${what}: nothing jumps away`).toBeLessThan(0.05);
    for (const look of this.walk.looks) {
      await this.take(look);
      if (look.rules !== 'words only') {
        expect(await faults(this.page, look.rules), `${what}, ${look.name}`).toEqual([]);
      }
      await this.settles(fits, true, `${what}, ${look.name}: nothing runs out at the side`);
      await this.settles(tooSmall, [], `${what}, ${look.name}: nothing is too small to press`);
      await this.settles(cutOff, [], `${what}, ${look.name}: nothing is cut off`);
    }
    await this.take(this.walk.looks[0]);
  }

  /** An answer that arrives while one measures is drawn a frame later: what is wrong is still wrong then. */
  private async settles<T>(measure: (page: Page) => Promise<T>, wanted: T, what: string): Promise<void> {
    await softly.poll(() => measure(this.page), { message: what, timeout: 2000 }).toEqual(wanted);
  }

  /** How far things moved while the page was loaded; told once, because every other look moves everything. */
  private jumped(): Promise<number> {
    return this.page.evaluate(() => {
      const shifted = window as unknown as { shift: number };
      const far = shifted.shift;
      shifted.shift = -Infinity;
      return Math.max(0, far);
    });
  }

  private async take({ colorScheme, forcedColors, viewport, direction }: Look): Promise<void> {
    if (this.walk.looks.length > 1) {
      await this.page.setViewportSize(viewport);
      await this.page.emulateMedia({ colorScheme, forcedColors: forcedColors ?? 'none' });
      if (direction) {
        await this.page.evaluate((dir) => (document.documentElement.dir = dir), direction);
      }
      const theme = colorScheme === 'dark' ? 'night' : 'day';
      await this.page.waitForFunction((now) => document.documentElement.dataset.theme === now, theme);
      // What follows the width is drawn with the next frame.
      await this.page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    }
  }
}

import { type Page } from '@playwright/test';

/**
 * What of the page's text can't be read where it stands, one line each: text that runs out of the block it belongs to, out of the window, or out of a
 * drawing; and a box that hides a part of what is in it. What is meant to be moved sideways says so with `data-sideways`.
 */
export async function cutOff(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const SLACK = 1.5;
    const found = new Set<string>();
    const name = (e: Element): string => {
      const own = e.id ? `#${e.id}` : [...e.classList].map((c) => `.${c}`).join('');
      return `${e.tagName.toLowerCase()}${own}`;
    };
    const path = (e: Element): string => (e.parentElement ? `${name(e.parentElement)} > ${name(e)}` : name(e));
    /** For screen readers alone, or inside of what is. */
    const isClipped = (e: Element): boolean =>
      getComputedStyle(e).clipPath === 'inset(50%)' || (e.parentElement !== null && isClipped(e.parentElement));
    const isAside = (e: Element): boolean =>
      (e.closest('details:not([open])') !== null && e.closest('summary') === null) ||
      isClipped(e) ||
      e.closest('.sr-only, .skip, [inert], [aria-hidden="true"]') !== null;
    const box = (e: Element): Element => {
      let at: Element = e;
      while (at.parentElement && /^(inline|contents)/.test(getComputedStyle(at).display)) {
        if (getComputedStyle(at).display.startsWith('inline-')) {
          return at;
        }
        at = at.parentElement;
      }
      return at;
    };
    const quote = (text: string): string => `"${text.trim().replace(/\s+/g, ' ').slice(0, 60)}"`;

    // Lines that lie over one another, where nothing is meant to: what stands on a place of its own is left out, and drawings.
    const lines: { rect: DOMRect; parent: Element; text: string; scrolls: Element | null }[] = [];
    /** What scrolls may lie under what does not. */
    const scrollerOf = (e: Element | null): Element | null =>
      !e || getComputedStyle(e).overflowY !== 'visible' ? e : scrollerOf(e.parentElement);
    const isPlaced = (e: Element): boolean => {
      for (let at: Element | null = e; at && at !== document.body; at = at.parentElement) {
        if (getComputedStyle(at).position !== 'static' && getComputedStyle(at).position !== 'relative') {
          return true;
        }
      }
      return false;
    };

    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const parent = node.parentElement;
      const text = node.textContent ?? '';
      if (
        !parent ||
        text.trim() === '' ||
        isAside(parent) ||
        !parent.checkVisibility({ visibilityProperty: true, contentVisibilityAuto: true })
      ) {
        continue;
      }
      if (['SCRIPT', 'STYLE', 'OPTION', 'TEXTAREA', 'NOSCRIPT', 'TITLE'].includes(parent.tagName.toUpperCase())) {
        continue;
      }
      const range = document.createRange();
      range.selectNodeContents(node);
      const rects = [...range.getClientRects()].filter((r) => r.width > 0 && r.height > 0);
      // A line that ends in an ellipsis hides what comes after it, were it by a fraction of a pixel.
      if (getComputedStyle(parent).textOverflow === 'ellipsis') {
        const { paddingLeft, paddingRight } = getComputedStyle(parent);
        const room = parent.getBoundingClientRect().width - parseFloat(paddingLeft) - parseFloat(paddingRight);
        const wide = Math.max(...rects.map((r) => r.width));
        if (wide > room + 0.05 && !/^(INPUT|SELECT)$/.test(parent.tagName)) {
          found.add(`${quote(text)} ends in "…" in ${path(parent)}`);
        }
      }
      // A choice among a few that has no room for all of them shows some below the row it stands in.
      const row = parent.closest('nav, .el-segmented')?.getBoundingClientRect();
      if (row && rects.some((r) => r.bottom > row.bottom + SLACK)) {
        found.add(`${quote(text)} lies below the row of ${path(parent)}`);
      }
      const svg = parent.closest('svg');
      const edge = (svg ?? box(parent)).getBoundingClientRect();
      if (!svg && !isPlaced(parent)) {
        lines.push(...rects.map((rect) => ({ rect, parent, text, scrolls: scrollerOf(parent) })));
      }
      for (const rect of rects) {
        const over = Math.max(rect.right - edge.right, edge.left - rect.left, svg ? rect.bottom - edge.bottom : 0);
        if (over > SLACK) {
          found.add(`${quote(text)} runs ${over.toFixed(0)} px out of ${path(svg ?? box(parent))}`);
        }
        if (rect.right > document.documentElement.clientWidth + SLACK && !parent.closest('[data-sideways]')) {
          found.add(`${quote(text)} runs out of the window in ${path(parent)}`);
        }
      }
    }
    const INTO = 4;
    lines.sort((a, b) => a.rect.top - b.rect.top);
    lines.forEach((a, i) => {
      for (let j = i + 1; j < lines.length; j++) {
        const b = lines[j];
        if (!b || b.rect.top > a.rect.bottom - INTO) {
          break;
        }
        const wide = Math.min(a.rect.right, b.rect.right) - Math.max(a.rect.left, b.rect.left);
        if (wide > INTO && a.text !== b.text && a.scrolls === b.scrolls) {
          found.add(`${quote(a.text)} lies over ${quote(b.text)} in ${path(b.parent)}`);
        }
      }
    });
    for (const e of document.body.querySelectorAll('*')) {
      // A drawer that is coming in is moved inside its veil.
      if (
        isAside(e) ||
        e.classList.contains('el-overlay') ||
        !e.checkVisibility({ visibilityProperty: true, contentVisibilityAuto: true }) ||
        e.closest('svg')
      ) {
        continue;
      }
      const { overflowX, overflowY } = getComputedStyle(e);
      if (
        overflowX !== 'visible' &&
        e.scrollWidth > e.clientWidth + SLACK &&
        e.clientWidth > 0 &&
        !e.hasAttribute('data-sideways') &&
        !/^(INPUT|SELECT|TEXTAREA)$/.test(e.tagName)
      ) {
        found.add(
          `${path(e)} is ${String(e.scrollWidth - e.clientWidth)} px too narrow for ${quote(e.textContent ?? '')}`,
        );
      }
      if (
        /hidden|clip/.test(overflowY) &&
        e.scrollHeight > e.clientHeight + 3 &&
        e.clientHeight > 0 &&
        (e.textContent ?? '').trim() !== ''
      ) {
        found.add(`${path(e)} hides ${String(e.scrollHeight - e.clientHeight)} px of ${quote(e.textContent ?? '')}`);
      }
    }
    return [...found];
  });
}

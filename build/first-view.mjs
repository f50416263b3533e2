/*
 * How much a first view fetches from an empty cache, each file compressed as a server compresses it (gzip, level 6), fonts
 * as they are:  npm run first-view [address]
 */
import { chromium } from '@playwright/test';
import { args, executablePath } from './chromium.mjs';
import { served } from './served.mjs';
import { gzipSync } from 'node:zlib';

/** No view may be heavier (kB). */
const MOST_KB = 220;

const { base } = await served();
const browser = await chromium.launch({ executablePath, args });
const isCompressed = (url) => /\.(woff2|png|jpe?g|webp)$/.test(url);

/** Opens an address in a browser of its own, and tells what came. */
async function measure(what, storageState, path, until) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base, storageState });
  const page = await context.newPage();
  const bytes = new Map();
  page.on('response', async (response) => {
    const body = await response.body().catch(() => Buffer.alloc(0));
    bytes.set(response.url(), isCompressed(response.url()) ? body.length : gzipSync(body, { level: 6 }).length);
  });
  await page.goto(path);
  await until(page);
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  const kb = (test) => `${([...bytes].reduce((sum, [url, n]) => sum + (test(url) ? n : 0), 0) / 1000).toFixed(0)} kB`;
  console.log(
    `${what}: ${kb(() => true)} in ${bytes.size} files (scripts ${kb((u) => u.endsWith('.js'))}, styles ${kb((u) => u.endsWith('.css'))}, fonts ${kb((u) => u.endsWith('.woff2'))}, page and answers ${kb((u) => !/\.(js|css|woff2)$/.test(u))})`,
  );
  if ([...bytes.values()].reduce((sum, n) => sum + n, 0) > MOST_KB * 1000) {
    console.error(`${what}: more than ${MOST_KB} kB`);
    process.exitCode = 1;
  }
  return context;
}

const visitor = await measure('A visitor, the sign-in page', undefined, '/sign-in', (page) =>
  page.getByRole('button', { name: 'Explore the demo garage' }).waitFor(),
);
const page = visitor.pages()[0];
await page.getByRole('button', { name: 'Explore the demo garage' }).click();
await page.getByRole('grid').waitFor();
await measure('Signed in, the board', await visitor.storageState(), '/board', (board) =>
  board.getByRole('grid').waitFor(),
);
await browser.close();
process.exit();

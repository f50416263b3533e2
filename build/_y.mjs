import { chromium } from 'playwright-core';
import { args, executablePath } from './chromium.mjs';
const b = await chromium.launch({ executablePath, args });
for (const [name, path, w, h, dark, rtl] of JSON.parse(process.argv[2])) {
  const c = await b.newContext({ viewport: { width: w, height: h }, locale: 'de-DE', colorScheme: dark ? 'dark' : 'light', serviceWorkers: 'block' });
  const p = await c.newPage();
  if (rtl) await p.addInitScript(() => { const m = () => document.documentElement.dir !== 'rtl' && (document.documentElement.dir = 'rtl'); new MutationObserver(m).observe(document, { attributes: true, subtree: true, attributeFilter: ['dir'] }); });
  await p.request.post('http://127.0.0.1:8123/api/demo-sign-in');
  await p.goto('http://127.0.0.1:8123/board', { waitUntil: 'networkidle' });
  const chips = p.getByRole('group', { name: 'Halte für' });
  if (await chips.count()) await chips.getByRole('button', { name: 'Sorrel' }).click();
  await p.getByRole('button', { name: 'Sorrel an Ostler, second generation:' }).click();
  await p.waitForTimeout(500);
  if (path !== '/board') { await p.goto('http://127.0.0.1:8123' + path, { waitUntil: 'networkidle' }); }
  await p.waitForTimeout(900);
  console.log(name, await p.evaluate(() => [...document.querySelectorAll('.piece .name, .piece .plate')].map((e) => e.textContent + ' ' + e.scrollWidth + '/' + e.clientWidth)));
  await p.screenshot({ path: `/tmp/w/${name}.png` });
  await c.close();
}
await b.close();

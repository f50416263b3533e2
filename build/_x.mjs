import { chromium } from 'playwright-core';
import { args, executablePath } from './chromium.mjs';
const b = await chromium.launch({ executablePath, args });
const shots = JSON.parse(process.argv[2]);
for (const [name, path, w, h, dark] of shots) {
  const c = await b.newContext({ viewport: { width: w, height: h }, locale: 'de-DE', colorScheme: dark ? 'dark' : 'light', serviceWorkers: 'block' });
  const p = await c.newPage();
  await p.request.post('http://127.0.0.1:8123/api/demo-sign-in');
  await p.goto('http://127.0.0.1:8123' + path, { waitUntil: 'networkidle' });
  await p.waitForTimeout(800);
  await p.screenshot({ path: `/tmp/w/${name}.png` });
  await c.close();
}
await b.close();

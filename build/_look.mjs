import { chromium } from '@playwright/test';
import { args, executablePath } from './chromium.mjs';
const [,, out, w, h, theme, script] = process.argv;
const browser = await chromium.launch({ executablePath, args });
const context = await browser.newContext({ viewport: { width: +w, height: +h }, colorScheme: theme, reducedMotion: 'reduce', baseURL: 'http://127.0.0.1:8123' });
const page = await context.newPage();
const demo = async () => { await page.request.post('/api/demo-sign-in'); };
const choose = async (car, outlet) => {
  const chips = page.getByRole('group', { name: 'Stops for' });
  if ((await chips.count()) > 0) await chips.getByRole('button', { name: car }).click();
  await page.getByRole('button', { name: `${car} at ${outlet}:` }).click();
  await page.getByRole('heading', { name: `${car} at ${outlet}` }).waitFor();
};
const fn = new (Object.getPrototypeOf(async function(){}).constructor)('page','demo','choose','context', script);
try { await fn(page, demo, choose, context); } catch (e) { console.log(String(e).slice(0,600)); }
await page.waitForLoadState('networkidle'); 
await page.screenshot({ path: out });
await browser.close();

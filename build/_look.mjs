import { chromium } from '@playwright/test';
import { args, executablePath } from './chromium.mjs';
const base = 'http://127.0.0.1:8123';
const browser = await chromium.launch({ executablePath, args });
const [, , ...shots] = process.argv;
for (const shot of shots) {
  const [name, path, w = '1280', h = '800', theme = 'light', act = ''] = shot.split('|');
  const context = await browser.newContext({ viewport: { width: +w, height: +h }, colorScheme: theme === 'night' ? 'dark' : 'light' });
  const page = await context.newPage();
  await page.goto(base + '/sign-in');
  await page.getByRole('button', { name: /demo garage/i }).click();
  await page.waitForURL(/board/);
  if (theme === 'night') await page.evaluate(() => { localStorage.setItem('harmozon-theme', 'night'); document.documentElement.dataset.theme = 'night'; });
  await page.goto(base + path);
  await page.waitForLoadState('networkidle');
  if (theme === 'night') await page.evaluate(() => { document.documentElement.dataset.theme = 'night'; });
  if (act) await eval('(async()=>{' + act + '})()');
  await page.waitForTimeout(400);
  await page.screenshot({ path: `/tmp/w/${name}.png`, fullPage: process.env.FULL === '1' });
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  console.log(name, 'beyond:', wide);
  await context.close();
}
await browser.close();

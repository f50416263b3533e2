// A person at a served site, for deploy/try.sh: makes the first account, then goes on through a deploy.
//   node deploy/try.mjs ADDRESS FOLDER       writes FOLDER/open once they are in, and waits for FOLDER/deployed
import { existsSync, writeFileSync } from 'node:fs';
import { chromium, expect } from '@playwright/test';
import { args, executablePath } from '../build/chromium.mjs';

const [site, folder] = process.argv.slice(2);
const browser = await chromium.launch({
  executablePath,
  args: [...args, `--host-resolver-rules=MAP ${new URL(site).hostname} 127.0.0.1`],
});
const context = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
await page.goto(site);
await expect(page.getByRole('button', { name: 'Explore the demo garage' })).toHaveCount(0);
await page.getByLabel('Name', { exact: true }).fill('Ida Wren');
await page.getByLabel('E-mail', { exact: true }).fill('ida@wren.example');
await page.getByLabel('Password', { exact: true }).fill('seven quiet herons');
await page.getByRole('button', { name: 'Open my garage' }).click();
await expect(page.getByRole('link', { name: 'Log' }).first()).toBeVisible();
await page.screenshot({ path: `${folder}/open.png` });
writeFileSync(`${folder}/open`, '');

while (!existsSync(`${folder}/deployed`)) {
  await new Promise((resolve) => setTimeout(resolve, 200));
}
// Parts of the page that were not loaded yet, by the names that they had before the deploy.
for (const name of ['Kit', 'Log', 'Bench']) {
  await page.getByRole('link', { name }).first().click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}
await page.reload();
await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
await browser.close();

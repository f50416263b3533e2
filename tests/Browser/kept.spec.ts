import { expect, test } from '@playwright/test';
import { openDemo } from './support';

// What a person typed is theirs.

test('a car kept without figures takes every figure later', async ({ page }) => {
  await openDemo(page);
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Add a car' }).click();
  const editor = page.getByRole('dialog');
  await editor.getByLabel('Name', { exact: true }).fill('Second-hand');
  await editor.getByRole('button', { name: 'Keep' }).click();
  await expect(editor).toBeHidden();

  const edit = async () => {
    await page.getByRole('button', { name: 'Edit Second-hand' }).click();
    return page.getByRole('dialog');
  };
  await (await edit()).getByLabel('usable').fill('58');
  await editor.getByRole('region', { name: 'DC behind inlet 1' }).getByLabel('V', { exact: true }).fill('1,000');
  await editor.getByRole('button', { name: 'Keep' }).click();
  await expect(editor).toContainText('expected a number, got text');
  await editor.getByRole('region', { name: 'DC behind inlet 1' }).getByLabel('V', { exact: true }).fill('1000');
  await editor.getByRole('button', { name: 'Keep' }).click();
  await expect(editor).toBeHidden();

  await page.reload();
  await expect((await edit()).getByLabel('usable')).toHaveValue('58');
  await expect(editor.getByRole('region', { name: 'DC behind inlet 1' }).getByLabel('V', { exact: true })).toHaveValue(
    '1000',
  );
});

test('two tabs: an older copy overwrites nothing, and what was typed stays', async ({ page, context }) => {
  await openDemo(page);
  await page.goto('/kit');
  const other = await context.newPage();
  await other.goto('/kit');
  for (const tab of [page, other]) {
    await tab.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  }
  const mine = page.getByRole('dialog');
  const theirs = other.getByRole('dialog');
  await theirs.getByLabel('A continuous').fill('250');
  await theirs.getByRole('button', { name: 'Keep' }).click();
  await expect(theirs).toBeHidden();

  await mine.getByLabel('In a few words').fill('typed late');
  await mine.getByLabel('A continuous').fill('280');
  await mine.getByRole('button', { name: 'Keep' }).click();
  const meanwhile = mine.getByRole('region', { name: 'Changed meanwhile' });
  await expect(meanwhile).toContainText('A continuous');
  await expect(meanwhile).toContainText('there: 250');
  await expect(meanwhile).toContainText('here: 280');
  await meanwhile.getByRole('button', { name: 'Take the other figures' }).click();
  await expect(mine.getByLabel('A continuous')).toHaveValue('250');
  await expect(mine.getByLabel('In a few words')).toHaveValue('typed late');
  await mine.getByRole('button', { name: 'Keep' }).click();
  await expect(mine).toBeHidden();

  // Put aside in the other tab while it is edited here.
  await page.getByRole('button', { name: 'Edit Tenon T-31' }).click();
  await other.reload();
  await other.getByRole('button', { name: 'Remove Tenon T-31' }).click();
  await expect(other.getByText('Tenon T-31 removed.')).toBeVisible();
  await mine.getByLabel('A continuous').fill('290');
  await mine.getByRole('button', { name: 'Keep' }).click();
  await mine.getByRole('button', { name: 'Bring it back' }).click();
  await expect(mine.getByLabel('A continuous')).toHaveValue('290');
  await mine.getByRole('button', { name: 'Keep' }).click();
  await expect(mine).toBeHidden();
  await expect(page.getByText('1000 V · 290 A')).toBeVisible();
});

import { expect, test, type Page } from '@playwright/test';
import { enterDemo, enterOwnStudio } from './steps.ts';

const PASSWORD = 'four bricks and a lantern';

async function invite(page: Page, name: string, part: string): Promise<string> {
  await page.goto('/studio');
  await page.getByRole('button', { name: 'Invite somebody' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill(name);
  await dialog.getByLabel('Email').fill(`${name.toLowerCase()}-${Date.now()}@studio.example`);
  await dialog.getByLabel('Part').selectOption(part);
  await dialog.getByRole('button', { name: 'Make the link' }).click();
  const link = await dialog.getByLabel('One-time link').inputValue();
  await page.keyboard.press('Escape');
  return link;
}

test('somebody is invited, chooses a password of their own, and is taken out of the team', async ({
  page,
  browser,
}) => {
  await enterOwnStudio(page);
  const link = await invite(page, 'Nia', 'reader');
  const hers = await (await browser.newContext()).newPage();
  await hers.goto(link);
  await expect(hers.getByText('you are invited as reader')).toBeVisible();
  await hers.getByLabel(/^Password for/).fill('qwertyuiop');
  await hers.getByRole('button', { name: 'Come in' }).click();
  await expect(hers.getByRole('alert')).toContainText('easily guessed');
  await hers.getByLabel(/^Password for/).fill(PASSWORD);
  await hers.getByRole('button', { name: 'Come in' }).click();
  await expect(hers.getByRole('link', { name: 'Library' })).toBeVisible();
  await expect(hers.getByRole('link', { name: 'People' })).toBeHidden();

  const again = await (await browser.newContext()).newPage();
  await again.goto(link);
  await expect(again.getByRole('heading', { name: /does not open anything/ })).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: 'Change Nia' }).click();
  await page.getByRole('button', { name: 'Take out of the team' }).click();
  await expect(page.getByRole('button', { name: 'Change Nia' })).toBeHidden();
  await hers.goto('/library');
  await expect(hers).toHaveURL(/sign-in/);
});

test('one’s own sessions are listed and ended, and the trail tells who opened a record', async ({
  page,
  browser,
}) => {
  await enterOwnStudio(page);
  const link = await invite(page, 'Omar', 'instructor');
  const his = await (await browser.newContext()).newPage();
  await his.goto(link);
  await his.getByLabel(/^Password for/).fill(PASSWORD);
  await his.getByRole('button', { name: 'Come in' }).click();
  await his.getByRole('link', { name: 'People' }).click();
  await expect(his.getByRole('heading', { name: 'People', exact: true })).toBeVisible();
  await page.goto('/studio/trail');
  await expect(page.getByText('Omar opened the list of people')).toBeVisible();
  await his.goto('/account');
  await expect(his.getByText('this one')).toBeVisible();
  await his.getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(his).toHaveURL(/sign-in/);
});

test('signing out asks before it throws away what is only on this device', async ({ page }) => {
  await enterDemo(page);
  await page.evaluate(() => localStorage.setItem('wrenfern-draft-x', '{}'));
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('dialog')).toContainText('One thing on this device');
  await page.getByRole('button', { name: 'Stay' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'Sign out and lose it' }).click();
  await expect(page).toHaveURL(/sign-in/);
  expect(await page.evaluate(() => localStorage.getItem('wrenfern-draft-x'))).toBeNull();
});

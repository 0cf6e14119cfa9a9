import { expect, test } from '@playwright/test';
import { enterDemo } from './steps.ts';

test('at the door: who is here, how they are, and a guest', async ({ page }) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Options' }).first().click();
  await page.getByRole('link', { name: 'Check-in' }).click();
  const asha = page.getByRole('listitem').filter({ hasText: 'Asha Delun' });
  await asha.getByRole('button', { name: 'Asha Delun is here' }).click();
  await expect(page.getByRole('status').filter({ hasText: '1 of' })).toBeVisible();

  await asha.getByRole('button', { name: 'Tired' }).click();
  await asha.getByText(/exercises change today/).click();
  await expect(asha.getByText(/instead of option/).first()).toBeVisible();

  await page.getByRole('button', { name: 'Jonas Hallbeck does not come' }).click();
  await expect(page.getByText('1 not coming')).toBeVisible();

  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByLabel('Name').fill('Lena Marsh');
  await page.getByRole('button', { name: 'Add as a guest' }).click();
  const lena = page.getByRole('listitem').filter({ hasText: 'Lena Marsh' });
  await expect(lena.getByRole('button', { name: 'Lena Marsh is here' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(lena.getByRole('button', { name: 'First time' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );

  await page.getByRole('link', { name: 'Options' }).click();
  await expect(
    page.getByRole('button', { name: /^Lena Marsh, .*: option 1/ }).first(),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: /^Jonas Hallbeck, / })).toHaveCount(0);
});

import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { enterDemo } from './steps.ts';

test('the room follows the class on a screen of its own, until its address is taken back', async ({
  page,
  browser,
}) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Teach' }).first().click();
  await page.getByRole('button', { name: 'Start the class' }).click();
  await page.getByRole('button', { name: /Show the class on a screen/ }).click();
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = await page.getByLabel('Address for the room').inputValue();
  await page.keyboard.press('Escape');

  // Somebody else's browser, which has never signed in.
  const stranger = await browser.newContext();
  const wall = await stranger.newPage();
  await wall.goto(address);
  await page.keyboard.press('ArrowRight');
  const name = await page.getByRole('heading', { level: 1 }).innerText();
  await expect(wall.getByRole('heading', { level: 1 })).toHaveText(name);
  await page.keyboard.press('ArrowRight');
  const next = await page.getByRole('heading', { level: 1 }).innerText();
  await expect(wall.getByRole('heading', { level: 1 })).toHaveText(next);
  for (const who of ['Asha', 'Noor', 'Kaito']) {
    await expect(wall.getByText(who)).toHaveCount(0);
  }
  const { violations } = await new AxeBuilder({ page: wall }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual(
    [],
  );

  await page.getByRole('button', { name: /Show the class on a screen/ }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(wall.getByText(/taken back/)).toBeVisible();
  await stranger.close();
});

test('a class is rehearsed by keys, and stops where something is left to settle', async ({
  page,
}) => {
  await enterDemo(page);
  await page.locator('article h2 a').first().click();
  await page.getByRole('link', { name: 'Rehearse' }).click();
  const first = await page.getByRole('heading', { level: 1, name: /./ }).last().innerText();
  await page.getByRole('button', { name: '30×' }).click();
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1 }).last()).not.toHaveText(first);
  await page.keyboard.press('Space');
  await expect(page.getByRole('alert')).toContainText('Left to settle here');
  await page.getByRole('link', { name: 'Settle it in Plan' }).click();
  await expect(page).toHaveURL(/plan\?item=/);
  await expect(page.locator('[data-item][aria-pressed=true]')).toHaveCount(1);
});

import { expect, test } from '@playwright/test';
import { enterDemo } from './steps.ts';

test.use({ serviceWorkers: 'allow' });

/** What the device keeps of today. */
const keptPaths = () =>
  caches
    .open('wrenfern-day')
    .then((cache) => cache.keys())
    .then((requests) => requests.map(({ url }) => new URL(url).pathname));

test('a class of today opens and is taught without any line, a reload in the middle included', async ({
  page,
  context,
}) => {
  await enterDemo(page);
  const teach = page.getByRole('link', { name: 'Teach' }).first();
  const path = (await teach.getAttribute('href')) ?? '';
  const classId = path.split('/')[2] ?? '';
  // Today was looked at: its classes are on the device now.
  await expect.poll(() => page.evaluate(keptPaths)).toContain(`/api/classes/${classId}/events`);

  await context.setOffline(true);
  await page.goto(path);
  await expect(page.getByRole('status').filter({ hasText: 'No line' })).toBeVisible();
  await page.getByRole('button', { name: 'Start the class' }).click();
  for (let press = 0; press < 3; press += 1) await page.keyboard.press('ArrowRight');
  const there = await page.getByRole('heading', { level: 1 }).innerText();
  await expect(page.getByText('kept here, not sent yet')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(there);

  await context.setOffline(false);
  await expect(page.getByText('kept here, not sent yet')).toHaveCount(0);
  const told = await page.evaluate(async (id) => {
    const response = await fetch(`/api/classes/${id}/events`, { cache: 'no-store' });
    return ((await response.json()) as { pressed: { event: { id: string; type: string } }[] })
      .pressed;
  }, classId);
  expect(told.map(({ event }) => event.type)).toEqual(['start', 'goTo', 'goTo', 'goTo']);
  expect(new Set(told.map(({ event }) => event.id)).size).toBe(told.length);
});

test('signing out leaves nothing of the day on the device', async ({ page }) => {
  await enterDemo(page);
  await expect.poll(() => page.evaluate(keptPaths)).toContain('/api/session');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  expect(await page.evaluate(() => caches.has('wrenfern-day'))).toBe(false);
});

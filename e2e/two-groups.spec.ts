import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { enterDemo } from './steps.ts';

const grave = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`);
};

/** The class of two groups that is still to come. */
async function openTwoGroups(page: Page): Promise<string> {
  const answer = await page.request.get('/api/classes?limit=60');
  const { classes } = (await answer.json()) as {
    classes: { id: string; title: string; startsAt: string; taught: boolean }[];
  };
  const next = classes.find(({ title, taught }) => title === 'Mats and machines' && !taught);
  return `/classes/${next?.id ?? ''}`;
}

test('two groups are planned side by side, put together, taught by one clock and logged', async ({
  page,
}) => {
  await enterDemo(page);
  const path = await openTwoGroups(page);
  await page.goto(`${path}/plan`);
  const machines = page.getByRole('region', { name: 'On the machines' });
  const mat = page.getByRole('region', { name: 'On the mat' });
  await expect(machines.getByText('Footwork', { exact: true })).toBeVisible();
  await expect(mat.getByText('Clam', { exact: true })).toBeVisible();
  await expect(page.getByText(/Change over at/)).toBeVisible();
  expect(await grave(page)).toEqual([]);

  // What is added goes to its own place.
  await page.getByLabel('Search exercises').fill('long stretch');
  await page.keyboard.press('Enter');
  await expect(machines.getByText('Long stretch', { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(machines.getByText('Long stretch', { exact: true })).toHaveCount(0);

  await page.goto(`${path}/options`);
  await page.getByRole('button', { name: 'Groups of 6 and 6' }).click();
  const first = page.getByRole('region', { name: 'First on the machines' });
  await first
    .getByRole('button', { name: /on the mat first/ })
    .first()
    .click();
  await expect(page.getByText('put there')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.goto(`${path}/teach`);
  await expect(page.getByRole('region', { name: 'Who begins where' })).toBeVisible();
  await page.getByRole('button', { name: 'Start the class' }).click();
  const here = page.getByRole('region', { name: 'On the machines' });
  const there = page.getByRole('region', { name: 'On the mat' });
  for (let press = 0; press < 8 && (await here.count()) === 0; press += 1) {
    await page.keyboard.press('ArrowRight');
  }
  await expect(here.getByRole('heading', { level: 1 })).toHaveText('Footwork');
  await expect(there.getByRole('heading', { level: 1 })).toHaveText('Three-way breathing');
  // Each group goes on by itself.
  await there.getByRole('button', { name: 'Next' }).click();
  await expect(there.getByRole('heading', { level: 1 })).toHaveText('Pelvic rock');
  await expect(here.getByRole('heading', { level: 1 })).toHaveText('Footwork');
  await page.keyboard.press('ArrowRight');
  await expect(here.getByRole('heading', { level: 1 })).toHaveText('Calf raise on the bar');
  expect(await grave(page)).toEqual([]);
  // The keys take both to the change-over, and from there each to the other place.
  for (let press = 0; press < 20 && (await here.count()) > 0; press += 1) {
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(50);
  }
  await expect(page.getByRole('heading', { level: 1, name: 'Change over' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(here.getByRole('heading', { level: 1 })).toHaveText('Footwork');
  await expect(there.getByRole('heading', { level: 1 })).toHaveText('Three-way breathing');

  await page.goto(`${path}/log`);
  await expect(page.getByRole('heading', { name: /^First on the machines:/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^First on the mat:/ })).toBeVisible();
});

test('a class for all becomes one of two groups, and is drafted as such', async ({ page }) => {
  await enterDemo(page);
  await page.locator('article h2 a').first().click();
  await page.getByText('Both', { exact: true }).click();
  await expect(page.getByRole('region', { name: 'On the machines' })).toBeVisible();
  await page.getByRole('button', { name: 'Draft for me' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Where')).toHaveValue('both');
  await dialog.getByRole('group', { name: 'length' }).locator('input').fill('55');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Draft three classes' }).click();
  await page.getByRole('button', { name: 'Use this one' }).first().click();
  const machines = page.getByRole('region', { name: 'On the machines' });
  await expect(machines.getByText('Footwork', { exact: true }).first()).toBeVisible();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
});

test('a new class is of two groups from the first', async ({ page }) => {
  await enterDemo(page);
  await page.getByRole('button', { name: 'New class' }).first().click();
  const form = page.getByRole('dialog');
  await form.getByText('Both', { exact: true }).click();
  await expect(form.getByLabel('Name')).toHaveAttribute('placeholder', /mat and reformer$/);
  await form.getByRole('button', { name: 'Make it and plan' }).click();
  await expect(page.getByRole('region', { name: 'On the machines' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'On the mat' })).toBeVisible();
});

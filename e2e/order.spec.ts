import { expect, test, type Page } from '@playwright/test';
import {
  add,
  enterDemo,
  expectSaved,
  makeClass,
  names,
  openFinding,
  rows,
  totalS,
} from './steps.ts';

async function planDemo(page: Page): Promise<void> {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Plan Small ball evening' }).click();
  await expect(rows(page).first()).toBeVisible();
}

const tool = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Score' }).getByRole('button', { name }).first();

test('findings are stepped through and mended with keys', async ({ page }) => {
  await planDemo(page);
  const before = await names(page);
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  const strip = page.getByRole('region', { name: / to settle$/ });
  await expect(strip).toContainText(/2 of \d+/);
  for (let step = 0; step < 9; step += 1) {
    if (/turn over 3 times/.test(await strip.innerText())) break;
    await page.keyboard.press('n');
  }
  await expect(rows(page).filter({ hasText: 'Side leg lift' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.keyboard.press('1');
  await expect(page.getByText('Series, right first').first()).toBeVisible();
  await expect(page.getByText(/^then left side from \d+:\d\d$/)).toBeVisible();
  expect(await names(page)).toEqual(before);
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/^then left side from/)).toHaveCount(0);
  await page.keyboard.press('p');
  await strip.getByLabel('Findings by kind').selectOption('must');
  await expect(strip).toContainText(/\d of \d+/);
});

test('the class is ordered, by one move or by all, and taken back', async ({ page }) => {
  await planDemo(page);
  const before = await names(page);
  await tool(page, 'Order for me').click();
  const panel = page.getByRole('dialog', { name: 'Order for me' });
  await expect(panel).toContainText('Proved best', { timeout: 20_000 });
  await expect(panel).toContainText(/\d+ moves?, \d+ s better/);

  await test.step('why: what it is made of', async () => {
    await panel.getByText('Why?').click();
    await expect(panel.getByRole('row', { name: /^set-up between items/ })).toBeVisible();
  });

  await test.step('side by side', async () => {
    await panel.getByRole('button', { name: 'Side by side' }).click();
    const compare = page.getByRole('dialog', { name: 'Now and best order' });
    await expect(compare.getByText('moved').first()).toBeVisible();
    await compare.getByRole('button', { name: 'Close' }).click();
  });

  await test.step('one move', async () => {
    await panel.getByRole('button', { name: 'Take this one' }).first().click();
    await expect.poll(() => names(page)).not.toEqual(before);
    await panel.getByRole('button', { name: /^Look again/ }).click();
    await expect(panel).toContainText('Proved best', { timeout: 20_000 });
  });

  await test.step('the rest at once, and undone as one', async () => {
    const between = await names(page);
    await panel.getByRole('button', { name: 'Take all' }).click();
    await expect.poll(() => names(page)).not.toEqual(between);
    await panel.getByRole('button', { name: /^Look again/ }).click();
    await expect(panel).toContainText('Nothing to gain', { timeout: 20_000 });
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await expect.poll(() => names(page)).toEqual(between);
    await page.keyboard.press('Control+z');
    await expect.poll(() => names(page)).toEqual(before);
  });

  await test.step('what is pinned stays', async () => {
    await tool(page, 'Order for me').click();
    await expect(panel).toContainText('Proved best', { timeout: 20_000 });
    await panel.getByText('What stays as it is').click();
    await panel.getByRole('button', { name: 'Keep Legs-together rotation in its place' }).click();
    await expect(panel).toContainText('Proved best', { timeout: 20_000 });
    await expect(panel.getByRole('list', { name: 'Moves' })).not.toContainText(
      'Legs-together rotation after',
    );
    await page.keyboard.press('Escape');
    await expectSaved(page);
  });
});

test('a class is drafted from wishes, one item swapped, used and taken back', async ({ page }) => {
  await enterDemo(page);
  await makeClass(page, 'Drafted class', 30);
  await tool(page, 'Draft for me').click();
  const panel = page.getByRole('dialog', { name: 'Draft for me' });
  await panel.getByRole('button', { name: 'outside of the hip' }).click();
  await panel.getByRole('combobox', { name: 'An exercise that must be in it' }).fill('Clam');
  await expect(panel.getByRole('button', { name: 'Without Clam' })).toBeVisible();
  await panel.getByRole('button', { name: 'Draft three classes' }).click();
  const cards = panel.getByRole('article');
  await expect(cards).toHaveCount(3, { timeout: 30_000 });
  const near = cards.first();
  await expect(near).toContainText('You asked for it');
  await expect(near).toContainText(/\d\d:\d\d of 30:00/);

  await test.step('the next best in the place of one', async () => {
    await near.getByRole('button', { name: 'Another in place of Clam' }).click();
    await expect(near).toContainText('Its next best, chosen by you.');
    await expect(near.getByRole('button', { name: 'Another in place of Clam' })).toHaveCount(0);
  });

  await test.step('used, and undone as one', async () => {
    await near.getByRole('button', { name: 'Use this one' }).click();
    await expect(panel).toBeHidden();
    expect((await names(page)).length).toBeGreaterThan(9);
    expect(Math.abs((await totalS(page)) - 1800)).toBeLessThan(180);
    await page.keyboard.press('Control+z');
    await expect(rows(page)).toHaveCount(0);
    await page.keyboard.press('Control+Shift+Z');
    await expectSaved(page);
    await page.reload();
    await expect.poll(async () => (await names(page)).length).toBeGreaterThan(9);
  });
});

test('wishes that can’t be had together are named', async ({ page }) => {
  await enterDemo(page);
  await makeClass(page, 'Too much', 30);
  await tool(page, 'Draft for me').click();
  const panel = page.getByRole('dialog', { name: 'Draft for me' });
  await panel.getByRole('combobox', { name: 'An exercise that must be in it' }).fill('Plank');
  await panel.getByRole('combobox', { name: 'An exercise to leave out' }).fill('Plank');
  await panel.getByRole('button', { name: 'Draft three classes' }).click();
  await expect(panel.getByRole('alert')).toContainText('Plank as a must and no Plank today.', {
    timeout: 30_000,
  });
  await panel.getByRole('button', { name: 'Change the wishes' }).click();
  await panel.getByRole('button', { name: 'Without Plank' }).last().click();
  await panel.getByRole('button', { name: 'Draft three classes' }).click();
  await expect(panel.getByRole('article')).toHaveCount(3, { timeout: 30_000 });
});

test('dragging tells what the drop would do', async ({ page }) => {
  await planDemo(page);
  const before = await names(page);
  const grip = page.getByRole('button', { name: 'Move Knees to chest', exact: true });
  const goal = page.getByRole('button', { name: 'Move Shoulder bridge, rolling', exact: true });
  const [from, to] = [await grip.boundingBox(), await goal.boundingBox()];
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + 8, from.y + 12);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y - 20, { steps: 4 });
  await page.mouse.move(to.x + 8, to.y + 12, { steps: 10 });
  const preview = page.getByTestId('drop-preview');
  await expect(preview).toContainText(/^Dropped here: \d+:\d\d/);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(preview).toBeHidden();
  expect(await names(page)).toEqual(before);
});

test('a school is copied, changed, chosen, and tells what it changes', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/studio');
  await page.getByRole('button', { name: 'Copy Foundations first', exact: true }).click();
  await expect(page).toHaveURL(/\/studio\/schools\/own-/);
  await page.getByLabel('Name', { exact: true }).fill('Lantern way');
  await page.getByLabel('Why you teach so').fill('');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('say why');
  await page.getByLabel('Why you teach so').fill('Our floor is cold: nobody lies for long.');
  await page.getByLabel('All six directions').selectOption('off');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Lantern way' })).toBeVisible();

  await page.goto('/');
  await makeClass(page, 'Lantern class two', 30);
  await add(page, 'Plank');
  await openFinding(page, /six directions are met|missing/);
  await page.getByLabel('School').selectOption('Lantern way');
  await expect(page.getByText(/^Against Foundations first:.*no longer asked for/)).toBeVisible();
  await expectSaved(page);
  await page.reload();
  await expect(page.getByLabel('School')).toHaveValue(/^own-/);
});

test('a class is compared with what it was when it was opened', async ({ page }) => {
  await enterDemo(page);
  await makeClass(page, 'Before and after', 20);
  await add(page, 'Plank');
  await tool(page, 'Compare').click();
  const compare = page.getByRole('dialog', { name: 'When you opened it and now' });
  await expect(compare.getByText('added')).toBeVisible();
  await expect(compare).toContainText(/It brings \d+/);
});

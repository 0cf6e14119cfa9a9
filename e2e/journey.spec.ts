import { expect, test } from '@playwright/test';
import {
  add,
  dragTo,
  enterDemo,
  expectSaved,
  leftToSettle,
  makeClass,
  names,
  openFinding,
  rows,
  totalS,
} from './steps.ts';

test('from nothing to a taught class in the log', async ({ page }) => {
  await enterDemo(page);
  const id = await makeClass(page, 'Lantern class', 20);

  await test.step('the first exercise is dragged in', async () => {
    await page.keyboard.press('/');
    await page.keyboard.type('pelvic rock');
    const card = page.getByRole('button', { name: 'Drag Pelvic rock into the class' });
    await dragTo(page, card, page.getByRole('heading', { name: 'Arrive' }));
    await expect(rows(page)).toHaveCount(1);
    expect(await totalS(page)).toBeGreaterThan(60);
  });

  await test.step('more are added with the keyboard alone', async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('chest lift');
    const plus = page.getByRole('button', { name: 'Add Chest lift', exact: true });
    await plus.focus();
    await page.keyboard.press('Enter');
    await expect(rows(page)).toHaveCount(2);
  });

  await test.step('findings tell what is missing, and one press mends it', async () => {
    const finding = await openFinding(page, /the class ends on the back/i);
    const before = await totalS(page);
    await finding.getByRole('button', { name: 'Add Return to sitting' }).click();
    await expect(finding).toBeHidden();
    expect(await totalS(page)).toBeGreaterThan(before);
    expect(await names(page)).toContain('Return to sitting');
  });

  await test.step('undo and redo', async () => {
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await names(page)).not.toContain('Return to sitting');
    await page.keyboard.press('Control+Shift+Z');
    expect(await names(page)).toContain('Return to sitting');
  });

  await test.step('a row is lifted and moved by keyboard', async () => {
    const before = await names(page);
    expect(before.slice(0, 2)).toEqual(['Pelvic rock', 'Chest lift']);
    await page.getByRole('button', { name: 'Move Chest lift', exact: true }).focus();
    await page.keyboard.press('Space');
    const said = page.getByRole('status').filter({ hasText: /Chest lift (lifted|over)/ });
    await expect(said).toContainText('Chest lift');
    for (let step = 0; step < 2; step += 1) {
      const words = await said.innerText();
      await page.keyboard.press('ArrowUp');
      await expect(said).not.toHaveText(words);
    }
    await page.keyboard.press('Space');
    await expect.poll(async () => (await names(page))[0]).toBe('Chest lift');
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await names(page))[0]).toBe('Pelvic rock');
  });

  await test.step('the dose changes the time', async () => {
    await rows(page).nth(1).click();
    const before = await totalS(page);
    await page.getByRole('button', { name: 'More: times' }).click();
    // From 8 to 10, which people use, at 11 s each: as long as nobody says whether it is breathed.
    await expect.poll(() => totalS(page)).toBe(before + 22);
    await page.getByText(/^Where \d+:\d\d goes$/).click();
    await expect(page.getByText(/10 repetitions at 11 s/).first()).toBeVisible();
  });

  await test.step('it is saved, and there after a reload', async () => {
    await expectSaved(page);
    const before = await names(page);
    await page.reload();
    await expect(rows(page)).toHaveCount(before.length);
    expect(await names(page)).toEqual(before);
  });

  await test.step('people are booked, and their options have reasons', async () => {
    await page.getByRole('link', { name: 'Options' }).click();
    await page.getByRole('button', { name: '0 coming' }).click();
    for (const name of ['Asha Delun', 'Bram Ostrey', 'Wim Dask'])
      await page.getByLabel(name).check();
    await page.getByRole('button', { name: 'Book 3 people' }).click();
    await page.getByRole('button', { name: /^Bram Ostrey, Chest lift: instead/ }).click();
    await expect(page.getByText(/Back: no rounding: option/).first()).toBeVisible();
    await page.getByLabel('Choose another').selectOption('rest');
    await expect(
      page.getByRole('button', { name: /^Bram Ostrey, Chest lift: rest/ }),
    ).toBeVisible();
  });

  await test.step('the class is taught', async () => {
    await page.clock.install({ time: new Date('2026-11-26T18:00:00Z') });
    await page.goto(`/classes/${id}/teach`);
    await expect(page.getByText('Lay out first')).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByRole('heading', { name: 'Pelvic rock' })).toBeVisible();
    await page.clock.fastForward(100_000);
    await expect(page.getByText(/1:4\d$/).first()).toBeVisible();
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('heading', { name: 'Chest lift', exact: true })).toBeVisible();
    await page.clock.fastForward(30_000);
    await expect(page.getByText(/ of 10$/)).toBeVisible();
    await page.getByRole('button', { name: 'Asha' }).click();
    await page.getByRole('button', { name: /1 · Head in hands/ }).click();
    await page.getByRole('button', { name: 'Note' }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('Necks were tired');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.keyboard.press('p');
    await expect(page.getByText('Paused')).toBeVisible();
    await page.clock.fastForward(600_000);
    await page.keyboard.press('p');
    await page.clock.fastForward(50_000);
    await page.getByRole('button', { name: 'Next' }).click();
    await page.clock.fastForward(40_000);
    await page.getByRole('button', { name: 'End the class' }).click();
    await page.getByRole('button', { name: 'End it' }).click();
    await page.getByRole('link', { name: 'See the log' }).click();
  });

  await test.step('and found in the log', async () => {
    const chestLift = page.getByRole('row', { name: /Chest lift/ });
    await expect(chestLift).toContainText(/1:2\d/);
    await expect(chestLift).toContainText('Necks were tired');
    await expect(chestLift).toContainText('Asha Delun did option 1');
    await expect(page.getByRole('row', { name: /Pelvic rock/ })).toContainText(/1:4\d/);
    await page.getByText('3 middling').click();
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Kept in the log')).toBeVisible();
  });
});

test('the demo opens on a class with something to settle, which repairs settle', async ({
  page,
}) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Plan Small ball evening' }).click();
  await expect.poll(() => leftToSettle(page)).toBeGreaterThan(2);
  const atFirst = await leftToSettle(page);
  const missing = /Side-bending left and side-bending right are missing/;
  const directions = await openFinding(page, missing);
  await directions.getByRole('button', { name: 'Add Hip dip' }).click();
  await expect(page.getByText(missing)).toHaveCount(0);
  const over = await openFinding(page, /over 30:00/);
  await over.getByRole('button', { name: 'why?' }).click();
  await expect(page.getByText(/^Must hold\. .*Common practice\.$/)).toBeVisible();
  await page.keyboard.press('Escape');
  const before = await totalS(page);
  await over.getByRole('button', { name: /^\d+ changes that come to \d+:\d\d$/ }).click();
  await expect.poll(() => totalS(page)).toBeLessThan(before);
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: /^\d+:\d\d over$/ }).click();
  const fit = page.getByRole('dialog', { name: 'Fit to time' });
  await fit.getByRole('button', { name: /^Take (it|all \d+)$/ }).click();
  await page.keyboard.press('Escape');
  await expect.poll(async () => Math.abs((await totalS(page)) - 1800)).toBeLessThan(60);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(() => leftToSettle(page)).toBe(atFirst);
  await expectSaved(page);
});

test('an exercise is found in the library and read', async ({ page }) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Library' }).click();
  await page.getByRole('searchbox', { name: 'Search the library' }).fill('spine curl');
  await expect(page.getByText(/^\d of \d+ exercises$/)).toBeVisible();
  await page.getByRole('link', { name: /Shoulder bridge, rolling/ }).click();
  await expect(
    page.getByRole('heading', { name: '3 · Rolled, ball between the knees' }),
  ).toBeVisible();
  await expect(page.getByText(/Fused back: options 1, 2 stay open/)).toBeVisible();
});

test('a person’s caution changes where they start', async ({ page }) => {
  await enterDemo(page);
  const id = await makeClass(page, 'Caution class', 20);
  await add(page, 'Plank');
  await expectSaved(page);
  await page.goto('/people/new');
  await page.getByLabel('Name').fill('Ottil Brame');
  await page.getByLabel('Usual option').selectOption('3');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Ottil Brame' })).toBeVisible();
  await page.goto(`/classes/${id}/options`);
  await page.getByRole('button', { name: '0 coming' }).click();
  await page.getByLabel('Ottil Brame').check();
  await page.getByRole('button', { name: 'Book 1 person' }).click();
  await expect(page.getByRole('button', { name: /Ottil Brame, Plank: option 3/ })).toBeVisible();
  await page.getByRole('button', { name: 'Ottil Brame', exact: true }).click();
  await page.getByLabel('Anything else').fill('sore wrist');
  await page.getByLabel('Anything else').press('Enter');
  await page.getByRole('button', { name: 'Save for today' }).click();
  await expect(
    page.getByRole('button', { name: /Ottil Brame, Plank: option 3, .*forearms/ }),
  ).toBeVisible();
});

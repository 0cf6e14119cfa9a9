import { expect, test, type Page } from '@playwright/test';
import { add, enterDemo, expectSaved, makeClass, names, rows } from './steps.ts';

test('two devices teach one class: each follows the other within two seconds', async ({
  page,
  context,
}) => {
  await enterDemo(page);
  const id = await makeClass(page, 'Taught by two', 15);
  for (const name of ['Three-way breathing', 'Plank', 'Clam']) await add(page, name);
  await expectSaved(page);
  const other = await context.newPage();
  await other.goto(`/classes/${id}/teach`);
  await expect(other.getByRole('button', { name: 'Start the class' })).toBeVisible();
  await page.goto(`/classes/${id}/teach`);
  await page.getByRole('button', { name: 'Start the class' }).click();
  const at = (on: Page, name: string) => on.getByRole('heading', { level: 1, name });
  await expect(at(other, 'Three-way breathing')).toBeVisible();

  // Both press Next at once: that is one step.
  await Promise.all([page.keyboard.press('ArrowRight'), other.keyboard.press('ArrowRight')]);
  await expect(at(page, 'Plank')).toBeVisible();
  await expect(at(other, 'Plank')).toBeVisible();

  await page.keyboard.press('ArrowRight');
  await expect(at(page, 'Clam')).toBeVisible();
  await expect(at(other, 'Clam')).toBeVisible();
  await other.keyboard.press('p');
  await expect(page.getByText('Paused')).toBeVisible();

  await test.step('a plan emptied meanwhile leaves the class and its log as they are', async () => {
    const planner = await context.newPage();
    await planner.goto(`/classes/${id}/plan`);
    await rows(planner).first().click();
    await planner.keyboard.press('Delete');
    await expectSaved(planner);
    await expect.poll(async () => (await names(planner)).length).toBe(2);
    await page.reload();
    await expect(at(page, 'Clam')).toBeVisible();
    await planner.goto(`/classes/${id}/log`);
    await expect(planner.getByRole('row', { name: /Three-way breathing/ })).toBeVisible();
  });
});

test('a press that can’t go into the log is set aside, and the rest goes on', async ({ page }) => {
  await enterDemo(page);
  const id = await makeClass(page, 'One odd press', 15);
  for (const name of ['Three-way breathing', 'Plank']) await add(page, name);
  await expectSaved(page);
  await page.evaluate((classId) => {
    const odd = [{ id: 'event-from-long-ago', type: 'next', atMs: 5 }];
    localStorage.setItem(`wrenfern-live-${classId}`, JSON.stringify(odd));
  }, id);
  await page.goto(`/classes/${id}/teach`);
  await page.getByRole('button', { name: 'Start the class' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Three-way' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1, name: 'Plank' })).toBeVisible();
  await page.getByRole('button', { name: '1 set aside' }).click();
  await expect(page.getByRole('dialog')).toContainText('One press could not go into the log');
  await page.getByRole('button', { name: 'Forget them' }).click();
  await expect(page.getByRole('button', { name: '1 set aside' })).toBeHidden();
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: 'Plank' })).toBeVisible();
});

test('a record changed by two keeps what does not touch, and asks about what does', async ({
  page,
  context,
}) => {
  await enterDemo(page);
  const openBram = async (target: Page) => {
    await target.goto('/people');
    await target.getByRole('link', { name: /Bram Ostrey/ }).click();
    await expect(target.getByRole('heading', { name: 'Bram Ostrey' })).toBeVisible();
  };
  const other = await context.newPage();
  await openBram(page);
  await openBram(other);
  const save = async (target: Page) => {
    await target.getByRole('button', { name: 'Save', exact: true }).click();
  };
  await page.getByLabel('Add a caution').fill('sore wrist');
  await page.getByLabel('Add a caution').press('Enter');
  await save(page);
  await expect(page.getByText('Saved')).toBeVisible();
  await other.getByLabel('Usual option').selectOption('4');
  await save(other);
  await expect(other.getByText('Saved')).toBeVisible();
  await openBram(page);
  await expect(page.getByLabel('Usual option')).toHaveValue('4');
  const cautions = page.getByRole('region', { name: 'Cautions' });
  await expect(cautions.getByRole('heading', { level: 3 })).toHaveCount(2);

  await openBram(other);
  const noteOf = (target: Page) => target.getByRole('textbox', { name: 'Note' }).first();
  await noteOf(page).fill('Left knee.');
  await save(page);
  await noteOf(other).fill('Right knee.');
  await save(other);
  const dialog = other.getByRole('alertdialog');
  await expect(dialog.getByRole('row', { name: /note/ })).toContainText('Left knee.');
  await dialog.getByRole('button', { name: 'Take theirs where we differ' }).click();
  await expect(noteOf(other)).toHaveValue('Left knee.');
});

test('an earlier plan is looked at and brought back, and a class taken out of the wastebasket', async ({
  page,
}) => {
  await enterDemo(page);
  await makeClass(page, 'Brought back', 15);
  await add(page, 'Plank');
  await expectSaved(page);
  await page.keyboard.press('Escape');
  await rows(page).first().click();
  await page.keyboard.press('Delete');
  await expectSaved(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Earlier plans' }).click();
  await page.getByRole('button', { name: /^Look/ }).nth(1).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect.poll(() => names(page)).toEqual(['Plank']);
  await expectSaved(page);

  await page.getByRole('button', { name: 'Into the wastebasket' }).click();
  await expect(page.getByText('Brought back is in the wastebasket')).toBeVisible();
  await page.goto('/wastebasket');
  await page.getByRole('button', { name: 'Take out again Brought back' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing in it' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Brought back', exact: true })).toBeVisible();
});

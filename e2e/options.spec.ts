import { expect, test } from '@playwright/test';
import { enterDemo } from './steps.ts';

test('one press gives everybody an option it suits, and another takes it back', async ({
  page,
}) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Options' }).first().click();
  const table = page.getByRole('region', { name: 'Options' });
  await expect(table.getByRole('button', { name: /^Asha Delun, / }).first()).toBeVisible();
  const head = table.getByRole('button', { name: 'Shoulder bridge, rolling, for everybody' });
  await head.click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: /^1 / }).click();
  await expect(dialog).toBeHidden();
  const asha = table.getByRole('button', { name: /^Asha Delun, Shoulder bridge, rolling/ });
  await expect(asha).toHaveAccessibleName(/: option 1/);
  await head.click();
  await dialog.getByRole('button', { name: /^Back to what is worked out/ }).click();
  await expect(dialog).toBeHidden();
  await expect(asha).not.toHaveAccessibleName(/: option 1/);

  await page.getByLabel('Find a person').fill('bram');
  await table
    .getByRole('button', { name: /^Bram Ostrey\b/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Their page, to print' }).click();
  const paper = page.frameLocator('iframe[title="What is printed"]');
  await expect(paper.getByRole('heading', { level: 1, name: 'Bram Ostrey' })).toBeVisible();
  await expect(paper.getByText('no rounding')).toHaveCount(0);
});

test('what is seen in somebody is tried, shown beside the name, and stands in the log', async ({
  page,
}) => {
  await enterDemo(page);
  const href = await page
    .getByRole('link', { name: 'Plan Small ball evening' })
    .getAttribute('href');
  const id = href?.split('/')[2] ?? '';
  await page.goto(`/classes/${id}/teach`);
  await page.getByRole('button', { name: 'Start the class' }).click();
  const people = page.getByRole('complementary');
  await page.keyboard.press('ArrowRight');
  const pia = people.getByRole('button', { name: /^Pia/ });
  await pia.click();
  await page.getByRole('button', { name: 'Something seen …' }).click();
  await page.getByRole('button', { name: 'too hard, or tired' }).click();
  await expect(page.getByText('On when: the breath is easy.')).toBeVisible();
  await page.getByRole('button', { name: 'half as many' }).click();
  await expect(pia).toContainText('less');

  // A second device and the log see the same.
  await page.goto(`/classes/${id}/log`);
  await expect(page.getByText('Pia Loring: too hard, or tired; half as many')).toBeVisible();
});

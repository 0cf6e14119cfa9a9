import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { enterDemo, enterOwnStudio, expectSaved, names, rows } from './steps.ts';

/** Makes a reformer class by hand from Today; lands in its plan. */
async function makeReformerClass(page: Page, title: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New class' }).first().click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText('Reformer', { exact: true }).click();
  await dialog.getByLabel('Name').fill(title);
  await dialog.getByRole('button', { name: 'Make it and plan' }).click();
  await expect(page.getByTestId('total')).toContainText('0:00');
}

test('a new studio makes its first reformer class by hand, typed by keys alone', async ({
  page,
}) => {
  await enterOwnStudio(page);
  await makeReformerClass(page, 'First machines');
  await page.keyboard.press('/');
  const typed = [
    'footwork heels 10',
    'footwork toes x10',
    'calf raise 12',
    'running 20',
    'bridge on the reformer 6',
    'supine arms 8',
    'elephant 8',
    'scooter 10 each',
  ];
  for (const line of typed) {
    await page.keyboard.type(line);
    await page.keyboard.press('Enter');
  }
  await expect(rows(page)).toHaveCount(typed.length);
  expect((await names(page)).slice(0, 3)).toEqual([
    'Footwork',
    'Footwork',
    'Calf raise on the bar',
  ]);
  await expect(rows(page).nth(1)).toContainText('Toes, parallel · 10 times');
  await page.keyboard.press('Escape');
  const heavy = page.getByRole('button', { name: /^Gear: two heavy/ }).first();
  await expect(heavy).toBeVisible();
  await expect(
    page.getByRole('button', { name: /Changed before it: springs, bar/ }).first(),
  ).toBeVisible();
  await heavy.click();
  await page.getByRole('button', { name: 'More: heavy' }).click();
  await expect(page.getByRole('button', { name: /^Gear: three heavy/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Gear: three heavy/ })).toBeVisible();
});

test('springs by the studio’s own names are spoken in the plan and while teaching', async ({
  page,
}) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Teach Machines, mixed ability' }).first().click();
  await expect(page.getByText(/Every machine: two kiln, bar second notch/)).toBeVisible();
  await page.getByRole('button', { name: /Start the class/ }).click();
  const machine = page.getByRole('region', { name: 'The machine' });
  await expect(machine).toContainText('Ines: one kiln, one glaze');
  for (let press = 0; press < 4; press += 1) await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bridge on the reformer');
  await expect(page.getByRole('region', { name: 'Next' })).toContainText(/Change: springs one /);
});

test('a class that repeats is moved, called off and found again in the week', async ({ page }) => {
  await enterOwnStudio(page);
  await page.getByRole('button', { name: 'New class' }).first().click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Weekly mat');
  await dialog.getByLabel('every week').check();
  await dialog.getByRole('button', { name: 'Make it and plan' }).click();
  await expect(page.getByTestId('total')).toBeVisible();
  await page.goto('/classes');
  await page.getByRole('button', { name: 'The week after' }).click();
  const card = page.getByRole('article', { name: 'Weekly mat' });
  await expect(card).toHaveCount(1);
  await expect(card).toContainText('not planned');
  await card.getByRole('button', { name: 'More about Weekly mat' }).click();
  await page.getByLabel('Time').fill('07:15');
  await page.getByRole('button', { name: 'Move all that follow' }).click();
  await expect(card).toContainText(/7:15/);
  await page.getByRole('button', { name: 'The week after' }).click();
  await expect(card).toContainText(/7:15/);
  await card.getByRole('button', { name: 'More about Weekly mat' }).click();
  await page.getByLabel('Why it is called off').fill('Floor is sanded');
  await page.getByRole('button', { name: 'Call this one off' }).click();
  await expect(card).toContainText('Called off: Floor is sanded');
  await page.getByText('Month', { exact: true }).click();
  await expect(card.first()).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});

/** The words on each page of a PDF. */
async function pagesOf(pdf: Buffer): Promise<string[]> {
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number += 1) {
    const content = await (await document.getPage(number)).getTextContent();
    pages.push(content.items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return pages;
}

test('the run sheet is one page of paper without anybody’s name or condition', async ({
  page,
  context,
}) => {
  await enterDemo(page);
  const href = await page
    .getByRole('link', { name: 'Plan Machines, mixed ability' })
    .first()
    .getAttribute('href');
  await page.goto(href?.replace('/plan', '/sheet') ?? '');
  const paper = page.getByTitle('What is printed');
  await expect(
    page.frameLocator('iframe').getByRole('cell', { name: 'Footwork' }).first(),
  ).toBeVisible();
  const print = await context.newPage();
  for (const format of ['A4', 'Letter']) {
    await print.setContent((await paper.getAttribute('srcdoc')) ?? '');
    const pages = await pagesOf(await print.pdf({ format }));
    expect([format, pages.length]).toEqual([format, 1]);
    for (const words of [
      'Footwork',
      'two kiln',
      'Pulling straps',
      'Roll down beside the machine',
    ]) {
      expect(pages[0]).toContain(words);
    }
    expect(pages[0]).not.toMatch(/\b(Ines|Wim)\b|bone density|pregnan/i);
  }
  await page.getByLabel('with first names').check();
  await expect(
    page
      .frameLocator('iframe')
      .getByText(/\bInes\b/)
      .first(),
  ).toBeVisible();
  await page.getByText('Set-up list').click();
  const bands = page.frameLocator('iframe').getByRole('cell');
  await expect(bands.filter({ hasText: 'two kiln' }).first()).toBeVisible();
  await expect(page.frameLocator('iframe').getByText('No props.')).toBeVisible();
  await page.getByText('Cards, eight on a page').click();
  await expect(
    page.frameLocator('iframe').getByText('“Push the bar away like a heavy drawer.”').first(),
  ).toBeVisible();
});

test('a plan leaves as a file, is broken, mended and taken again; notes become a class', async ({
  page,
}) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Plan Back ease' }).first().click();
  await expect(page.getByTestId('total')).toBeVisible();
  const before = await names(page);
  await page.getByRole('button', { name: 'Out and in' }).first().click();
  const leaving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a plan file' }).click();
  const text = readFileSync(await (await leaving).path(), 'utf8');
  const field = page.getByLabel('Notes, Markdown or a plan file');
  await field.fill(text.replace('"pelvic-tilt"', '"pelvic-tlt"'));
  await expect(page.getByRole('alert')).toContainText(
    /line \d+, .*no exercise is called "pelvic-tlt"/,
  );
  await field.fill('Sides:\nclam 12 each\nwobbly bridge thing\n');
  await expect(page.getByText('One line is left out until you choose.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it in place of what is here' }).click();
  await expect(rows(page)).toHaveCount(1);
  await page.getByRole('button', { name: 'Out and in' }).first().click();
  await page.getByLabel('Notes, Markdown or a plan file').fill(text);
  await page.getByRole('button', { name: 'Put it in place of what is here' }).click();
  await expect.poll(() => names(page)).toEqual(before);
});

import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { writeFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { createDesk } from '../desk/src/desk-app.ts';
import { enterDemo, enterOwnStudio, expectSaved, makeClass, nextFrame, rows } from './steps.ts';

/** Throws every class of the studio away, so that it is as on its first day. */
async function emptyStudio(page: Page): Promise<void> {
  for (;;) {
    const list = await page.request.get('/api/classes?limit=100');
    const { classes } = (await list.json()) as { classes: { id: string }[] };
    if (classes.length === 0) return;
    for (const { id } of classes) await page.request.delete(`/api/classes/${id}`);
  }
}

test('a studio without a class is offered three, and walked through one of them', async ({
  page,
}) => {
  await enterOwnStudio(page);
  await emptyStudio(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Three classes to begin with' })).toBeVisible();
  const found = await new AxeBuilder({ page }).analyze();
  expect(found.violations.map(({ id }) => id)).toEqual([]);
  await page.getByRole('button', { name: /^Walk through it.*reformer/ }).click();
  await expect(page.getByText('A class is read from the top')).toBeVisible();
  await nextFrame(page);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Type it as you scribble it')).toBeVisible();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByText('The gear, as bands')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('The gear, as bands')).toBeHidden();
  await expect(rows(page).first()).toContainText('Round the machine');
  // Left is left: it does not come again.
  await page.reload();
  await expect(rows(page).first()).toBeVisible();
  await expect(page.getByText('A class is read from the top')).toBeHidden();
});

test('a 45-minute class of 22 exercises is typed in under 120 presses besides the names', async ({
  page,
}) => {
  await enterDemo(page);
  await makeClass(page, 'Typed', 45);
  const typed: [name: string, dose: string][] = [
    ['three-way breathing', ''],
    ['pelvic rock', ' 6'],
    ['inner-thigh squeeze', ''],
    ['knee fold', ' 5'],
    ['rolling bridge', ' 2x5'],
    ['chest lift', ' 8'],
    ['toe tap', ' 6'],
    ['one leg stretch', ' 8'],
    ['clam', ' 8'],
    ['side leg lift', ' 8'],
    ['dart', ' 6'],
    ['breaststroke preparation', ' 6'],
    ['shell stretch', ''],
    ['cat and cow', ' 6'],
    ['bird dog', ' 5'],
    ['plank', ' 20s'],
    ['side reach', ' 4'],
    ['spine twist', ' 4'],
    ['mermaid', ' 4'],
    ['figure four', ' 30s'],
    ['hamstring', ' 30s'],
    ['final rest', ' 120s'],
  ];
  let presses = 0;
  const press = async (key: string) => {
    presses += 1;
    await page.keyboard.press(key);
  };
  await press('/');
  for (const [name, dose] of typed) {
    await page.keyboard.type(name);
    presses += dose.length;
    await page.keyboard.type(dose);
    await press('Enter');
  }
  await press('Escape');
  await expect(rows(page)).toHaveCount(typed.length);
  expect(presses).toBeLessThan(120);
  await expectSaved(page);
});

test('a feed is read by another program, with what was called off, until it is taken back', async ({
  page,
  playwright,
  baseURL,
}) => {
  await enterDemo(page);
  await page.goto('/classes');
  await page.getByRole('button', { name: 'Calendar' }).click();
  await page.getByRole('button', { name: 'Make a private address' }).click();
  const address = await page.getByLabel('Address for the calendar').inputValue();
  const stranger = await playwright.request.newContext(baseURL ? { baseURL } : {});
  const events = async () => {
    const text = await (await stranger.get(new URL(address).pathname)).text();
    return new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((event) => ({
        title: event.getFirstPropertyValue('summary'),
        status: event.getFirstPropertyValue('status'),
      }));
  };
  const before = await events();
  expect(before.length).toBeGreaterThan(20);
  expect(before.every(({ status }) => status === 'CONFIRMED')).toBe(true);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^More about Small ball evening/ }).click();
  await page.getByLabel('Why it is called off').fill('Floor is sanded');
  await page.getByRole('button', { name: /^Call (it|this one) off/ }).click();
  await expect
    .poll(async () => (await events()).filter(({ status }) => status === 'CANCELLED'))
    .toEqual([{ title: 'Small ball evening', status: 'CANCELLED' }]);
  await page.getByRole('button', { name: 'Calendar' }).click();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByRole('region', { name: 'Addresses in use' })).toBeHidden();
  expect((await stranger.get(new URL(address).pathname)).status()).toBe(404);
});

test('a studio is archived, and put in place of another', async ({ page, browser }, info) => {
  await enterDemo(page);
  await page.goto('/studio');
  await page.getByRole('button', { name: 'The whole studio as a file' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  const file = info.outputPath('studio.zip');
  await (await saving).saveAs(file);

  const owner = await (await browser.newContext()).newPage();
  await enterOwnStudio(owner);
  await owner.goto('/studio');
  const name = await owner.getByRole('heading', { level: 1 }).innerText();
  await owner.getByRole('button', { name: 'The whole studio as a file' }).click();
  await owner.getByLabel('Look at a file').setInputFiles(file);
  await expect(owner.getByText(/Tilework Studio, as of/)).toBeVisible();
  const go = owner.getByRole('button', { name: 'Put it in place of what is here' });
  await expect(go).toBeDisabled();
  await owner.getByLabel(`Write ${name} to go on`).fill(name);
  await go.click();
  await expect(owner.getByText(/Tilework Studio is here/)).toBeVisible();
  await owner.goto('/people');
  await expect(owner.getByText('Asha Delun')).toBeVisible();
  await owner.goto('/');
  await expect(owner.getByText('Small ball evening').first()).toBeVisible();
  // As it was found: other journeys begin in this studio too.
  await emptyStudio(owner);
});

test('people come in from a table, a faulty row left out', async ({ page }, info) => {
  await enterDemo(page);
  await page.goto('/people');
  await page.getByRole('button', { name: /^As a table/ }).click();
  const file = info.outputPath('people.csv');
  writeFileSync(
    file,
    'Name;Level;Cautions\r\nLena Ostrom;3;Wrist\r\nOdd One;9;\r\nAsha Delun;4;\r\n',
  );
  await page.getByLabel('Look at a file').setInputFiles(file);
  await expect(page.getByText('give 1, 2, 3 or 4')).toBeVisible();
  await page.getByRole('button', { name: 'Take 2 rows' }).click();
  await expect(page.getByText('1 came in, 1 changed.')).toBeVisible();
  await page.getByLabel('Search people').fill('Lena');
  await expect(page.getByRole('link', { name: /Lena Ostrom/ })).toContainText('Wrist');
});

test('who walks in at the desk stands in the class', async ({ page, browser }) => {
  const desk = createServer(createDesk());
  await new Promise<void>((resolve) => desk.listen(0, '127.0.0.1', () => resolve()));
  try {
    await enterDemo(page);
    await page.goto('/studio');
    await page.getByRole('button', { name: 'Connect a desk' }).click();
    const [address, secret] = [
      await page.getByLabel('Address for the desk').inputValue(),
      await page.getByLabel('Secret for the desk').inputValue(),
    ];
    const front = await (await browser.newContext()).newPage();
    await front.goto(`http://127.0.0.1:${(desk.address() as AddressInfo).port}`);
    await expect(front.getByText('This front desk is simulated.')).toBeVisible();
    await front.getByLabel('Address').fill(address);
    await front.getByLabel('Secret').fill(secret);
    await front.getByRole('button', { name: 'Connect' }).click();
    await front.getByLabel('Class').selectOption({ index: 0 });
    await front.getByLabel('Person').fill('Lena Ostrom');
    await front.getByRole('button', { name: 'Walk in' }).click();
    await front.getByRole('button', { name: 'Send the last message once more' }).click();
    await expect(front.getByText('seen before')).toBeVisible();
    await page.reload();
    await page.getByText('What it told lately').click();
    await expect(page.getByText(/Lena Ostrom walked into/)).toBeVisible();
    await page.goto('/people');
    await expect(page.getByRole('link', { name: /Lena Ostrom/ })).toBeVisible();
  } finally {
    desk.close();
  }
});

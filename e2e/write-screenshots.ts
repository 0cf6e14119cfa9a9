import { chromium, type Page } from '@playwright/test';
import { BROWSER_PATH } from './rig/browser.ts';

/** Writes docs/screenshots from a running server, in a demo studio of its own: `bin/start` first. */
const base = process.env.WRENFERN_URL ?? 'http://localhost:4600';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;

const DESK = { width: 1280, height: 800 };
const TABLET = { width: 820, height: 1180 };
const PHONE = { width: 390, height: 844 };

const browser = await chromium.launch({
  executablePath: BROWSER_PATH,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});
const context = await browser.newContext({ viewport: DESK, locale: 'en-GB' });
const page = await context.newPage();

async function shoot(name: string, viewport = DESK): Promise<void> {
  await page.setViewportSize(viewport);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${folder}${name}.png` });
  await page.setViewportSize(DESK);
}

/** What is open, at several sizes, side by side in one picture. */
async function shootTogether(name: string, sizes: readonly (typeof DESK)[]): Promise<void> {
  const pictures: string[] = [];
  for (const size of sizes) {
    await page.setViewportSize(size);
    await page.waitForTimeout(400);
    pictures.push((await page.screenshot()).toString('base64'));
  }
  await page.setViewportSize(DESK);
  const sheet = await browser.newPage({ viewport: DESK });
  const images = pictures.map((data) => `<img src="data:image/png;base64,${data}" height="760">`);
  await sheet.setContent(
    `<body style="margin:0;height:800px;display:flex;gap:40px;align-items:center;justify-content:center;background:#8a948c">${images.join('')}</body>`,
  );
  await sheet.screenshot({ path: `${folder}${name}.png` });
  await sheet.close();
}

async function open(path: string, ready: string): Promise<void> {
  await page.goto(base + path);
  await page.locator(ready).first().waitFor();
}

async function teachSome(target: Page, id: string): Promise<void> {
  await target.clock.install({ time: new Date('2026-11-26T18:15:00') });
  await target.goto(`${base}/classes/${id}/teach`);
  await target.getByRole('button', { name: 'Start the class' }).click();
  for (const seconds of [125, 100, 90, 95]) {
    await target.clock.fastForward(seconds * 1000);
    await target.keyboard.press('ArrowRight');
  }
  // Then something takes its time: the class is late, and says what could give way.
  await target.clock.fastForward(300_000);
}

await page.goto(`${base}/demo`);
await page.getByRole('button', { name: /Come in/ }).waitFor();
await page.getByRole('button', { name: /Come in/ }).click();
await page.locator('article').first().waitFor();
await shoot('today');
const href = await page.locator('article h2 a').first().getAttribute('href');
const id = href?.split('/')[2] ?? '';

await open(`/classes/${id}/plan`, '[data-testid=total]');
await page.locator('[data-item]').nth(4).click();
await shoot('plan');
await open(`/classes/${id}/rehearse`, 'h1');
await page.keyboard.press('ArrowRight');
await page.keyboard.press('ArrowRight');
await shoot('rehearse');
await open(`/classes/${id}/options`, 'table');
await page.getByRole('button', { name: /^Bram Ostrey, Chest lift/ }).click();
await shoot('options');
await page.keyboard.press('Escape');
await open(`/classes/${id}/check-in`, 'ul li h2');
await page.getByRole('button', { name: 'Asha Delun is here' }).click();
await page.getByRole('button', { name: 'Tired' }).first().click();
await page.getByText('exercises change today').first().waitFor();
await shoot('check-in', TABLET);
await open('/library', 'ul li a');
await shoot('library');
await open('/library/teaser/edit', 'form');
await page.getByRole('group', { name: 'Key poses' }).evaluate((poses) => poses.scrollIntoView());
await shoot('editor');
await open('/people', 'ul.relative li a');
await shoot('people');
await open('/studio', 'fieldset');
await page.getByText('Springs of one machine').evaluate((part) => part.scrollIntoView());
await page.mouse.wheel(0, -90);
await shoot('studio');
await open('/classes', 'article');
await page.getByRole('button', { name: 'The week after' }).click();
await page.waitForTimeout(600);
await shoot('classes');
await open('/', 'article');
await page.getByRole('link', { name: 'Plan Machines, mixed ability' }).first().click();
await page.getByTestId('total').waitFor();
const machines = page.url().split('/')[4] ?? '';
await shoot('plan-machine');
await page.getByRole('button', { name: 'On purpose …' }).click();
await page.getByRole('button', { name: 'The theme wants it so' }).click();
await page.getByText('1 set aside').click();
await page.getByRole('button', { name: 'Tell it again' }).waitFor();
await shoot('on-purpose');
await page.keyboard.press('Escape');
await page.getByRole('button', { name: 'Draft for me' }).first().click();
await page.getByRole('button', { name: 'Draft three classes' }).click();
await page.getByRole('button', { name: 'Three others' }).waitFor();
await shoot('draft');
await page.keyboard.press('Escape');
await open(`/classes/${machines}/sheet`, 'iframe');
await page.waitForTimeout(800);
await shoot('run-sheet', { width: 900, height: 1180 });
await open('/', 'article');
await page.getByRole('link', { name: 'Plan Mats and machines' }).first().click();
await page.getByText(/Change over at/).waitFor();
await shoot('plan-two-groups');
await open('/', 'article');
await page
  .getByRole('link', { name: /^Log of/ })
  .first()
  .click();
await page.locator('table').first().waitFor();
await shoot('log');
await page.emulateMedia({ colorScheme: 'dark' });
await teachSome(page, id);
await page.getByRole('region', { name: 'Keep to the time' }).waitFor();
await shoot('teach');
await shootTogether('teach-held', [TABLET, PHONE]);
const path = await page.evaluate(async (of) => {
  const made = await fetch(`/api/classes/${of}/wall`, { method: 'POST' });
  return ((await made.json()) as { path: string }).path;
}, id);
const wall = await browser.newPage({ viewport: DESK, locale: 'en-GB' });
await wall.goto(base + path);
await wall.getByRole('region', { name: 'Now' }).waitFor();
await wall.screenshot({ path: `${folder}wall.png` });
await browser.close();

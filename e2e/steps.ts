import { expect, type Locator, type Page } from '@playwright/test';

/** In by the demo's door; lands on Today. */
export async function enterDemo(page: Page): Promise<void> {
  await page.goto('/demo');
  await page.getByRole('button', { name: /Come in as Rowan/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('button', { name: 'New class' })).toBeVisible();
}

/** Makes a class from Today and opens its plan; resolves to the class's id. */
export async function makeClass(page: Page, title: string, minutes: number): Promise<string> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New class' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill(title);
  await dialog.getByLabel('Length in minutes').fill(String(minutes));
  await dialog.getByRole('button', { name: 'Make it and plan' }).click();
  await expect(page.getByTestId('total')).toContainText('0:00');
  return page.url().split('/')[4] ?? '';
}

export const rows = (page: Page): Locator =>
  // Not by its role: under an open dialog the list is hidden from all but the eye.
  page.getByTestId('row');

export const names = async (page: Page): Promise<string[]> => {
  const texts = await rows(page).getByTestId('row-name').allInnerTexts();
  return texts.map((text) => text.trim());
};

/** Adds by the + of the catalogue, behind the chosen row or where such things go. */
export async function add(page: Page, name: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Search exercises' }).fill(name);
  await page.getByRole('button', { name: `Add ${name}`, exact: true }).click();
}

export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByTestId('save-state')).toContainText('Saved');
}

/** Seconds of the total shown at the foot. */
export async function totalS(page: Page): Promise<number> {
  const text = await page.getByTestId('total').innerText();
  const [minutes = '0', seconds = '0'] = (/\d+:\d\d/.exec(text)?.[0] ?? '0:0').split(':');
  return Number(minutes) * 60 + Number(seconds);
}

/** Steps through what is left to settle until this one is open. */
export async function openFinding(page: Page, words: RegExp): Promise<Locator> {
  const strip = page.getByRole('region', { name: / to settle$/ });
  const finding = strip.getByRole('article').filter({ hasText: words });
  for (let step = 0; step < 30 && (await finding.count()) === 0; step += 1) {
    await strip.getByRole('button', { name: 'The next finding (n)' }).click();
  }
  await expect(finding).toBeVisible();
  return finding;
}

/** How many findings are left, as the foot says. */
export async function leftToSettle(page: Page): Promise<number> {
  const text = await page.getByTestId('save-state').innerText();
  return Number(/(\d+) to settle/.exec(text)?.[1] ?? -1);
}

/** What has just been drawn listens to keys from the next picture on. */
export async function nextFrame(page: Page): Promise<void> {
  await page.evaluate(
    () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
  );
}

/** Drags with the mouse in steps, as a hand does. */
export async function dragTo(page: Page, from: Locator, to: Locator): Promise<void> {
  // hover waits until the handle stands still; where to is asked once the drag has begun
  await from.hover();
  const start = await from.boundingBox();
  if (!start) throw new Error('nothing to drag');
  await page.mouse.down();
  await page.mouse.move(start.x + 30, start.y + 10, { steps: 5 });
  await to.scrollIntoViewIfNeeded();
  const end = await to.boundingBox();
  if (!end) throw new Error('nowhere to drop');
  await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2, { steps: 20 });
  await nextFrame(page); // what lies under the hand is worked out a frame after it got there
  await nextFrame(page);
  await page.mouse.up();
}

/** The code that the server of this browser printed when it started. */
export function setUpCode(): string {
  const codes = (process.env.WRENFERN_CODES ?? '').split(' ');
  return codes[Number(process.env.TEST_PARALLEL_INDEX ?? 0) % codes.length] ?? '';
}

const OWNER = { email: 'ida@lantern.example', password: 'a lantern over nine bricks' };

/** In as the owner of the one real studio of this server; the first who asks sets it up. */
export async function enterOwnStudio(page: Page): Promise<void> {
  await page.goto('/sign-in');
  const made = await page.request.post('/api/set-up', {
    data: { code: setUpCode(), studio: 'Lantern Yard', name: 'Ida', ...OWNER },
  });
  if (!made.ok()) {
    const answer = await page.request.post('/api/session', { data: OWNER });
    expect(answer.status()).toBe(204);
  }
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Studio', exact: true })).toBeVisible();
}

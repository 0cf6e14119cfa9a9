import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { enterDemo, rows } from './steps.ts';

async function firstClass(page: Page): Promise<string> {
  const href = await page
    .getByRole('link', { name: 'Plan Small ball evening' })
    .getAttribute('href');
  return href?.split('/')[2] ?? '';
}

const DIALOG = '[role=dialog]';

const SCREENS: [
  name: string,
  path: (id: string) => string,
  ready: (page: Page) => Promise<void>,
  /** What is looked at, where the rest is a screen of this list. */
  within?: string,
][] = [
  ['today', () => '/', (page) => expect(page.getByRole('article').first()).toBeVisible()],
  [
    'plan',
    (id) => `/classes/${id}/plan`,
    (page) => expect(page.getByTestId('total')).toBeVisible(),
  ],
  [
    'order for me',
    (id) => `/classes/${id}/plan`,
    async (page) => {
      await page.getByRole('button', { name: 'Order for me' }).first().click();
      await expect(page.getByText('Proved best')).toBeVisible({ timeout: 20_000 });
    },
    DIALOG,
  ],
  [
    'draft for me',
    (id) => `/classes/${id}/plan`,
    async (page) => {
      await page.getByRole('button', { name: 'Draft for me' }).first().click();
      await expect(page.getByRole('heading', { name: 'At hand are' })).toBeVisible();
    },
    DIALOG,
  ],
  [
    'own school',
    () => '/studio/schools/tilework-evenings',
    (page) => expect(page.getByRole('heading', { name: 'Tilework evenings' })).toBeVisible(),
  ],
  [
    'options',
    (id) => `/classes/${id}/options`,
    (page) => expect(page.getByText('Asha Delun').filter({ visible: true }).first()).toBeVisible(),
  ],
  [
    'check-in',
    (id) => `/classes/${id}/check-in`,
    (page) => expect(page.getByRole('heading', { name: 'Asha Delun' })).toBeVisible(),
  ],
  [
    'teach',
    (id) => `/classes/${id}/teach`,
    (page) => expect(page.getByText('Lay out first')).toBeVisible(),
  ],
  [
    'log',
    (id) => `/classes/${id}/log`,
    (page) => expect(page.getByText('Not taught yet')).toBeVisible(),
  ],
  [
    'library',
    () => '/library',
    (page) => expect(page.getByText(/^(\d+) of \1 exercises$/)).toBeVisible(),
  ],
  [
    'exercise',
    () => '/library/bird-dog',
    (page) => expect(page.getByText('Step back:').first()).toBeVisible(),
  ],
  [
    'exercise editor',
    () => '/library/bird-dog/edit',
    (page) => expect(page.getByRole('heading', { name: 'What is said' })).toBeVisible(),
  ],
  ['people', () => '/people', (page) => expect(page.getByText('Asha Delun')).toBeVisible()],
  ['new person', () => '/people/new', (page) => expect(page.getByLabel('Name')).toBeVisible()],
  [
    'by instructor',
    () => '/classes?view=who',
    (page) => expect(page.getByRole('columnheader', { name: /^Tamsin Orrell/ })).toBeVisible(),
  ],
  [
    'studio',
    () => '/studio',
    (page) => expect(page.getByRole('heading', { name: 'Cupboard' })).toBeVisible(),
  ],
  ['account', () => '/account', (page) => expect(page.getByText('this one')).toBeVisible()],
  [
    'trail',
    () => '/studio/trail',
    (page) => expect(page.getByRole('heading', { name: 'Who looked into records' })).toBeVisible(),
  ],
  [
    'wastebasket',
    () => '/wastebasket',
    (page) => expect(page.getByRole('heading', { name: 'Wastebasket' })).toBeVisible(),
  ],
];

interface Look {
  onlyRule?: string | undefined;
  within?: string | undefined;
}

async function seriousFaults(page: Page, { onlyRule, within }: Look = {}): Promise<string[]> {
  // What passes is not asked for, and one run in the page itself (there are no frames): to carry
  // parts of a run out and together again takes several times as long as to find what is wrong.
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .exclude('svg > *');
  if (onlyRule) axe.withRules([onlyRule]);
  if (within) axe.include(within);
  const { violations } = await axe.analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .flatMap(({ id, nodes }) =>
      nodes.map((node) => `${id}: ${node.target.join(' ')} ${node.failureSummary ?? ''}`),
    );
}

/** What is drawn inside a picture has no roles of its own, its name is on the picture: most of a page's parts. */
async function emptyPictures(page: Page): Promise<void> {
  await page.evaluate(() => {
    for (const picture of document.querySelectorAll('svg')) picture.replaceChildren();
  });
}

/** The other theme changes colours and nothing else. */
async function expectReadable(page: Page, within?: string): Promise<void> {
  await emptyPictures(page);
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  expect(await seriousFaults(page, { within })).toEqual([]);
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
  expect(await seriousFaults(page, { within, onlyRule: 'color-contrast' })).toEqual([]);
}

async function expectToFit(page: Page, width: number, height: number): Promise<void> {
  await page.setViewportSize({ width, height });
  const overflow = () =>
    page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
  await expect.poll(overflow, `at ${width}`).toBeLessThanOrEqual(0);
}

test('any screen is readable to everybody in both themes, and fits a tablet and a phone', async ({
  page,
}) => {
  test.setTimeout(600_000); // every screen in one visit
  await page.goto('/sign-in');
  await expect(page.getByLabel('Email')).toBeVisible();
  await expectReadable(page);
  await enterDemo(page);
  const id = await firstClass(page);
  for (const [name, path, ready, within] of SCREENS) {
    await test.step(name, async () => {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(path(id));
      await ready(page);
      await expectToFit(page, 820, 1180);
      await expectToFit(page, 390, 844);
      await page.setViewportSize({ width: 1280, height: 800 });
      await expectReadable(page, within);
    });
  }
});

test('axe finds nothing serious in what opens over a screen', async ({ page }) => {
  await enterDemo(page);
  const id = await firstClass(page);
  await page.goto(`/classes/${id}/options`);
  await page.getByRole('button', { name: /^Bram Ostrey, Chest lift/ }).click();
  await expect(page.getByLabel('Choose another')).toBeVisible();
  expect(await seriousFaults(page, { within: DIALOG })).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Chest lift, for everybody' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await seriousFaults(page, { within: DIALOG })).toEqual([]);
  await page.keyboard.press('Escape');
  await page
    .getByRole('button', { name: /^Bram Ostrey\b/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await seriousFaults(page, { within: DIALOG })).toEqual([]);
  await page.goto(`/classes/${id}/plan`);
  await rows(page).nth(4).click();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'why?' }).first().click();
  await expect(page.getByText(/^(Must|Should) hold\. .*Common practice\.$/)).toBeVisible();
  expect(await seriousFaults(page, { within: DIALOG })).toEqual([]);
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  expect(await seriousFaults(page, { within: DIALOG })).toEqual([]);
});

test('a few letters go to any screen, class or exercise', async ({ page }) => {
  await enterDemo(page);
  await page.keyboard.press('Control+k');
  const palette = page.getByRole('dialog', { name: 'Go to' });
  await expect(palette.getByText('Small ball evening').first()).toBeVisible();
  await page.keyboard.type('spine curl');
  await expect(palette.getByRole('option').first()).toContainText('Shoulder bridge, rolling');
  expect(await seriousFaults(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/library\/bridge-roll/);
});

test('keyboard alone goes from Today to a chosen row', async ({ page }) => {
  await enterDemo(page);
  await page.keyboard.press('g');
  await page.keyboard.press('p');
  await expect(page).toHaveURL(/\/people$/);
  await page.keyboard.press('g');
  await page.keyboard.press('t');
  await page.getByRole('link', { name: 'Plan Small ball evening' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('total')).toBeVisible();
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await expect(page.getByRole('heading', { level: 2, name: 'Three-way breathing' })).toBeVisible();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(rows(page).nth(2)).toContainText('Three-way breathing');
  await page.keyboard.press('Control+z');
  await expect(rows(page).nth(1)).toContainText('Three-way breathing');
});

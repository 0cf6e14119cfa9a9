import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { add, dragTo, enterDemo, expectSaved, makeClass, names, nextFrame } from './steps.ts';

const found = (page: Page) => page.getByText(/^\d+ of \d+ exercises$/);

async function search(page: Page, words: string): Promise<void> {
  await page.getByRole('searchbox', { name: 'Search the library' }).fill(words);
}

async function numberFound(page: Page): Promise<number> {
  return Number((await found(page).innerText()).split(' ')[0]);
}

/** A copy of a built-in exercise under a name of its own, saved. */
async function makeOwn(page: Page, slug: string, name: string): Promise<void> {
  await page.goto(`/library/${slug}`);
  await page.getByRole('link', { name: 'Make our own from this' }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

test('the library is narrowed by what one looks for, and forgives spelling', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/library');
  await expect(found(page)).toBeVisible();
  const all = await numberFound(page);
  await page.getByText('Reformer', { exact: true }).click();
  await expect.poll(() => numberFound(page)).toBeLessThan(all / 2);
  await page.getByLabel('Position').selectOption('plank');
  const planks = await numberFound(page);
  expect(planks).toBeGreaterThan(0);
  await page.getByLabel('Has an option without').selectOption('weight-on-wrists');
  await expect.poll(() => numberFound(page)).toBeLessThan(planks);
  await page.reload();
  await expect(page.getByLabel('Position')).toHaveValue('plank');
  await search(page, 'zzzz');
  await page.getByRole('button', { name: 'Show everything' }).click();
  await expect.poll(() => numberFound(page)).toBe(all);
  await search(page, 'sholder brige');
  await expect(page.getByRole('listitem').first()).toContainText(/bridge/i);
});

/** The easiest option's, before its frond. */
const firstFigure = (page: Page) =>
  page.getByRole('list', { name: 'Options, easiest first' }).getByRole('img').first();

test('an exercise tells why it asks what it asks, and turns round', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/library/side-kick');
  await page.getByRole('button', { name: 'why?' }).last().click();
  await expect(page.getByText(/N·m/).first()).toBeVisible();
  const drawn = () => firstFigure(page).innerHTML();
  await page.getByRole('button', { name: 'Stand still' }).click();
  const before = await drawn();
  await page.getByRole('button', { name: 'other side' }).click();
  await expect.poll(drawn).not.toBe(before);
  await page.getByLabel('Seen').selectOption('top');
  await expect(page.getByRole('button', { name: 'Move' })).toBeVisible();
});

test('a figure stands still for those who ask for less motion', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await enterDemo(page);
  await page.goto('/library/dead-bug');
  const drawn = () => firstFigure(page).innerHTML();
  await expect.poll(drawn).not.toBe('');
  const before = await drawn();
  for (let picture = 0; picture < 25; picture += 1) await nextFrame(page);
  expect(await drawn()).toBe(before);
});

test('a studio makes an exercise of its own and plans with it', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/library/dead-bug');
  await page.getByRole('link', { name: 'Make our own from this' }).click();
  const name = page.getByLabel('Name', { exact: true });
  await name.fill('');
  await expect(page.getByRole('heading', { name: 'Before it can be saved' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
  await name.fill('Lantern reach');
  await page.getByLabel('Purpose, in one line').fill('A quiet trunk under a slow leg.');
  await page.getByRole('button', { name: 'Add a prop' }).click();
  await page.getByLabel('Prop 1', { exact: true }).selectOption('small-ball');
  await page.getByLabel('Where it lies').selectOption('between knees');
  await page.reload();
  await expect(page.getByText('What you had not saved is back.')).toBeVisible();
  await expect(name).toHaveValue('Lantern reach');
  await expect(page.getByLabel('Where it lies')).toHaveValue('between knees');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Lantern reach' })).toBeVisible();
  await expect(page.getByText(/small ball between knees/).first()).toBeVisible();

  await makeClass(page, 'With our own', 20);
  await add(page, 'Lantern reach');
  await expectSaved(page);
  await expect.poll(() => names(page)).toEqual(['Lantern reach']);
  await page.goto('/library/our-lantern-reach');
  await expect(page.getByRole('heading', { name: 'Nothing lives here' })).toBeVisible();
  await page.goto('/library/lantern-reach');
  await expect(page.getByRole('link', { name: 'With our own' })).toBeVisible();
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await page.getByRole('button', { name: 'Take it out of the library' }).click();
  await page.getByRole('button', { name: 'Take it out', exact: true }).click();
  await expect(page.getByText(/stands in .*class/i)).toBeVisible();
});

test('a pose is shaped by hand and by keys, and its limits are told', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/library/knee-fold/edit');
  const foot = page.getByRole('button', { name: 'right foot: arrow keys move it' });
  await expect(page.getByText('Within what a body can do.')).toBeVisible();
  const at = async () => Number(await foot.getAttribute('cy'));
  const before = await at();
  await foot.focus();
  for (let press = 0; press < 4; press += 1) await page.keyboard.press('Shift+ArrowUp');
  expect(await at()).toBeLessThan(before - 50);
  const lifted = await at();
  const head = page.getByRole('button', { name: 'head: arrow keys move it' });
  await dragTo(page, foot, head);
  await expect.poll(at).not.toBe(lifted);
  await page.getByLabel('Begin from the shape').selectOption('plank');
  await expect(page.getByText(/Carried by:.*hand/)).toBeVisible();
  await page.getByRole('button', { name: 'Start again' }).click();
  await expect.poll(at).toBe(before);
});

test('every save is a version, and an older one can be used again', async ({ page }) => {
  await enterDemo(page);
  await makeOwn(page, 'clam', 'Shell opener');
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await page.getByLabel('Purpose, in one line').fill('The second way to say it.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The second way to say it.')).toBeVisible();
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await page.getByRole('button', { name: 'Open', exact: true }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The second way to say it.')).toBeHidden();
  await page.getByRole('link', { name: 'Edit', exact: true }).click();
  await expect(page.getByText(/^3, saved/)).toBeVisible();
  await page.getByRole('button', { name: 'Take it out of the library' }).click();
  await page.getByRole('button', { name: 'Take it out', exact: true }).click();
  await expect(page).toHaveURL(/\/library$/);
  await search(page, 'Shell opener');
  await expect(page.getByRole('link', { name: /Shell opener/ })).toBeHidden();
});

test('an exercise goes out as a file and comes back', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/library/swimming');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const download = await coming;
  const text = await readFile(await download.path(), 'utf8');
  expect(text).toMatch(/^format: wrenfern-exercise\/2\nslug: swimming\nname: Swimming\n/);

  await page.goto('/library');
  await page.getByRole('button', { name: 'Bring in an exercise' }).click();
  const input = page.getByLabel('Exercise file (.yaml)');
  const bring = (name: string, body: string) =>
    input.setInputFiles({ name, mimeType: 'application/yaml', buffer: Buffer.from(body) });
  await bring('broken.yaml', 'name: [open\n');
  await expect(page.getByRole('alert')).toContainText('Line 2');
  await bring('other.yaml', text.replace('wrenfern-exercise/2', 'other/9'));
  await expect(page.getByRole('alert')).toContainText('not a Wrenfern exercise');
  await bring('short.yaml', text.replace(/^cues:\n( {2}- .*\n)+/m, 'cues: []\n'));
  await expect(page.getByRole('alert')).toContainText('cues');
  await bring('swimming.yaml', text);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Swimming, our way');
});

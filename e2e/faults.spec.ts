import { expect, test } from '@playwright/test';
import { add, enterDemo, enterOwnStudio, expectSaved, makeClass, names, rows } from './steps.ts';

test('a stranger is sent to the door and brought back', async ({ page }) => {
  await page.goto('/people');
  await expect(page).toHaveURL(/\/sign-in\?to=%2Fpeople/);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Give an email address.')).toBeVisible();
  await page.getByLabel('Email').fill('nobody@studio.example');
  await page.getByLabel('Password').fill('not this one');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('Email or password is wrong.');
});

test('signing out shuts the door', async ({ page }) => {
  await enterDemo(page);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  await page.goto('/people');
  await expect(page).toHaveURL(/sign-in/);
});

test('a lost line keeps the edits, and sends them when it is back', async ({ page, context }) => {
  await enterDemo(page);
  await makeClass(page, 'Off the line', 20);
  await context.setOffline(true);
  await add(page, 'Plank');
  await expect(page.getByTestId('save-state')).toContainText('Offline: kept on this device');
  await context.setOffline(false);
  await expectSaved(page);
  await page.reload();
  await expect.poll(() => names(page)).toEqual(['Plank']);
});

test('edits that never reached the server are there after the page was closed', async ({
  page,
  context,
}) => {
  await enterDemo(page);
  const id = await makeClass(page, 'Closed too soon', 20);
  await page.route('**/plan', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await add(page, 'Clam');
  await expect(page.getByTestId('save-state')).toContainText('Offline');
  await page.close();
  const again = await context.newPage();
  await again.goto(`/classes/${id}/plan`);
  await expect(rows(again)).toHaveCount(1);
  await expectSaved(again);
});

test('two devices: what does not touch is merged, what does is asked', async ({
  page,
  context,
}) => {
  await enterDemo(page);
  const id = await makeClass(page, 'Two devices', 20);
  const other = await context.newPage();
  await other.goto(`/classes/${id}/plan`);
  await expect(other.getByTestId('total')).toBeVisible();
  await add(page, 'Plank');
  await expectSaved(page);
  await add(other, 'Clam');
  await expectSaved(other);
  await expect.poll(async () => (await names(other)).sort()).toEqual(['Clam', 'Plank']);
  await page.reload();
  await expect.poll(async () => (await names(page)).sort()).toEqual(['Clam', 'Plank']);

  const rename = async (target: typeof page, title: string) => {
    await target.keyboard.press('Escape');
    const name = target.getByRole('textbox', { name: 'Name', exact: true });
    await name.fill(title);
    await name.blur();
  };
  await rename(page, 'Called by one');
  await expectSaved(page);
  await rename(other, 'Called by the other');
  const dialog = other.getByRole('alertdialog');
  await expect(dialog).toContainText('This class was changed somewhere else');
  await expect(dialog.getByRole('row', { name: /Title/ })).toContainText('Called by one');
  await dialog.getByRole('button', { name: /Keep mine/ }).click();
  await expectSaved(other);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Called by the other' })).toBeVisible();
  await expect.poll(async () => (await names(page)).sort()).toEqual(['Clam', 'Plank']);
});

test('teaching goes on without a line, and through a reload', async ({ page, context }) => {
  await enterDemo(page);
  const id = await makeClass(page, 'No line here', 10);
  await add(page, 'Three-way breathing');
  await add(page, 'Plank');
  await expectSaved(page);
  await page.goto(`/classes/${id}/teach`);
  await page.getByRole('button', { name: 'Start the class' }).click();
  await expect(page.getByRole('heading', { name: 'Three-way breathing' })).toBeVisible();
  await context.setOffline(true);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Plank' })).toBeVisible();
  await expect(page.getByText('kept here, not sent yet')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('kept here, not sent yet')).toBeHidden({ timeout: 15_000 });
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Plank' })).toBeVisible();
});

test('a class, a person or a page that is not there says so', async ({ page }) => {
  await enterDemo(page);
  for (const path of [
    '/classes/6c2b3f0a-0000-4000-8000-000000000001/plan',
    '/classes/nonsense/options',
    '/people/nonsense',
    '/library/moon-walk',
    '/library/moon-walk/edit',
    '/no/such/page',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: 'Nothing lives here' })).toBeVisible();
    await expect(page.getByRole('main')).toHaveCount(1);
  }
});

test('a server that stumbles is told in words, with a way to try again', async ({ page }) => {
  await enterDemo(page);
  await page.route('**/api/people', (route) => route.fulfill({ status: 503, body: '' }));
  await page.goto('/people');
  await expect(page.getByRole('alert')).toContainText('This could not be loaded');
  await page.unroute('**/api/people');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('Asha Delun')).toBeVisible();
});

test('a slow line shows that it is loading', async ({ page }) => {
  await enterDemo(page);
  await page.route('**/api/people', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  await page.goto('/people');
  await expect(page.getByText('Loading people …')).toBeVisible();
  await expect(page.getByText('Asha Delun')).toBeVisible();
});

test('a studio set up from nothing has words for its emptiness', async ({ page, browser }) => {
  const owner = await (await browser.newContext()).newPage();
  await enterOwnStudio(owner);
  await owner.goto('/studio');
  await owner.getByRole('button', { name: 'A code for another studio' }).click();
  const told = await owner.getByRole('status').innerText();
  const code = /[A-Z0-9]{4}(?:-[A-Z0-9]{4})+/.exec(told)?.[0] ?? '';
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Set up another studio' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('Give the studio a name.')).toBeVisible();
  await page.getByLabel('Code').fill(code);
  await page.getByLabel('Studio').fill('Lantern Yard');
  await page.getByLabel('Your name').fill('Ida');
  await page.getByLabel('Email').fill('two@lantern.example');
  await page.getByLabel('Password').fill('a lantern over nine bricks');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Three classes to begin with' })).toBeVisible();
  await expect(page.getByText('Nothing has been taught yet.')).toBeVisible();
  await page.getByRole('link', { name: 'People' }).click();
  await expect(page.getByRole('heading', { name: 'Nobody here yet' })).toBeVisible();
  await makeClass(page, 'The very first', 30);
  await expect(
    page.getByText('Drag an exercise into the class, press + on one, or let Wrenfern draft it.'),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Options' }).click();
  await expect(page.getByRole('heading', { name: 'Nobody is booked yet' })).toBeVisible();
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByRole('heading', { name: 'Not taught yet' })).toBeVisible();
  await page.getByRole('link', { name: 'Teach', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The plan is empty' })).toBeVisible();
});

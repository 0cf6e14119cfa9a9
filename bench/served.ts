import { gzipSync } from 'node:zlib';
import { chromium, type BrowserContext } from '@playwright/test';
import { BROWSER_PATH } from '../e2e/rig/browser.ts';
import { Plan } from '@wrenfern/core/plan/plan';
import { report, summarise } from './report.ts';

/** Against a running server with the demo studio: `bin/start`, then `npm run served --workspace bench`. */
const base = process.env.WRENFERN_URL ?? 'http://localhost:4600';

async function saveRoundTrips(): Promise<void> {
  const door = await post('/api/demo-session', { timeZone: 'UTC' });
  const cookie = door.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
  const made = await post(
    '/api/classes',
    { title: 'Bench', startsAt: '2030-01-01T10:00:00Z' },
    cookie,
  );
  const { id } = (await made.json()) as { id: string };
  const read = await fetch(`${base}/api/classes/${id}`, { headers: { cookie } });
  const { plan } = (await read.json()) as { plan: unknown };
  const document = Plan.parse(plan);
  const [first] = document.segments;
  if (!first) throw new Error('a class without parts');
  first.items = Array.from({ length: 35 }, (_, index) => ({
    kind: 'exercise' as const,
    id: `item-${index}`,
    exercise: 'bridge-roll',
    restS: 0,
    note: 'As long as it feels good.',
  }));
  const times: number[] = [];
  for (let revision = 1; revision <= 220; revision += 1) {
    const before = performance.now();
    const saved = await send(
      'PUT',
      `/api/classes/${id}/plan`,
      { revision, plan: document },
      cookie,
    );
    await saved.text();
    if (!saved.ok) throw new Error(`save answered ${saved.status}`);
    if (revision > 20) times.push(performance.now() - before);
  }
  await send('DELETE', `/api/classes/${id}`, undefined, cookie);
  report('plan save round trip, 35 items', summarise(times), 'wanted: p95 under 40 ms');
}

function post(path: string, body: object, cookie = ''): Promise<Response> {
  return send('POST', path, body, cookie);
}

function send(
  method: string,
  path: string,
  body: object | undefined,
  cookie: string,
): Promise<Response> {
  return fetch(base + path, {
    method,
    headers: { 'Content-Type': 'application/json', cookie },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
}

/** A browser, and new contexts of it that are signed in and have nothing cached. */
async function signedInBrowser() {
  const browser = await chromium.launch({
    executablePath: BROWSER_PATH,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const viewport = { width: 1280, height: 800 };
  const signedIn = await browser.newContext({ viewport });
  const door = await signedIn.newPage();
  await door.goto(`${base}/demo`);
  await door.getByRole('button', { name: /Come in/ }).click();
  await door.getByRole('button', { name: 'New class' }).waitFor();
  const storageState = await signedIn.storageState();
  return { browser, fresh: () => browser.newContext({ storageState, viewport }) };
}

const WATCHED_S = 4;
const FRAMES_A_SECOND = 60;

/** What moving costs: the scripting of a frame on a page of four figures, from the first picture on. */
async function movingFigures(): Promise<void> {
  const { browser, fresh } = await signedInBrowser();
  const page = await (await fresh()).newPage();
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const scripting = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0) * 1000;
  };
  const times: number[] = [];
  for (const slug of ['teaser', 'roll-up', 'hundred', 'plank']) {
    await page.goto(`${base}/library/${slug}`);
    await page.locator('svg path.figure-near').first().waitFor();
    const before = await scripting();
    await page.waitForTimeout(WATCHED_S * 1000);
    times.push(((await scripting()) - before) / (WATCHED_S * FRAMES_A_SECOND));
  }
  await browser.close();
  report(
    'scripting of a frame, four moving figures',
    summarise(times),
    'wanted: under 1.3 ms, which is 4 ms for twelve',
  );
}

async function firstLoad(): Promise<void> {
  const { browser, fresh } = await signedInBrowser();
  const loads: number[] = [];
  for (let run = 0; run < 12; run += 1) {
    // A new context each time: nothing is cached.
    const context = await fresh();
    const page = await context.newPage();
    await page.addInitScript(noteFirstClass);
    await page.goto(`${base}/`);
    await page.locator('article').first().waitFor();
    loads.push(await page.evaluate(() => Number(document.documentElement.dataset.firstClassMs)));
    await context.close();
  }
  const scripts = await scriptBytes(await fresh());
  await browser.close();
  report(
    'first load of Today, nothing cached, until the first class stands there',
    summarise(loads),
    'wanted: under 1000 ms',
  );
  process.stdout.write(
    `JavaScript for Today: ${Math.round(scripts / 1000)} kB compressed (wanted: under 200 kB)\n`,
  );
}

/** In the page: when the first class stands there, counted from the start of the navigation. */
function noteFirstClass(): void {
  const observer = new MutationObserver(() => {
    if (!document.querySelector('article')) return;
    document.documentElement.dataset.firstClassMs = String(performance.now());
    observer.disconnect();
  });
  observer.observe(document, { childList: true, subtree: true });
}

/** Compressed bytes of every script that Today fetches. Counted apart: listening slows the page. */
async function scriptBytes(context: BrowserContext): Promise<number> {
  const page = await context.newPage();
  const sizes: Promise<number>[] = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) {
      sizes.push(response.body().then((body) => gzipSync(body).length));
    }
  });
  await page.goto(`${base}/`);
  await page.locator('article').first().waitFor();
  const all = await Promise.all(sizes);
  return all.reduce((sum, size) => sum + size, 0);
}

await saveRoundTrips();
await firstLoad();
await movingFigures();

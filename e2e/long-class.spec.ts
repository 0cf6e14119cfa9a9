import { expect, test, type CDPSession } from '@playwright/test';
import { enterDemo } from './steps.ts';

/** Two hours by `npm run long-class`; a share of it with every other journey. */
const MINUTES = Number(process.env.WRENFERN_CLASS_MINUTES ?? 12);
const EXERCISES = ['clam', 'toe-tap', 'cat-cow', 'spine-twist', 'dart', 'squat'] as const;

/** Bytes that are still in use once nothing else can be thrown away. */
async function bytesHeld(tools: CDPSession): Promise<number> {
  await tools.send('HeapProfiler.collectGarbage');
  const { usedSize } = await tools.send('Runtime.getHeapUsage');
  return usedSize;
}

test('a long class runs by a quick clock, every press once, and holds no more memory than at its beginning', async ({
  page,
}) => {
  test.setTimeout(600_000);
  await enterDemo(page);
  const teach = page.getByRole('link', { name: 'Teach' }).first();
  const path = (await teach.getAttribute('href')) ?? '';
  const api = `/api/classes/${path.split('/')[2] ?? ''}`;
  const whole = (await (await page.request.get(api)).json()) as { revision: number; plan: object };
  const items = Array.from({ length: 70 }, (_, at) => ({
    kind: 'exercise',
    id: `item-${at}`,
    exercise: EXERCISES[at % EXERCISES.length],
    note: '',
  }));
  const plan = {
    ...whole.plan,
    targetS: 7200,
    brackets: [],
    setAside: [],
    segments: [{ id: 'all', name: 'Two hours', items }],
  };
  const saved = await page.request.put(`${api}/plan`, {
    data: { revision: whole.revision, plan },
    headers: { Origin: new URL(page.url()).origin },
  });
  expect(saved.status()).toBe(200);

  await page.clock.install();
  await page.goto(path);
  await page.getByRole('button', { name: 'Start the class' }).click();
  const tools = await page.context().newCDPSession(page);
  let earlyBytes = 0;
  for (let minute = 1; minute <= MINUTES; minute += 1) {
    // A second of the class each time, as fast as the device can show it.
    for (let second = 0; second < 60; second += 1) await page.clock.fastForward(1000);
    if (minute < items.length) await page.keyboard.press('ArrowRight');
    if (minute === 3) earlyBytes = await bytesHeld(tools);
  }
  const lateBytes = await bytesHeld(tools);
  const clock = await page.locator('p').filter({ hasText: 'Class time' }).innerText();
  // What the presses themselves took goes on top.
  expect(Number(/(\d+):\d\d$/.exec(clock)?.[1])).toBeGreaterThanOrEqual(MINUTES);
  const told = (await (await page.request.get(`${api}/events`)).json()) as {
    pressed: { event: { id: string; type: string } }[];
  };
  const ids = told.pressed.map(({ event }) => event.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(told.pressed.filter(({ event }) => event.type === 'goTo')).toHaveLength(
    Math.min(MINUTES, items.length - 1),
  );
  const growth = lateBytes / earlyBytes;
  process.stdout.write(
    `long class: ${MINUTES} min, ${(earlyBytes / 1e6).toFixed(1)} MB after 3 min, ${(lateBytes / 1e6).toFixed(1)} MB at the end\n`,
  );
  expect(growth).toBeLessThan(1.25);
});

import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import { randomLcg } from 'd3-random';
import { createAppProcess } from './rig/app.ts';
import { CHECK_SQL, findLost } from './rig/check.ts';
import { createClient, makeClass, OWNER, setUpStudio, type Client } from './rig/client.ts';
import { createMaria, makeDatabase } from './rig/maria.ts';
import { editPlans, pressEvents, type Acknowledged } from './rig/work.ts';

/**
 * Kills, freezes and starves app and database while four editors and two teachers work through two
 * processes, then asks the database for everything that was acknowledged.
 */
const { values } = parseArgs({
  options: {
    rounds: { type: 'string', default: '20' },
    seed: { type: 'string', default: '1' },
  },
});
const rounds = Number(values.rounds);
const random = randomLcg(Number(values.seed) / 1e6);

const FROZEN_MS = 700;
const WORK_MS = 500;
/** Less than the database needs to grow: every write that wants room is refused. */
const FULL_BYTES = 4096;
const FIRST_PORT = 24_600;

const folder = mkdtempSync(join(tmpdir(), 'wf-'));
const maria = createMaria({ folder, port: FIRST_PORT });
await maria.start();
makeDatabase(maria, 'faults');
const apps = [1, 2].map((number) =>
  createAppProcess({ databaseUrl: maria.url('faults'), port: FIRST_PORT + number }),
) as [ReturnType<typeof createAppProcess>, ReturnType<typeof createAppProcess>];
const [one, two] = apps;
const said = await one.start();
await two.start();
const owner = await setUpStudio(one.base, said);

async function memberAt(base: string): Promise<Client> {
  const client = createClient(base);
  let answer = await client.send('POST', '/session', OWNER);
  // Busy with the start of everything: it says so, and is asked again.
  for (let turn = 0; answer.status === 503 && turn < 20; turn += 1) {
    await pause(500);
    answer = await client.send('POST', '/session', OWNER);
  }
  if (answer.status !== 204) throw new Error(`signing in answered ${answer.status}`);
  return client;
}

const acked: Acknowledged = { saves: new Map(), events: new Set() };
const classes = [await makeClass(owner, 'One'), await makeClass(owner, 'Two')] as const;
const workers = [];
for (const [index, classId] of classes.entries()) {
  for (const [at, app] of apps.entries()) {
    const client = await memberAt(app.base);
    workers.push(editPlans(client, classId, `editor-${index}-${at}`, acked));
  }
  workers.push(
    pressEvents(await memberAt(apps[index]?.base ?? one.base), classId, `teacher-${index}`, acked),
  );
}

/** Each leaves everything running as it found it. */
const FAULTS: Record<string, () => Promise<void>> = {
  'app killed': async () => {
    await one.kill();
    await one.start();
  },
  'database killed': async () => {
    await maria.kill();
    await maria.start();
  },
  'both killed': async () => {
    await Promise.all([one.kill(), maria.kill()]);
    await maria.start();
    await one.start();
  },
  'both apps killed, started at once': async () => {
    await Promise.all([one.kill(), two.kill()]);
    await Promise.all([one.start(), two.start()]);
  },
  'app frozen': async () => {
    two.signal('SIGSTOP');
    await pause(FROZEN_MS);
    two.signal('SIGCONT');
  },
  'database frozen': async () => {
    maria.signal('SIGSTOP');
    await pause(FROZEN_MS);
    maria.signal('SIGCONT');
  },
  'disk full': async () => {
    maria.limitFiles(FULL_BYTES);
    await pause(FROZEN_MS);
    // A database that gave up is started again, as the watch would.
    await maria.kill();
    await maria.start();
  },
};

const names = Object.keys(FAULTS);
const counts = new Map<string, number>();
try {
  for (let round = 0; round < rounds; round += 1) {
    const name = names[Math.floor(random() * names.length)] ?? names[0] ?? '';
    await FAULTS[name]?.();
    counts.set(name, (counts.get(name) ?? 0) + 1);
    await pause(WORK_MS);
  }
  await Promise.all(workers.map((worker) => worker.stop()));
  const ask = (sql: string) => maria.run(`USE faults; ${sql};`);
  const lost = findLost(acked, {
    saves: ask(CHECK_SQL.saves),
    events: ask(CHECK_SQL.events),
    doubled: ask(CHECK_SQL.doubled),
  });
  for (const each of lost.slice(0, 20)) process.stdout.write(`lost: ${each}\n`);
  for (const [name, count] of counts) process.stdout.write(`${name}: ${count}\n`);
  const total = acked.saves.size + acked.events.size;
  process.stdout.write(`${rounds} rounds, ${total} acknowledged, ${lost.length} lost\n`);
  process.exitCode = lost.length === 0 && total > 0 ? 0 : 1;
} finally {
  await Promise.all(apps.map((app) => app.stop()));
  await maria.stop();
  rmSync(folder, { recursive: true, force: true });
}

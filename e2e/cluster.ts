import { chmodSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { createAppProcess } from './rig/app.ts';
import { CHECK_SQL, findLost } from './rig/check.ts';
import { createClient, makeClass, OWNER, setUpStudio, type Client } from './rig/client.ts';
import { createMaria, makeDatabase, type Maria } from './rig/maria.ts';
import { editPlans, pressEvents, type Acknowledged } from './rig/work.ts';

/**
 * Beyond one machine, on one machine: three database nodes as a Galera cluster and two processes of the
 * app, each on a node of its own. Plans are edited and classes taught through both while a node and an
 * app are killed; then the nodes are asked for everything that was acknowledged.
 */
const PROVIDER = '/usr/lib/galera/libgalera_smm.so';
if (!existsSync(PROVIDER)) {
  throw new Error(
    `${PROVIDER} is missing: install Debian's galera-4, which comes with mariadb-server`,
  );
}

const FIRST_PORT = 24_800;
const WORK_MS = 4_000;
/** How long a press may take to reach somebody who follows on another process. */
const FOLLOWED_WITHIN_MS = 2_000;
const folder = mkdtempSync(join(tmpdir(), 'wf-'));
// Nodes run as a user of their own and must reach their folders.
chmodSync(folder, 0o755);
const groupPort = (node: number) => FIRST_PORT + 10 + 10 * node;
const group = [0, 1, 2].map((node) => `127.0.0.1:${groupPort(node)}`);

const nodes = [0, 1, 2].map((node) =>
  createMaria({
    folder: join(folder, `n${node}`),
    port: FIRST_PORT + node,
    // What sends the state to a new node gives up root's rights, and then could not write.
    asRootUse: 'mysql',
    extra: [
      '--wsrep-on=ON',
      `--wsrep-provider=${PROVIDER}`,
      '--wsrep-cluster-name=wrenfern-rig',
      `--wsrep-node-name=n${node}`,
      '--wsrep-node-address=127.0.0.1',
      `--wsrep-node-incoming-address=127.0.0.1:${FIRST_PORT + node}`,
      `--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${groupPort(node)};ist.recv_addr=127.0.0.1:${groupPort(node) + 1};evs.keepalive_period=PT0.5S;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT4S`,
      `--wsrep-sst-receive-address=127.0.0.1:${groupPort(node) + 2}`,
      '--wsrep-sst-method=rsync',
      // A statement by itself that another node was ahead of is tried again by the node.
      '--wsrep-retry-autocommit=4',
      '--binlog-format=ROW',
      '--innodb-autoinc-lock-mode=2',
    ],
  }),
) as [Maria, Maria, Maria];

async function startCluster(): Promise<void> {
  await nodes[0].start(['--wsrep-cluster-address=gcomm://']);
  for (const node of nodes.slice(1)) {
    await node.start([`--wsrep-cluster-address=gcomm://${group.join(',')}`]);
  }
  for (let tries = 0; tries < 100; tries += 1) {
    const size = nodes[0].run("SHOW STATUS LIKE 'wsrep_cluster_size'").split('\t')[1];
    if (Number(size) === nodes.length) return;
    await pause(100);
  }
  throw new Error('the nodes did not find each other');
}

async function memberAt(base: string): Promise<Client> {
  const client = createClient(base);
  const answer = await client.send('POST', '/session', OWNER);
  if (answer.status !== 204) throw new Error(`signing in answered ${answer.status}`);
  return client;
}

/** Milliseconds until what is pressed on one process is told by another; undefined when it is not. */
async function timeToFollow(
  from: Client,
  to: Client,
  classId: string,
): Promise<number | undefined> {
  const id = `followed-${Date.now()}`;
  const event = { id, type: 'note', itemId: 'a', text: 'followed', order: 1, atMs: Date.now() };
  const startedAt = performance.now();
  await from.send('POST', `/classes/${classId}/events`, { events: [event] });
  while (performance.now() - startedAt < FOLLOWED_WITHIN_MS) {
    const { body } = await to.send('GET', `/classes/${classId}/events`);
    const { pressed } = body as { pressed: { event: { id: string } }[] };
    if (pressed.some((each) => each.event.id === id)) return performance.now() - startedAt;
    await pause(20);
  }
  return undefined;
}

const acked: Acknowledged = { saves: new Map(), events: new Set() };
await startCluster();
makeDatabase(nodes[0], 'cluster');
const apps = [0, 1].map((node) =>
  createAppProcess({
    databaseUrl: nodes[node as 0 | 1].url('cluster'),
    port: FIRST_PORT + 5 + node,
  }),
) as [ReturnType<typeof createAppProcess>, ReturnType<typeof createAppProcess>];
try {
  const [said] = await Promise.all([apps[0].start(), apps[1].start()]);
  const owner = await setUpStudio(apps[0].base, said);
  const classes = [await makeClass(owner, 'One'), await makeClass(owner, 'Two')];
  const clients = await Promise.all([memberAt(apps[0].base), memberAt(apps[1].base)]);
  const followedMs = await timeToFollow(clients[0], clients[1], classes[0] ?? '');

  const movers: Client[] = [];
  const workers = [];
  for (const [index, classId] of classes.entries()) {
    for (const at of [0, 1] as const) {
      const client = await memberAt(apps[at].base);
      if (at === 0) movers.push(client);
      workers.push(editPlans(client, classId, `editor-${index}-${at}`, acked));
    }
    const teacher = await memberAt(apps[1].base);
    workers.push(pressEvents(teacher, classId, `teacher-${index}`, acked));
  }
  await pause(WORK_MS);
  // The third node has no app: its end must go by unnoticed but for a moment.
  await nodes[2].kill();
  await pause(WORK_MS);
  const beforeApp = acked.saves.size;
  await apps[0].kill();
  // As a proxy would: whoever was there goes on at the other.
  for (const client of movers) client.moveTo(apps[1].base);
  await pause(WORK_MS);
  const afterApp = acked.saves.size - beforeApp;
  await Promise.all(workers.map((worker) => worker.stop()));

  const failures: string[] = [];
  for (const node of nodes.slice(0, 2)) {
    const ask = (sql: string) => node.run(`SET SESSION wsrep_sync_wait = 1; USE cluster; ${sql};`);
    failures.push(
      ...findLost(acked, {
        saves: ask(CHECK_SQL.saves),
        events: ask(CHECK_SQL.events),
        doubled: ask(CHECK_SQL.doubled),
      }),
    );
  }
  if (followedMs === undefined) failures.push('a class was not followed on the other process');
  if (afterApp === 0) failures.push('nothing was saved after an app was killed');
  const conflicts = nodes[0].run("SHOW STATUS LIKE 'wsrep_local_cert_failures'").trim();
  for (const each of failures.slice(0, 20)) process.stdout.write(`${each}\n`);
  for (const app of apps)
    for (const line of app.faults().slice(0, 3)) process.stdout.write(`${line.slice(0, 500)}\n`);
  process.stdout.write(
    `followed on the other process in ${Math.round(followedMs ?? -1)} ms; ${conflicts}\n`,
  );
  const total = acked.saves.size + acked.events.size;
  process.stdout.write(
    `a node and an app killed, ${total} acknowledged, ${failures.length} lost\n`,
  );
  process.exitCode = failures.length === 0 && total > 0 ? 0 : 1;
} finally {
  await Promise.all(apps.map((app) => app.kill()));
  await Promise.all(nodes.map((node) => node.kill()));
  rmSync(folder, { recursive: true, force: true });
}

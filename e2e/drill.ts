import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { parseArgs, promisify } from 'node:util';
import { createClient, makeClass, OWNER, setUpStudio } from './rig/client.ts';
import { endProcess } from './rig/end-process.ts';
import { editPlans, type Acknowledged } from './rig/work.ts';

/**
 * The restore drill, with the commands that a user has: an installation is backed up while somebody
 * works in it, lost, restored elsewhere, given another key, and asked for what was in it.
 */
const ROOT = new URL('..', import.meta.url).pathname;
const PORT = '24690';
const BASE = `http://127.0.0.1:${PORT}`;
const NOTE = 'lives alone on the hill';
const folder = mkdtempSync(join(tmpdir(), 'wf-'));
const file = join(folder, 'backup.age');

const env = (state: string) => ({
  ...process.env,
  WRENFERN_STATE: join(folder, state),
  WRENFERN_PASSPHRASE: 'nine bricks and a lantern',
});

async function run(state: string, ...words: string[]): Promise<string> {
  const { stdout } = await promisify(execFile)('bin/wrenfern', words, {
    cwd: ROOT,
    env: env(state),
  });
  return stdout;
}

/** Stopped in the end, also when something was not so. */
const running = new Set<ChildProcess>();

async function start(state: string): Promise<{ said: () => string; stop: () => Promise<void> }> {
  let text = '';
  const child: ChildProcess = spawn('bin/start', ['--port', PORT, '--no-demo'], {
    cwd: ROOT,
    env: env(state),
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  running.add(child);
  for (const stream of [child.stdout, child.stderr]) {
    stream?.on('data', (chunk: Buffer) => {
      text += chunk.toString();
    });
  }
  for (let tries = 0; tries < 1200 && !text.includes('Ctrl-C stops it.'); tries += 1) {
    if (child.exitCode !== null) throw new Error(text);
    await pause(100);
  }
  return {
    said: () => text,
    async stop() {
      running.delete(child);
      await endProcess(child, 'SIGTERM');
    },
  };
}

function expectThat(isTrue: boolean, what: string): void {
  if (!isTrue) throw new Error(`not so: ${what}`);
  process.stdout.write(`ok: ${what}\n`);
}

async function until(isTrue: () => boolean | Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 300 && !(await isTrue()); tries += 1) await pause(100);
}

async function readNote(personId: string): Promise<string> {
  const client = createClient(BASE);
  await client.send('POST', '/session', OWNER);
  const { body } = await client.send('GET', `/people/${personId}`);
  return (body as { note?: string }).note ?? '';
}

async function slugOf(base: string): Promise<string> {
  const client = createClient(base);
  await client.send('POST', '/session', OWNER);
  const { body } = await client.send('GET', '/studio');
  return (body as { slug: string }).slug;
}

interface Kept {
  personId: string;
  classId: string;
}

/** An installation is backed up while somebody works in it, lost, and restored elsewhere. */
async function loseAndRestore(): Promise<Kept> {
  const first = await start('first');
  const code = /The code for it: (\S+)/.exec(first.said())?.[1] ?? '';
  const owner = await setUpStudio(BASE, `set-up code: ${code}\n`);
  const made = await owner.send('POST', '/people', { name: 'Asha', note: NOTE });
  const personId = (made.body as { id: string }).id;
  const classId = await makeClass(owner, 'Kept');
  const acked: Acknowledged = { saves: new Map(), events: new Set() };
  const worker = editPlans(owner, classId, 'busy', acked);
  await pause(300);
  const savesBefore = acked.saves.size;
  await run('first', 'backup', file);
  const savesAfter = acked.saves.size;
  await worker.stop();
  expectThat(savesAfter > savesBefore, 'somebody worked while it was backed up');
  const bytes = readFileSync(file);
  expectThat(!bytes.includes(NOTE) && !bytes.includes('Asha'), 'the backup shows nothing');
  await first.stop();
  rmSync(join(folder, 'first'), { recursive: true, force: true });

  await run('second', 'restore', file);
  const second = await start('second');
  expectThat((await readNote(personId)) === NOTE, 'a health note is there, and can be read');
  const again = createClient(BASE);
  await again.send('POST', '/session', OWNER);
  const { body } = await again.send('GET', `/classes/${classId}`);
  const { revision } = body as { revision: number };
  const isOfThen = revision > savesBefore && revision <= savesAfter + 2;
  expectThat(isOfThen, 'the class is as it was while it was backed up');
  await second.stop();
  return { personId, classId };
}

/** Another key, daily backups, what is killed, a studio carried out and back, and the installation before it. */
async function keepAndCarry({ personId, classId }: Kept): Promise<void> {
  await run('second', 'rotate-key');
  const third = await start('second');
  expectThat((await readNote(personId)) === NOTE, 'another key opens it as well');
  for (let tries = 0; tries < 600; tries += 1) {
    const day = new Date().toLocaleDateString('sv-SE');
    if (existsSync(join(folder, 'second', 'backups', `wrenfern-${day}.age`))) break;
    await pause(100);
  }
  const daily = readdirSync(join(folder, 'second', 'backups'));
  const isThere = daily.some((name) => /^wrenfern-\d{4}-\d\d-\d\d\.age$/.test(name));
  expectThat(isThere, 'a daily backup was made by itself');

  for (const [what, file] of [
    ['server', 'server.pid'],
    ['database', 'db/mariadbd.pid'],
  ] as const) {
    const pid = Number(readFileSync(join(folder, 'second', file), 'utf8'));
    process.kill(pid, 'SIGKILL');
    await until(() => third.said().includes(`The ${what} ended by itself`));
    await until(async () => (await readNote(personId).catch(() => '')) === NOTE);
    expectThat((await readNote(personId)) === NOTE, `a ${what} that was killed is started again`);
  }

  const archive = join(folder, 'studio.zip');
  const studio = await slugOf(BASE);
  await run('second', 'export', studio, archive);
  expectThat(readFileSync(archive).subarray(0, 2).toString() === 'PK', 'a studio is exported');
  const later = createClient(BASE);
  await later.send('POST', '/session', OWNER);
  await later.send('DELETE', `/classes/${classId}`);
  await run('second', 'import', archive, studio, '--replace');
  const titles = JSON.stringify((await later.send('GET', '/classes')).body);
  expectThat(
    titles.includes('"title":"busy'),
    'what was thrown away since is back from the archive',
  );

  await third.stop();
  const restored = await run('second', 'restore', file);
  expectThat(restored.includes('wrenfern_before_'), 'what was there before a restore is kept');
}

const { values } = parseArgs({ options: { short: { type: 'boolean', default: false } } });
try {
  const kept = await loseAndRestore();
  if (!values.short) await keepAndCarry(kept);
  process.stdout.write('the drill went through\n');
} finally {
  for (const child of running) await endProcess(child, 'SIGTERM');
  rmSync(folder, { recursive: true, force: true });
}

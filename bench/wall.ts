import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import { STARTER_CLASSES } from '@wrenfern/library/starter-classes';
import { itemsOf } from '@wrenfern/core/plan/plan';
import { createAppProcess } from '../e2e/rig/app.ts';
import { createClient, OWNER, setUpStudio, type Client } from '../e2e/rig/client.ts';
import { createMaria, makeDatabase } from '../e2e/rig/maria.ts';
import { report, summarise } from './report.ts';

/**
 * How long from a press in Teach until the room's screen is told: many classes at once, each with a screen of its own,
 * pressed on one process and followed on another. `--classes 200 --presses 5`.
 */
const { values } = parseArgs({
  options: {
    classes: { type: 'string', default: '200' },
    presses: { type: 'string', default: '5' },
  },
});
const COUNT = Number(values.classes);
const PRESSES = Number(values.presses);
const FIRST_PORT = 25_600;
/** Between two presses of a class, spread over as long: nobody presses all at once. */
const EVERY_MS = 4_000;
/** What a screen that was not told by then counts as. */
const LOST_MS = 10_000;

const folder = mkdtempSync(join(tmpdir(), 'wf-wall-'));
const maria = createMaria({ folder, port: FIRST_PORT });
await maria.start();
makeDatabase(maria, 'wall');
const apps = [1, 2].map((number) =>
  createAppProcess({ databaseUrl: maria.url('wall'), port: FIRST_PORT + number }),
) as [ReturnType<typeof createAppProcess>, ReturnType<typeof createAppProcess>];

const steps = itemsOf(STARTER_CLASSES.mat).map(({ id }) => id);

interface Room {
  id: string;
  /** Told views so far, and whoever waits for the next one. */
  heard: (() => void)[];
  close: () => void;
}

async function openRoom(owner: Client, base: string, title: string): Promise<Room> {
  const body = { title, startsAt: new Date().toISOString(), starter: 'mat' };
  const made = await owner.send('POST', '/classes', body);
  const { id } = made.body as { id: string };
  const door = await owner.send('POST', `/classes/${id}/wall`);
  const { path } = door.body as { path: string };
  const stop = new AbortController();
  const room: Room = { id, heard: [], close: () => stop.abort() };
  const stream = await fetch(`${base}/api${path}/stream`, { signal: stop.signal });
  void listen(stream, room);
  return room;
}

async function listen(stream: Response, room: Room): Promise<void> {
  if (!stream.body) throw new Error('a wall without a stream');
  let told = '';
  try {
    for await (const chunk of stream.body) {
      for (const line of Buffer.from(chunk).toString().split('\n')) {
        if (!line.startsWith('data: ')) continue;
        const name = /"now":\{"name":"([^"]*)"/.exec(line)?.[1] ?? '';
        if (name === told) continue;
        told = name;
        for (const hear of room.heard.splice(0)) hear();
      }
    }
  } catch (error) {
    if (!(error instanceof Error && error.name === 'AbortError')) throw error;
  }
}

async function pressAll(owner: Client, room: Room): Promise<number[]> {
  const took: number[] = [];
  await pause(Math.random() * EVERY_MS);
  for (let press = 0; press <= PRESSES; press += 1) {
    const event = {
      id: `${room.id.slice(0, 20)}-${press}`,
      atMs: Date.now(),
      order: press + 1,
      ...(press === 0 ? { type: 'start' } : { type: 'goTo', itemId: steps[press] ?? '' }),
    };
    const heard = new Promise<void>((resolve) => room.heard.push(resolve));
    const startedAt = performance.now();
    await owner.send('POST', `/classes/${room.id}/events`, { events: [event], after: 0 });
    const isTold = await Promise.race([heard.then(() => true), pause(LOST_MS).then(() => false)]);
    if (press > 0) took.push(isTold ? performance.now() - startedAt : LOST_MS);
    await pause(EVERY_MS);
  }
  return took;
}

try {
  const [one, two] = apps;
  const owner = await setUpStudio(one.base, await one.start());
  await two.start();
  const elsewhere = createClient(two.base);
  await elsewhere.send('POST', '/session', OWNER);
  const rooms: Room[] = [];
  for (let number = 0; number < COUNT; number += 1) {
    rooms.push(await openRoom(owner, two.base, `Class ${number + 1}`));
  }
  const took = (await Promise.all(rooms.map((room) => pressAll(owner, room)))).flat();
  const lost = took.filter((each) => each >= LOST_MS).length;
  report(
    `from a press to a screen of the room, ${COUNT} classes at once on another process, ${lost} not told`,
    summarise(took),
    'wanted: 500 ms at p99',
  );
  for (const room of rooms) room.close();
} finally {
  await Promise.all(apps.map((app) => app.stop()));
  await maria.stop();
  rmSync(folder, { recursive: true, force: true });
}

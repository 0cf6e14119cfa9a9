import { setTimeout as pause } from 'node:timers/promises';
import type { Client } from './client.ts';

/** What the server said it has. */
export interface Acknowledged {
  /** By class and revision: the title of the plan that was saved there. */
  saves: Map<string, string>;
  /** By class and event id. */
  events: Set<string>;
}

export interface Worker {
  stop: () => Promise<void>;
}

const BETWEEN_MS = 12;
const AFTER_FAULT_MS = 150;

/** Does the same again and again until it is stopped; a fault of the server is waited out. */
function repeat(work: () => Promise<void>): Worker {
  const run = { isOn: true };
  const done = (async () => {
    while (run.isOn) {
      try {
        await work();
        await pause(BETWEEN_MS);
      } catch {
        // The line is down, or the answer was cut off: nothing was acknowledged.
        await pause(AFTER_FAULT_MS);
      }
    }
  })();
  return {
    async stop() {
      run.isOn = false;
      await done;
    },
  };
}

interface Lesson {
  revision: number;
  plan: Record<string, unknown>;
}

/** Saves plan after plan of a class that others save as well; whoever is beaten starts from theirs. */
export function editPlans(
  client: Client,
  classId: string,
  name: string,
  acked: Acknowledged,
): Worker {
  let lesson: Lesson | undefined;
  let count = 0;
  return repeat(async () => {
    if (!lesson) {
      const read = await client.send('GET', `/classes/${classId}`);
      if (read.status !== 200) throw new Error('not now');
      lesson = read.body as Lesson;
    }
    count += 1;
    const title = `${name} ${count}`;
    const { revision } = lesson;
    const plan = { ...lesson.plan, title };
    const saved = await client.send('PUT', `/classes/${classId}/plan`, { revision, plan });
    if (saved.status === 200) {
      const { revision: now } = saved.body as { revision: number };
      acked.saves.set(`${classId} ${now}`, title);
      lesson = { revision: now, plan };
    } else {
      lesson = undefined;
      if (saved.status !== 409) throw new Error('not now');
    }
  });
}

/** Presses in a class, one event after another; each is sent until it is acknowledged. */
export function pressEvents(
  client: Client,
  classId: string,
  name: string,
  acked: Acknowledged,
): Worker {
  let count = 0;
  let pending: object | undefined;
  return repeat(async () => {
    if (!pending) {
      count += 1;
      const id = `${name}-event-${count}`;
      const shared = { id, order: count, atMs: Date.now() };
      pending =
        count === 1
          ? { type: 'start', ...shared }
          : { type: 'note', itemId: 'a', text: id, ...shared };
    }
    const sent = await client.send('POST', `/classes/${classId}/events`, { events: [pending] });
    if (sent.status !== 201) throw new Error('not now');
    acked.events.add(`${classId} ${(pending as { id: string }).id}`);
    pending = undefined;
  });
}

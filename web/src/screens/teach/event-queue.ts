import { LiveEvent } from '@wrenfern/core/live/events';
import { readJson } from '../../data/read-json.ts';
import { RequestProblem } from '../../data/request.ts';

/**
 * How sending stands: `away` tries again by itself; `signed-out` waits until somebody signs in;
 * nothing is lost in either.
 */
export type Delivery = 'delivered' | 'away' | 'signed-out';

/** Events of a class that the server has not confirmed; kept on this device until it has. */
export interface EventQueue {
  pending: () => readonly LiveEvent[];
  /** What the server refused or this version can't read, as it was: never sent again by itself. */
  setAside: () => readonly unknown[];
  forgetSetAside: () => void;
  add: (event: LiveEvent) => void;
  flush: () => Promise<Delivery>;
}

interface QueueParts {
  classId: string;
  storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;
  send: (events: LiveEvent[]) => Promise<unknown>;
}

const BATCH = 100;

/**
 * A lost connection, a reload or a double send changes nothing: ids are made here, once.
 *
 * Long because it is one queue: each of its steps reads and sets the same three lists.
 */
export function createEventQueue({ classId, storage, send }: QueueParts): EventQueue {
  const key = `wrenfern-live-${classId}`;
  const asideKey = `wrenfern-aside-${classId}`;
  let aside = listOf(storage.getItem(asideKey));
  let pending: LiveEvent[] = [];
  let sending: Promise<Delivery> | undefined;

  const store = (name: string, list: readonly unknown[]) => {
    if (list.length > 0) storage.setItem(name, JSON.stringify(list));
    else storage.removeItem(name);
  };
  const keep = (events: LiveEvent[]) => {
    pending = events;
    store(key, events);
  };
  const putAside = (things: readonly unknown[]) => {
    aside = [...aside, ...things];
    store(asideKey, aside);
  };
  const drop = (events: readonly LiveEvent[]) => {
    const ids = new Set(events.map(({ id }) => id));
    keep(pending.filter(({ id }) => !ids.has(id)));
  };

  const stored = readEach(listOf(storage.getItem(key)));
  if (stored.unread.length > 0) {
    putAside(stored.unread);
    store(key, stored.events);
  }
  pending = stored.events;

  const sendAll = async (): Promise<Delivery> => {
    let size = BATCH;
    while (pending.length > 0) {
      const batch = pending.slice(0, size);
      try {
        await send(batch);
      } catch (error) {
        const kind = kindOf(error);
        if (kind !== 'refused') return kind;
        // One bad one must not hold up the rest: they go one by one until it is found.
        if (batch.length > 1) {
          size = 1;
          continue;
        }
        putAside(batch);
      }
      drop(batch);
    }
    return 'delivered';
  };

  return {
    pending: () => pending,
    setAside: () => aside,
    forgetSetAside() {
      aside = [];
      store(asideKey, aside);
    },
    add: (event) => keep([...pending, event]),
    flush: () => {
      sending ??= sendAll().finally(() => {
        sending = undefined;
      });
      return sending;
    },
  };
}

/** A refusal is the server's last word on these events; everything else may pass. */
function kindOf(error: unknown): 'away' | 'signed-out' | 'refused' {
  if (!(error instanceof RequestProblem)) return 'away';
  if (error.status === 401) return 'signed-out';
  const isRefused = error.status >= 400 && error.status < 500 && error.status !== 429;
  return isRefused ? 'refused' : 'away';
}

/** What is stored as a list; something else is kept as its only entry. */
function listOf(text: string | null): unknown[] {
  if (!text) return [];
  const value = readJson(text);
  return Array.isArray(value) ? (value as unknown[]) : [value ?? text];
}

/** One that can't be read takes none of the others with it. */
function readEach(list: readonly unknown[]): { events: LiveEvent[]; unread: unknown[] } {
  const read = list.map((each) => ({ each, parsed: LiveEvent.safeParse(each) }));
  return {
    events: read.flatMap(({ parsed }) => (parsed.success ? [parsed.data] : [])),
    unread: read.flatMap(({ each, parsed }) => (parsed.success ? [] : [each])),
  };
}

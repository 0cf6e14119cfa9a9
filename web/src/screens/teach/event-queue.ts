import { z } from 'zod';
import { LiveEvent } from '@wrenfern/core/live/events';
import { readJson } from '../../data/read-json.ts';

/** Events of a class that the server has not confirmed; kept on this device until it has. */
export interface EventQueue {
  pending: () => LiveEvent[];
  add: (event: LiveEvent) => void;
  /** Sends what is pending; false when the server could not be reached. */
  flush: () => Promise<boolean>;
}

interface QueueParts {
  classId: string;
  storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;
  send: (events: LiveEvent[]) => Promise<unknown>;
}

/** A lost connection, a reload or a double send changes nothing: ids are made here, once. */
export function createEventQueue({ classId, storage, send }: QueueParts): EventQueue {
  const key = `wrenfern-live-${classId}`;
  let pending = readPending(storage.getItem(key));
  let sending: Promise<boolean> | undefined;

  const keep = (events: LiveEvent[]) => {
    pending = events;
    if (events.length > 0) storage.setItem(key, JSON.stringify(events));
    else storage.removeItem(key);
  };

  const sendAll = async (): Promise<boolean> => {
    while (pending.length > 0) {
      const batch = pending.slice(0, 100);
      try {
        await send(batch);
      } catch {
        return false; // Still pending: it is shown as such, and sent with the next try.
      }
      const sent = new Set(batch.map(({ id }) => id));
      keep(pending.filter(({ id }) => !sent.has(id)));
    }
    return true;
  };

  return {
    pending: () => pending,
    add: (event) => keep([...pending, event]),
    flush: () => {
      sending ??= sendAll().finally(() => {
        sending = undefined;
      });
      return sending;
    },
  };
}

function readPending(text: string | null): LiveEvent[] {
  if (!text) return [];
  const parsed = z.array(LiveEvent).safeParse(readJson(text));
  return parsed.success ? parsed.data : [];
}

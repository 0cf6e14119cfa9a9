import { describe, expect, it } from 'vitest';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { createEventQueue } from './event-queue.ts';

function memory() {
  const kept = new Map<string, string>();
  return {
    kept,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  };
}

const event = (number: number): LiveEvent => ({
  id: `event-${String(number).padStart(4, '0')}`,
  type: 'next',
  atMs: number,
});

describe('createEventQueue', () => {
  it('sends in order and keeps nothing once delivered', async () => {
    const storage = memory();
    const sent: LiveEvent[] = [];
    const queue = createEventQueue({
      classId: 'c',
      storage,
      send: (events) => Promise.resolve(sent.push(...events)),
    });
    queue.add(event(1));
    queue.add(event(2));
    expect(storage.kept.size).toBe(1);
    expect(await queue.flush()).toBe(true);
    expect(sent).toEqual([event(1), event(2)]);
    expect(queue.pending()).toEqual([]);
    expect(storage.kept.size).toBe(0);
  });

  it('keeps everything while the line is down, and sends it when it is back', async () => {
    let isDown = true;
    const sent: LiveEvent[] = [];
    const queue = createEventQueue({
      classId: 'c',
      storage: memory(),
      send: (events) =>
        isDown ? Promise.reject(new Error('down')) : Promise.resolve(sent.push(...events)),
    });
    queue.add(event(1));
    expect(await queue.flush()).toBe(false);
    queue.add(event(2));
    expect(queue.pending()).toHaveLength(2);
    isDown = false;
    expect(await queue.flush()).toBe(true);
    expect(sent).toEqual([event(1), event(2)]);
  });

  it('survives a reload', () => {
    const storage = memory();
    const parts = { classId: 'c', storage, send: () => Promise.reject(new Error('down')) };
    createEventQueue(parts).add(event(1));
    expect(createEventQueue(parts).pending()).toEqual([event(1)]);
    expect(createEventQueue({ ...parts, classId: 'another' }).pending()).toEqual([]);
  });

  it('sends what was added while it was sending', async () => {
    const sent: LiveEvent[][] = [];
    let release = () => {};
    const queue = createEventQueue({
      classId: 'c',
      storage: memory(),
      send: (events) => {
        sent.push(events);
        return sent.length === 1
          ? new Promise<void>((resolve) => (release = resolve))
          : Promise.resolve();
      },
    });
    queue.add(event(1));
    const flushing = queue.flush();
    queue.add(event(2));
    const again = queue.flush();
    release();
    expect(await flushing).toBe(true);
    expect(await again).toBe(true);
    expect(sent).toEqual([[event(1)], [event(2)]]);
  });

  it('drops what is no list of events rather than failing the class', () => {
    const storage = memory();
    storage.setItem('wrenfern-live-c', '[{"type":"nonsense"}]');
    const parts = { classId: 'c', storage, send: () => Promise.resolve() };
    expect(createEventQueue(parts).pending()).toEqual([]);
    storage.setItem('wrenfern-live-c', '{cut off');
    expect(createEventQueue(parts).pending()).toEqual([]);
  });
});

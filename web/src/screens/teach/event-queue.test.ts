import { describe, expect, it } from 'vitest';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { RequestProblem } from '../../data/request.ts';
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
  type: 'goTo',
  itemId: `item-${number}`,
  atMs: number,
  order: number,
});

const problem = (status: number, code = 'x') => new RequestProblem(code, status, 'No.');

/** A queue whose server we are. */
function setUp(answer: (events: LiveEvent[]) => Promise<unknown> = () => Promise.resolve()) {
  const storage = memory();
  const sent: LiveEvent[] = [];
  const parts = {
    classId: 'c',
    storage,
    send: async (events: LiveEvent[]) => {
      await answer(events);
      sent.push(...events);
    },
  };
  return { storage, sent, parts, queue: createEventQueue(parts) };
}

describe('createEventQueue', () => {
  it('sends in order and keeps nothing once delivered', async () => {
    const { queue, storage, sent } = setUp();
    queue.add(event(1));
    queue.add(event(2));
    expect(storage.kept.size).toBe(1);
    expect(await queue.flush()).toBe('delivered');
    expect(sent).toEqual([event(1), event(2)]);
    expect(queue.pending()).toEqual([]);
    expect(storage.kept.size).toBe(0);
  });

  it.each([
    [0, 'away'],
    [429, 'away'],
    [503, 'away'],
    [401, 'signed-out'],
  ] as const)('keeps everything on %s and says %s', async (status, said) => {
    let isDown = true;
    const { queue, sent } = setUp(() =>
      isDown ? Promise.reject(problem(status)) : Promise.resolve(),
    );
    queue.add(event(1));
    expect(await queue.flush()).toBe(said);
    queue.add(event(2));
    expect(queue.pending()).toHaveLength(2);
    isDown = false;
    expect(await queue.flush()).toBe('delivered');
    expect(sent).toEqual([event(1), event(2)]);
  });

  it('survives a reload', () => {
    const { queue, parts } = setUp(() => Promise.reject(problem(0)));
    queue.add(event(1));
    expect(createEventQueue(parts).pending()).toEqual([event(1)]);
  });

  it('sets aside the one that is refused, and sends the rest', async () => {
    const bad = event(2);
    const { queue, sent, parts } = setUp((events) =>
      events.some(({ id }) => id === bad.id) ? Promise.reject(problem(422)) : Promise.resolve(),
    );
    for (const each of [event(1), bad, event(3)]) queue.add(each);
    expect(await queue.flush()).toBe('delivered');
    expect(sent).toEqual([event(1), event(3)]);
    expect(queue.setAside()).toEqual([bad]);
    const again = createEventQueue(parts);
    expect(again.setAside()).toEqual([bad]);
    expect(again.pending()).toEqual([]);
    again.forgetSetAside();
    expect(createEventQueue(parts).setAside()).toEqual([]);
  });

  it('keeps the others when one on the device can’t be read', () => {
    const { storage, parts } = setUp();
    const old = { id: 'event-0009', type: 'next', atMs: 5 };
    storage.setItem('wrenfern-live-c', JSON.stringify([event(1), old, event(2)]));
    const queue = createEventQueue(parts);
    expect(queue.pending()).toEqual([event(1), event(2)]);
    expect(queue.setAside()).toEqual([old]);
  });

  it('keeps as it is what is no list at all', () => {
    const { storage, parts } = setUp();
    storage.setItem('wrenfern-live-c', '[{"id":');
    expect(createEventQueue(parts).setAside()).toEqual(['[{"id":']);
  });

  it('sends what was added while it was sending', async () => {
    let isFirst = true;
    const { queue, sent } = setUp(() => {
      if (isFirst) queue.add(event(2));
      isFirst = false;
      return Promise.resolve();
    });
    queue.add(event(1));
    expect(await queue.flush()).toBe('delivered');
    expect(sent).toEqual([event(1), event(2)]);
  });
});

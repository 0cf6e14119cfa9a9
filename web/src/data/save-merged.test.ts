import { describe, expect, it, vi } from 'vitest';
import { RequestProblem } from './request.ts';
import { saveMerged, type Ask } from './save-merged.ts';

interface Card {
  name: string;
  note: string;
}

const base: Card = { name: 'Asha', note: '' };

/** A server that holds one card and refuses what was made from an older one. */
function server(held: Card, revision: number) {
  const store = { revision, value: held };
  return {
    store,
    send: vi.fn((at: number, value: Card) => {
      if (at !== store.revision) {
        return Promise.reject(
          new RequestProblem('stale', 409, 'Changed.', [], { current: { ...store } }),
        );
      }
      store.revision += 1;
      store.value = value;
      return Promise.resolve(store.revision);
    }),
  };
}

const save = (held: ReturnType<typeof server>, mine: Card, ask?: Ask) =>
  saveMerged({
    what: 'This record',
    revision: 1,
    base,
    mine,
    send: held.send,
    theirsOf: (current) => current as { revision: number; value: Card },
    ...(ask ? { ask } : {}),
  });

describe('saveMerged', () => {
  it('saves as it is while nobody else did', async () => {
    const held = server(base, 1);
    await save(held, { ...base, note: 'knee' });
    expect(held.store).toEqual({ revision: 2, value: { name: 'Asha', note: 'knee' } });
  });

  it('keeps both changes where they do not touch, and asks nobody', async () => {
    const held = server({ name: 'Asha D.', note: '' }, 4);
    const ask = vi.fn<Ask>();
    await save(held, { ...base, note: 'knee' }, ask);
    expect(held.store.value).toEqual({ name: 'Asha D.', note: 'knee' });
    expect(ask).not.toHaveBeenCalled();
  });

  it.each([
    ['mine', 'knee'],
    ['theirs', 'hip'],
  ] as const)('asks where both changed the same, and keeps %s', async (side, note) => {
    const held = server({ name: 'Asha D.', note: 'hip' }, 4);
    const ask = vi.fn<Ask>().mockResolvedValue(side);
    await save(held, { ...base, note: 'knee' }, ask);
    expect(ask).toHaveBeenCalledWith('This record', [
      { path: ['note'], mine: 'knee', theirs: 'hip' },
    ]);
    expect(held.store.value).toEqual({ name: 'Asha D.', note });
  });

  it('passes on every other refusal', async () => {
    const problem = new RequestProblem('invalid', 422, 'Not right.');
    const held = server(base, 1);
    held.send.mockRejectedValue(problem);
    await expect(save(held, base)).rejects.toBe(problem);
    expect(held.send).toHaveBeenCalledTimes(1);
  });

  it('gives up after a few rounds with somebody quicker', async () => {
    const held = server(base, 1);
    let revision = 2;
    held.send.mockImplementation(() => {
      revision += 1;
      const current = { revision, value: { ...base, name: `Asha ${revision}` } };
      return Promise.reject(new RequestProblem('stale', 409, 'Changed.', [], { current }));
    });
    await expect(save(held, { ...base, note: 'knee' })).rejects.toMatchObject({ code: 'stale' });
    expect(held.send).toHaveBeenCalledTimes(5);
  });
});

import { describe, expect, it } from 'vitest';
import { clearDevice, countUnsaved } from './device-storage.ts';

function device(...keys: string[]) {
  const kept = new Set(keys);
  return {
    kept,
    get length() {
      return kept.size;
    },
    key: (index: number) => [...kept][index] ?? null,
    removeItem: (key: string) => void kept.delete(key),
  };
}

describe('the device at sign-out', () => {
  it('counts what has not reached the server', () => {
    const storage = device('wrenfern-draft-a', 'wrenfern-live-a', 'wrenfern-theme', 'other-draft');
    expect(countUnsaved(storage)).toBe(2);
    expect(countUnsaved(device())).toBe(0);
  });

  it('loses what was ours, but for the theme, and nothing of others', () => {
    const storage = device('wrenfern-draft-a', 'wrenfern-theme', 'wrenfern-aside-b', 'other');
    clearDevice(storage);
    expect([...storage.kept]).toEqual(['wrenfern-theme', 'other']);
  });
});

import { beforeEach, describe, expect, it, vi } from 'vitest';
import { makePlan } from '@wrenfern/core/testing/make-plan';
import { findUnsaved, keepUnsaved } from './unsaved-plan.ts';

const kept = new Map<string, string>();
let isFull = false;

beforeEach(() => {
  kept.clear();
  isFull = false;
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (isFull) throw new DOMException('full', 'QuotaExceededError');
      kept.set(key, value);
    },
    removeItem: (key: string) => kept.delete(key),
  });
});

const plan = makePlan([['breathe']]);

describe('what a device keeps', () => {
  it('comes back with what it was made from', () => {
    keepUnsaved('a', { revision: 3, value: { ...plan, title: 'Mine' }, base: plan });
    expect(findUnsaved('a')).toEqual({
      status: 'found',
      draft: { revision: 3, value: { ...plan, title: 'Mine' }, base: plan },
    });
    keepUnsaved('a', undefined);
    expect(findUnsaved('a')).toEqual({ status: 'none' });
  });

  it('is read as earlier versions wrote it', () => {
    kept.set('wrenfern-draft-a', JSON.stringify({ revision: 2, plan }));
    expect(findUnsaved('a')).toMatchObject({
      status: 'found',
      draft: { revision: 2, value: plan },
    });
  });

  it('stays where it is when it can’t be read, to be saved as a file', () => {
    for (const text of [
      '{"revision":',
      JSON.stringify({ revision: 1, plan: { format: 'other/9' } }),
    ]) {
      kept.set('wrenfern-draft-a', text);
      expect(findUnsaved('a')).toEqual({ status: 'unreadable', text });
      expect(kept.get('wrenfern-draft-a')).toBe(text);
    }
  });

  it('says when there is no room', () => {
    isFull = true;
    expect(keepUnsaved('a', { revision: 1, value: plan })).toBe(false);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mergeThree } from './merge-three.ts';

const merge = <T>(base: T, mine: T, theirs: T) => mergeThree<unknown>(base, mine, theirs, 'mine');

describe('mergeThree', () => {
  it('takes from each what only that one changed', () => {
    const base = { name: 'Asha', level: 2, note: '' };
    const merged = merge(base, { ...base, level: 3 }, { ...base, note: 'knee' });
    expect(merged).toEqual({ value: { name: 'Asha', level: 3, note: 'knee' }, clashes: [] });
  });

  it('keeps a caution that somebody else added meanwhile', () => {
    const wrist = { caution: 'wrist', note: '' };
    const knee = { caution: 'knee', note: '' };
    const neck = { caution: 'neck', note: '' };
    expect(merge([wrist], [wrist, knee], [neck, wrist]).value).toEqual([neck, wrist, knee]);
    expect(merge([wrist, knee], [knee], [wrist, knee, neck]).value).toEqual([knee, neck]);
  });

  it('changes one thing of a list by each', () => {
    const list = (a: number, b: number) => [
      { id: 'a', at: a },
      { id: 'b', at: b },
    ];
    expect(merge(list(1, 1), list(2, 1), list(1, 3))).toEqual({ value: list(2, 3), clashes: [] });
  });

  it('tells what both changed, and prefers whom it is told to', () => {
    const [base, mine, theirs] = [{ note: 'a' }, { note: 'b' }, { note: 'c' }];
    expect(mergeThree(base, mine, theirs, 'mine')).toEqual({
      value: mine,
      clashes: [{ path: ['note'], mine: 'b', theirs: 'c' }],
    });
    expect(mergeThree(base, mine, theirs, 'theirs').value).toEqual(theirs);
  });

  it('tells when one takes out what the other changes', () => {
    const base = [{ id: 'a', n: 1 }];
    const { clashes } = merge<unknown>(base, [], [{ id: 'a', n: 2 }]);
    expect(clashes).toEqual([{ path: ['a'], mine: undefined, theirs: { id: 'a', n: 2 } }]);
  });

  it('tells when both put a list into another order', () => {
    const ids = (...names: string[]) => names.map((id) => ({ id }));
    expect(merge(ids('a', 'b', 'c'), ids('b', 'a', 'c'), ids('a', 'c', 'b')).clashes).toHaveLength(
      1,
    );
    expect(merge(ids('a', 'b', 'c'), ids('c', 'a', 'b'), ids('a', 'b', 'c', 'd'))).toEqual({
      value: ids('c', 'd', 'a', 'b'),
      clashes: [],
    });
  });

  const document = fc.dictionary(
    fc.constantFrom('a', 'b', 'c', 'd'),
    fc.oneof(
      fc.integer({ min: 0, max: 3 }),
      fc.uniqueArray(fc.constantFrom('x', 'y', 'z')),
      fc.uniqueArray(
        fc.record({ id: fc.constantFrom('p', 'q', 'r'), n: fc.integer({ min: 0, max: 2 }) }),
        { selector: ({ id }) => id },
      ),
    ),
  );

  it('is mine where theirs is as it was, and theirs where mine is', () => {
    fc.assert(
      fc.property(document, document, (base, changed) => {
        expect(mergeThree(base, changed, base, 'theirs').value).toEqual(changed);
        expect(mergeThree(base, base, changed, 'mine').value).toEqual(changed);
        expect(mergeThree(base, changed, changed, 'mine').clashes).toEqual([]);
      }),
      { seed: 11, numRuns: 300 },
    );
  });

  it('clashes in the same places whoever asks', () => {
    fc.assert(
      fc.property(document, document, document, (base, one, other) => {
        const paths = (a: object, b: object) =>
          mergeThree(base, a, b, 'mine')
            .clashes.map(({ path }) => path.join('/'))
            .sort();
        expect(paths(one, other)).toEqual(paths(other, one));
      }),
      { seed: 12, numRuns: 300 },
    );
  });

  it('settles on the same document where nothing clashes', () => {
    fc.assert(
      fc.property(document, document, document, (base, one, other) => {
        const mine = mergeThree(base, one, other, 'mine');
        fc.pre(mine.clashes.length === 0);
        const sorted = (value: unknown) =>
          JSON.stringify(value, (_key, each: unknown) =>
            Array.isArray(each)
              ? [...(each as unknown[])].map((item) => JSON.stringify(item)).sort()
              : typeof each === 'object' && each !== null
                ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
                : each,
          );
        expect(sorted(mine.value)).toBe(sorted(mergeThree(base, other, one, 'mine').value));
      }),
      { seed: 13, numRuns: 300 },
    );
  });
});

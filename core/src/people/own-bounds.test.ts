import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ASKS } from './asks.ts';
import { avoid, between, limit } from './cautions/caution.ts';
import { CAUTION_IDS } from './cautions/cautions.ts';
import {
  checkOwnBounds,
  EFFECTS,
  isLooser,
  OwnBounds,
  usualNumbers,
  withOwnBounds,
  type OwnBound,
} from './own-bounds.ts';

const USUAL = [avoid('wrist', 0.1), between('belly', 30, 45)];
const own = (change: Partial<OwnBound>): OwnBound => ({
  caution: 'wrist',
  ask: 'wrist',
  effect: 'avoid',
  from: 0.05,
  ...change,
});

const anyOwn = fc.record({
  caution: fc.constantFrom(...CAUTION_IDS),
  ask: fc.constantFrom(...ASKS),
  effect: fc.constantFrom(...EFFECTS),
  from: fc.option(fc.double({ min: 0, max: 1000, noNaN: true })),
});

describe('numbers of the studio’s own', () => {
  it('begin earlier by themselves, and later only by somebody’s word', () => {
    expect(withOwnBounds('wrist', USUAL, [own({})])[0]).toEqual(avoid('wrist', 0.05));
    expect(withOwnBounds('wrist', USUAL, [own({ from: 0.3 })])[0]).toEqual(avoid('wrist', 0.1));
    const cleared = own({ from: 0.3, clearedBy: 'our physiotherapist' });
    expect(withOwnBounds('wrist', USUAL, [cleared])[0]).toEqual(avoid('wrist', 0.3));
  });

  it('take one effect away and leave the other, by somebody’s word', () => {
    const none = own({ ask: 'belly', from: null });
    expect(withOwnBounds('wrist', USUAL, [none])).toEqual(USUAL);
    const cleared = { ...none, clearedBy: 'a midwife' };
    expect(withOwnBounds('wrist', USUAL, [cleared])[1]).toEqual(limit('belly', 30));
  });

  it('may say what no usual number does, and leave other cautions alone', () => {
    const more = own({ ask: 'grip', effect: 'limit', from: 20 });
    expect(withOwnBounds('wrist', USUAL, [more])).toEqual([...USUAL, limit('grip', 20)]);
    expect(withOwnBounds('elbow', USUAL, [own({})])).toEqual(USUAL);
  });

  it('without a word never let anything through, whatever they say', () => {
    fc.assert(
      fc.property(
        fc.array(anyOwn, { maxLength: 5 }),
        fc.constantFrom(...CAUTION_IDS),
        (all, id) => {
          const after = withOwnBounds(id, USUAL, all);
          for (const bound of USUAL) {
            for (const effect of EFFECTS) {
              const before = bound[effect];
              if (before === undefined) continue;
              const now = after.filter(({ ask }) => ask === bound.ask).map((each) => each[effect]);
              expect(Math.min(...now.map((from) => from ?? Infinity))).toBeLessThanOrEqual(before);
            }
          }
        },
      ),
      { numRuns: 300, seed: 5 },
    );
  });

  it('are held against the strictest stage: what is later than that needs a name', () => {
    const [strictest, next] = usualNumbers('pregnancy').find(
      ({ ask, effect }) => ask === 'legs' && effect === 'avoid',
    )?.from ?? [0, 0];
    expect(next).toBeGreaterThan(strictest ?? 0);
    const legs = own({ caution: 'pregnancy', ask: 'legs', from: strictest ?? 0 });
    expect(isLooser(legs)).toBe(false);
    expect(isLooser({ ...legs, from: next ?? 0 })).toBe(true);
    expect(checkOwnBounds([{ ...legs, from: next ?? 0 }])).toEqual([
      { path: [0, 'clearedBy'], message: expect.stringContaining('say who cleared it') as string },
    ]);
    expect(checkOwnBounds([legs])).toEqual([]);
  });

  it('are said once each, and in bounds', () => {
    expect(checkOwnBounds([own({}), own({ from: 0.02 })])).toEqual([
      { path: [1, 'ask'], message: 'has a number already' },
    ]);
    expect(OwnBounds.safeParse([own({ from: -1 })]).success).toBe(false);
    expect(OwnBounds.safeParse([own({ clearedBy: ' ' })]).success).toBe(false);
    expect(OwnBounds.safeParse(Array.from({ length: 201 }, () => own({}))).success).toBe(false);
  });
});

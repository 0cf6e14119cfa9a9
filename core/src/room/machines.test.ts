import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { springWords, type Springs } from '../movement/gear.ts';
import { gearWords, partWords } from './gear-words.ts';
import { stepSprings } from '../movement/gear.ts';
import { Machines, springName, springsShort } from './machines.ts';

const machines = Machines.parse({
  reformers: 6,
  springs: [
    { name: 'long', strength: 'heavy', count: 2 },
    { name: 'short', strength: 'medium', count: 1 },
    { name: 'thin', strength: 'light', count: 1 },
  ],
  bars: { low: 'first notch' },
});

const pull = (springs: Springs) =>
  3 * (springs.heavy ?? 0) + 2 * (springs.medium ?? 0) + (springs.light ?? 0);

describe('springs for one person', () => {
  it.each([
    [{ heavy: 2 }, 'lighter', { heavy: 1, medium: 1 }],
    [{ heavy: 1, light: 1 }, 'lighter', { heavy: 1 }],
    [{ medium: 1 }, 'lighter', { light: 1 }],
    [{ light: 1 }, 'lighter', { light: 1 }],
    [{ heavy: 2 }, 'heavier', { heavy: 2, light: 1 }],
    [{ heavy: 1, light: 1 }, 'heavier', { heavy: 1, medium: 1 }],
    [{ medium: 1 }, 'heavier', { heavy: 1 }],
    [{ medium: 1 }, undefined, { medium: 1 }],
  ] as const)('%o one step %s are %o', (springs, step, expected) => {
    expect(stepSprings(springs, step)).toEqual(expected);
  });

  it('pull less when lighter, more when heavier, and never nothing', () => {
    const some = fc
      .record({
        heavy: fc.nat({ max: 3 }),
        medium: fc.nat({ max: 2 }),
        light: fc.nat({ max: 2 }),
      })
      .filter((springs) => pull(springs) > 1);
    fc.assert(
      fc.property(some, (springs) => {
        expect(pull(stepSprings(springs, 'lighter'))).toBe(pull(springs) - 1);
        expect(pull(stepSprings(springs, 'heavier'))).toBe(pull(springs) + 1);
        expect(pull(stepSprings(springs, 'lighter'))).toBeGreaterThan(0);
      }),
    );
  });
});

describe('a studio’s own names', () => {
  it('stand in the words, and plain ones where it has none', () => {
    expect(springWords({ heavy: 2, light: 1 }, springName(machines))).toBe('two long, one thin');
    expect(springWords({ heavy: 2 }, springName(Machines.parse({})))).toBe('two heavy');
  });

  it('tell a gear, and leave out what there is none of', () => {
    const gear = {
      springs: { medium: 1 },
      bar: 'low',
      headrest: 'up',
      loops: 'short',
      box: 'none',
      facing: 'head to bar',
    } as const;
    expect(gearWords(gear, machines)).toEqual([
      'one short',
      'bar first notch',
      'headrest up',
      'short loops',
      'head to bar',
    ]);
    expect(partWords(gear, 'box', machines)).toBe('off');
  });
});

describe('what a machine has', () => {
  it('is told where more is asked for', () => {
    expect(springsShort({ heavy: 3, medium: 1 }, machines)).toBe('three heavy, a machine has two');
    expect(springsShort({ heavy: 2 }, machines)).toBeUndefined();
  });

  it('is not guessed at before the studio has said', () => {
    expect(springsShort({ heavy: 5 }, Machines.parse({}))).toBeUndefined();
  });
});

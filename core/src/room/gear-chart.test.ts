import { describe, expect, it } from 'vitest';
import type { GearBlock } from './gear-blocks.ts';
import { gearChart } from './gear-chart.ts';
import { Machines } from './machines.ts';

const block = (itemIds: string[], part: Pick<GearBlock, 'gear' | 'changes'>): GearBlock => ({
  itemIds,
  changeS: 0,
  startS: 0,
  endS: 0,
  ...part,
});
const FEET = { springs: { heavy: 2 }, bar: 'middle', headrest: 'up' } as const;
const BLOCKS = [
  block(['press', 'calves'], { gear: FEET, changes: [] }),
  block(['loops'], {
    gear: { springs: { medium: 1 }, bar: 'middle', headrest: 'up', loops: 'short' },
    changes: ['springs', 'loops'],
  }),
  block(['knees'], {
    gear: { springs: { medium: 1 }, bar: 'high', headrest: 'up', loops: 'none' },
    changes: ['bar', 'loops'],
  }),
];
const plain = Machines.parse({});

describe('the gear at one look', () => {
  const chart = gearChart(BLOCKS, plain);

  it('has a row an exercise, and only the parts that the class speaks of', () => {
    expect(chart.rows.map(({ itemId }) => itemId)).toEqual(['press', 'calves', 'loops', 'knees']);
    expect(chart.parts).toEqual(['springs', 'bar', 'headrest', 'loops']);
  });

  it('draws a band for as long as a part stays, and tells changes from the beginning', () => {
    const bands = chart.rows.map(({ bands: { springs, bar } }) => [springs, bar]);
    expect(bands).toEqual([
      [
        { words: 'two heavy', length: 2, isChange: false },
        { words: 'middle', length: 3, isChange: false },
      ],
      [undefined, undefined],
      [{ words: 'one medium', length: 2, isChange: true }, undefined],
      [undefined, { words: 'high', length: 1, isChange: true }],
    ]);
    expect(chart.rows.map(({ bands }) => bands.loops?.words)).toEqual([
      'away',
      undefined,
      'short',
      'away',
    ]);
  });

  it('fills every part from the first row to the last', () => {
    for (const part of chart.parts) {
      const lengths = chart.rows.map(({ bands }) => bands[part]?.length ?? 0);
      expect(lengths.reduce((sum, length) => sum + length)).toBe(chart.rows.length);
    }
  });

  it('is empty on the mat', () => {
    expect(gearChart([], plain)).toEqual({ parts: [], rows: [] });
  });
});

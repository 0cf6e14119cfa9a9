import { describe, expect, it } from 'vitest';
import { Dose } from '../../movement/dose.ts';
import type { Position, Tempo } from '../../movement/vocabulary.ts';
import { STEADY_PACE, type Pace } from './pace.ts';
import { workParts } from './work.ts';

function work(
  dose: unknown,
  change: {
    tempo?: Tempo;
    position?: Position;
    firstMoreS?: number;
    pace?: Pace;
    around?: { entryS: number; exitS: number };
  } = {},
) {
  return workParts({
    dose: Dose.parse(dose),
    tempo: 'limb-slow',
    position: 'supine',
    firstMoreS: 0,
    breathing: { phases: 2, breathed: false },
    pace: STEADY_PACE,
    ...change,
  });
}

const seconds = (parts: { durationS: number }[]) =>
  parts.reduce((sum, part) => sum + part.durationS, 0);

describe('workParts', () => {
  it('counts repetitions at their pace', () => {
    const [part] = work({ kind: 'repetitions', count: 8 });
    expect(part).toMatchObject({ kind: 'work', durationS: 38, count: 8, eachS: 4.7, firstS: 4.7 });
  });

  it('slows the first repetition when it is explained, and only that one', () => {
    const [part] = work({ kind: 'repetitions', count: 8 }, { firstMoreS: 13 });
    // 8 at 4.7 s and 13 more: 50.6.
    expect(part?.durationS).toBe(51);
    expect(part?.reason).toContain('the first takes 13 s more while it is told');
    expect(
      work({ kind: 'repetitions', count: 8 }, { tempo: 'pulse', firstMoreS: 13 })[0],
    ).toMatchObject({ durationS: 6 });
  });

  it('goes on without a break: a hold at the end, small ones, on each side', () => {
    const parts = work({
      kind: 'repetitions',
      count: 8,
      sides: 'each',
      then: [
        { kind: 'hold', holdS: 20 },
        { kind: 'small', count: 20 },
        { kind: 'repetitions', count: 4, lower: true },
      ],
    });
    // By hand: 8 x 4.7 = 37.6, 20, 20 x 0.8 = 16, 4 x 4.7 = 18.8; and the same on the other side.
    expect(parts.map(({ side, durationS, phase }) => [side, durationS, phase])).toEqual([
      ['left', 38, undefined],
      ['left', 20, 'hold 20 s'],
      ['left', 16, '20 small'],
      ['left', 19, '4 an option lower'],
      [undefined, 7, undefined],
      ['right', 38, undefined],
      ['right', 20, 'hold 20 s'],
      ['right', 16, '20 small'],
      ['right', 19, '4 an option lower'],
    ]);
  });

  it('counts the left by its own count, and begins on the side that is said', () => {
    const dose = { kind: 'repetitions', count: 10, sides: 'each', leftCount: 6, first: 'right' };
    const parts = work(dose).filter(({ kind }) => kind === 'work');
    expect(parts.map(({ side, count }) => [side, count])).toEqual([
      ['right', 10],
      ['left', 6],
    ]);
    expect(work({ ...dose, sides: 'left' })[0]?.count).toBe(6);
    expect(work({ ...dose, sides: 'right' })[0]?.count).toBe(10);
  });

  it('gets into the shape of the set and out of it once on each side', () => {
    const parts = work(
      { kind: 'repetitions', count: 8, sides: 'each' },
      { around: { entryS: 11, exitS: 9 } },
    );
    expect(parts.map(({ side, durationS }) => [side, durationS])).toEqual([
      ['left', 11],
      ['left', 38],
      ['left', 9],
      [undefined, 7],
      ['right', 11],
      ['right', 38],
      ['right', 9],
    ]);
  });

  it('gives the second side the same repetitions, untaught, after a change', () => {
    const parts = work({ kind: 'repetitions', count: 8, sides: 'each' }, { firstMoreS: 13 });
    expect(parts.map(({ kind, side }) => [kind, side])).toEqual([
      ['work', 'left'],
      ['side-change', undefined],
      ['work', 'right'],
    ]);
    expect(parts[0]?.count).toBe(parts[2]?.count);
    expect(parts[0]?.durationS).toBeGreaterThan(parts[2]?.durationS ?? 0);
  });

  it('takes 7 to 18 s to roll over and 2 to 11 s to swap within a position', () => {
    const change = (position: Position) =>
      work({ kind: 'repetitions', count: 4, sides: 'each' }, { position })[1]?.durationS ?? 0;
    expect(change('side-lying')).toBeGreaterThanOrEqual(7);
    expect(change('side-lying')).toBeLessThanOrEqual(18);
    expect(change('supine')).toBeGreaterThanOrEqual(2);
    expect(change('supine')).toBeLessThanOrEqual(11);
  });

  it('does both sides in turn without a change between', () => {
    const parts = work({ kind: 'repetitions', count: 4, sides: 'alternating' });
    expect(parts).toHaveLength(1);
    expect(parts[0]).toMatchObject({ count: 8, durationS: 38, side: 'alternating' });
  });

  it('does one side only when told so', () => {
    expect(work({ kind: 'repetitions', count: 4, sides: 'left' })).toMatchObject([
      { side: 'left', count: 4 },
    ]);
  });

  it('doubles what is done both ways', () => {
    expect(work({ kind: 'repetitions', count: 3, directions: 2 })[0]?.count).toBe(6);
  });

  it('rests between sets and numbers them', () => {
    const parts = work({ kind: 'repetitions', count: 4, sets: 3 });
    expect(parts.map(({ kind }) => kind)).toEqual(['work', 'set-rest', 'work', 'set-rest', 'work']);
    expect(parts.filter(({ kind }) => kind === 'work').map(({ set }) => set)).toEqual([1, 2, 3]);
  });

  it('counts breaths at the pace of breath, whatever the exercise', () => {
    const [part] = work({ kind: 'breaths', count: 6 }, { tempo: 'limb-steady' });
    expect(part).toMatchObject({ durationS: 50, eachS: 8.4 });
    expect(part?.reason).toContain('6 breaths');
  });

  it('holds as long as is set', () => {
    expect(seconds(work({ kind: 'hold', holdS: 30 }))).toBe(30);
    expect(seconds(work({ kind: 'hold', holdS: 20, count: 3 }))).toBe(20 * 3 + 5 * 2);
    // Into a reached shape and out of it, each time.
    expect(seconds(work({ kind: 'hold', holdS: 10, count: 2 }, { tempo: 'reach-hold' }))).toBe(
      2 * 20,
    );
  });

  it('keeps to the clock in timed sets, a round for each side', () => {
    const parts = work({ kind: 'timed', onS: 45, offS: 15, sides: 'each' });
    expect(parts.map(({ kind, durationS }) => [kind, durationS])).toEqual([
      ['work', 45],
      ['rest', 15],
      ['work', 45],
      ['rest', 15],
    ]);
  });

  it('follows the teacher’s own pace and says that it does', () => {
    const pace: Pace = { ...STEADY_PACE, tempoFactors: { 'limb-slow': 2 } };
    const [part] = work({ kind: 'repetitions', count: 10 }, { pace });
    expect(part).toMatchObject({ durationS: 94, source: 'your pace' });
  });
});

import { describe, expect, it } from 'vitest';
import { Dose } from '../../movement/dose.ts';
import { TEMPOS, type Position, type Tempo } from '../../movement/vocabulary.ts';
import { STEADY_PACE, TEMPO_PACE, type Pace } from './pace.ts';
import { workParts } from './work.ts';

function work(
  dose: unknown,
  change: {
    tempo?: Tempo;
    position?: Position;
    teaching?: 'full' | 'brief' | 'none';
    pace?: Pace;
  } = {},
) {
  return workParts({
    dose: Dose.parse(dose),
    tempo: 'limb-slow',
    position: 'supine',
    teaching: 'none',
    pace: STEADY_PACE,
    ...change,
  });
}

const seconds = (parts: { durationS: number }[]) =>
  parts.reduce((sum, part) => sum + part.durationS, 0);

describe('the pace of a repetition', () => {
  /** Seconds of one plain repetition, least and most: common practice. */
  it.each<[Tempo, number, number]>([
    ['breath', 8, 10],
    ['articulate-large', 12, 17],
    ['articulate-small', 5, 9],
    ['lift-trunk', 5, 9],
    ['squeeze', 4.5, 9],
    ['limb-slow', 3, 7],
    ['limb-steady', 2.1, 3.6],
    ['circle', 3, 8],
    ['turn', 4, 5.5],
    ['roll-down', 15, 20],
    ['sequence', 5, 16],
    ['pulse', 0.6, 1],
    ['reach-hold', 12, 18],
    ['hold', 7, 50],
  ])('%s lies between %d and %d s', (tempo, least, most) => {
    expect(TEMPO_PACE[tempo].plainS).toBeGreaterThanOrEqual(least);
    expect(TEMPO_PACE[tempo].plainS).toBeLessThanOrEqual(most);
  });

  it.each(TEMPOS.map((tempo) => [tempo] as const))(
    'a first %s is never quicker than a plain one, and at most four times as long',
    (tempo) => {
      const { plainS, recalledS, explainedS } = TEMPO_PACE[tempo];
      expect(recalledS).toBeGreaterThanOrEqual(plainS);
      expect(explainedS).toBeGreaterThanOrEqual(recalledS);
      expect(explainedS).toBeLessThanOrEqual(plainS * 4);
    },
  );

  it('breathes 6 to 8 times a minute in breath-led work', () => {
    const perMinute = 60 / TEMPO_PACE.breath.plainS;
    expect(perMinute).toBeGreaterThanOrEqual(6);
    expect(perMinute).toBeLessThanOrEqual(8);
  });
});

describe('workParts', () => {
  it('counts repetitions at their pace', () => {
    const [part] = work({ kind: 'repetitions', count: 8 });
    expect(part).toMatchObject({ kind: 'work', durationS: 40, count: 8, eachS: 5, firstS: 5 });
  });

  it('slows the first repetition when it is explained, and only that one', () => {
    const [part] = work({ kind: 'repetitions', count: 8 }, { teaching: 'full' });
    expect(part?.durationS).toBe(11 + 7 * 5);
    expect(part?.reason).toContain('the first at 11 s');
  });

  it('gives the second side the same repetitions, untaught, after a change', () => {
    const parts = work({ kind: 'repetitions', count: 8, sides: 'each' }, { teaching: 'full' });
    expect(parts.map(({ kind, side }) => [kind, side])).toEqual([
      ['work', 'left'],
      ['side-change', undefined],
      ['work', 'right'],
    ]);
    expect(parts[0]?.count).toBe(parts[2]?.count);
    expect(parts[0]?.durationS).toBeGreaterThan(parts[2]?.durationS ?? 0);
  });

  it('gives the second side 0.7 to 1 of the time of a taught first side', () => {
    for (const tempo of ['limb-steady', 'limb-slow', 'circle', 'turn'] as const) {
      const parts = work(
        { kind: 'repetitions', count: 8, sides: 'each' },
        { tempo, teaching: 'full' },
      );
      const ratio = (parts[2]?.durationS ?? 0) / (parts[0]?.durationS ?? 1);
      expect(ratio).toBeGreaterThanOrEqual(0.7);
      expect(ratio).toBeLessThan(1);
    }
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
    expect(parts[0]).toMatchObject({ count: 8, durationS: 40, side: 'alternating' });
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
    expect(part).toMatchObject({ durationS: 54, eachS: 9 });
    expect(part?.reason).toContain('6 breaths');
  });

  it('holds as long as is set', () => {
    expect(seconds(work({ kind: 'hold', holdS: 30 }))).toBe(30);
    expect(seconds(work({ kind: 'hold', holdS: 20, count: 3 }))).toBe(20 * 3 + 4 * 2);
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
    const pace: Pace = { ...STEADY_PACE, tempoFactors: { 'limb-slow': 1.2 } };
    const [part] = work({ kind: 'repetitions', count: 10 }, { pace });
    expect(part).toMatchObject({ durationS: 60, source: 'your pace' });
  });
});

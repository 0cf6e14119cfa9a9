import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Dose } from '../movement/dose.ts';
import { readDose, writeDose } from './dose-words.ts';

const usual = (dose: object) => ({ dose: Dose.parse(dose) });
const lift = usual({ kind: 'repetitions', count: 8 });
const clam = usual({ kind: 'repetitions', count: 10, sides: 'each' });
const plank = usual({ kind: 'hold', holdS: 20 });
const rest = usual({ kind: 'free', durationS: 120 });
const breath = usual({ kind: 'breaths', count: 6 });

// Ways in which teachers write counts and times. Common practice.
const WRITTEN: [words: string, exercise: { dose: Dose }, dose: object][] = [
  ['10', lift, { kind: 'repetitions', count: 10 }],
  ['x5', lift, { kind: 'repetitions', count: 5 }],
  ['5x', lift, { kind: 'repetitions', count: 5 }],
  ['× 6', lift, { kind: 'repetitions', count: 6 }],
  ['8 reps', lift, { kind: 'repetitions', count: 8 }],
  ['8 times, in turn', lift, { kind: 'repetitions', count: 8, sides: 'alternating' }],
  ['10 each', clam, { kind: 'repetitions', count: 10, sides: 'each' }],
  ['10', clam, { kind: 'repetitions', count: 10, sides: 'each' }],
  ['8 each side, in turn', clam, { kind: 'repetitions', count: 8, sides: 'alternating' }],
  ['10 left', clam, { kind: 'repetitions', count: 10, sides: 'left' }],
  ['12 e/s', lift, { kind: 'repetitions', count: 12, sides: 'each' }],
  ['8 each way', lift, { kind: 'repetitions', count: 8, directions: 2 }],
  ['2 x 8', lift, { kind: 'repetitions', count: 8, sets: 2 }],
  ['3 sets of 6', lift, { kind: 'repetitions', count: 6, sets: 3 }],
  ['8 twice', lift, { kind: 'repetitions', count: 8, sets: 2 }],
  ['30 s', lift, { kind: 'hold', holdS: 30, count: 1 }],
  ['hold 30 sec each side', lift, { kind: 'hold', holdS: 30, count: 1, sides: 'each' }],
  ['20s twice', plank, { kind: 'hold', holdS: 20, count: 2 }],
  ['30', plank, { kind: 'hold', holdS: 30, count: 1 }],
  ['2', plank, { kind: 'hold', holdS: 20, count: 2 }],
  ['3 holds of 10 s', plank, { kind: 'hold', holdS: 10, count: 3 }],
  ['2 min', rest, { kind: 'free', durationS: 120 }],
  ['1:30', rest, { kind: 'free', durationS: 90 }],
  ['8', breath, { kind: 'breaths', count: 8 }],
  ['5 breaths', lift, { kind: 'breaths', count: 5 }],
  ['45/15', lift, { kind: 'timed', onS: 45, offS: 15, rounds: 1 }],
  [
    '8 then hold 20 s',
    lift,
    { kind: 'repetitions', count: 8, then: [{ kind: 'hold', holdS: 20 }] },
  ],
  [
    'hold 20 s, then 8, then 20 small',
    plank,
    {
      kind: 'hold',
      holdS: 20,
      then: [
        { kind: 'repetitions', count: 8 },
        { kind: 'small', count: 20 },
      ],
    },
  ],
  [
    '20 s then 20 s easier',
    plank,
    { kind: 'hold', holdS: 20, then: [{ kind: 'hold', holdS: 20, lower: true }] },
  ],
  [
    '10 each, 6 on the left, right first',
    clam,
    { kind: 'repetitions', count: 10, sides: 'each', leftCount: 6, first: 'right' },
  ],
  ['about 20', lift, { kind: 'repetitions', count: 20, about: true }],
  ['~6 breaths', breath, { kind: 'breaths', count: 6, about: true }],
  ['40/20 3 rounds', lift, { kind: 'timed', onS: 40, offS: 20, rounds: 3 }],
];

describe('a dose behind a name', () => {
  it.each(WRITTEN)('"%s"', (words, exercise, dose) => {
    const read = readDose(words, exercise);
    expect(read.dose).toEqual(Dose.parse(dose));
    expect(read.rest).toBe('');
  });

  it('leaves what is none', () => {
    expect(readDose('rolled, x5', lift)).toEqual({
      dose: Dose.parse({ kind: 'repetitions', count: 5 }),
      rest: 'rolled',
    });
    expect(readDose('', lift)).toEqual({ dose: undefined, rest: '' });
    expect(readDose('slowly', lift).dose).toBeUndefined();
  });

  it('comes back as it was written, whatever the exercise usually is', () => {
    const count = fc.integer({ min: 1, max: 200 });
    const seconds = fc.integer({ min: 1, max: 3600 });
    const shared = {
      sets: fc.integer({ min: 1, max: 10 }),
      sides: fc.constantFrom('none', 'each', 'alternating', 'left', 'right'),
      directions: fc.integer({ min: 1, max: 2 }),
    };
    const held = fc.record(
      { kind: fc.constant('hold'), holdS: seconds, lower: fc.constant(true) },
      { requiredKeys: ['kind', 'holdS'] },
    );
    const phase = fc.oneof(
      held,
      fc.record({ kind: fc.constant('small'), count }),
      fc.record(
        { kind: fc.constant('repetitions'), count, lower: fc.constant(true) },
        { requiredKeys: ['kind', 'count'] },
      ),
    );
    const more = {
      then: fc.option(fc.array(phase, { minLength: 1, maxLength: 4 }), { nil: undefined }),
      first: fc.constantFrom('left', 'right', undefined),
    };
    const counted = {
      leftCount: fc.option(count, { nil: undefined }),
      about: fc.constantFrom(true, undefined),
    };
    const any = fc.oneof(
      fc.record({ kind: fc.constant('repetitions'), count, ...shared, ...more, ...counted }),
      fc.record({ kind: fc.constant('breaths'), count, ...shared, ...more, ...counted }),
      fc.record({ kind: fc.constant('hold'), holdS: seconds, count, ...shared, ...more }),
      fc.record({ kind: fc.constant('free'), durationS: seconds, ...shared }),
      fc.record({
        kind: fc.constant('timed'),
        onS: seconds,
        offS: fc.integer({ min: 0, max: 600 }),
        rounds: fc.integer({ min: 1, max: 40 }),
        ...shared,
      }),
    );
    fc.assert(
      fc.property(any, any, (given, usually) => {
        const [dose, exercise] = [Dose.parse(given), { dose: Dose.parse(usually) }];
        expect(readDose(writeDose(dose, exercise), exercise)).toEqual({ dose, rest: '' });
      }),
      { numRuns: 500 },
    );
  });
});

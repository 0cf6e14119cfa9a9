import { describe, expect, it } from 'vitest';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue();
const plain = { sets: 1, sides: 'none', directions: 1 } as const;
const times = (count: number) => ({ dose: { kind: 'repetitions' as const, count, ...plain } });
const held = (holdS: number) => ({ dose: { kind: 'hold' as const, holdS, count: 1, ...plain } });
const free = (durationS: number) => ({ dose: { kind: 'free' as const, durationS, ...plain } });

describe('odd-dose', () => {
  const of = (...entries: Parameters<typeof makePlan>[0][number]) =>
    findingsOf('odd-dose', makePlan([entries]), catalogue);

  it('tells all numbers that nobody says as one: common practice', () => {
    expect(of(['curl', times(8)], ['tilt', times(100)], ['hug', held(30)])).toEqual([]);
    expect(of(['curl', times(7)], ['hug', held(19)])[0]?.sentence).toBe(
      'curl 7 times and hug hold 19 s: nobody says that aloud.',
    );
  });

  it('lets what nobody set stand, and free time be as long as it is', () => {
    expect(of('curl', ['final-rest', free(110)])).toEqual([]);
  });

  it('makes them the nearest that are said', () => {
    const plan = makePlan([
      [
        ['curl', times(7)],
        ['hug', held(19)],
      ],
    ]);
    const [finding] = findingsOf('odd-dose', plan, catalogue);
    const after = repaired(plan, finding, /^Make it (6|8) times and hold 20 s$/);
    expect(findingsOf('odd-dose', after, catalogue)).toEqual([]);
  });
});

describe('padding', () => {
  const work = Array.from({ length: 14 }, () => 'curl');
  const of = (entry: [string, object]) =>
    findingsOf('padding', makePlan([[...work, entry]]), catalogue);

  it('lets the rest take a tenth of the class, and the way up a minute', () => {
    expect(of(['final-rest', free(150)])).toEqual([]);
    expect(of(['final-rest', free(600)])[0]?.sentence).toMatch(
      /^final rest takes 10:00; \d:\d\d is the most that is not waiting\.$/,
    );
    expect(of(['return-to-sitting', free(45)])).toEqual([]);
    expect(of(['return-to-sitting', free(150)])).toHaveLength(1);
  });

  it('makes it shorter', () => {
    const plan = makePlan([[...work, ['final-rest', free(600)]]]);
    const [finding] = findingsOf('padding', plan, catalogue);
    const after = repaired(plan, finding, /^final rest, /);
    expect(findingsOf('padding', after, catalogue)).toEqual([]);
  });
});

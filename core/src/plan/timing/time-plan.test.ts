import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { copyOf, makePlan } from '../../testing/make-plan.ts';
import { planAsOccurrences } from '../occurrences.ts';
import type { Bracket } from '../plan.ts';
import { STEADY_PACE } from './pace.ts';
import { timePlan } from './time-plan.ts';
import { secondsOf, shareOfTime, type Timeline } from './timeline.ts';

const ladder = makeExercise('ladder', { options: [{}, {}, {}, {}] });
const oneWay = makeExercise('one-way');
const catalogue = makeCatalogue([ladder, oneWay]);

const item = (timeline: Timeline, id: string) => {
  const found = timeline.items.find(({ itemId }) => itemId === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const kinds = (timeline: Timeline, id: string) => item(timeline, id).parts.map(({ kind }) => kind);

const anyPlan = () =>
  fc
    .array(
      fc.array(
        fc.oneof(
          fc.constantFrom(...catalogue.all.map(({ slug }) => slug)),
          fc.record({ pauseS: fc.integer({ min: 5, max: 120 }) }),
          fc.tuple(
            fc.constantFrom('curl', 'leg-lift', 'twist'),
            fc.record({
              dose: fc.record({
                kind: fc.constant('timed' as const),
                onS: fc.integer({ min: 10, max: 60 }),
                offS: fc.integer({ min: 0, max: 30 }),
                rounds: fc.integer({ min: 1, max: 3 }),
                sets: fc.integer({ min: 1, max: 2 }),
                sides: fc.constantFrom('none' as const, 'each' as const),
                directions: fc.constant(1),
              }),
            }),
          ),
        ),
        { maxLength: 8 },
      ),
      { minLength: 1, maxLength: 3 },
    )
    .map((segments) => makePlan(segments as Parameters<typeof makePlan>[0]));

describe('timePlan', () => {
  it('leaves no gap and no overlap between parts, items and segments', () => {
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        const timeline = timePlan(plan, catalogue);
        let atS = 0;
        for (const timed of timeline.items) {
          expect(timed.startS).toBe(atS);
          for (const part of timed.parts) {
            expect(part.startS).toBe(atS);
            expect(Number.isInteger(part.durationS)).toBe(true);
            expect(part.durationS).toBeGreaterThan(0);
            expect(part.reason).not.toBe('');
            atS += part.durationS;
          }
          expect(timed.startS + timed.durationS).toBe(atS);
        }
        expect(timeline.totalS).toBe(atS);
        const inSegments = timeline.segments.reduce((sum, { durationS }) => sum + durationS, 0);
        expect(inSegments).toBe(atS);
      }),
      { numRuns: 400, seed: 11 },
    );
  });

  it('adds up a class worked out by hand', () => {
    // breathe: 12.5 first shape + 4.5 words, 8 with options, 4.5 first time here + 8 breaths at 8.4 and 8 more: 75.2
    // curl: 5 within the position + 12.5 words + 8 slow limbs at 5.8 and 8 more: 54.4
    const timeline = timePlan(makePlan([['breathe', 'curl']]), catalogue);
    expect(item(timeline, 'breathe').durationS).toBe(13 + 17 + 75);
    expect(item(timeline, 'curl').durationS).toBe(5 + 13 + 54);
    expect(timeline.totalS).toBe(105 + 72);
    expect(timeline.overS).toBe(177 - 1800);
  });

  const untimed = fc.array(
    fc.oneof(
      fc.constantFrom(...catalogue.all.map(({ slug }) => slug)),
      fc.record({ pauseS: fc.integer({ min: 5, max: 120 }) }),
    ),
    { maxLength: 9 },
  );

  it('is never shorter for something more in it', () => {
    const more = fc.constantFrom(...catalogue.all.map(({ slug }) => slug));
    fc.assert(
      fc.property(untimed, more, fc.nat({ max: 9 }), (entries, slug, at) => {
        const totalOf = (list: typeof entries) => timePlan(makePlan([list]), catalogue).totalS;
        expect(totalOf(entries.toSpliced(at, 0, slug))).toBeGreaterThan(totalOf(entries));
      }),
      { numRuns: 300, seed: 5 },
    );
  });

  it('is never shorter for one repetition more, however it is led', () => {
    const style = fc.constantFrom(undefined, 'slow' as const, 'steady' as const, 'brisk' as const);
    const slug = fc.constantFrom('curl', 'leg-lift', 'twist', 'tilt', 'lift');
    fc.assert(
      fc.property(style, slug, fc.integer({ min: 1, max: 30 }), (led, exercise, count) => {
        const totalOf = (times: number) => {
          const dose = { kind: 'repetitions', count: times, sets: 1, sides: 'each', directions: 1 };
          const plan = makePlan([[[exercise, { dose } as object]]], led ? { style: led } : {});
          return timePlan(plan, catalogue).totalS;
        };
        expect(totalOf(count + 1)).toBeGreaterThanOrEqual(totalOf(count));
      }),
      { numRuns: 200, seed: 7 },
    );
  });

  describe('of a bracket', () => {
    const inOne = (slugs: readonly string[], bracket: Bracket) => ({
      ...makePlan([slugs.map((slug): [string, object] => [slug, { bracket: bracket.id }])]),
      brackets: [bracket],
    });
    const slugs = fc.array(fc.constantFrom('leg-lift', 'side-press', 'clam'), {
      minLength: 2,
      maxLength: 5,
    });
    const sided = makeCatalogue(
      ['leg-lift', 'side-press', 'clam'].map((slug) =>
        makeExercise(slug, {
          position: 'side-lying',
          dose: { kind: 'repetitions', count: 8, sets: 1, sides: 'each', directions: 1 },
        }),
      ),
    );

    it('is shorter as a series than turned over in each, and works as long', () => {
      fc.assert(
        fc.property(slugs, fc.constantFrom('left' as const, 'right' as const), (list, first) => {
          const apart = timePlan(makePlan([list]), sided);
          const series = timePlan(inOne(list, { kind: 'series', id: 'side', first }), sided);
          expect(series.totalS).toBeLessThan(apart.totalS);
          expect(series.items).toHaveLength(2 * list.length);
          const workS = ({ items }: Timeline) =>
            items.reduce((sum, each) => sum + secondsOf(each, 'work'), 0);
          expect(Math.abs(workS(series) - workS(apart))).toBeLessThanOrEqual(list.length);
        }),
      );
    });

    it('takes as long whichever side is first', () => {
      const of = (first: 'left' | 'right') =>
        timePlan(inOne(['clam', 'leg-lift'], { kind: 'series', id: 'side', first }), sided).totalS;
      expect(of('left')).toBe(of('right'));
    });

    it('is longer by a round more', () => {
      fc.assert(
        fc.property(slugs, fc.integer({ min: 2, max: 9 }), (list, times) => {
          const of = (n: number) =>
            timePlan(inOne(list, { kind: 'rounds', id: 'turns', times: n }), sided).totalS;
          expect(of(times + 1)).toBeGreaterThan(of(times));
        }),
      );
    });

    it('is the same seconds when every time is written as an item', () => {
      const series = inOne(['clam', 'leg-lift'], { kind: 'series', id: 'side', first: 'left' });
      const [one, other] = [series, planAsOccurrences(series)].map((each) => timePlan(each, sided));
      expect(other?.totalS).toBe(one?.totalS);
      expect(other?.items.map(({ itemId }) => itemId)).toEqual(
        one?.items.map(({ occurrenceId }) => occurrenceId),
      );
    });
  });

  it('gives the same seconds for the same plan', () => {
    const plan = makePlan([['breathe', 'curl', 'twist'], ['hug']]);
    expect(timePlan(plan, catalogue)).toEqual(timePlan(copyOf(plan), catalogue));
  });

  it('is zero for an empty plan', () => {
    const timeline = timePlan(makePlan([[], []]), catalogue);
    expect(timeline).toMatchObject({ totalS: 0, items: [], likely: { lowS: 0, highS: 0 } });
    expect(timeline.segments.map(({ durationS }) => durationS)).toEqual([0, 0]);
  });

  it('rests when a rest is set, and pauses as long as is set', () => {
    const timeline = timePlan(makePlan([[['curl', { restS: 25 }], { pauseS: 40 }]]), catalogue);
    expect(secondsOf(item(timeline, 'curl'), 'rest')).toBe(25);
    expect(item(timeline, 'pause')).toMatchObject({ durationS: 40, kind: 'pause' });
  });
});

describe('teaching', () => {
  it('is short for what is known, long for what is new to the group', () => {
    const plan = makePlan([['curl']]);
    const known = timePlan(plan, catalogue, { familiar: new Set(['curl']) });
    const fresh = timePlan(plan, catalogue, { familiar: new Set() });
    // In a few words, with options, first time in this position; else the usual of a full explanation.
    expect(secondsOf(item(known, 'curl'), 'teaching')).toBe(17);
    expect(secondsOf(item(fresh, 'curl'), 'teaching')).toBe(30);
  });

  it('is brief when nothing is known of the group', () => {
    expect(secondsOf(item(timePlan(makePlan([['curl']]), catalogue), 'curl'), 'teaching')).toBe(17);
  });

  it('is next to nothing the second time in a class', () => {
    const timeline = timePlan(makePlan([['curl', 'breathe', 'curl']]), catalogue);
    expect(secondsOf(item(timeline, 'curl-2'), 'teaching')).toBeLessThanOrEqual(3);
  });

  it('is shorter with one way on offer', () => {
    const plan = makePlan([[['curl', { options: [1] }]]]);
    expect(secondsOf(item(timePlan(plan, catalogue), 'curl'), 'teaching')).toBe(9);
  });

  it('does as the plan says when the plan says something', () => {
    const plan = makePlan([
      [
        ['curl', { teaching: 'none' }],
        ['ladder', { teaching: 'full' }],
      ],
    ]);
    const timeline = timePlan(plan, catalogue, { familiar: new Set(['ladder']) });
    expect(kinds(timeline, 'curl')).not.toContain('teaching');
    expect(secondsOf(item(timeline, 'ladder'), 'teaching')).toBe(30);
  });

  it('is as long as the plan states, at nobody’s pace', () => {
    const plan = makePlan([[['curl', { teaching: 'full', explainS: 90 }]]]);
    const slow = { ...STEADY_PACE, teaching: 'unhurried' as const };
    const timed = item(timePlan(plan, catalogue, { pace: slow }), 'curl');
    expect(secondsOf(timed, 'teaching')).toBe(90);
    expect(timed.parts.find(({ kind }) => kind === 'teaching')?.source).toBe('set in the plan');
  });

  it('follows the teacher: quick, steady, unhurried', () => {
    const words = (teaching: 'quick' | 'steady' | 'unhurried') =>
      secondsOf(
        item(
          timePlan(makePlan([['curl']]), catalogue, { pace: { ...STEADY_PACE, teaching } }),
          'curl',
        ),
        'teaching',
      );
    expect(words('quick')).toBeLessThan(words('steady'));
    expect(words('steady')).toBeLessThan(words('unhurried'));
  });
});

describe('a change by the clock', () => {
  const dose = {
    kind: 'timed' as const,
    onS: 45,
    offS: 15,
    rounds: 1,
    sets: 1,
    sides: 'none' as const,
    directions: 1,
  };
  const timedCurl = (offS: number) =>
    ['curl', { dose: { ...dose, offS }, options: [1] }] as [string, object];

  it('takes the next set-up and words into itself and adds nothing, however long they are', () => {
    for (const offS of [15, 5]) {
      const next: [string, object] = ['one-way', { dose, options: [1] }];
      const timeline = timePlan(makePlan([[timedCurl(offS), next]]), catalogue);
      // 13 s first shape and 9 s of words, then the clock: 45 on, the change, 45 on, and nothing behind the last.
      expect(timeline.totalS).toBe(13 + 9 + 45 + offS + 45);
      expect(
        item(timeline, 'one-way').startS +
          secondsOf(item(timeline, 'one-way'), 'set-up', 'teaching'),
      ).toBe(13 + 9 + 45 + offS);
    }
  });

  it('is none behind the last: before a pause, before what is not timed, and at the end', () => {
    for (const after of [[{ pauseS: 30 }], ['one-way'], []]) {
      const timeline = timePlan(makePlan([[timedCurl(15), ...after]]), catalogue);
      expect(kinds(timeline, 'curl')).not.toContain('rest');
    }
  });
});

describe('shareOfTime', () => {
  it('adds up to the whole class', () => {
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        const timeline = timePlan(plan, catalogue);
        const { work, setUp, teaching, rest } = shareOfTime(timeline);
        expect(work + setUp + teaching + rest).toBeCloseTo(timeline.totalS > 0 ? 1 : 0, 9);
      }),
      { numRuns: 100, seed: 3 },
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { copyOf, makePlan } from '../../testing/make-plan.ts';
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
    // breathe: 18 first shape + 13 words with options + breaths 11 + 7 × 9 = 105
    // curl: 8 rearranging + 13 words + 5.5 + 7 × 5 = 40.5, rounded 41 = 62
    const timeline = timePlan(makePlan([['breathe', 'curl']]), catalogue);
    expect(item(timeline, 'breathe').durationS).toBe(18 + 13 + 74);
    expect(item(timeline, 'curl').durationS).toBe(8 + 13 + 41);
    expect(timeline.totalS).toBe(105 + 62);
    expect(timeline.overS).toBe(167 - 1800);
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
    expect(secondsOf(item(known, 'curl'), 'teaching')).toBe(13);
    const words = secondsOf(item(fresh, 'curl'), 'teaching');
    // A whole ladder shown to people who never met it takes 30 to 65 s: common practice.
    expect(words).toBeGreaterThanOrEqual(30);
    expect(words).toBeLessThanOrEqual(65);
  });

  it('is brief when nothing is known of the group', () => {
    expect(secondsOf(item(timePlan(makePlan([['curl']]), catalogue), 'curl'), 'teaching')).toBe(13);
  });

  it('is next to nothing the second time in a class', () => {
    const timeline = timePlan(makePlan([['curl', 'breathe', 'curl']]), catalogue);
    expect(secondsOf(item(timeline, 'curl-2'), 'teaching')).toBeLessThanOrEqual(3);
  });

  it('is shorter with one way on offer', () => {
    const plan = makePlan([[['curl', { options: [1] }]]]);
    expect(secondsOf(item(timePlan(plan, catalogue), 'curl'), 'teaching')).toBe(6);
  });

  it('speaks further options over the set, 10 to 20 s each', () => {
    const timeline = timePlan(makePlan([['ladder']]), catalogue);
    expect(secondsOf(item(timeline, 'ladder'), 'options')).toBe(2 * 12);
    expect(kinds(timeline, 'ladder')).toEqual(['set-up', 'teaching', 'work', 'options']);
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
    expect(secondsOf(item(timeline, 'ladder'), 'teaching')).toBe(47);
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

  it('takes the next set-up and words into itself', () => {
    const plan = makePlan([[timedCurl(15), ['one-way', { dose, options: [1] }]]]);
    const timeline = timePlan(plan, catalogue);
    // 8 s to rearrange and 6 s of words happen inside the 15 s: 1 s is left.
    expect(secondsOf(item(timeline, 'curl'), 'rest')).toBe(1);
    expect(item(timeline, 'one-way').startS).toBe(18 + 6 + 45 + 1);
  });

  it('is overrun when the next one needs longer', () => {
    const plan = makePlan([[timedCurl(5), ['one-way', { dose, options: [1] }]]]);
    expect(kinds(timePlan(plan, catalogue), 'curl')).not.toContain('rest');
  });

  it('stays whole before a pause and at the end', () => {
    const before = timePlan(makePlan([[timedCurl(15), { pauseS: 30 }]]), catalogue);
    expect(secondsOf(item(before, 'curl'), 'rest')).toBe(15);
    const last = timePlan(makePlan([[timedCurl(15)]]), catalogue);
    expect(secondsOf(item(last, 'curl'), 'rest')).toBe(15);
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

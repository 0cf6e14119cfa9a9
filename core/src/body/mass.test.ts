import { describe, expect, it } from 'vitest';
import { bodyMasses, centreOf, legMasses } from './mass.ts';
import { INERTIA, PAIRED, BODY_SEGMENTS, type Build } from './body-segments.ts';
import { layOutBody } from './skeleton.ts';
import { fullPose } from './shapes/index.ts';

const BUILDS: Build[] = ['woman', 'man'];

describe.each(BUILDS)('the segment table of a %s', (build) => {
  it('adds up to the whole body', () => {
    const sum = BODY_SEGMENTS.reduce(
      (total, name) => total + INERTIA[build][name].mass * (PAIRED.has(name) ? 2 : 1),
      0,
    );
    expect(sum).toBeCloseTo(1, 3);
  });

  it('has its centres inside the segments', () => {
    for (const name of BODY_SEGMENTS) {
      expect(INERTIA[build][name].centre).toBeGreaterThan(0.3);
      expect(INERTIA[build][name].centre).toBeLessThan(0.85);
    }
  });

  it('is used whole when a body is laid out', () => {
    const masses = bodyMasses(layOutBody(fullPose('standing')), build);
    expect(masses).toHaveLength(16);
    expect(masses.reduce((sum, { mass }) => sum + mass, 0)).toBeCloseTo(1, 3);
  });

  /** Commonly tabled whole-body values: 55-58 % of stature from the soles, arms by the sides. */
  it('puts a straight body’s centre at 55 to 58 % of stature', () => {
    const body = layOutBody(fullPose('standing'));
    const [, height] = centreOf(bodyMasses(body, build));
    expect(height).toBeGreaterThan(0.54);
    expect(height).toBeLessThan(0.585);
  });
});

/** A whole leg is about 20 % of a man's mass and 21 % of a woman's (the same table, summed). */
it.each([
  ['man', 0.199],
  ['woman', 0.209],
] as const)('a leg of a %s is about %d of the body', (build, share) => {
  const leg = legMasses(layOutBody(fullPose('standing')), 'right', build);
  expect(leg.reduce((sum, { mass }) => sum + mass, 0)).toBeCloseTo(share, 2);
});

describe('a body laid out', () => {
  it('is one stature tall when it stands', () => {
    const body = layOutBody(fullPose('standing'));
    expect(body.head[1] + 0.066).toBeCloseTo(1, 1);
  });

  it('sits with its eyes a little over half its stature', () => {
    const body = layOutBody(fullPose('sit-long'));
    expect(body.head[1]).toBeGreaterThan(0.42);
    expect(body.head[1]).toBeLessThan(0.5);
  });
});

import { describe, expect, it } from 'vitest';
import type { PropUse } from '../../movement/exercise.ts';
import { VIEWS } from '../../movement/pose.ts';
import { PROPS } from '../../movement/vocabulary.ts';
import { layOutBody } from '../skeleton.ts';
import { fullPose, SHAPE_FAMILIES } from '../shapes/index.ts';
import { cameraFor, project, rimOf, type Spot } from './camera.ts';
import { arrowBetween, drawBody, fitFrame, joinFrames } from './draw.ts';
import { filmBodies } from './film.ts';
import { propHeight } from './furniture.ts';
import { chainPath, hullOf, polygonPath } from './outline.ts';
import { figureSvg } from './svg.ts';

const body = (shape: string) => layOutBody(fullPose(shape));
const shapes = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));
const NUMBERS = /^[MLAaQZ0-9.\- ]+$/;

/** The numbers of a path's places, as pairs; arcs give their ends. */
function placesOf(d: string): [number, number][] {
  return [...d.matchAll(/[ML]?(-?[\d.]+) (-?[\d.]+)(?=[LAZ]|$)/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ]);
}

describe.each(shapes)('%s', (shape) => {
  it.each(VIEWS)('is drawn from %s in paths that hold numbers only', (view) => {
    const { parts, ground, frame } = drawBody(body(shape), view);
    expect(ground).toMatch(NUMBERS);
    for (const { d, rim } of parts) {
      expect(d).toMatch(NUMBERS);
      if (rim) expect(rim).toMatch(NUMBERS);
    }
    expect(parts.filter(({ tone }) => tone === 'hair')).toHaveLength(1);
    expect(parts.filter(({ tone }) => tone === 'near' || tone === 'far')).toHaveLength(4);
    expect(frame.width).toBeGreaterThan(20);
    const places = parts.flatMap(({ d }) => placesOf(d));
    const xs = places.map(([x]) => x);
    const ys = places.map(([, y]) => y);
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(frame.x - 0.1);
    expect(Math.max(...xs)).toBeLessThanOrEqual(frame.x + frame.width + 0.1);
    expect(Math.min(...ys)).toBeGreaterThanOrEqual(frame.y - 0.1);
    expect(Math.max(...ys)).toBeLessThanOrEqual(frame.y + frame.height + 0.1);
  });
});

describe('the picture', () => {
  it('puts the near side before the far side', () => {
    const tones = drawBody(body('all-fours'), 'side').parts.map(({ tone }) => tone);
    expect(tones.indexOf('far')).toBeLessThan(tones.indexOf('trunk'));
    expect(tones.lastIndexOf('near')).toBeGreaterThan(tones.indexOf('trunk'));
  });

  it.each(PROPS)('shows a %s where it is said to be', (prop) => {
    const use: PropUse = {
      prop,
      place: 'under pelvis',
      role: 'support',
      count: 1,
      optional: false,
    };
    const parts = drawBody(body('supine-bent'), 'side', [use]).parts;
    expect(parts.some(({ tone }) => tone.startsWith('prop'))).toBe(true);
  });

  it('piles props up', () => expect(propHeight('cushion', 3)).toBeCloseTo(0.18, 6));

  it('draws the machine, its bar and its straps', () => {
    const tones = new Set(drawBody(body('straps-arms'), 'side').parts.map(({ tone }) => tone));
    expect([...tones]).toEqual(expect.arrayContaining(['machine', 'frame', 'strap']));
    expect(drawBody(body('supine-90'), 'side').parts.some(({ tone }) => tone === 'frame')).toBe(
      false,
    );
  });

  it('shows a way for what moves, and none for what does not', () => {
    expect(arrowBetween(body('supine-bent'), body('supine-legs-up'), 'side')).toMatch(/^M/);
    expect(arrowBetween(body('supine-bent'), body('supine-bent'), 'side')).toBeUndefined();
  });

  it('can be a file of its own, with its name made safe', () => {
    const figure = drawBody(body('plank'), 'side');
    const svg = figureSvg(figure, figure.frame, 'a <b> & "c"');
    expect(svg).toContain('<title>a &lt;b&gt; &amp; &quot;c&quot;</title>');
    expect(svg.match(/<path/g)?.length).toBeGreaterThan(6);
  });
});

describe('outlines', () => {
  const spot = (x: number, radius: number): Spot => ({
    x,
    y: 0,
    xx: radius * radius,
    xy: 0,
    yy: radius * radius,
  });

  it('are wound one way, so that overlaps fill', () => {
    const area = (points: [number, number][]) =>
      points.reduce((sum, [x, y], index) => {
        const [nx, ny] = points[(index + 1) % points.length] ?? [x, y];
        return sum + x * ny - nx * y;
      }, 0);
    const square = [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 },
    ];
    const [one, other] = [square, [...square].reverse()].map((points) =>
      Math.sign(area(placesOf(polygonPath(points)))),
    );
    expect(one).toBe(other);
  });

  it('reach as far as their rim', () => {
    expect(rimOf(spot(0, 0.5), { x: 1, y: 0 }).x).toBeCloseTo(0.5, 6);
  });

  it('join spots with a bridge', () => {
    expect(chainPath([spot(0, 0.1), spot(1, 0.1)]).match(/Z/g)).toHaveLength(3);
    expect(chainPath([spot(0, 0.1)]).match(/Z/g)).toHaveLength(1);
  });

  it('hulls leave out what lies inside', () => {
    const inside = { x: 0.5, y: 0.5 };
    const corners = [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 },
    ];
    expect(hullOf([...corners, inside])).toHaveLength(4);
  });
});

describe('frames', () => {
  const a = { x: 0, y: 0, width: 10, height: 10 };

  it('join to the smallest that holds all', () => {
    expect(joinFrames([a, { x: 5, y: -5, width: 10, height: 10 }])).toEqual({
      x: 0,
      y: -5,
      width: 15,
      height: 15,
    });
  });

  it.each([0.5, 1, 2])('fit a proportion of %d without cutting', (proportion) => {
    const fitted = fitFrame(a, proportion);
    expect(fitted.width / fitted.height).toBeCloseTo(proportion, 6);
    expect(fitted.width).toBeGreaterThanOrEqual(10);
    expect(fitted.height).toBeGreaterThanOrEqual(10 - 1e-9);
  });
});

describe('cameras', () => {
  it('see the right side nearer from the side, and the front from the front', () => {
    expect(project(cameraFor('side'), [1, 0, 0]).x).toBeCloseTo(1, 6);
    expect(project(cameraFor('front'), [0, 0, 1]).x).toBeLessThan(-0.9);
    expect(project(cameraFor('top'), [0, 0, 1]).y).toBeLessThan(-0.8);
  });
});

describe('filmBodies', () => {
  const there = [body('supine-bent'), body('bridge')];

  it('goes there and back', () => {
    const film = filmBodies(there, 'side', [], false);
    expect(film.at(0)).toBe(film.at(1));
    expect(film.at(0.25)).toBe(film.at(0.75));
    expect(film.at(0.5)).not.toBe(film.at(0));
  });

  it('goes round a circle of three', () => {
    const round = [body('supine-90'), body('supine-90-out'), body('supine-legs-up')];
    const film = filmBodies(round, 'side', [], true);
    expect(film.at(0.4)).not.toBe(film.at(0.6));
    expect(film.at(1).parts.map(({ d }) => d)).toEqual(film.at(0).parts.map(({ d }) => d));
  });

  it('stands still with one pose', () => {
    const film = filmBodies([body('plank')], 'side', [], false);
    expect(film.at(0)).toBe(film.at(0.7));
  });

  it('frames every picture', () => {
    const film = filmBodies(there, 'side', [], false);
    for (const share of [0, 0.2, 0.5]) {
      const { frame } = film.at(share);
      expect(frame.x).toBeGreaterThanOrEqual(film.frame.x - 3);
      expect(frame.width).toBeLessThanOrEqual(film.frame.width + 6);
    }
  });
});

import { describe, expect, it } from 'vitest';
import { layOutBody } from '../skeleton.ts';
import { fullPose } from '../shapes/index.ts';
import { drawBody } from './draw.ts';
import { filmBodies } from './film.ts';

const bodies = ['supine-bent', 'bridge', 'supine-long'].map((shape) => layOutBody(fullPose(shape)));
const [first, second] = bodies;
if (!first || !second) throw new Error('a film needs bodies');
const paths = (figure: { parts: { d: string }[] }) => figure.parts.map(({ d }) => d);

describe('filmBodies', () => {
  const there = filmBodies([first, second], 'side', [], false);

  it('begins and ends with the first pose and has the second in the middle', () => {
    expect(paths(there.at(0))).toEqual(paths(drawBody(first, 'side')));
    expect(paths(there.at(0.5))).toEqual(paths(drawBody(second, 'side')));
    expect(paths(there.at(1))).toEqual(paths(there.at(0)));
  });

  it('comes back by the way it went', () => {
    expect(paths(there.at(0.8))).toEqual(paths(there.at(0.2)));
  });

  it('moves on between the poses', () => {
    expect(paths(there.at(0.25))).not.toEqual(paths(there.at(0)));
    expect(paths(there.at(0.25))).not.toEqual(paths(there.at(0.5)));
  });

  it('goes round when it is a circle', () => {
    const round = filmBodies(bodies, 'side', [], true);
    expect(paths(round.at(1 / 3))).toEqual(paths(drawBody(second, 'side')));
    expect(paths(round.at(1))).toEqual(paths(round.at(0)));
    expect(paths(round.at(0.8))).not.toEqual(paths(round.at(0.2)));
  });

  it('draws a picture once and keeps it', () => {
    expect(there.at(0.31)).toBe(there.at(0.31));
  });

  it('frames every pose, so that the figure does not jump', () => {
    for (const share of [0, 0.5]) {
      const { frame } = there.at(share);
      expect(frame.x).toBeGreaterThanOrEqual(there.frame.x);
      expect(frame.y).toBeGreaterThanOrEqual(there.frame.y);
      expect(frame.x + frame.width).toBeLessThanOrEqual(there.frame.x + there.frame.width + 1e-9);
      expect(frame.y + frame.height).toBeLessThanOrEqual(there.frame.y + there.frame.height + 1e-9);
    }
  });

  it('stands still with one pose, and needs one', () => {
    const still = filmBodies([first], 'side', [], false);
    expect(paths(still.at(0.7))).toEqual(paths(drawBody(first, 'side')));
    expect(() => filmBodies([], 'side', [], false).at(0)).toThrow('a film without poses');
  });
});

import type { PropUse } from '../../movement/exercise.ts';
import type { View } from '../../movement/pose.ts';
import { mixBodies } from '../motion.ts';
import type { Body } from '../body.ts';
import { frameOf } from './close-up.ts';
import { drawBody, type Figure, type Frame } from './draw.ts';

/** Pictures between one key pose and the next; enough that no step is seen. */
const STEPS = 24;

/** A moving figure: its pictures are drawn when they are first asked for, and kept. */
export interface Film {
  /** Holds every picture. */
  frame: Frame;
  /** The picture at a share of one repetition, there and back (or round). */
  at: (share: number) => Figure;
}

/**
 * Films key poses. `round` goes on from the last pose to the first, as in a circle; otherwise the
 * way back is the way there.
 */
export function filmBodies(
  bodies: readonly Body[],
  view: View,
  props: readonly PropUse[],
  round: boolean,
): Film {
  const stops = round && bodies.length > 2 ? [...bodies, bodies[0]] : [...bodies];
  const legs = Math.max(0, stops.length - 1);
  const kept = new Map<number, Figure>();
  const draw = (step: number): Figure => {
    const known = kept.get(step);
    if (known) return known;
    const leg = Math.min(legs - 1, Math.floor(step / STEPS));
    const [from, to] = [stops[Math.max(0, leg)], stops[leg + 1]];
    if (!from) throw new Error('a film without poses');
    const body = to ? mixBodies(from, to, (step - leg * STEPS) / STEPS) : from;
    const figure = drawBody(body, view, props);
    kept.set(step, figure);
    return figure;
  };
  const isRound = round && bodies.length > 2;
  return {
    frame: frameOf(
      bodies,
      stops.map((_, index) => draw(index * STEPS).frame),
      view,
    ),
    at: (share) => {
      const there = isRound ? share : 1 - Math.abs(1 - 2 * share);
      return draw(Math.round(ease(there, legs) * legs * STEPS));
    },
  };
}

/** Slow at every key pose, quick between. */
function ease(share: number, legs: number): number {
  const along = Math.min(Math.max(share, 0), 1) * legs;
  const leg = Math.min(Math.floor(along), Math.max(0, legs - 1));
  const t = along - leg;
  return legs === 0 ? 0 : (leg + t * t * (3 - 2 * t)) / legs;
}

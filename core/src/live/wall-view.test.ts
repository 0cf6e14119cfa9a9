import { describe, expect, it } from 'vitest';
import { analyse } from '../analyse.ts';
import { Person } from '../people/person.ts';
import { planAsOccurrences } from '../plan/occurrences.ts';
import { Plan } from '../plan/plan.ts';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import type { LiveEvent } from './events.ts';
import { runClass } from './run-class.ts';
import { wallView } from './wall-view.ts';

const catalogue = makeCatalogue([
  makeExercise('tilt', { dose: { kind: 'repetitions', count: 6 } }),
  makeExercise('all-fours-reach', {
    position: 'quadruped',
    dose: { kind: 'repetitions', count: 8, sides: 'each' },
    options: [{ poses: ['all-fours'] }, { poses: ['all-fours'] }],
  }),
  makeExercise('squeeze', {
    options: [
      { props: [{ prop: 'small-ball', place: 'between knees', role: 'feedback' }] },
      { props: [{ prop: 'small-ball', place: 'between knees', role: 'feedback' }] },
    ],
  }),
]);
const plan = Plan.parse({
  format: 'wrenfern-plan/2',
  title: 'Evening',
  targetS: 600,
  segments: [
    {
      id: 'part',
      name: 'Part',
      items: ['tilt', 'all-fours-reach', 'squeeze'].map((exercise) => ({
        kind: 'exercise',
        id: exercise,
        exercise,
      })),
    },
  ],
});
const people = [
  { id: 'kaito', name: 'Kaito Merrow', level: 2, cautions: [{ caution: 'wrist' }] },
  { id: 'asha', name: 'Asha Delun', level: 2 },
].map((each) => ({ person: Person.parse({ ...each, note: 'tiles kitchens' }) }));

const START = 1_000_000;
const event = (order: number, atMs: number, rest: object) =>
  ({ id: `e${order}`, order, atMs: START + atMs, ...rest }) as LiveEvent;

function seen(events: readonly LiveEvent[], atMs: number) {
  const taught = planAsOccurrences(plan);
  const { timeline, options, props } = analyse(taught, catalogue, {
    attendees: people,
    cupboard: { 'small-ball': 4 },
    day: '2026-11-29',
  });
  const state = runClass(timeline, events, START + atMs);
  return wallView({ plan: taught, catalogue, timeline, options, props, state });
}

const begun = [event(1, 0, { type: 'start' })];
const onHands = [...begun, event(2, 60_000, { type: 'goTo', itemId: 'all-fours-reach' })];

describe('what the room sees', () => {
  it('before it begins is what to fetch', () => {
    expect(seen([], 0)).toEqual({ title: 'Evening', status: 'ready', fetch: ['small ball'] });
  });

  it('is each cued way as it looks, with what comes next and what for', () => {
    const { now, next } = seen(onHands, 61_000);
    expect(now?.name).toBe('all fours reach');
    expect(now?.versions.length).toBeGreaterThan(0);
    expect(now?.versions.every(({ drawn }) => drawn !== undefined)).toBe(true);
    expect(next).toEqual({ name: 'squeeze', fetch: ['small ball'] });
  });

  it('counts down by the second, and stands still in a pause', () => {
    const at = (atMs: number, more: LiveEvent[] = []) => seen([...begun, ...more], atMs);
    const [early, late] = [at(2000).now, at(7000).now];
    expect((early?.itemLeftS ?? NaN) - (late?.itemLeftS ?? NaN)).toBeCloseTo(5, 6);
    const paused = [event(2, 3000, { type: 'pause' })];
    expect(at(9000, paused).now?.itemLeftS).toBe(at(4000, paused).now?.itemLeftS);
    expect(at(9000, paused).status).toBe('paused');
  });

  it('names nobody and no condition, whatever is known of those who come', () => {
    for (const events of [[], begun, onHands]) {
      const told = JSON.stringify(seen(events, 62_000));
      for (const secret of ['Kaito', 'Merrow', 'Asha', 'kaito', 'wrist', 'Wrist', 'kitchens']) {
        // A drawn hand bends at its wrist: the pose says so of everybody.
        expect(told.replaceAll('"wrist":', '')).not.toContain(secret);
      }
    }
  });

  it('is over when the class is', () => {
    const ended = [...begun, event(2, 5000, { type: 'end' })];
    expect(seen(ended, 6000)).toEqual({ title: 'Evening', status: 'ended', fetch: [] });
  });
});

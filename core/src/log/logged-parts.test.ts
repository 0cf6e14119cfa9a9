import { expect, it } from 'vitest';
import { LiveEvent } from '../live/events.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { loggedParts } from './logged-parts.ts';

const timeline = timePlan(
  makePlan([[{ pauseS: 60 }, 'curl', 'leg-lift'], ['final-rest']]),
  makeCatalogue(),
);

it('holds what was done beside its forecast, by what stretches: not pauses, nor what was passed over', () => {
  const press = (type: string, order: number, second: number, extra: object = {}) =>
    LiveEvent.parse({ id: `press-000${order}`, type, order, atMs: second * 1000, ...extra });
  const parts = loggedParts(timeline, [
    press('start', 1, 0),
    press('goTo', 2, 60, { itemId: 'curl' }),
    press('goTo', 3, 150, { itemId: 'leg-lift' }),
    press('goTo', 4, 152, { itemId: 'final-rest' }),
    press('end', 5, 200),
  ]);
  expect(parts.map(({ name, taughtS }) => [name, taughtS])).toEqual([
    ['curl', 90],
    ['final rest', 48],
  ]);
  const curl = timeline.items.find(({ itemId }) => itemId === 'curl');
  const [first] = parts;
  expect(first).toMatchObject({ kind: 'limb-slow', isOpen: true });
  expect((first?.wordsS ?? 0) + (first?.workS ?? 0) + (first?.clockS ?? 0)).toBe(curl?.durationS);
});

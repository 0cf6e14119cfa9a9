import { render, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { builtInCatalogue } from '@wrenfern/library';
import { viewNow, runClass } from '@wrenfern/core/live/run-class';
import { Plan } from '@wrenfern/core/plan/plan';
import { analyseClass } from '../../data/class-analysis.ts';
import { makeLesson } from '../../testing/a-class.tsx';
import { PauseCards, ThenCard } from './pause-cards.tsx';

const item = (id: string, exercise: string) => ({ kind: 'exercise', id, exercise });
const PLAN = Plan.parse({
  format: 'wrenfern-plan/2',
  title: 'Evening',
  targetS: 1800,
  note: 'Long way to the roll back.',
  segments: [
    {
      id: 'a',
      name: 'Arrive',
      items: [
        { kind: 'pause', id: 'hello', label: 'Welcome', durationS: 60 },
        item('tilt', 'pelvic-tilt'),
        { kind: 'pause', id: 'water', label: 'Water', durationS: 40, note: 'Bands back.' },
        item('squeeze', 'inner-thigh-squeeze'),
      ],
    },
  ],
});

/** The class at the beginning of an item, as its teacher sees it. */
function at(itemId: string) {
  const lesson = makeLesson({ id: `pause-${itemId}`, plan: PLAN });
  const analysis = analyseClass(lesson, PLAN, builtInCatalogue);
  const state = runClass(
    analysis.timeline,
    [
      { type: 'start', id: 'start-01', atMs: 1000, order: 1 },
      { type: 'goTo', itemId, id: 'go-to-01', atMs: 2000, order: 2 },
    ],
    3000,
  );
  const now = viewNow(analysis.timeline, state);
  if (!now) throw new Error('the class does not run');
  const shared = { lesson, analysis, now };
  return render(
    <>
      <PauseCards {...shared} />
      <ThenCard {...shared} />
    </>,
  );
}

it('the first pause says what to lay out for the whole class, and what was noted', () => {
  const view = within(at('hello').container);
  expect(view.getByRole('heading', { name: 'Lay out' }).parentElement?.textContent).toContain(
    '1 × small ball',
  );
  expect(view.getByText('Long way to the roll back.')).toBeTruthy();
  expect(view.getByRole('heading', { name: /^Then/ }).parentElement?.textContent).toMatch(
    /^Then, in 0:\d\dPelvic rock · 8 times.*Asha/,
  );
});

it('a later one says what the next exercise wants, and its own note', () => {
  const view = within(at('water').container);
  expect(view.getByRole('heading', { name: 'To fetch' }).parentElement?.textContent).toMatch(
    /^To fetch1 × small ball between knees/,
  );
  expect(view.getByText('Bands back.')).toBeTruthy();
  expect(view.queryByText('Long way to the roll back.')).toBeNull();
});

it('an exercise shows none of it', () => {
  const view = within(at('tilt').container);
  expect(view.queryAllByRole('heading')).toEqual([]);
});

import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import { Plan } from '@wrenfern/core/plan/plan';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { inClass, makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { Component as Options } from './options.tsx';

standInForServer();

const PLAN = Plan.parse({
  format: 'wrenfern-plan/1',
  title: 'Feet and curls',
  machine: 'reformer',
  targetS: 1800,
  segments: [
    {
      id: 'a',
      name: 'A',
      items: [
        {
          kind: 'exercise',
          id: 'feet',
          exercise: 'footwork',
          variants: [{ option: 1 }, { option: 4 }],
        },
        { kind: 'exercise', id: 'knees', exercise: 'knee-stretch' },
      ],
    },
  ],
});

const booked = (id: string, name: string, more: object = {}): BookedPerson => ({
  person: Person.parse({ id, name, ...more }),
  today: [],
  todayNote: '',
  byHand: {},
  revision: 1,
});

function show(change: Partial<WholeClass> = {}) {
  const lesson = makeLesson({
    id: 'options-1',
    plan: PLAN,
    attendees: [
      booked('p1', 'Asha Delun', { level: 1 }),
      booked('p2', 'Wim Dask', { level: 3, cautions: [{ caution: 'wrist' }] }),
    ],
    ...change,
  });
  return showScreen(<Options />, inClass(<Options />, lesson, 'options'));
}

describe('options', () => {
  it('tell people against exercises, all of a series for everybody', async () => {
    show();
    const table = within(await screen.findByRole('region', { name: 'Options' }));
    expect(
      table.getByRole('button', { name: 'Asha Delun, Footwork: option 4, One leg' }),
    ).toBeTruthy();
    const cue = table.getByRole('row', { name: /^You will cue/ });
    expect(within(cue).getAllByRole('cell')[0]?.textContent).toBe('all');
  });

  it('tell on a phone one exercise at a time, its people under what they do', async () => {
    const { user } = show();
    const picker = await screen.findByLabelText<HTMLSelectElement>('Exercise');
    expect([...picker.options].map(({ text }) => text)).toEqual(['1. Footwork', '2. Knee stretch']);
    expect(screen.getByRole('heading', { name: 'All variants' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'The next exercise' }));
    expect(picker.selectedOptions[0]?.text).toBe('2. Knee stretch');
    expect(screen.queryByRole('heading', { name: 'All variants' })).toBeNull();
    const next = screen.getByRole('button', { name: 'The next exercise' });
    expect(next.matches(':disabled')).toBe(true);
  });

  it('with nobody booked say the next step', async () => {
    show({ attendees: [] });
    expect(await screen.findByText('Nobody is booked yet')).toBeTruthy();
  });
});

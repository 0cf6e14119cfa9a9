import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DIRECTIONS, type Direction } from '@wrenfern/core/movement/directions';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { Component as Classes } from './classes.tsx';

standInForServer();

const lesson = (change: Partial<ReadyClass> = {}): ReadyClass => ({
  id: 'c1',
  title: 'Machines',
  startsAt: '2026-12-01T17:00:00Z',
  targetS: 2700,
  coming: ['Asha Delun'],
  taught: false,
  machine: 'reformer',
  calledOff: null,
  isRepeated: true,
  lastOfSeries: null,
  instructor: { id: 'u1', name: 'Rowan Feld' },
  school: { id: 'foundations-first', name: 'Foundations first' },
  items: 9,
  exercises: [],
  detailsRevision: 3,
  state: 'ready',
  ready: {
    totalS: 2700,
    likely: { lowS: 2600, highS: 2800 },
    items: 9,
    directions: Object.fromEntries(DIRECTIONS.map((each) => [each, 60])) as Record<
      Direction,
      number
    >,
    swell: [],
    toSettle: { time: [], options: [], props: [], order: [] },
  },
  ...change,
});

function show(classes: ReadyClass[], more: Record<`${string} ${string}`, Answer> = {}) {
  return showScreen(<Classes />, {
    at: '/classes?on=2026-12-02&view=week',
    answers: { 'GET /week': () => ({ json: { classes } }), ...more },
  });
}

const WEEK = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

describe('the week', () => {
  it('has seven days from Monday, each class in its own', async () => {
    show([lesson()]);
    expect(await screen.findByRole('heading', { name: '30 November to 6 December' })).toBeTruthy();
    await screen.findByRole('article', { name: 'Machines' });
    expect(
      screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent),
    ).toEqual(WEEK);
    const day = within(screen.getByRole('region', { name: 'Tuesday 1 December' }));
    expect(day.getByRole('article', { name: 'Machines' }).textContent).toContain('45 min reformer');
  });

  it('moves a class by a day with keys, from the revision that was seen, and can undo it', async () => {
    const { user, sent } = show([lesson()], {
      'PATCH /classes/c1': () => ({ json: { ...makeLesson({ id: 'c1' }), detailsRevision: 4 } }),
    });
    (await screen.findByRole('button', { name: 'Move Machines' })).focus();
    await user.keyboard('{Alt>}{ArrowRight}{/Alt}');
    await expect.poll(() => sent.length).toBe(1);
    expect(sent[0]?.body).toEqual({ revision: 3, startsAt: '2026-12-02T17:00:00.000Z' });
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await expect.poll(() => sent.length).toBe(2);
    expect(sent[1]?.body).toEqual({ revision: 4, startsAt: '2026-12-01T17:00:00Z' });
  });

  it('calls a class off only with a reason, alone or with all that follow', async () => {
    const { user, sent } = show([lesson()], {
      'PATCH /classes/c1': () => ({ json: { ...makeLesson({ id: 'c1' }), detailsRevision: 4 } }),
    });
    await user.click(await screen.findByRole('button', { name: 'More about Machines' }));
    const off = screen.getByRole('button', { name: 'Call this one off' });
    expect(off.matches(':disabled')).toBe(true);
    await user.type(screen.getByLabelText('Why it is called off'), 'Floor is sanded');
    await user.click(screen.getByRole('button', { name: 'And all that follow' }));
    await expect.poll(() => sent.length).toBe(1);
    expect(sent[0]?.body).toEqual({
      revision: 3,
      calledOff: 'Floor is sanded',
      following: true,
    });
  });

  it('says so when a colleague was first, and changes nothing', async () => {
    const { user } = show([lesson()], {
      'PATCH /classes/c1': () => ({
        status: 409,
        json: { code: 'stale', title: 'Changed elsewhere', status: 409 },
      }),
    });
    (await screen.findByRole('button', { name: 'Move Machines' })).focus();
    await user.keyboard('{Alt>}{ArrowLeft}{/Alt}');
    expect(await screen.findByText(/Somebody changed this class in the meantime/)).toBeTruthy();
  });

  it('shows a class that is called off with its reason and without what is left', async () => {
    show([lesson({ calledOff: 'Teacher is ill' })]);
    const card = await screen.findByRole('article', { name: 'Machines' });
    expect(card.textContent).toContain('Called off: Teacher is ill');
    expect(card.textContent).not.toContain('to settle');
    expect(screen.getByText('0 classes · 1 called off')).toBeTruthy();
  });

  it('is found by person, by machine and by what is not planned', async () => {
    const empty = lesson({ id: 'c2', title: 'Empty', coming: ['Wim Dask'] });
    const { user } = show([lesson(), { ...empty, items: 0 }]);
    await screen.findByRole('article', { name: 'Empty' });
    await user.type(screen.getByLabelText('Name, person or exercise'), 'wim');
    expect(screen.queryByRole('article', { name: 'Machines' })).toBeNull();
    await user.clear(screen.getByLabelText('Name, person or exercise'));
    await user.click(screen.getByRole('button', { name: 'not planned yet' }));
    expect(screen.getAllByRole('article')).toHaveLength(1);
  });
});

describe('the week by instructor', () => {
  const member = (id: string, name: string, role: string) => ({
    id,
    name,
    role,
    email: `${id}@studio.example`,
    until: null,
    hasSecondFactor: false,
  });
  const TEAM = {
    team: [
      member('u1', 'Rowan Feld', 'owner'),
      member('u2', 'Tamsin Orrell', 'instructor'),
      member('u3', 'Cleo Marr', 'reader'),
    ],
    invitations: [],
  };
  const showColumns = (classes: ReadyClass[]) =>
    showScreen(<Classes />, {
      at: '/classes?on=2026-12-02&view=who',
      answers: {
        'GET /week': () => ({ json: { classes } }),
        'GET /team': () => ({ json: TEAM }),
        'PATCH /classes/c1': () => ({ json: { ...makeLesson({ id: 'c1' }), detailsRevision: 4 } }),
      },
    });

  it('has a column for each who teaches, with what the week asks of them', async () => {
    showColumns([lesson(), lesson({ id: 'c2', title: 'Mat', instructor: null })]);
    await screen.findByRole('columnheader', { name: 'Rowan Feld 1 class, 45 min' });
    expect(screen.getAllByRole('columnheader').map(({ textContent }) => textContent)).toEqual([
      'Day',
      'Rowan Feld 1 class, 45 min',
      'Tamsin Orrell no class',
      'Nobody named 1 class, 45 min',
    ]);
  });

  it('gives a class to the next with keys, and moves it by a day', async () => {
    const { user, sent } = showColumns([lesson()]);
    await screen.findByRole('columnheader', { name: 'Tamsin Orrell no class' });
    screen.getByRole('button', { name: 'Move Machines' }).focus();
    await user.keyboard('{Alt>}{ArrowLeft}{ArrowRight}{/Alt}');
    await expect.poll(() => sent.length).toBe(1);
    expect(sent[0]?.body).toEqual({ revision: 3, instructorId: 'u2' });
    expect(await screen.findByText('Machines is given to Tamsin Orrell')).toBeTruthy();
    await user.keyboard('{Alt>}{ArrowDown}{/Alt}');
    await expect.poll(() => sent.length).toBe(2);
    expect(sent[1]?.body).toEqual({ revision: 3, startsAt: '2026-12-02T17:00:00.000Z' });
  });
});

import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import { Plan } from '@wrenfern/core/plan/plan';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { inClass, makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { Component as Options } from './options.tsx';

standInForServer();

const PLAN = Plan.parse({
  format: 'wrenfern-plan/2',
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

const lessonOf = (change: Partial<WholeClass> = {}) =>
  makeLesson({
    id: 'options-1',
    plan: PLAN,
    attendees: [
      booked('p1', 'Asha Delun', { level: 1 }),
      booked('p2', 'Wim Dask', { level: 3, cautions: [{ caution: 'wrist' }] }),
    ],
    ...change,
  });

function show(change: Partial<WholeClass> = {}, saves?: (personId: string) => Answer) {
  const lesson = lessonOf(change);
  const shown = inClass(<Options />, lesson, 'options');
  const answers = lesson.attendees.map(({ person: { id } }): [string, Answer] => [
    `PATCH /classes/${lesson.id}/attendees/${id}`,
    saves?.(id) ?? (() => ({ json: lesson })),
  ]);
  return showScreen(<Options />, {
    ...shown,
    answers: { ...shown.answers, ...Object.fromEntries(answers) },
  });
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

  it('put who changes most first, and find a person by some letters', async () => {
    const { user } = show();
    const table = await screen.findByRole('region', { name: 'Options' });
    const names = () =>
      within(table)
        .getAllByRole('rowheader')
        .map(({ textContent }) => /^[A-Z][a-z]+/.exec(textContent)?.[0]);
    expect(names()).toEqual(['Wim', 'Asha', 'You']);
    await user.click(screen.getByRole('button', { name: 'most changes first' }));
    expect(names()).toEqual(['Asha', 'Wim', 'You']);
    await user.type(screen.getByLabelText('Find a person'), 'ash');
    expect(names()).toEqual(['Asha', 'You']);
    await user.type(screen.getByLabelText('Find a person'), 'xx');
    expect(screen.getByText('No name here has these letters.')).toBeTruthy();
  });

  it('give one option to everybody it suits by one press, and tell who keeps theirs', async () => {
    const sent: unknown[] = [];
    const { user } = show({}, (id) => (body) => {
      sent.push([id, (body as { choices: unknown }).choices]);
      return { json: lessonOf() };
    });
    const table = within(await screen.findByRole('region', { name: 'Options' }));
    await user.click(table.getByRole('button', { name: 'Knee stretch, for everybody' }));
    const dialog = within(
      await screen.findByRole('dialog', { name: 'Knee stretch, for everybody' }),
    );
    const offers = dialog.getAllByRole('button').map(({ textContent }) => textContent);
    expect(offers[0]).toMatch(/^1 .*: for [12] of 2$/);
    expect(offers).toHaveLength(3);
    await user.click(dialog.getByRole('button', { name: /^1 / }));
    await screen.findByRole('region', { name: 'Options' });
    await expect.poll(() => sent.length).toBeGreaterThan(0);
    expect(sent[0]).toEqual([
      expect.stringMatching(/^p[12]$/),
      { knees: { kind: 'option', option: 1 } },
    ]);
  });

  it('with nobody booked say the next step', async () => {
    show({ attendees: [] });
    expect(await screen.findByText('Nobody is booked yet')).toBeTruthy();
  });
});

import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core';
import { Person } from '@wrenfern/core/people/person';
import { builtInCatalogue } from '@wrenfern/library';
import type { WholeClass } from '@wrenfern/contract/classes';
import { contextOf } from '../../data/class-analysis.ts';
import { makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { WhoComes } from './who-comes.tsx';

standInForServer();

type Attendee = WholeClass['attendees'][number];

const attendee = (name: string, cautions: object[] = [], today: object[] = []) =>
  ({
    person: Person.parse({ id: name.replace(' ', '-'), name, level: 2, cautions }),
    today,
    todayNote: '',
    byHand: {},
    revision: 1,
  }) as unknown as Attendee;

function show(attendees: Attendee[]) {
  const lesson = makeLesson({ attendees });
  const analysis = analyse(lesson.plan, builtInCatalogue, contextOf(lesson));
  showScreen(<WhoComes lesson={lesson} analysis={analysis} />, { answers: {} });
}

describe('who comes, before the class begins', () => {
  it('names who does otherwise and who is new, and nobody’s condition', async () => {
    show([
      attendee('Asha Delun', [{ caution: 'wrist' }]),
      attendee('Bram Ostrey', [], [{ caution: 'first-time' }]),
      attendee('Wim Dask'),
    ]);
    const region = await screen.findByRole('region', { name: 'Who comes' });
    expect(region.textContent).toContain('New today: Bram Ostrey.');
    expect(region.textContent).toMatch(/Asha Delun: yes, with \d+ changes?/);
    expect(region.textContent).not.toMatch(/wrist/i);
    expect(region.textContent).toMatch(/more as planned\.$/);
  });

  it('says that all do as planned', async () => {
    show([attendee('Asha Delun'), attendee('Wim Dask')]);
    expect(await screen.findByText('All 2 as planned.')).toBeTruthy();
  });
});

import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { PersonEvent } from '@wrenfern/core/live/events';
import { runClass } from '@wrenfern/core/live/run-class';
import { Person } from '@wrenfern/core/people/person';
import { builtInCatalogue } from '@wrenfern/library';
import { makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { PersonChip } from './person-chip.tsx';

standInForServer();

const lesson = makeLesson({
  attendees: [
    {
      person: Person.parse({ id: 'p1', name: 'Asha Delun', level: 2 }),
      today: [],
      todayNote: '',
      byHand: {},
      revision: 1,
    },
  ],
});

const noTime = timePlan(lesson.plan, builtInCatalogue);
const moved: PersonEvent = {
  type: 'moved',
  id: 'press-0001',
  atMs: 0,
  order: 1,
  itemId: 'i1',
  personId: 'p1',
  option: 2,
};

function show(about: PersonEvent[] = []) {
  const record = vi.fn();
  const shown = showScreen(
    <PersonChip
      person={{ id: 'p1', name: 'Asha', marks: ['pad'] }}
      lesson={lesson}
      exercise={builtInCatalogue.require('hundred')}
      choice={{ kind: 'option', option: 3, reasons: [] }}
      itemId="i1"
      run={{ record, state: { ...runClass(noTime, [], 0), about } }}
    />,
    { answers: {} },
  );
  return { ...shown, record };
}

describe('somebody in the class', () => {
  it('is moved to another option by two presses', async () => {
    const { user, record } = show();
    await user.click(await screen.findByRole('button', { name: /^Asha/ }));
    await user.click(screen.getByRole('button', { name: /^1 · / }));
    expect(record).toHaveBeenCalledWith({
      type: 'moved',
      itemId: 'i1',
      personId: 'p1',
      option: 1,
    });
    expect(screen.queryByText('Asha does')).toBeNull();
  });

  it('is put back by one press after a wrong one, and not before', async () => {
    const { user, record } = show([moved]);
    await user.click(await screen.findByRole('button', { name: /^Asha/ }));
    await user.click(screen.getByRole('button', { name: 'Take back “option 2”' }));
    expect(record).toHaveBeenCalledWith({ type: 'takeBack', eventId: 'press-0001' });
  });

  it('has nothing to take back before anything is pressed', async () => {
    const { user } = show();
    await user.click(await screen.findByRole('button', { name: /^Asha/ }));
    expect(screen.queryByRole('button', { name: /^Take back/ })).toBeNull();
  });

  it('is helped: what is seen, then the smallest change first', async () => {
    const { user, record } = show();
    await user.click(await screen.findByRole('button', { name: /^Asha/ }));
    await user.click(screen.getByRole('button', { name: 'Something seen …' }));
    const signs = screen.getAllByRole('button').map(({ textContent }) => textContent);
    expect(signs.indexOf('sharp, spreading, numb or dizzy')).toBeLessThan(
      signs.indexOf('neck strains'),
    );
    await user.click(screen.getByRole('button', { name: 'neck strains' }));
    expect(screen.getByText('On when: the head is light.')).toBeTruthy();
    const [first] = screen
      .getAllByRole('button')
      .filter(({ textContent }) => /^Said/.test(textContent));
    expect(first).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'rest' }));
    expect(record).toHaveBeenCalledWith({
      type: 'seen',
      itemId: 'i1',
      personId: 'p1',
      sign: 'neck-strains',
      remedy: { kind: 'rest' },
    });
  });
});

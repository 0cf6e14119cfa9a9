import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import type { BookedPerson } from '@wrenfern/contract/classes';
import { inClass, makeLesson } from '../../testing/a-class.tsx';
import { refusal, showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { Component as CheckIn } from './check-in.tsx';

standInForServer();

const asha: BookedPerson = {
  person: Person.parse({ id: 'p1', name: 'Asha Delun', level: 2 }),
  today: [],
  todayNote: '',
  byHand: {},
  revision: 4,
};

function show(id: string, attendees: BookedPerson[] = [asha], more: Record<string, Answer> = {}) {
  const lesson = makeLesson({ id, attendees });
  const shown = inClass(<CheckIn />, lesson, 'check-in');
  const patch: Answer = (body) => {
    const { revision: _seen, came, startsOn: _anywhere, ...change } = body as Partial<BookedPerson>;
    const [first] = attendees;
    const now = { ...first, ...change, ...(came ? { came } : {}), revision: 5 };
    return { json: { ...lesson, attendees: [now] } };
  };
  return showScreen(null, {
    ...shown,
    answers: { ...shown.answers, [`PATCH /classes/${id}/attendees/p1`]: patch, ...more },
  });
}

const card = async () =>
  within((await screen.findByText('Asha Delun')).closest('li') as HTMLElement);

describe('check-in', () => {
  it('marks who is here, from the revision that was seen', async () => {
    const { user, sent } = show('in-1');
    await user.click(await screen.findByRole('button', { name: 'Asha Delun is here' }));
    expect(await screen.findByText('1')).toBeTruthy();
    expect(sent.at(-1)?.body).toMatchObject({ revision: 4, came: 'here' });
  });

  it('tells what a state of today changes', async () => {
    const { user, sent } = show('in-2');
    await user.click((await card()).getByRole('button', { name: 'Tired' }));
    expect(sent.at(-1)?.body).toMatchObject({ today: [{ caution: 'tired' }] });
    await user.click(await screen.findByText(/exercises change today/));
    expect(screen.getAllByText(/instead of option 2/).length).toBeGreaterThan(3);
  });

  it('says who should not join in, and names nobody’s condition', async () => {
    const fever = { ...asha, today: [{ caution: 'fever' as const, clearedBy: '', note: '' }] };
    const known = {
      ...fever,
      person: Person.parse({ ...asha.person, cautions: [{ caution: 'osteoporosis' }] }),
    };
    show('in-3', [known]);
    expect((await (await card()).findByRole('alert')).textContent).toBe('not this class');
    expect(document.body.textContent).not.toContain('Osteoporosis');
  });

  it('leaves the plan to those who come', async () => {
    const { user } = show('in-4', [{ ...asha, came: 'cancelled late' }]);
    const own = await card();
    expect(own.queryByRole('button', { name: 'Tired' })).toBeNull();
    expect(screen.getByRole('status').textContent).toContain('1 not coming');
    await user.click(own.getByRole('button', { name: 'Asha Delun does not come' }));
    expect(own.getByText('Comes after all')).toBeTruthy();
  });

  it('books a guest by name alone, with the first options', async () => {
    const guest = {
      id: 'p9',
      name: 'Lena Marsh',
      level: 1,
      usualOptions: {},
      holds: {},
      cautions: [],
      note: '',
    };
    const lesson = makeLesson({ id: 'in-5', attendees: [asha] });
    const booked = { ...asha, person: guest, revision: 1 };
    const { user, sent } = show('in-5', [asha], {
      'GET /people': () => ({ json: { people: [] } }),
      'POST /people': () => ({ json: { ...guest, revision: 1 } }),
      'PUT /classes/in-5/attendees': () => ({ json: { ...lesson, attendees: [asha, booked] } }),
      'PATCH /classes/in-5/attendees/p9': () => ({
        json: { ...lesson, attendees: [asha, booked] },
      }),
    });
    await user.click(await screen.findByRole('button', { name: 'Walk-in' }));
    await user.type(await screen.findByLabelText('Name'), 'Lena Marsh{Enter}');
    await expect.poll(() => sent.map(({ route }) => route).join(' ')).toContain('attendees/p9');
    expect(sent.at(-1)?.body).toMatchObject({ came: 'here', today: [{ caution: 'first-time' }] });
  });

  it('says what went wrong, and wants a name that can be seen', async () => {
    const { user, sent } = show('in-6', [asha], {
      'GET /people': () => ({ json: { people: [] } }),
      'POST /people': refusal(503, 'busy', 'The server has more to do.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Walk-in' }));
    await user.type(await screen.findByLabelText('Name'), '   {Enter}');
    expect(await screen.findByText('give a name that can be seen')).toBeTruthy();
    expect(sent.filter(({ route }) => route === 'POST /people')).toEqual([]);
    await user.type(screen.getByLabelText('Name'), 'Lena{Enter}');
    expect(await screen.findByText(/The server has more to do/)).toBeTruthy();
  });
});

import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import type { HandChoice } from '@wrenfern/core/people/choice';
import { inClass, makeLesson } from '../../testing/a-class.tsx';
import { refusal, showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { Component as Options } from './options.tsx';

standInForServer();

function show(id: string, byHand: Record<string, HandChoice> = {}, answer?: Answer) {
  const person = Person.parse({ id: 'p1', name: 'Asha Delun', level: 2 });
  const booked = { person, today: [], todayNote: '', byHand, revision: 4 };
  const lesson = makeLesson({ id, attendees: [booked] });
  const shown = inClass(<Options />, lesson, 'options');
  const taken: Answer = (body) => ({
    json: {
      ...lesson,
      attendees: [
        {
          ...booked,
          byHand: (body as { choices: Record<string, HandChoice> }).choices,
          revision: 5,
        },
      ],
    },
  });
  return showScreen(null, {
    ...shown,
    answers: { ...shown.answers, [`PATCH /classes/${id}/attendees/p1`]: answer ?? taken },
  });
}

const cell = (said: RegExp) => screen.findByRole('button', { name: said });

describe('one person at one exercise', () => {
  it('opens by a key, with the reason', async () => {
    const { user } = show('cell-1');
    (await cell(/^Asha Delun, Clam: option/)).focus();
    await user.keyboard('{Enter}');
    const why = await screen.findByRole('dialog', { name: 'Asha, Clam' });
    expect(why.querySelectorAll('li').length).toBeGreaterThan(0);
    await user.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  it('takes another choice, from the revision that was seen', async () => {
    const { user, sent } = show('cell-2');
    await user.click(await cell(/^Asha Delun, Clam: option/));
    await user.selectOptions(await screen.findByLabelText('Choose another'), 'rest');
    expect(await cell(/^Asha Delun, Clam: rest/)).toBeTruthy();
    expect(sent.at(-1)?.body).toMatchObject({
      revision: 4,
      choices: { 'clam-9': { kind: 'rest' } },
    });
  });

  it('goes back to what is worked out', async () => {
    const { user, sent } = show('cell-3', { 'clam-9': { kind: 'rest' } });
    await user.click(await cell(/^Asha Delun, Clam: rest/));
    await user.click(await screen.findByRole('button', { name: 'Back to what is worked out' }));
    expect(await cell(/^Asha Delun, Clam: option/)).toBeTruthy();
    expect(sent.at(-1)?.body).toMatchObject({ choices: {} });
  });

  it('stays as it was where it can’t be saved, and says so', async () => {
    const { user } = show('cell-4', {}, refusal(503, 'busy', 'The server has more to do.'));
    await user.click(await cell(/^Asha Delun, Clam: option/));
    await user.selectOptions(await screen.findByLabelText('Choose another'), 'rest');
    expect(await screen.findByText(/The server has more to do/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Asha Delun, Clam: rest/ })).toBeNull();
  });
});

import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import type { StandingGroup } from '@wrenfern/contract/people';
import { showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { Groups } from './groups.tsx';

standInForServer();

const people = ['Asha', 'Bram', 'Wim'].map((name) =>
  Person.parse({ id: name.toLowerCase(), name }),
);
const THURSDAY: StandingGroup = {
  id: 'g1',
  name: 'Thursday',
  personIds: ['asha', 'bram'],
  revision: 4,
};

function show(groups: StandingGroup[], more: Record<`${string} ${string}`, Answer> = {}) {
  return showScreen(<Groups people={people} />, {
    answers: { 'GET /groups': () => ({ json: { groups } }), ...more },
  });
}

describe('standing groups', () => {
  it('are made of a name and of people', async () => {
    const { user, sent } = show([], { 'POST /groups': () => ({ status: 201, json: THURSDAY }) });
    await user.click(await screen.findByRole('button', { name: 'Groups' }));
    await user.click(await screen.findByRole('button', { name: 'A new group' }));
    const keep = screen.getByRole('button', { name: 'Keep' });
    expect(keep.matches(':disabled')).toBe(true);
    await user.type(screen.getByLabelText('Name'), ' Early birds ');
    await user.click(screen.getByLabelText('Asha'));
    await user.type(screen.getByLabelText('Search people'), 'wi');
    expect(screen.queryByLabelText('Asha')).toBeNull();
    await user.click(screen.getByLabelText('Wim'));
    await user.click(keep);
    await expect.poll(() => sent.length).toBe(1);
    expect(sent[0]?.body).toEqual({ name: 'Early birds', personIds: ['asha', 'wim'] });
  });

  it('keep what a colleague added meanwhile', async () => {
    let isFirst = true;
    const { user, sent } = show([THURSDAY], {
      'PUT /groups/g1': () => {
        if (!isFirst) return { json: { ...THURSDAY, revision: 6 } };
        isFirst = false;
        const current = { ...THURSDAY, revision: 5, personIds: ['asha', 'bram', 'wim'] };
        return { status: 409, json: { code: 'stale', title: 'Stale', status: 409, current } };
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Groups' }));
    await user.click(await screen.findByRole('button', { name: 'Change Thursday' }));
    const list = within(screen.getByRole('list', { name: 'People of the group' }));
    await user.click(list.getByLabelText('Bram'));
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    await expect.poll(() => sent.length).toBe(2);
    expect(sent[1]?.body).toEqual({ revision: 5, name: 'Thursday', personIds: ['asha', 'wim'] });
  });
});

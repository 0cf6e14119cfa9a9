import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Wasted } from '@wrenfern/contract/keeping';
import {
  OWNER_SESSION,
  refusal,
  showScreen,
  standInForServer,
} from '../../testing/show-screen.tsx';
import { Component as Wastebasket } from './wastebasket.tsx';

standInForServer();

const MORNING: Wasted = {
  kind: 'class',
  id: 'c1',
  name: 'Morning',
  deletedAt: '2026-11-20T10:00:00Z',
  goneAt: '2026-12-20T10:00:00Z',
};

function basket(wasted: Wasted[]) {
  const held = [...wasted];
  return {
    'GET /wastebasket': () => ({ json: { wasted: held } }),
    'POST /wastebasket/class/c1': () => {
      held.length = 0;
      return {};
    },
    'DELETE /wastebasket': () => {
      held.length = 0;
      return {};
    },
  };
}

const asInstructor = () => ({
  json: { ...OWNER_SESSION, user: { ...OWNER_SESSION.user, role: 'instructor' } },
});

describe('the wastebasket', () => {
  it('gives back what was taken out', async () => {
    const { user, sent } = showScreen(<Wastebasket />, { answers: basket([MORNING]) });
    await user.click(await screen.findByRole('button', { name: 'Take out again Morning' }));
    expect(await screen.findByText('Morning is back')).toBeTruthy();
    expect(await screen.findByRole('heading', { name: 'Nothing in it' })).toBeTruthy();
    expect(sent.map(({ route }) => route)).toEqual(['POST /wastebasket/class/c1']);
  });

  it('asks before it is emptied for good, and can be kept', async () => {
    const { user, sent } = showScreen(<Wastebasket />, { answers: basket([MORNING]) });
    await user.click(await screen.findByRole('button', { name: 'Empty it' }));
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    expect(sent).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Empty it' }));
    await user.click(screen.getByRole('button', { name: 'Empty it for good' }));
    expect(await screen.findByRole('heading', { name: 'Nothing in it' })).toBeTruthy();
    expect(sent.map(({ route }) => route)).toEqual(['DELETE /wastebasket']);
  });

  it('is emptied by owners only', async () => {
    showScreen(<Wastebasket />, {
      answers: { ...basket([MORNING]), 'GET /session': asInstructor },
    });
    expect(await screen.findByRole('button', { name: 'Take out again Morning' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Empty it' })).toBeNull();
  });

  it('keeps what could not be taken out, and says why', async () => {
    const { user } = showScreen(<Wastebasket />, {
      answers: {
        ...basket([MORNING]),
        'POST /wastebasket/class/c1': refusal(403, 'over-quota', 'The studio holds enough.'),
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Take out again Morning' }));
    expect(await screen.findByText('The studio holds enough.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Take out again Morning' })).toBeTruthy();
  });
});

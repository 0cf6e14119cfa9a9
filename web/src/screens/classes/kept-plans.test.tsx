import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { KeptPlanRow } from '@wrenfern/contract/classes';
import { tagsOf } from '../../parts/keep-form.tsx';
import { showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { KeptPlans } from './kept-plans.tsx';

standInForServer();

const LONG: KeptPlanRow = {
  id: '5d0c7f3e-2f0f-4c2b-9d4d-7b9a3d0c1a11',
  name: 'Long hour',
  tags: ['backs'],
  machine: 'mat',
  targetS: 3300,
  items: 24,
  revision: 2,
  taught: 0,
  lastTaughtAt: null,
  tookS: null,
};

function show(plans: KeptPlanRow[], words = '', more: Record<`${string} ${string}`, Answer> = {}) {
  return showScreen(<KeptPlans zone="UTC" mayChange filters={{ words, machine: 'all' }} />, {
    answers: { 'GET /kept-plans': () => ({ json: { plans } }), ...more },
  });
}

describe('kept plans', () => {
  it.each([
    [{}, 'not taught yet'],
    [
      { taught: 1, lastTaughtAt: '2026-11-12T18:00:00Z', tookS: { least: 3000, most: 3000 } },
      'taught once, last on Thursday, November 12, took 50 min',
    ],
    [
      { taught: 3, lastTaughtAt: '2026-11-12T18:00:00Z', tookS: { least: 3000, most: 3360 } },
      'taught 3 times, last on Thursday, November 12, took 50–56 min',
    ],
  ])('tell how they went: %o', async (change, words) => {
    show([{ ...LONG, ...change }]);
    expect(await screen.findByText(words)).toBeTruthy();
  });

  it('are found by name and by tag', async () => {
    show([LONG, { ...LONG, id: 'k2', name: 'Short', tags: ['hips'] }], 'BACK');
    expect(await screen.findByRole('button', { name: 'Change Long hour' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Change Short' })).toBeNull();
  });

  it('say so when none is like what is searched', async () => {
    show([LONG], 'nothing of the kind');
    expect(await screen.findByRole('heading', { name: 'None like that' })).toBeTruthy();
  });

  it('are taken into a class as long as they are, with their machine and school', async () => {
    const { user, sent } = show([{ ...LONG, machine: 'reformer' }], '', {
      'GET /studio': () => ({ json: { schools: [] } }),
      'GET /classes': () => ({ json: { classes: [] } }),
      'GET /groups': () => ({ json: { groups: [] } }),
      'POST /classes': () => ({ json: { id: 'c9' } }),
    });
    await user.click(await screen.findByRole('button', { name: /^Into a class/ }));
    expect(await screen.findByLabelText<HTMLInputElement>('Length in minutes')).toHaveProperty(
      'value',
      '55',
    );
    expect(await screen.findByDisplayValue('as in Long hour')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Make it and plan' }));
    await expect.poll(() => sent.length).toBe(1);
    expect(sent[0]?.body).toMatchObject({
      keptPlanId: '5d0c7f3e-2f0f-4c2b-9d4d-7b9a3d0c1a11',
      targetS: 3300,
      title: 'Long hour',
    });
  });

  it('get another name and tags from the revision that was seen', async () => {
    const { user, sent } = show([LONG], '', {
      'PUT /kept-plans/5d0c7f3e-2f0f-4c2b-9d4d-7b9a3d0c1a11': () => ({ json: LONG }),
    });
    await user.click(await screen.findByRole('button', { name: 'Change Long hour' }));
    await user.clear(screen.getByLabelText('Tags'));
    await user.type(screen.getByLabelText('Tags'), 'backs, ease ,,');
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    await expect.poll(() => sent.length).toBe(1);
    expect(sent[0]?.body).toEqual({ revision: 2, name: 'Long hour', tags: ['backs', 'ease'] });
  });

  it('say how one is kept while there is none', async () => {
    show([]);
    expect(await screen.findByRole('heading', { name: 'None kept yet' })).toBeTruthy();
  });
});

describe('tags', () => {
  it('are parted by commas, at most twelve, each of forty letters', () => {
    expect(tagsOf(' a, b ,,c')).toEqual(['a', 'b', 'c']);
    expect(tagsOf(Array.from({ length: 20 }, (_, index) => `t${index}`).join(','))).toHaveLength(
      12,
    );
    expect(tagsOf('x'.repeat(90))[0]).toHaveLength(40);
  });
});

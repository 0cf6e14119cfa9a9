import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { TrailEntry } from '@wrenfern/contract/keeping';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { Component as Trail } from './trail.tsx';

standInForServer();

const entry = (id: number, change: Partial<TrailEntry> = {}): TrailEntry => ({
  id,
  who: 'Bram Oaks',
  action: 'read',
  subject: 'person',
  name: 'Asha Delun',
  at: '2026-11-27T10:00:00Z',
  ...change,
});

describe('the trail', () => {
  it.each([
    [{}, 'opened the record of Asha Delun'],
    [{ action: 'erased', name: null }, 'erased the record of somebody who is gone for good'],
    [{ subject: 'people', name: null }, 'opened the list of people'],
    [{ subject: 'class', action: 'changed', name: 'Morning' }, 'changed who comes to Morning'],
    [{ action: 'exported' }, 'took a copy of the record of Asha Delun'],
  ] as [Partial<TrailEntry>, string][])('tells %o as a sentence', async (change, said) => {
    showScreen(<Trail />, {
      answers: { 'GET /trail': () => ({ json: { trail: [entry(1, change)] } }) },
    });
    const row = await screen.findByRole('listitem');
    expect(row.textContent).toContain(`Bram Oaks ${said}`);
  });

  it('says so while nobody has looked', async () => {
    showScreen(<Trail />, { answers: { 'GET /trail': () => ({ json: { trail: [] } }) } });
    expect(await screen.findByRole('heading', { name: 'Nobody yet' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Show more' })).toBeNull();
  });

  it('offers more after a full page only', async () => {
    const { user } = showScreen(<Trail />, {
      answers: {
        'GET /trail': (_body, query) => {
          const many = Array.from({ length: 100 }, (_, index) => entry(1000 - index));
          return { json: { trail: query.get('before') === '901' ? [entry(3)] : many } };
        },
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Show more' }));
    await expect.poll(() => screen.getAllByRole('listitem').length).toBe(101);
    expect(screen.queryByRole('button', { name: 'Show more' })).toBeNull();
  });
});

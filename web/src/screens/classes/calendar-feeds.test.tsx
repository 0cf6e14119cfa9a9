import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Feed } from '@wrenfern/contract/studio';
import { refusal, showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { CalendarFeeds } from './calendar-feeds.tsx';

standInForServer();

const ROW: Feed = { id: 'f1', onlyOwn: true, madeAt: '2026-11-20T08:00:00Z', readAt: null };

describe('classes in one’s calendar', () => {
  it('makes an address, shows it once, and takes it back', async () => {
    let feeds: Feed[] = [];
    const { user, sent } = showScreen(<CalendarFeeds />, {
      answers: {
        'GET /feeds': () => ({ json: { feeds } }),
        'POST /feeds': () => {
          feeds = [ROW];
          return { status: 201, json: { ...ROW, path: '/api/feeds/secret/classes.ics' } };
        },
        'DELETE /feeds/f1': () => {
          feeds = [];
          return { status: 204 };
        },
      },
    });
    await user.click(screen.getByRole('button', { name: 'Calendar' }));
    await user.click(screen.getByRole('radio', { name: 'Only mine' }));
    await user.click(screen.getByRole('button', { name: 'Make a private address' }));
    const address = await screen.findByLabelText<HTMLInputElement>('Address for the calendar');
    expect(address.value).toMatch(/\/api\/feeds\/secret\/classes\.ics$/);
    expect(sent[0]?.body).toEqual({ onlyOwn: true });
    const inUse = within(await screen.findByRole('region', { name: 'Addresses in use' }));
    expect(inUse.getByText(/never read/)).toBeTruthy();
    await user.click(inUse.getByRole('button', { name: 'Take back' }));
    await expect.poll(() => screen.queryByRole('region', { name: 'Addresses in use' })).toBeNull();
  });

  it('says why there can be no more', async () => {
    const { user } = showScreen(<CalendarFeeds />, {
      answers: {
        'GET /feeds': () => ({ json: { feeds: [ROW] } }),
        'POST /feeds': refusal(409, 'over-quota', 'Take one back first.'),
      },
    });
    await user.click(screen.getByRole('button', { name: 'Calendar' }));
    await user.click(screen.getByRole('button', { name: 'Make a private address' }));
    expect(await screen.findByText(/Take one back first/)).toBeTruthy();
  });
});

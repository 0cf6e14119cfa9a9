import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { analyse } from '@wrenfern/core';
import type { LiveChange } from '@wrenfern/core/live/plan-as-taught';
import { runClass, viewNow } from '@wrenfern/core/live/run-class';
import { LiveEvent } from '@wrenfern/core/live/events';
import { builtInCatalogue } from '@wrenfern/library';
import { contextOf } from '../../data/class-analysis.ts';
import { makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { KeepTime } from './keep-time.tsx';

standInForServer();

const plain = makeLesson();
const { plan } = plain;
const analysis = analyse(plan, builtInCatalogue, contextOf(plain));
const { timeline } = analysis;

/** The class at its second item, so many seconds into it, with a length that it was announced for. */
function show(intoS: number, targetS: number, changes: LiveChange[] = []) {
  const press = (type: string, order: number, atMs: number, extra: object = {}) =>
    LiveEvent.parse({ id: `press-000${order}`, type, order, atMs, ...extra });
  const second = timeline.items[1]?.itemId;
  const startS = timeline.items[1]?.startS ?? 0;
  const events = [press('start', 1, 0), press('goTo', 2, startS * 1000, { itemId: second })];
  const state = runClass(timeline, events, (startS + intoS) * 1000);
  const now = viewNow(timeline, state);
  if (!now) throw new Error('not running');
  const lesson = { ...plain, plan: { ...plan, targetS } };
  const record = vi.fn();
  const run = { record, state, now, changes, analysis, plan } as never;
  const shown = showScreen(<KeepTime lesson={lesson} planned={plan} run={run} now={now} />, {
    answers: {},
  });
  return { ...shown, record };
}

const itemIdsLater = new Set(timeline.items.slice(2).map(({ itemId }) => itemId));

describe('keeping to the time', () => {
  it('offers up to three changes of what is still to come when it would end late', async () => {
    const { user, record } = show(20, timeline.totalS - 200);
    const offers = await screen.findAllByRole('button', { name: /saves \d:\d\d$/ });
    expect(offers.length).toBeGreaterThan(0);
    expect(offers.length).toBeLessThanOrEqual(3);
    expect(screen.getByRole('status').textContent).toMatch(/^Ends about \d:[03]0 late/);
    if (offers[0]) await user.click(offers[0]);
    const [event] = record.mock.calls[0] as [{ type: string; edit: { itemId: string } }];
    expect(event.type).toBe('change');
    expect(itemIdsLater.has(event.edit.itemId)).toBe(true);
  });

  it('is silent while the class ends in time', async () => {
    show(20, timeline.totalS + 30);
    await waitFor(() => expect(document.body.textContent).not.toContain('Ends'));
    expect(screen.queryByRole('region', { name: 'Keep to the time' })).toBeNull();
  });

  it('is silent after “not now”', async () => {
    const { user } = show(20, timeline.totalS - 200);
    await user.click(await screen.findByRole('button', { name: 'Not now' }));
    await waitFor(() => expect(screen.queryByText(/^Ends/)).toBeNull());
  });

  it('takes the last change back by one press', async () => {
    const change: LiveChange = {
      type: 'change',
      id: 'press-0009',
      atMs: 0,
      order: 3,
      edit: { type: 'removeItem', itemId: timeline.items[2]?.itemId ?? '' },
    };
    const { user, record } = show(20, timeline.totalS, [change]);
    await user.click(await screen.findByRole('button', { name: /^Undo: / }));
    expect(record).toHaveBeenCalledWith({ type: 'takeBack', eventId: 'press-0009' });
  });
});

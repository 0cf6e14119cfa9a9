import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue } from '@wrenfern/library';
import { contextOf } from '../../../data/class-analysis.ts';
import { inClass, makeLesson } from '../../../testing/a-class.tsx';
import { showScreen, standInForServer, type Sent } from '../../../testing/show-screen.tsx';
import { Component as PlanScreen } from '../plan.tsx';

standInForServer();

/** Seconds of "33:05". */
function secondsIn(text: string): number {
  const [, minutes = '', seconds = ''] = /(\d+):(\d\d)/.exec(text) ?? [];
  return Number(minutes) * 60 + Number(seconds);
}

async function open(targetS: number) {
  const lesson = makeLesson();
  lesson.plan = { ...lesson.plan, targetS };
  let { revision } = lesson;
  const shown = inClass(<PlanScreen />, lesson);
  const shownScreen = showScreen(null, {
    ...shown,
    answers: {
      ...shown.answers,
      [`PUT /classes/${lesson.id}/plan`]: () => ({ json: { revision: (revision += 1) } }),
    },
  });
  await shownScreen.user.click(await screen.findByRole('button', { name: / (over|left)$/ }));
  return {
    ...shownScreen,
    panel: within(await screen.findByRole('dialog', { name: 'Fit to time' })),
  };
}

const total = () => secondsIn(screen.getByTestId('total').textContent);

/** How long the class is that was saved last. */
function savedS(sent: readonly Sent[]): number | undefined {
  const saved = sent.findLast(({ route }) => route.startsWith('PUT'))?.body as
    { plan: Plan } | undefined;
  return saved && timePlan(saved.plan, builtInCatalogue, contextOf(makeLesson())).totalS;
}

describe('fit to time', () => {
  it('takes one change and looks again, or the best together', async () => {
    const first = makeLesson();
    const { user, panel, sent } = await open(first.plan.targetS);
    const [take] = await panel.findAllByRole('button', { name: /^Take: / });
    const label = take?.getAttribute('aria-label') ?? '';
    const whole = total();
    if (take) await user.click(take);
    await waitFor(() => expect(panel.queryByRole('button', { name: label })).toBeNull());
    expect(total()).not.toBe(whole);
    const together = within(await panel.findByRole('region', { name: 'Together' }));
    const before = total();
    await user.click(together.getByRole('button', { name: /^Take (it|all)/ }));
    await waitFor(() => expect(total()).not.toBe(before));
    expect(Math.abs(total() - first.plan.targetS)).toBeLessThan(
      Math.abs(before - first.plan.targetS),
    );
    // What was taken is saved, so that nothing is under way when the next test begins.
    await waitFor(() => expect(savedS(sent)).toBe(total()), { timeout: 8000 });
    await waitFor(() => expect(screen.getByTestId('save-state').textContent).toMatch(/^Saved/));
  });
});

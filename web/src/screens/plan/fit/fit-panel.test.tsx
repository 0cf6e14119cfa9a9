import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { fitClass } from '@wrenfern/core';
import { createCatalogue } from '@wrenfern/core/movement/catalogue';
import { builtInExercises } from '@wrenfern/library';
import { inClass, makeLesson } from '../../../testing/a-class.tsx';
import { showScreen, standInForServer } from '../../../testing/show-screen.tsx';
import type { SearchWorker } from '../../../workers/search-worker.ts';
import { Component as PlanScreen } from '../plan.tsx';

standInForServer();

// What the worker does, here and now: this browser of tests has no workers.
vi.mock(import('../../../data/search.ts'), async (original) => {
  const fit: SearchWorker['fit'] = (plan, own, context, targetS) =>
    fitClass(plan, createCatalogue([...builtInExercises, ...own]), context, targetS);
  const worker = { fit: (...told: Parameters<typeof fit>) => Promise.resolve(fit(...told)) };
  const { searchContext } = await original();
  return { searchContext, searchWorker: () => worker as never };
});

/** Seconds of "33:05". */
function secondsIn(text: string): number {
  const [, minutes = '', seconds = ''] = /(\d+):(\d\d)/.exec(text) ?? [];
  return Number(minutes) * 60 + Number(seconds);
}

async function open(targetS: number) {
  const lesson = makeLesson();
  lesson.plan = { ...lesson.plan, targetS };
  const shown = inClass(<PlanScreen />, lesson);
  const shownScreen = showScreen(null, {
    ...shown,
    answers: {
      ...shown.answers,
      [`PUT /classes/${lesson.id}/plan`]: () => ({ json: { revision: 2 } }),
    },
  });
  await shownScreen.user.click(await screen.findByRole('button', { name: / (over|left)$/ }));
  return { ...shownScreen, panel: within(screen.getByRole('dialog', { name: 'Fit to time' })) };
}

const total = () => secondsIn(screen.getByTestId('total').textContent);

describe('fit to time', () => {
  it('tells what costs least together, takes it at one press, and undo takes it back', async () => {
    const first = makeLesson();
    const { user, panel } = await open(first.plan.targetS);
    const together = within(await panel.findByRole('region', { name: 'Together' }));
    const before = total();
    await user.click(together.getByRole('button', { name: /^Take (it|all)/ }));
    await waitFor(() => expect(total()).not.toBe(before));
    expect(Math.abs(total() - first.plan.targetS)).toBeLessThan(
      Math.abs(before - first.plan.targetS),
    );
    await user.keyboard('{Escape}{Control>}z{/Control}');
    await waitFor(() => expect(total()).toBe(before));
  });

  it('takes one change, and looks again', async () => {
    const { user, panel } = await open(makeLesson().plan.targetS);
    const [take] = await panel.findAllByRole('button', { name: /^Take: / });
    const label = take?.getAttribute('aria-label') ?? '';
    if (take) await user.click(take);
    await waitFor(() => expect(panel.queryByRole('button', { name: label })).toBeNull());
  });
});

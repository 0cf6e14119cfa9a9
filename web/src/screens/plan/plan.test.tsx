import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { inClass, makeLesson } from '../../testing/a-class.tsx';
import { OWNER_SESSION, showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { Component as PlanScreen } from './plan.tsx';

standInForServer();

const asReader = () => ({
  json: { ...OWNER_SESSION, user: { ...OWNER_SESSION.user, role: 'reader' } },
});

describe('the plan of somebody who may only look', () => {
  it('has the running order, and nothing to change it with', async () => {
    const shown = inClass(<PlanScreen />, makeLesson({ attendees: [] }));
    const { user } = showScreen(null, {
      ...shown,
      answers: { ...shown.answers, 'GET /session': asReader },
    });
    const score = within(await screen.findByRole('region', { name: 'Score' }));
    const row = score.getAllByRole('button', { name: /^Pelvic rock/ })[0];
    expect(row).toBeTruthy();
    for (const name of [/^Move /, /Order for me/, /Draft for me/, /Add exercises/, 'Undo']) {
      expect(screen.queryByRole('button', { name })).toBeNull();
    }
    expect(screen.queryByRole('complementary', { name: 'Exercises to add' })).toBeNull();
    if (row) await user.click(row);
    const details = within(screen.getByRole('complementary', { name: 'Details' }));
    for (const control of details.getAllByRole('button')) {
      expect(control.matches(':disabled, [aria-expanded], summary')).toBe(true);
    }
  });
});

describe('the plan of whoever teaches', () => {
  it('takes a row out, brings it back, and saves what is left by itself', async () => {
    const lesson = makeLesson();
    const shown = inClass(<PlanScreen />, lesson);
    let revision = lesson.revision;
    const { user, sent } = showScreen(null, {
      ...shown,
      answers: {
        ...shown.answers,
        [`PUT /classes/${lesson.id}/plan`]: () => ({ json: { revision: (revision += 1) } }),
      },
    });
    const before = lesson.plan.segments.flatMap(({ items }) => items).length;
    const score = within(await screen.findByRole('region', { name: 'Score' }));
    const rows = () => score.getAllByRole('button', { name: /^Move / }).length;
    expect(rows()).toBe(before);
    await user.click(
      score.getAllByRole('button', { name: /^Pelvic rock/, pressed: false })[0] ?? document.body,
    );
    await user.keyboard('{Delete}');
    expect(rows()).toBe(before - 1);
    await user.keyboard('{Control>}z{/Control}');
    expect(rows()).toBe(before);
    await user.keyboard('{Control>}{Shift>}z{/Shift}{/Control}');
    await expect.poll(() => sent.length, { timeout: 5000 }).toBe(1);
    const { plan } = sent[0]?.body as { plan: typeof lesson.plan };
    expect(plan.segments.flatMap(({ items }) => items)).toHaveLength(before - 1);
    expect((await screen.findByTestId('save-state')).textContent).toMatch(/^Saved/);
  });
});

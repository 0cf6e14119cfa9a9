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

describe('a series', () => {
  it('is made of a row and the next by a key, goes on, and is taken apart', async () => {
    const lesson = makeLesson();
    const shown = inClass(<PlanScreen />, lesson);
    let revision = lesson.revision;
    const { user } = showScreen(null, {
      ...shown,
      answers: {
        ...shown.answers,
        [`PUT /classes/${lesson.id}/plan`]: () => ({ json: { revision: (revision += 1) } }),
      },
    });
    // By its words: roles of a whole plan take a while to work out.
    const rows = await screen.findAllByTestId('row');
    const row = rows.find(({ textContent }) => textContent.startsWith('Pelvic rock'));
    await user.click(row ?? document.body);
    const list = within(screen.getByLabelText('Running order'));
    const count = (words: RegExp) => list.queryAllByText(words).length;
    // The class has one at its clams already.
    expect(count(/^Series/)).toBe(1);
    await user.keyboard('s');
    expect(count(/^Series, right first/)).toBe(2);
    expect(count(/^then left side from \d/)).toBe(2);
    await user.selectOptions(screen.getByLabelText('Which side'), 'left');
    expect(count(/^Series, left first/)).toBe(1);
    await user.click(screen.getByText('Take apart'));
    expect(count(/^Series/)).toBe(1);
    await user.click(screen.getByText('In rounds'));
    expect(list.getByText('3 rounds')).toBeTruthy();
    expect(list.getByText(/^then round 3 from \d/)).toBeTruthy();
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
    // A slow machine saves once more in between.
    const last = () => (sent.at(-1)?.body as { plan?: typeof lesson.plan } | undefined)?.plan;
    const saved = () => last()?.segments.flatMap(({ items }) => items).length;
    await expect.poll(saved, { timeout: 5000 }).toBe(before - 1);
    await expect
      .poll(() => screen.getByTestId('save-state').textContent, { timeout: 5000 })
      .toMatch(/^Saved/);
  });
});

describe('typing a class', () => {
  it('adds one line after another by Enter, each with its dose, and leaves by Escape', async () => {
    const lesson = makeLesson();
    const { user } = showScreen(null, inClass(<PlanScreen />, lesson));
    const score = within(await screen.findByRole('region', { name: 'Score' }));
    const before = score.getAllByRole('button', { name: /^Move / }).length;
    await user.keyboard('/');
    const field = screen.getAllByRole<HTMLInputElement>('combobox', {
      name: 'Search exercises',
    })[0];
    expect(document.activeElement).toBe(field);
    await user.keyboard('clam 12 each{Enter}plank 20s twice{Enter}');
    expect(field?.value).toBe('');
    expect(document.activeElement).toBe(field);
    const rows = score.getAllByRole('button', { name: /^Move / });
    expect(rows).toHaveLength(before + 2);
    expect(score.getByRole('button', { name: /^Clam.*12 each side/ })).toBeTruthy();
    expect(score.getByRole('button', { name: /^Plank.*2 holds of 20 s/ })).toBeTruthy();
    await user.keyboard('xyzzy{Enter}');
    expect(score.getAllByRole('button', { name: /^Move / })).toHaveLength(before + 2);
    await user.keyboard('{Escape}');
    expect(field?.value).toBe('');
    expect(document.activeElement).not.toBe(field);
  });
});

describe('a class that changes its machine', () => {
  it('names what is not there before anything is left out', async () => {
    const lesson = makeLesson();
    const { user } = showScreen(null, inClass(<PlanScreen />, lesson));
    const part = within(
      (await screen.findAllByRole('region', { name: 'Mat or machine' }))[0] ?? document.body,
    );
    await user.click(part.getByLabelText('Reformer'));
    expect(part.getByRole('alert').textContent).toMatch(/Not on the reformer: .*Pelvic rock/);
    await user.click(part.getByRole('button', { name: 'Keep the mat' }));
    expect(part.getByLabelText<HTMLInputElement>('Mat').checked).toBe(true);
    await user.click(part.getByLabelText('Reformer'));
    await user.click(part.getByRole('button', { name: 'Leave them out and change' }));
    expect(part.getByLabelText<HTMLInputElement>('Reformer').checked).toBe(true);
    expect(screen.queryAllByRole('button', { name: /^Move / })).toEqual([]);
    await user.keyboard('{Control>}z{/Control}');
    expect(screen.getAllByRole('button', { name: /^Move / }).length).toBeGreaterThan(10);
  });
});

describe('a class with nothing in it', () => {
  const { plan } = makeLesson();
  const empty = {
    ...plan,
    segments: plan.segments.map((segment) => ({ ...segment, items: [] })),
  };

  it('offers three ways to begin, gone with the first exercise and back with an undo', async () => {
    const { user } = showScreen(
      null,
      inClass(<PlanScreen />, makeLesson({ id: 'c2', plan: empty })),
    );
    await user.click(await screen.findByRole('button', { name: /^Type it/ }));
    await user.keyboard('clam 12 each{Enter}{Escape}');
    expect(screen.queryByRole('button', { name: /^Type it/ })).toBeNull();
    await user.keyboard('{Control>}z{/Control}');
    expect(screen.getByRole('button', { name: /^From notes or a file/ })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^Draft it for me/ }));
    expect(await screen.findByRole('dialog', { name: /Draft/ })).toBeTruthy();
  });

  it('takes notes in place of nothing, after they were shown line by line', async () => {
    const { user } = showScreen(
      null,
      inClass(<PlanScreen />, makeLesson({ id: 'c3', plan: empty })),
    );
    await user.click(await screen.findByRole('button', { name: /^From notes or a file/ }));
    await user.click(await screen.findByLabelText('Notes, Markdown or a plan file'));
    await user.paste('Floor\nclam 10 each\nplank 20s twice');
    const dialog = within(screen.getByRole('dialog'));
    expect(dialog.getByText(/Clam/)).toBeTruthy();
    const take = dialog.getAllByRole('button', { name: /take|put/i }).at(-1);
    await user.click(take ?? document.body);
    const score = within(await screen.findByRole('region', { name: 'Score' }));
    expect(score.getAllByRole('button', { name: /^Move / })).toHaveLength(2);
  });
});

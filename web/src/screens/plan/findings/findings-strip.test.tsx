import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Plan } from '@wrenfern/core/plan/plan';
import { inClass, makeLesson } from '../../../testing/a-class.tsx';
import { OWNER_SESSION, showScreen, standInForServer } from '../../../testing/show-screen.tsx';
import { Component as PlanScreen } from '../plan.tsx';

standInForServer();

/** A class that begins hard: there is much to settle. */
const HARD = Plan.parse({
  format: 'wrenfern-plan/2',
  title: 'Hard at once',
  targetS: 900,
  segments: [
    {
      id: 'a',
      name: 'A',
      items: ['plank', 'teaser', 'roll-up', 'swimming'].map((exercise) => ({
        kind: 'exercise',
        id: exercise,
        exercise,
      })),
    },
  ],
});

function show(id: string, role = 'owner', plan: Plan = HARD) {
  const lesson = makeLesson({ id, plan, attendees: [] });
  const shown = inClass(<PlanScreen />, lesson);
  let revision = lesson.revision;
  return showScreen(null, {
    ...shown,
    answers: {
      ...shown.answers,
      'GET /session': () => ({ json: { ...OWNER_SESSION, user: { ...OWNER_SESSION.user, role } } }),
      [`PUT /classes/${id}/plan`]: () => ({ json: { revision: (revision += 1) } }),
    },
  });
}

const strip = () => screen.findByRole('region', { name: /^\d+ to settle$/ });
const countIn = (region: HTMLElement) => Number(/^\d+/.exec(region.ariaLabel ?? '')?.[0]);

describe('what is left to settle', () => {
  it('shows one finding at a time; n and p go round', async () => {
    const { user } = show('strip-1');
    const region = await strip();
    const all = countIn(region);
    expect(all).toBeGreaterThan(3);
    expect(within(region).getByText(`1 of ${all}`)).toBeTruthy();
    // With none chosen yet, n opens the first.
    await user.keyboard('n');
    expect(within(region).getByText(`1 of ${all}`)).toBeTruthy();
    await user.keyboard('n');
    expect(within(region).getByText(`2 of ${all}`)).toBeTruthy();
    await user.keyboard('pp');
    expect(within(region).getByText(`${all} of ${all}`)).toBeTruthy();
    await user.click(within(region).getByRole('button', { name: 'The next finding (n)' }));
    expect(within(region).getByText(`1 of ${all}`)).toBeTruthy();
  });

  it('is filtered by kind, with how many there are of each', async () => {
    const { user } = show('strip-2');
    const region = await strip();
    const kinds = within(region).getByLabelText<HTMLSelectElement>('Findings by kind');
    const must = [...kinds.options].find(({ text }) => text.startsWith('must hold'));
    await user.selectOptions(kinds, must?.value ?? '');
    const count = Number(must?.text.split(' ').at(-1));
    expect(within(region).getByText(`1 of ${count}`)).toBeTruthy();
  });

  it('says why, and takes a repair by its number, which clears it', async () => {
    const { user } = show('strip-3');
    const region = await strip();
    // The first is about the time: what fills it is looked for beside the screen.
    const offered = await within(region).findAllByRole('button', { name: /takes \d:\d\d|come to/ });
    expect(offered.length).toBeGreaterThan(0);
    await user.keyboard('nn');
    const said = within(region).getAllByRole('button')[0]?.textContent ?? '';
    expect(said).toMatch(/is the first work/);
    await user.click(within(region).getByRole('button', { name: 'why?' }));
    const why = await screen.findByRole('dialog', { name: 'Why' });
    expect(within(why).getByText(/Must hold/)).toBeTruthy();
    await user.keyboard('{Escape}');
    await user.keyboard('1');
    expect(within(await strip()).queryByText(said)).toBeNull();
  });

  it('is set aside with a reason, which can be taken back', async () => {
    const { user } = show('strip-6');
    await strip();
    await user.keyboard('nn');
    const region = await strip();
    const all = countIn(region);
    const said = within(region).getAllByRole('button')[0]?.textContent ?? '';
    await user.click(within(region).getByRole('button', { name: 'On purpose …' }));
    const ask = within(await screen.findByRole('dialog', { name: 'Why' }));
    await user.type(ask.getByLabelText('Another reason'), 'They asked for it');
    await user.click(ask.getByRole('button', { name: 'Set aside' }));
    expect(within(await strip()).queryByText(said)).toBeNull();
    expect(countIn(await strip())).toBe(all - 1);
    await user.click(screen.getByRole('button', { name: '1 set aside' }));
    const list = within(await screen.findByRole('dialog', { name: 'Why' }));
    expect(list.getByText('They asked for it')).toBeTruthy();
    await user.click(list.getByRole('button', { name: 'Tell it again' }));
    expect(countIn(await strip())).toBe(all);
  });

  it('is told to whoever may only look, without anything to press', async () => {
    show('strip-4', 'reader');
    const region = await strip();
    expect(within(region).queryByText('Nothing offered: decide by hand.')).toBeNull();
    const names = within(region)
      .getAllByRole('button')
      .map((button) => button.getAttribute('aria-label') ?? button.textContent);
    expect(names.filter((name) => /^(Move|Add|Leave|Begin|Offer)/.test(name))).toEqual([]);
  });

  it('says the next step where there is nothing yet', async () => {
    show('strip-5', 'owner', { ...HARD, segments: [{ id: 'a', name: 'A', items: [] }] });
    expect(await screen.findByText(/Drag an exercise into the class/)).toBeTruthy();
  });
});

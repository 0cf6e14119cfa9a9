import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { DraftWishes } from '@wrenfern/core/draft/wishes';
import { showScreen, standInForServer } from '../../../testing/show-screen.tsx';
import { WishesForm } from './wishes-form.tsx';

standInForServer();

/** The form as the panel holds it; `wished` is what it came to. */
function show(first: object = {}) {
  let wished = DraftWishes.parse({ targetS: 2700, ...first });
  function Held() {
    const [wishes, setWishes] = useState(wished);
    return (
      <WishesForm
        wishes={wishes}
        schools={[]}
        onChange={(next) => {
          wished = next;
          setWishes(next);
        }}
      />
    );
  }
  return { ...showScreen(<Held />), wished: () => wished };
}

describe('the wishes', () => {
  it('are set by keys alone: length, school, effort', async () => {
    const { user, wished } = show();
    const length = await screen.findByLabelText('length in min');
    await user.clear(length);
    await user.type(length, '30');
    await user.tab();
    expect(wished().targetS).toBe(1800);
    await user.selectOptions(screen.getByLabelText('In the way of'), 'timed-sets');
    expect(wished().school).toBe('timed-sets');
    const effort = screen.getByRole('textbox', { name: 'effort, of 5' });
    await user.clear(effort);
    await user.type(effort, '3');
    await user.tab();
    expect(wished().effortMost).toBe(3);
  });

  it('take four themes of a kind and no fifth, and let go of one again', async () => {
    const { user, wished } = show();
    const themes = within(await screen.findByRole('group', { name: 'foundations' }));
    const chips = themes.getAllByRole('button');
    for (const chip of chips.slice(0, 5)) await user.click(chip);
    expect(wished().foundations).toHaveLength(4);
    const [first] = chips;
    if (first) await user.click(first);
    expect(wished().foundations).toHaveLength(3);
  });

  it('name one exercise to climb to, many to have, each taken out again', async () => {
    const { user, wished } = show();
    const climb = await screen.findByLabelText('The exercise to climb to');
    await user.type(climb, 'Teaser');
    await user.type(climb, 'Saw');
    expect(wished().climbTo).toBe('saw');
    const must = screen.getByLabelText('An exercise that must be in it');
    await user.type(must, 'Plank');
    await user.type(must, 'Swimming');
    expect(wished().mustHave).toEqual(['plank', 'swimming']);
    await user.click(screen.getByRole('button', { name: 'Without Plank' }));
    expect(wished().mustHave).toEqual(['swimming']);
  });

  it('forget what the other machine does not have', async () => {
    const { user, wished } = show({ mustHave: ['plank'], climbTo: 'teaser' });
    await user.selectOptions(await screen.findByLabelText('Where'), 'reformer');
    expect(wished()).toMatchObject({ machine: 'reformer', mustHave: [] });
    expect(wished().climbTo).toBeUndefined();
    const must = screen.getByLabelText('An exercise that must be in it');
    await user.type(must, 'Plank');
    expect(wished().mustHave).not.toContain('plank');
  });
});

import { screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { showScreen, standInForServer } from '../testing/show-screen.tsx';
import { Stepper } from './stepper.tsx';

standInForServer();

function Minutes({ first }: { first: number }) {
  const [value, setValue] = useState(first);
  return (
    <>
      <Stepper
        label="length"
        unit="min"
        value={value}
        min={5}
        max={60}
        step={5}
        onChange={setValue}
      />
      <output>{value}</output>
    </>
  );
}

const now = () => screen.getByRole('status').textContent;

function Holds() {
  const [value, setValue] = useState(8);
  return (
    <>
      <Stepper
        label="times"
        value={value}
        min={1}
        max={30}
        through={[6, 8, 10, 12]}
        onChange={setValue}
      />
      <output>{value}</output>
    </>
  );
}

describe('a stepper', () => {
  it('goes through the numbers that people use, and by ones beyond them', async () => {
    const { user } = showScreen(<Holds />);
    const more = await screen.findByRole('button', { name: 'More: times' });
    for (const next of ['10', '12', '13']) {
      await user.click(more);
      expect(now()).toBe(next);
    }
    const less = screen.getByRole('button', { name: 'Less: times' });
    for (const next of ['12', '10', '8', '6', '5']) {
      await user.click(less);
      expect(now()).toBe(next);
    }
  });

  it('goes up and down by its step and stops at its ends', async () => {
    const { user } = showScreen(<Minutes first={10} />);
    const less = await screen.findByRole('button', { name: 'Less: length' });
    await user.click(less);
    expect(now()).toBe('5');
    expect(less.matches(':disabled')).toBe(true);
    await user.click(screen.getByRole('button', { name: 'More: length' }));
    expect(now()).toBe('10');
  });

  it.each([
    ['37{Enter}', '37'],
    ['700{Enter}', '60'],
    ['1{Tab}', '5'],
    ['soon{Enter}', '10'],
    ['{Enter}', '10'],
  ])('takes %s typed as %s', async (typed, value) => {
    const { user } = showScreen(<Minutes first={10} />);
    const field = await screen.findByLabelText('length in min');
    await user.clear(field);
    await user.type(field, typed);
    expect(now()).toBe(value);
    const shown = screen.getByLabelText<HTMLInputElement>('length in min').value;
    expect(shown).toBe(value);
  });
});

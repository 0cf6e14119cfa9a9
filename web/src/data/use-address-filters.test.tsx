import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { showScreen, standInForServer } from '../testing/show-screen.tsx';
import { useAddressFilters } from './use-address-filters.ts';

standInForServer();

function Both() {
  const { search, set, clear } = useAddressFilters();
  const both = () => {
    set({ machine: 'mat' });
    set({ position: 'plank' });
  };
  return (
    <>
      <output>{search.toString()}</output>
      <button onClick={both}>both</button>
      <button onClick={() => set({ machine: '' })}>any</button>
      <button onClick={clear}>all</button>
    </>
  );
}

it('keeps both of two choices that come before either is drawn, lets go of one, and of all', async () => {
  const { user } = showScreen(<Both />);
  await user.click(screen.getByText('both'));
  await expect
    .poll(() => screen.getByRole('status').textContent)
    .toBe('machine=mat&position=plank');
  await user.click(screen.getByText('any'));
  await expect.poll(() => screen.getByRole('status').textContent).toBe('position=plank');
  await user.click(screen.getByText('all'));
  await expect.poll(() => screen.getByRole('status').textContent).toBe('');
});

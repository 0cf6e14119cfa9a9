import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { showScreen, standInForServer } from '../testing/show-screen.tsx';
import { ClashesDialog, showValue, tellClash } from './clashes.tsx';

standInForServer();

describe('what two have changed', () => {
  it.each([
    [undefined, 'nothing'],
    ['', 'nothing'],
    [[], 'none'],
    [true, 'yes'],
    [['a', 'b'], 'a, b'],
    [{ caution: 'wrist', note: '' }, 'caution wrist'],
  ])('shows %o as words', (value, words) => expect(showValue(value)).toBe(words));

  it('names the place in words, not in names of fields', () => {
    const clash = { path: ['usualOptions', 'chest-lift'], mine: 2, theirs: 3 };
    expect(tellClash(clash)).toEqual({
      where: 'usual options, chest lift',
      mine: '2',
      theirs: '3',
    });
  });

  it('is shown side by side, and one is chosen by a button; Escape chooses nothing', async () => {
    const choose = vi.fn();
    const clashes = [{ where: 'Note', mine: 'stiff', theirs: 'sore' }];
    const { user } = showScreen(
      <ClashesDialog what="The record" clashes={clashes} choose={choose} />,
    );
    expect(await screen.findByRole('alertdialog')).toBeTruthy();
    expect(screen.getByRole('row', { name: 'Note stiff sore' })).toBeTruthy();
    await user.keyboard('{Escape}');
    expect(choose).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: /Take theirs/ }));
    expect(choose.mock.calls).toEqual([['theirs']]);
  });
});

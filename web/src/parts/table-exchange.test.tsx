import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { readCupboard } from '@wrenfern/core/formats/csv/cupboard-csv';
import { showScreen, standInForServer } from '../testing/show-screen.tsx';
import { TableExchange } from './table-exchange.tsx';

standInForServer();

function show() {
  const taken: object[][] = [];
  const { user } = showScreen(
    <TableExchange
      what="Cupboard"
      fileName="cupboard"
      hint="Columns prop and count."
      write={() => ''}
      read={(text) => readCupboard(text, { block: 4 })}
      take={(values) => {
        taken.push(values);
        return Promise.resolve(true);
      }}
    />,
    { answers: {} },
  );
  const look = async (text: string) => {
    await user.click(screen.getByRole('button', { name: /^As a table/ }));
    const file = new File([text], 'cupboard.csv', { type: 'text/csv' });
    await user.upload(await screen.findByLabelText('Look at a file'), file);
  };
  return { user, taken, look };
}

describe('a table from a file', () => {
  it('is shown row by row, faults under their cells, and taken only when that is said', async () => {
    const { user, taken, look } = show();
    await look('prop,count,colour\nblock,6,grey\nchair,many,red\n');
    const rows = (await screen.findAllByRole('row')).map(({ textContent }) => textContent);
    expect(rows).toEqual([
      'rowwhat comes of itpropcountcolour (not read)',
      '24 become 6block6grey',
      '3not takenchairmanygive a whole number up to 500red',
    ]);
    expect(screen.getByText(/^One row is left out/)).toBeTruthy();
    expect(taken).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Take 1 row' }));
    expect(taken).toEqual([[{ prop: 'block', count: 6 }]]);
    await expect.poll(() => screen.queryByRole('dialog')).toBeNull();
  });

  it('that is no such table says what is missing, and can’t be taken', async () => {
    const { look } = show();
    await look('thing,number\nblock,6\n');
    const alert = within(await screen.findByRole('alert'));
    expect(alert.getByText('There is no column “prop”.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Take/ })).toBeNull();
  });

  it('that says what is so already has nothing to take', async () => {
    const { look } = show();
    await look('prop,count\nblock,4\n');
    const button = await screen.findByRole('button', { name: 'Nothing to take' });
    expect(button.matches(':disabled')).toBe(true);
  });
});

import { screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { SetAsideOftenPart } from './set-aside-often.tsx';

standInForServer();

const answer = (classes: number) => ({
  'GET /studio/set-aside': () => ({
    json: {
      weeks: 12,
      classes: 20,
      rules: [{ rule: 'water', classes, reasons: ['bottles at the mat'] }],
    },
  }),
});

it('tells a habit with its reasons, and the school stops looking by one press', async () => {
  const onOff = vi.fn();
  const { user } = showScreen(<SetAsideOftenPart isOff={() => false} onOff={onOff} />, {
    answers: answer(7),
  });
  expect(await screen.findByText(/in 7 of them/)).toBeTruthy();
  expect(screen.getByText('bottles at the mat')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'No longer look at it' }));
  expect(onOff).toHaveBeenCalledWith('water');
});

it('is no habit in two classes', async () => {
  const asked = vi.fn();
  showScreen(<SetAsideOftenPart isOff={() => false} onOff={() => undefined} />, {
    answers: {
      'GET /studio/set-aside': () => {
        asked();
        return answer(2)['GET /studio/set-aside']();
      },
    },
  });
  await vi.waitFor(() => expect(asked).toHaveBeenCalled());
  expect(screen.queryByText(/Set aside again/)).toBeNull();
});

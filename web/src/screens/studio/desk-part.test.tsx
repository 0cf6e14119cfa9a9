import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { DeskState } from '@wrenfern/contract/studio';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { DeskPart } from './desk-part.tsx';

standInForServer();

const TOLD: DeskState['told'] = [
  {
    at: '2026-11-28T10:00:00Z',
    event: 'walked-in',
    person: 'Asha Delun',
    class: { title: 'Evening', startsAt: '2026-11-28T18:00:00Z' },
  },
  { at: '2026-11-28T09:00:00Z', event: 'late-cancelled', person: null, class: null },
];

it('a desk is connected with a secret that is shown once, and disconnected', async () => {
  let isOn = false;
  const { user, sent } = showScreen(<DeskPart isOwner />, {
    answers: {
      'GET /studio/desk': () => ({ json: { isOn, path: '/api/desk/s1', told: [] } }),
      'POST /studio/desk': () => {
        isOn = true;
        return { status: 201, json: { secret: 'shh-0001', path: '/api/desk/s1' } };
      },
      'DELETE /studio/desk': () => {
        isOn = false;
        return { status: 204 };
      },
    },
  });
  await user.click(await screen.findByRole('button', { name: 'Connect a desk' }));
  expect((await screen.findByLabelText<HTMLInputElement>('Secret for the desk')).value).toBe(
    'shh-0001',
  );
  expect(screen.getByLabelText<HTMLInputElement>('Address for the desk').value).toMatch(
    /\/api\/desk\/s1$/,
  );
  await user.click(await screen.findByRole('button', { name: 'Disconnect it' }));
  expect(await screen.findByText(/None is connected/)).toBeTruthy();
  expect(screen.queryByLabelText('Secret for the desk')).toBeNull();
  expect(sent.map(({ route }) => route)).toEqual(['POST /studio/desk', 'DELETE /studio/desk']);
});

it('an instructor reads what it told, and changes nothing', async () => {
  showScreen(<DeskPart isOwner={false} />, {
    answers: { 'GET /studio/desk': () => ({ json: { isOn: true, path: '/x', told: TOLD } }) },
  });
  const lines = (await screen.findAllByRole('listitem', { hidden: true })).map(
    ({ textContent }) => textContent,
  );
  expect(lines[0]).toMatch(/^Asha Delun walked into Evening, /);
  expect(lines[1]).toMatch(/^Somebody cancelled late: a class that is gone, /);
  expect(screen.queryByRole('button')).toBeNull();
});

import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { STUDIO } from '../../testing/a-studio.ts';
import { refusal, showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { WholeStudio } from './whole-studio.tsx';

standInForServer();

const LOOKED = {
  studio: 'Riverside',
  madeAt: '2026-11-20T08:00:00Z',
  holds: { people: 31, classes: 1, exercises: 0, groups: 2, keptPlans: 3 },
  unknownTeachers: ['ida@riverside.example'],
  replaces: { people: 4, classes: 12, exercises: 1, mark: 'mark-1' },
};

async function look(answers: Record<`${string} ${string}`, Answer>) {
  const shown = showScreen(<WholeStudio studio={STUDIO} />, { answers });
  await shown.user.click(screen.getByRole('button', { name: 'The whole studio as a file' }));
  const file = new File(['PK'], 'riverside.zip', { type: 'application/zip' });
  await shown.user.upload(screen.getByLabelText('Look at a file'), file);
  return { ...shown, part: within(screen.getByRole('region', { name: 'In' })) };
}

describe('a studio from a file', () => {
  it('tells what comes and what goes, and is put in place only with the studio’s name', async () => {
    const { user, sent, part } = await look({
      'POST /studio/archive/look': () => ({ json: LOOKED }),
      'PUT /studio/archive': () => ({ status: 204 }),
    });
    expect((await part.findByText(/31 people, 1 class, 0 own exercises/)).textContent).toContain(
      'Riverside',
    );
    expect(part.getByText(/takes the place of 4 people, 12 classes/)).toBeTruthy();
    expect(part.getByText(/will name nobody: ida@riverside\.example/)).toBeTruthy();
    const go = part.getByRole('button', { name: 'Put it in place of what is here' });
    await user.type(part.getByLabelText('Write Tilework Studio to go on'), 'Tilework');
    expect(go.matches(':disabled')).toBe(true);
    await user.type(part.getByLabelText('Write Tilework Studio to go on'), ' Studio');
    await user.click(go);
    await expect.poll(() => sent.map(({ route }) => route)).toContain('PUT /studio/archive');
    expect(await screen.findByText(/Riverside is here, as of/)).toBeTruthy();
  });

  it('says file by file what is wrong with it', async () => {
    const { part } = await look({
      'POST /studio/archive/look': refusal(422, 'invalid', 'Not right.', {
        errors: [
          { path: ['people.json', 3, 'level'], message: 'give 1 to 4' },
          { path: [''], message: 'is no zip file' },
        ],
      }),
    });
    const alert = within(await part.findByRole('alert'));
    expect(alert.getByText('people.json, 3, level: give 1 to 4')).toBeTruthy();
    expect(alert.getByText('It is no zip file.')).toBeTruthy();
  });

  it('is not put in place of what changed meanwhile', async () => {
    const { user, part } = await look({
      'POST /studio/archive/look': () => ({ json: LOOKED }),
      'PUT /studio/archive': refusal(409, 'stale', 'Changed elsewhere'),
    });
    await user.type(await part.findByLabelText(/^Write Tilework/), 'Tilework Studio');
    await user.click(part.getByRole('button', { name: /^Put it/ }));
    expect(await screen.findByText(/Nothing was replaced/)).toBeTruthy();
  });
});

it('a studio goes out only with the password', async () => {
  const { user, sent } = showScreen(<WholeStudio studio={STUDIO} />, {
    answers: {
      'POST /studio/archive': refusal(422, 'invalid', 'Not right.', {
        errors: [{ path: ['password'], message: 'this is not your password' }],
      }),
    },
  });
  await user.click(screen.getByRole('button', { name: 'The whole studio as a file' }));
  await user.type(screen.getByLabelText('Your password'), 'guess');
  await user.click(screen.getByRole('button', { name: 'Save it as a file' }));
  expect(await screen.findByText(/this is not your password/)).toBeTruthy();
  expect(sent[0]?.body).toEqual({ password: 'guess' });
});

import { act, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { RequireSession } from '../../app/shell.tsx';
import { refusal, showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import { Component as SignIn } from './sign-in.tsx';

standInForServer();

const door =
  (change: object = {}): Answer =>
  () => ({
    json: { demo: false, isSetUp: true, allowStudios: false, ...change },
  });

async function fillIn(user: ReturnType<typeof showScreen>['user']) {
  await user.type(await screen.findByLabelText('Email'), 'ida@studio.example');
  await user.type(screen.getByLabelText('Password'), 'a lantern');
  await user.click(screen.getByRole('button', { name: 'Sign in' }));
}

describe('signing in', () => {
  it('asks for the code once the password was right, then sends both', async () => {
    const asked = refusal(401, 'second-factor', 'The code of your second factor is needed.');
    const { user, sent } = showScreen(<SignIn />, {
      answers: {
        'GET /door': door(),
        'POST /session': (body, query) => ('code' in (body as object) ? {} : asked(body, query)),
      },
    });
    await fillIn(user);
    await user.type(await screen.findByLabelText('Code from your authenticator'), '123456');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    await expect.poll(() => sent.length).toBe(2);
    expect(sent[1]?.body).toMatchObject({ password: 'a lantern', code: '123456' });
  });

  it('takes a recovery code from whoever has no authenticator at hand', async () => {
    const asked = refusal(401, 'second-factor', 'The code of your second factor is needed.');
    const { user, sent } = showScreen(<SignIn />, {
      answers: {
        'GET /door': door(),
        'POST /session': (body, query) =>
          'recovery' in (body as object) ? {} : asked(body, query),
      },
    });
    await fillIn(user);
    await user.click(await screen.findByRole('button', { name: 'No authenticator at hand?' }));
    expect(screen.queryByLabelText('Code from your authenticator')).toBeNull();
    await user.type(screen.getByLabelText('Recovery code'), 'AAAA-BBBB-CCCC-DDDD');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    await expect.poll(() => sent.length).toBe(2);
    expect(sent[1]?.body).toEqual({
      email: 'ida@studio.example',
      password: 'a lantern',
      recovery: 'AAAA-BBBB-CCCC-DDDD',
    });
  });

  it('says what was wrong and keeps what was typed', async () => {
    const { user } = showScreen(<SignIn />, {
      answers: {
        'GET /door': door(),
        'POST /session': refusal(401, 'wrong-credentials', 'Email or password is wrong.'),
      },
    });
    await fillIn(user);
    expect((await screen.findByRole('alert')).textContent).toBe('Email or password is wrong.');
    expect(screen.getByLabelText<HTMLInputElement>('Email').value).toBe('ida@studio.example');
  });

  it('shows the studio to whoever signs out and comes in again at once', async () => {
    const { user, router } = showScreen(null, {
      at: '/people',
      routes: [
        { path: '/sign-in', element: <SignIn /> },
        {
          path: '*',
          element: (
            <RequireSession>
              <p>inside</p>
            </RequireSession>
          ),
        },
      ],
      answers: { 'GET /door': door(), 'POST /session': () => ({}) },
      dedupingMs: 2000,
    });
    expect(await screen.findByText('inside')).toBeTruthy();
    await act(() => router.navigate('/sign-in'));
    await fillIn(user);
    expect(await screen.findByText('inside')).toBeTruthy();
  });

  it('goes back to where the reader was going, and to nowhere outside', async () => {
    for (const [to, reached] of [
      ['/people', '/people'],
      ['//elsewhere.example', '/'],
    ] as const) {
      const { user, router } = showScreen(<SignIn />, {
        at: `/sign-in?to=${encodeURIComponent(to)}`,
        answers: { 'GET /door': door(), 'POST /session': () => ({}) },
      });
      const fields = await screen.findAllByLabelText('Email');
      await user.type(fields.at(-1) ?? document.body, 'ida@studio.example');
      await user.type(screen.getAllByLabelText('Password').at(-1) ?? document.body, 'a lantern');
      const buttons = screen.getAllByRole('button', { name: 'Sign in' });
      await user.click(buttons.at(-1) ?? document.body);
      await expect.poll(() => router.state.location.pathname).toBe(reached);
    }
  });
});

describe('the door', () => {
  it('offers a demo only while nobody has set up a studio', async () => {
    showScreen(<SignIn />, { answers: { 'GET /door': door({ demo: true, isSetUp: false }) } });
    expect(await screen.findByRole('link', { name: 'Look round in a demo studio' })).toBeTruthy();
  });

  it('shows no word of a demo on the page of a real studio', async () => {
    showScreen(<SignIn />, { answers: { 'GET /door': door({ demo: true }) } });
    expect(await screen.findByRole('button', { name: 'Set up another studio' })).toBeTruthy();
    expect(screen.queryByText(/demo/i)).toBeNull();
  });
});

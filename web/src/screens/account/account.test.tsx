import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Account } from '@wrenfern/contract/account';
import {
  OWNER_SESSION,
  refusal,
  showScreen,
  standInForServer,
} from '../../testing/show-screen.tsx';
import { Component as AccountScreen } from './account.tsx';

standInForServer();

const ACCOUNT: Account = {
  name: 'Ida Fenn',
  email: 'ida@studio.example',
  role: 'owner',
  until: null,
  hasSecondFactor: false,
  recoveryCodesLeft: 0,
  pace: null,
  sessions: [
    {
      id: 's1',
      device: 'Firefox on Linux',
      startedAt: '2026-11-20T08:00:00Z',
      seenAt: '2026-11-28T08:00:00Z',
      isThis: true,
    },
    {
      id: 's2',
      device: 'Safari on a tablet',
      startedAt: '2026-11-21T08:00:00Z',
      seenAt: '2026-11-27T08:00:00Z',
      isThis: false,
    },
  ],
};

const NOTHING_TAUGHT = () => ({ json: { classes: [], next: null } });

const CODES = ['AAAA-BBBB-CCCC-DDDD', 'EEEE-FFFF-GGGG-HHHH'];

describe('the second factor', () => {
  it('is set up with a picture, a key to type and the first code, and hands out recovery codes', async () => {
    let account = ACCOUNT;
    const { user, sent } = showScreen(<AccountScreen />, {
      answers: {
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () => ({ json: account }),
        'POST /account/second-factor': () => ({
          json: { secret: 'JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP', uri: 'otpauth://totp/Wrenfern' },
        }),
        'PUT /account/second-factor': () => {
          account = { ...ACCOUNT, hasSecondFactor: true, recoveryCodesLeft: 2 };
          return { json: { recoveryCodes: CODES } };
        },
      },
    });
    const part = within(await screen.findByRole('region', { name: 'Second factor' }));
    await user.type(part.getByLabelText('Your password'), 'a lantern');
    await user.click(part.getByRole('button', { name: 'Set it up' }));
    expect(await part.findByTitle(/picture for your authenticator/)).toBeTruthy();
    expect(part.getByText(/^JBSW Y3DP/)).toBeTruthy();
    await user.type(part.getByLabelText('The code it shows'), '123456');
    await user.click(part.getByRole('button', { name: 'Use it' }));
    for (const code of CODES) expect(await part.findByText(code)).toBeTruthy();
    expect(sent.at(-1)?.body).toEqual({
      password: 'a lantern',
      secret: 'JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP',
      code: '123456',
    });
    await user.click(part.getByRole('button', { name: 'I have kept them' }));
    expect(part.queryByText(CODES[0] ?? '')).toBeNull();
    expect(await part.findByText(/2 recovery codes are left/)).toBeTruthy();
  });

  it('says a wrong code beside the form and keeps what was typed', async () => {
    const { user } = showScreen(<AccountScreen />, {
      answers: {
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () => ({ json: ACCOUNT }),
        'POST /account/second-factor': refusal(422, 'invalid', 'Something is not right.', {
          errors: [{ path: ['password'], message: 'this is not your password' }],
        }),
      },
    });
    const part = within(await screen.findByRole('region', { name: 'Second factor' }));
    await user.type(part.getByLabelText('Your password'), 'wrong');
    await user.click(part.getByRole('button', { name: 'Set it up' }));
    expect((await part.findByRole('alert')).textContent).toMatch(/not your password/);
    expect(part.getByLabelText<HTMLInputElement>('Your password').value).toBe('wrong');
  });

  it('can’t be ended where the studio asks everybody for one', async () => {
    const { studio } = OWNER_SESSION;
    showScreen(<AccountScreen />, {
      answers: {
        'GET /session': () => ({
          json: { ...OWNER_SESSION, studio: { ...studio, needsSecondFactor: true } },
        }),
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () => ({
          json: { ...ACCOUNT, hasSecondFactor: true, recoveryCodesLeft: 1 },
        }),
      },
    });
    expect(await screen.findByText(/One recovery code is left/)).toBeTruthy();
    expect(await screen.findByText(/asks everybody for one: it stays/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'End it' })).toBeNull();
  });

  it('is asked for at the top where it is missing and must be there', async () => {
    const { user: known } = OWNER_SESSION;
    showScreen(<AccountScreen />, {
      answers: {
        'GET /session': () => ({
          json: { ...OWNER_SESSION, user: { ...known, lacksSecondFactor: true } },
        }),
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () => ({ json: ACCOUNT }),
      },
    });
    expect(await screen.findByText(/everything else opens/)).toBeTruthy();
  });
});

describe('the password', () => {
  it('shows the server’s sentence at the field that it is about', async () => {
    const { user } = showScreen(<AccountScreen />, {
      answers: {
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () => ({ json: ACCOUNT }),
        'PUT /account/password': refusal(422, 'invalid', 'Something is not right.', {
          errors: [{ path: ['next'], message: 'this is easily guessed; choose another' }],
        }),
      },
    });
    await user.type(await screen.findByLabelText('The one you have'), 'a lantern');
    await user.type(screen.getByLabelText('The one you want'), 'password12345');
    await user.click(screen.getByRole('button', { name: 'Change it' }));
    const field = screen.getByLabelText('The one you want');
    expect(await screen.findByText(/easily guessed/)).toBeTruthy();
    expect(field.getAttribute('aria-invalid')).toBe('true');
  });
});

describe('where one is signed in', () => {
  it('ends one device by its name and never offers to end this one', async () => {
    let sessions = ACCOUNT.sessions;
    const { user, sent } = showScreen(<AccountScreen />, {
      answers: {
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () => ({ json: { ...ACCOUNT, sessions } }),
        'DELETE /account/sessions/s2': () => {
          sessions = sessions.slice(0, 1);
          return {};
        },
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Sign out Safari on a tablet' }));
    expect(sent).toEqual([{ route: 'DELETE /account/sessions/s2', body: undefined }]);
    await expect.poll(() => screen.queryByText('Safari on a tablet')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Sign out Firefox on Linux' })).toBeNull();
  });
});

describe('an account that can’t be read', () => {
  it('says so and offers to try again', async () => {
    let isAway = true;
    const { user } = showScreen(<AccountScreen />, {
      answers: {
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () =>
          isAway
            ? {
                status: 503,
                json: { code: 'database-away', title: 'The database does not answer.' },
              }
            : { json: ACCOUNT },
      },
    });
    expect(await screen.findByText(/database does not answer/)).toBeTruthy();
    isAway = false;
    await user.click(screen.getByRole('button', { name: /again/i }));
    expect(await screen.findByRole('heading', { name: 'Ida Fenn' })).toBeTruthy();
  });
});

describe('how I teach', () => {
  it('is the studio’s until it is answered, can follow my classes, and be the studio’s again', async () => {
    let account = ACCOUNT;
    const { user, sent } = showScreen(<AccountScreen />, {
      answers: {
        'GET /account/taught': NOTHING_TAUGHT,
        'GET /account': () => ({ json: account }),
        'PUT /account/pace': (body) => {
          account = { ...ACCOUNT, ...(body as Pick<Account, 'pace'>) };
          return { status: 204 };
        },
      },
    });
    const part = within(await screen.findByRole('region', { name: 'How I teach' }));
    expect(part.getByText(/forecast as the studio teaches/)).toBeTruthy();
    expect(part.queryByRole('button', { name: 'As the studio teaches' })).toBeNull();
    await user.selectOptions(part.getByLabelText('I count'), 'slower than most');
    const last = () => sent.findLast(({ route }) => route === 'PUT /account/pace')?.body;
    await waitFor(() =>
      expect(last()).toMatchObject({ pace: { workFactor: 1.1, setUpFactor: 1, follows: false } }),
    );
    await user.click(await part.findByText('follows my classes'));
    await waitFor(() => expect(last()).toMatchObject({ pace: { workFactor: 1.1, follows: true } }));
    await user.click(part.getByRole('button', { name: 'As the studio teaches' }));
    await waitFor(() => expect(last()).toEqual({ pace: null }));
  });
});

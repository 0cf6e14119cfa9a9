import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Invitation, TeamMember } from '@wrenfern/contract/studio';
import { refusal, showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { TeamPart } from './team-part.tsx';

standInForServer();

const IDA: TeamMember = {
  id: 'u1',
  name: 'Ida Fenn',
  email: 'ida@studio.example',
  role: 'owner',
  until: null,
  hasSecondFactor: false,
};
const BRAM: TeamMember = {
  id: 'u2',
  name: 'Bram Oaks',
  email: 'bram@studio.example',
  role: 'instructor',
  until: null,
  hasSecondFactor: false,
};

const team = (members = [IDA, BRAM], invitations: Invitation[] = []) => ({
  'GET /team': () => ({ json: { team: members, invitations } }),
});

describe('the team, for its owner', () => {
  it('is invited by a link that is shown once', async () => {
    const { user, sent } = showScreen(<TeamPart isOwner />, {
      answers: {
        ...team(),
        'POST /team/invitations': () => ({ status: 201, json: { id: 'i1', path: '/join#secret' } }),
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Invite somebody' }));
    await user.type(screen.getByLabelText('Name'), 'Nia Wells');
    await user.type(screen.getByLabelText('Email'), 'nia@studio.example');
    await user.selectOptions(screen.getByLabelText('Part'), 'cover');
    await user.click(screen.getByRole('button', { name: 'Make the link' }));
    const link = await screen.findByLabelText<HTMLInputElement>('One-time link');
    expect(link.value).toMatch(/\/join#secret$/);
    expect(sent[0]?.body).toEqual({
      name: 'Nia Wells',
      email: 'nia@studio.example',
      role: 'cover',
      until: null,
    });
    await user.keyboard('{Escape}');
    await user.click(screen.getByRole('button', { name: 'Invite somebody' }));
    expect(screen.queryByLabelText('One-time link')).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('');
  });

  it('says what is missing before anything is sent', async () => {
    const { user, sent } = showScreen(<TeamPart isOwner />, { answers: team() });
    await user.click(await screen.findByRole('button', { name: 'Invite somebody' }));
    await user.click(screen.getByRole('button', { name: 'Make the link' }));
    expect(await screen.findByText('Give a name.')).toBeTruthy();
    expect(screen.getByText('Give an email address.')).toBeTruthy();
    expect(sent).toEqual([]);
  });

  it('gives another part to others, never to oneself', async () => {
    const { user, sent } = showScreen(<TeamPart isOwner />, {
      answers: {
        ...team(),
        'PATCH /team/u2': () => ({ json: { ...BRAM, role: 'reader' } }),
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Change Bram Oaks' }));
    expect(screen.queryByRole('button', { name: 'Change Ida Fenn' })).toBeNull();
    const sheet = within(screen.getByRole('dialog'));
    await user.selectOptions(sheet.getByLabelText('Part'), 'reader');
    await user.click(sheet.getByRole('button', { name: 'Change the part' }));
    await expect.poll(() => screen.queryByRole('dialog')).toBeNull();
    expect(sent[0]?.body).toEqual({ role: 'reader', until: null });
  });

  it('keeps the sheet open when something is refused, and says why', async () => {
    const { user } = showScreen(<TeamPart isOwner />, {
      answers: {
        ...team(),
        'DELETE /team/u2': refusal(403, 'not-allowed', 'Your part does not include this.'),
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Change Bram Oaks' }));
    await user.click(screen.getByRole('button', { name: 'Take out of the team' }));
    expect(await screen.findByText('Your part does not include this.')).toBeTruthy();
    expect(screen.getByRole('dialog', { hidden: true })).toBeTruthy();
  });
});

describe('the team, for everybody else', () => {
  it('is to look at', async () => {
    showScreen(<TeamPart isOwner={false} />, { answers: team() });
    expect(await screen.findByText('Bram Oaks')).toBeTruthy();
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});

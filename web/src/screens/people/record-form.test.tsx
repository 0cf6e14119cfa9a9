import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { RecordForm } from './record-form.tsx';

standInForServer();

const tove = Person.parse({
  id: 'tove',
  name: 'Tove',
  level: 3,
  usualOptions: { clam: 2 },
  holds: { breath: 1 },
  cautions: [{ caution: 'knee', since: '2026-03-01', clearedBy: 'physiotherapist' }],
});

describe('the form of a record', () => {
  it('says beside the field what would be refused, and sends nothing', async () => {
    const { user, sent } = showScreen(<RecordForm known={undefined} />);
    await user.type(screen.getByLabelText('Name'), '   ');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('give a name')).toBeTruthy();
    expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true');
    await user.type(screen.getByLabelText('Add a caution'), 'sore wrist{Enter}');
    await user.type(screen.getByLabelText('Cleared by'), 'a'.repeat(121));
    expect(await screen.findByText(/120/)).toBeTruthy();
    expect(sent).toEqual([]);
  });

  it('sends what was changed and keeps what it does not show', async () => {
    const { user, sent } = showScreen(<RecordForm known={{ ...tove, revision: 7 }} />, {
      answers: { 'PUT /people/tove': () => ({ json: { ...tove, revision: 8 } }) },
    });
    await user.selectOptions(screen.getByLabelText('Springs on the reformer'), 'a step lighter');
    await user.click(screen.getByRole('button', { name: 'Remove Knee' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await expect.poll(() => sent.length).toBe(1);
    const { id: _, ...body } = tove;
    expect(sent[0]?.body).toEqual({ ...body, springs: 'lighter', cautions: [], revision: 7 });
  });
});

import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import { showScreen, standInForServer, type Answer } from '../../testing/show-screen.tsx';
import type { AttendedClasses } from '@wrenfern/contract/people';
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

const answersFor = (attended: AttendedClasses): Record<`${string} ${string}`, Answer> => ({
  'GET /people/tove/attended': () => ({ json: attended }),
  'PUT /people/tove': () => ({ json: { ...tove, revision: 8 } }),
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
      answers: answersFor({ classes: [] }),
    });
    await user.selectOptions(screen.getByLabelText('Springs on the reformer'), 'a step lighter');
    await user.click(screen.getByRole('button', { name: 'Remove Knee' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await expect.poll(() => sent.length).toBe(1);
    const { id: _, ...body } = tove;
    expect(sent[0]?.body).toEqual({ ...body, springs: 'lighter', cautions: [], revision: 7 });
  });

  it('takes what the log suggests, each with its evidence, and sends it only when saved', async () => {
    const day = '2026-11-26';
    const done = [{ exercise: 'clam', option: 3 }];
    const { user, sent } = showScreen(<RecordForm known={{ ...tove, revision: 7 }} />, {
      answers: answersFor({ classes: [{ day, done }] }),
    });
    const suggested = within(await screen.findByRole('region', { name: 'Suggested from the log' }));
    const clam = suggested
      .getAllByRole('listitem')
      .find(({ textContent }) => textContent.includes('Clam: option 3'));
    expect(clam?.textContent).toContain('did it on 2026-11-26');
    await user.click(within(clam as HTMLElement).getByRole('button', { name: 'Take it' }));
    expect(suggested.queryByText(/Clam: option 3/)).toBeNull();
    expect(screen.getByLabelText<HTMLSelectElement>('both sides').value).toBe('3');
    expect(sent).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'each side' }));
    await user.selectOptions(screen.getByLabelText('left'), '2');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await expect.poll(() => sent.length).toBe(1);
    expect(sent[0]?.body).toMatchObject({ usualOptions: { clam: { right: 3, left: 2 } } });
  });
});

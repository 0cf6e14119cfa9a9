import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { useStudio } from '../../data/use-studio.ts';
import { STUDIO } from '../../testing/a-studio.ts';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { OwnNumbersPart } from './own-numbers-part.tsx';

standInForServer();

function Part({ isOwner }: { isOwner: boolean }) {
  const { data } = useStudio();
  return data ? <OwnNumbersPart studio={data} isOwner={isOwner} /> : null;
}

function show(ownBounds: StudioSettings['ownBounds'] = [], isOwner = true) {
  return showScreen(<Part isOwner={isOwner} />, {
    answers: {
      'GET /studio': () => ({ json: { ...STUDIO, ownBounds } }),
      'PATCH /studio': (body) => ({
        json: { ...STUDIO, ...(body as Partial<StudioSettings>), revision: 2 },
      }),
    },
  });
}

async function openWrist(user: ReturnType<typeof showScreen>['user']) {
  await user.type(await screen.findByLabelText('Change a caution’s numbers'), 'sore wrist');
  await user.click((await screen.findAllByRole('button', { name: /wrist/i }))[0] as HTMLElement);
  const [row] = (await screen.findAllByRole('listitem')).filter(({ textContent }) =>
    /left out from 10 % of the weight/.test(textContent),
  );
  if (!row) throw new Error('the wrist’s number is not there');
  return within(row);
}

describe('numbers of the studio’s own', () => {
  it('begin earlier by a number alone', async () => {
    const { user, sent } = show();
    const row = await openWrist(user);
    await user.type(row.getByLabelText('Ours, % of the weight'), '6');
    expect(row.queryByLabelText('Who cleared it')).toBeNull();
    await user.click(row.getByRole('button', { name: 'Use ours' }));
    const own = await screen.findByRole('list', { name: 'Numbers of your own' });
    expect(own.textContent).toContain('left out from 6 % of the weight');
    expect(sent[0]?.body).toMatchObject({
      ownBounds: [{ caution: 'wrist', ask: 'wrist', effect: 'avoid', from: 0.06 }],
    });
  });

  it('let more through only once it is said who cleared it', async () => {
    const { user, sent } = show();
    const row = await openWrist(user);
    await user.type(row.getByLabelText('Ours, % of the weight'), '30');
    const use = row.getByRole('button', { name: 'Use ours' });
    expect(use.matches(':disabled')).toBe(true);
    await user.type(row.getByLabelText('Who cleared it'), 'our physiotherapist');
    await user.click(use);
    expect(await screen.findByText(/Cleared by our physiotherapist/)).toBeTruthy();
    expect(sent[0]?.body).toMatchObject({
      ownBounds: [{ from: 0.3, clearedBy: 'our physiotherapist' }],
    });
  });

  it('are read by who does not own the studio, and changed by nobody else', async () => {
    show([{ caution: 'wrist', ask: 'wrist', effect: 'avoid', from: 0.06 }], false);
    expect(await screen.findByText(/left out from 6 %/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByLabelText('Change a caution’s numbers')).toBeNull();
  });
});

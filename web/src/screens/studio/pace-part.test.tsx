import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LoggedParts } from '@wrenfern/core/log/logged-parts';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { useStudio } from '../../data/use-studio.ts';
import { STUDIO } from '../../testing/a-studio.ts';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { PacePart } from './pace-part.tsx';

standInForServer();

/** Ten exercises of a class whose words took half as long again; one was interrupted. */
const PARTS = Array.from({ length: 10 }, (_, index): LoggedParts => {
  const [wordsS, workS] = [10 + 3 * (index % 4), 30 + 10 * (index % 3)];
  const taughtS = index === 9 ? 900 : 1.5 * wordsS + workS;
  return { name: `Item ${index}`, wordsS, workS, isOpen: false, clockS: 0, taughtS };
});

const NEXT = { title: 'Evening mat', startsAt: '2026-12-01T18:00:00Z', nowS: 3000, thenS: 3120 };

function Part() {
  const { data } = useStudio();
  return data ? <PacePart studio={data} isOwner /> : null;
}

function show(parts: LoggedParts[][]) {
  let pace = STEADY_PACE;
  return showScreen(<Part />, {
    answers: {
      'GET /studio': () => ({ json: { ...STUDIO, pace } }),
      'GET /studio/taught': () => ({
        json: {
          classes: parts.map((each) => ({ title: 'A', day: '2026-11-26', parts: each })),
          next: NEXT,
        },
      }),
      'PATCH /studio': (body) => {
        ({ pace } = body as StudioSettings);
        return { json: { ...STUDIO, pace, revision: 2 } };
      },
    },
  });
}

describe('pace learned from classes', () => {
  it('is told with its evidence, changes nothing by itself, and is used by one press', async () => {
    const { user, sent } = show([PARTS, PARTS]);
    const learned = within(
      await screen.findByRole('region', { name: 'Learned from taught classes' }),
    );
    expect(learned.getByText('Learned from 2 classes')).toBeTruthy();
    expect(learned.getByText(/^1[45]\d % in 2 classes, believed by \d\d %$/)).toBeTruthy();
    expect(learned.getByText(/^Left out.*Item 9, 15:00/)).toBeTruthy();
    expect(learned.getByText(/Evening mat on Tuesday 1 December/).textContent).toContain(
      '52:00 in place of 50:00, 2:00 longer',
    );
    expect(sent.filter(({ route }) => route.startsWith('PATCH'))).toEqual([]);
    await user.click(learned.getByRole('button', { name: 'Use it' }));
    const patched = () => sent.find(({ route }) => route.startsWith('PATCH'));
    await waitFor(() => expect(patched()?.body).toHaveProperty('pace'));
    const { pace } = patched()?.body as StudioSettings;
    // Believed by less than 86 %, the weight of two classes whose parts are measured: 1.5 to the power of that.
    expect(pace.teachingFactor).toBeGreaterThan(1.1);
    expect(pace.teachingFactor).toBeLessThan(1.42);
    expect(pace.setUpFactor).toBe(pace.teachingFactor);
    expect(pace.workFactor).toBeCloseTo(1, 1);
    expect(pace.classes).toBe(2);
    expect(await screen.findByRole('button', { name: 'In use' })).toBeTruthy();
  });

  it('says what to do before anything was taught', async () => {
    show([]);
    expect(await screen.findByText(/^Once a class is taught with Teach/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Use it' })).toBeNull();
  });
});

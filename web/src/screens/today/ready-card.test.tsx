import { afterEach, describe, expect, it } from 'vitest';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { ReadyCard } from './ready-card.tsx';

const lesson: ReadyClass = {
  id: 'one',
  title: 'Evening',
  startsAt: '2026-12-01T17:00:00.000Z',
  targetS: 2700,
  coming: [],
  taught: false,
  machine: 'mat',
  calledOff: null,
  isRepeated: false,
  lastOfSeries: null,
  instructor: null,
  school: null,
  items: 12,
  exercises: [],
  detailsRevision: 1,
  state: 'ready',
  ready: {
    totalS: 2700,
    likely: { lowS: 2500, highS: 2900 },
    items: 12,
    directions: {
      round: 0,
      arch: 0,
      'turn-left': 0,
      'turn-right': 0,
      'side-left': 0,
      'side-right': 0,
    },
    swell: [],
    toSettle: {
      time: ['4:00 over.'],
      options: ['Ola has no option.'],
      props: ['One ball short.'],
      order: ['The first.', 'The second.', 'The third.'],
    },
  },
};

function show(toSettle: Partial<NonNullable<ReadyClass['ready']>['toSettle']>) {
  const ready = lesson.ready && {
    ...lesson.ready,
    toSettle: { time: [], options: [], props: [], order: [], ...toSettle },
  };
  render(
    <SWRConfig value={{ provider: () => new Map(), fetcher: () => null }}>
      <MemoryRouter>
        <ReadyCard lesson={{ ...lesson, ready }} zone="UTC" large={false} />
      </MemoryRouter>
    </SWRConfig>,
  );
  return screen.getByRole('article').textContent;
}

afterEach(cleanup);

describe('a class on Today', () => {
  it('tells two sentences at most, people and the clock first, and where the rest is', () => {
    const text = show(lesson.ready?.toSettle ?? {});
    expect(text).toContain('Ola has no option.');
    expect(text).toContain('4:00 over.');
    expect(text).not.toMatch(/One ball short|The first/);
    expect(text).toContain('Props. 1 in the plan.');
    expect(text).toContain('Order. 3 in the plan.');
  });

  it('tells a second of one side where no other has any', () => {
    const text = show({ order: ['The first.', 'The second.', 'The third.'] });
    expect(text).toContain('The first. The second. And 1 more.');
    expect(text).toContain('Everyone has an option');
  });
});

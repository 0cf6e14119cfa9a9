import { act, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { WallTold } from '@wrenfern/contract/wall';
import { builtInCatalogue } from '@wrenfern/library';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { Component as Wall } from './wall.tsx';

standInForServer();

/** What the page in tests has none of: a stream, spoken into by the test. */
class SpokenStream {
  static CLOSED = 2;
  static last: SpokenStream | undefined;
  readyState = 1;
  onmessage: ((event: { data: string }) => void) | undefined;
  onerror: (() => void) | undefined;
  readonly url: string;
  constructor(url: string) {
    this.url = url;
    SpokenStream.last = this;
  }
  close(): void {
    this.readyState = SpokenStream.CLOSED;
  }
}
beforeEach(() => {
  globalThis.EventSource = SpokenStream as unknown as typeof EventSource;
});

const option = builtInCatalogue.require('clam').options[0];
if (!option) throw new Error('no option');
const RUNNING: WallTold = {
  title: 'Evening',
  status: 'running',
  fetch: [],
  now: {
    name: 'Clam',
    dose: '10 each side',
    side: 'right',
    part: 'work',
    breath: ['out: open'],
    versions: [{ words: '1 · Small', drawn: { option, view: 'above' } }],
    itemLeftS: 75,
    partLeftS: 30,
    count: { now: 3, of: 10, eachS: 4 },
    classElapsedS: 300,
  },
  next: { name: 'Bird dog', fetch: ['knee pad'] },
};

function show() {
  showScreen(<Wall />, {
    at: '/wall/secret',
    routes: [{ path: '/wall/:token', element: <Wall /> }],
  });
  const stream = SpokenStream.last;
  if (!stream) throw new Error('nothing was opened');
  const tell = (told: unknown) => act(() => stream.onmessage?.({ data: JSON.stringify(told) }));
  return { stream, tell };
}

describe('the wall', () => {
  it('shows what is done, how long still, and what comes with what', () => {
    const { stream, tell } = show();
    expect(stream.url).toBe('/api/wall/secret/stream');
    tell(RUNNING);
    expect(screen.getByRole('heading', { name: 'Clam' })).toBeTruthy();
    expect(screen.getByText('1:15')).toBeTruthy();
    expect(screen.getByText('3 of 10')).toBeTruthy();
    expect(screen.getByText('1 · Small')).toBeTruthy();
    expect(screen.getByText('with: knee pad')).toBeTruthy();
  });

  it('before it begins says what to fetch', () => {
    const { tell } = show();
    tell({ title: 'Evening', status: 'ready', fetch: ['small ball', 'pad'] });
    expect(screen.getByText(/Please fetch: small ball and pad/)).toBeTruthy();
  });

  it('says that the line is lost where it hears what it can’t read, and shows what it last knew', () => {
    const { tell } = show();
    tell(RUNNING);
    tell({ status: 'of another version' });
    expect(screen.getByRole('alert').textContent).toMatch(/line to the class is lost/);
    expect(screen.getByRole('heading', { name: 'Clam' })).toBeTruthy();
  });

  it('is over when the address was taken back', () => {
    const { stream } = show();
    act(() => {
      stream.close();
      stream.onerror?.();
    });
    expect(screen.getByText(/taken back/)).toBeTruthy();
  });
});

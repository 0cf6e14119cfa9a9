import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { NowView } from '@wrenfern/core/live/run-class';
import { useChime } from './use-chime.ts';

const started = vi.fn();

/** As much of a browser's sound as a tone needs. */
class QuietAudio {
  currentTime = 0;
  destination = {};
  createOscillator = () => ({
    frequency: { value: 0 },
    connect: (next: unknown) => next,
    start: started,
    stop: vi.fn(),
  });
  createGain = () => ({
    gain: { setValueAtTime: vi.fn(), exponentialRampToValueAtTime: vi.fn() },
    connect: (next: unknown) => next,
  });
}

/** A moment of an item that is held, then done again on the other side. */
function moment(startS: number, partLeftS: number, change: object = {}): NowView {
  const part = { kind: 'work', varies: 'clock', startS: 100 + startS, durationS: 30, ...change };
  return { item: { itemId: 'hold', startS: 100 }, part, partLeftS } as unknown as NowView;
}

function hear(moments: NowView[]) {
  const shown = renderHook(({ now }) => useChime(now), { initialProps: { now: moments[0] } });
  const sounds = () => started.mock.calls.length;
  for (const now of moments.slice(1)) shown.rerender({ now });
  return { ...shown, sounds };
}

beforeEach(() => {
  localStorage.clear();
  started.mockClear();
  vi.stubGlobal('AudioContext', QuietAudio);
});

describe('the chime', () => {
  it('is silent until it is asked for, sounds when it is, and is remembered', () => {
    const { result, sounds } = hear([moment(10, 5), moment(40, 30)]);
    expect(sounds()).toBe(0);
    act(() => result.current.toggle());
    expect(sounds()).toBe(1);
    expect(localStorage.getItem('wrenfern-chime')).toBe('on');
  });

  it('sounds once when a hold is over, by the next part or by the clock alone', () => {
    localStorage.setItem('wrenfern-chime', 'on');
    expect(hear([moment(10, 5), moment(10, 1), moment(40, 30)]).sounds()).toBe(1);
    started.mockClear();
    expect(hear([moment(10, 1), moment(10, 0), moment(10, 0)]).sounds()).toBe(1);
  });

  it('does not sound for repetitions, nor when somebody goes on', () => {
    localStorage.setItem('wrenfern-chime', 'on');
    const counted = { varies: 'work' };
    expect(hear([moment(10, 1, counted), moment(40, 30, counted)]).sounds()).toBe(0);
    const next = { ...moment(0, 30), item: { itemId: 'next', startS: 100 } } as NowView;
    expect(hear([moment(10, 5), next]).sounds()).toBe(0);
  });
});

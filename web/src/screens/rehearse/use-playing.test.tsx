import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { usePlaying } from './use-playing.ts';

beforeEach(
  () => void vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] }),
);
afterEach(() => void vi.useRealTimers());

const pass = (ms: number): void =>
  act(() => {
    vi.advanceTimersByTime(ms);
  });

describe('a class that is played', () => {
  it('goes on at the speed that is chosen, and stands where it is stopped', () => {
    const { result } = renderHook(() => usePlaying(600, () => undefined));
    act(() => result.current.setSpeed(10));
    act(() => result.current.play());
    pass(2000);
    expect(result.current.atS).toBeCloseTo(20, 0);
    act(() => result.current.pause());
    const stoodAt = result.current.atS;
    pass(3000);
    expect(result.current.atS).toBe(stoodAt);
  });

  it('halts at what lies on its way, and goes on behind it', () => {
    const haltAt = (fromS: number, toS: number) => (fromS < 12 && toS >= 12 ? 12 : undefined);
    const { result } = renderHook(() => usePlaying(600, haltAt));
    act(() => result.current.setSpeed(30));
    act(() => result.current.play());
    pass(3000);
    expect(result.current.atS).toBe(12);
    expect(result.current.isPlaying).toBe(false);
    act(() => result.current.play());
    pass(1000);
    expect(result.current.atS).toBeGreaterThan(30);
  });

  it('ends at the end and begins again from there', () => {
    const { result } = renderHook(() => usePlaying(60, () => undefined));
    act(() => result.current.setSpeed(30));
    act(() => result.current.play());
    pass(4000);
    expect(result.current.atS).toBe(60);
    expect(result.current.isPlaying).toBe(false);
    act(() => result.current.play());
    expect(result.current.atS).toBe(0);
    act(() => result.current.go(1000));
    expect(result.current.atS).toBe(60);
  });
});

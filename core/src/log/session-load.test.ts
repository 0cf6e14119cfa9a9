import { describe, expect, it } from 'vitest';
import { LiveEvent } from '../live/events.ts';
import { effortOfEach, sessionLoad } from './session-load.ts';

const said = (order: number, personId: string, rating: number) =>
  LiveEvent.parse({ type: 'effort', id: `pressed-${order}`, atMs: order, order, personId, rating });

describe('how hard a class was', () => {
  it('is what was said last, for each by themselves', () => {
    const events = [said(1, 'asha', 5), said(2, 'pia', 8), said(3, 'asha', 6)];
    expect(effortOfEach(events)).toEqual(
      new Map([
        ['asha', 6],
        ['pia', 8],
      ]),
    );
  });

  it('counts no more once it is taken back', () => {
    const back = { type: 'takeBack', id: 'pressed-back', atMs: 4, order: 4, eventId: 'pressed-2' };
    const events = [said(1, 'asha', 5), said(2, 'asha', 9), LiveEvent.parse(back)];
    expect(effortOfEach(events).get('asha')).toBe(5);
  });

  it('is 0 to 10', () => {
    for (const rating of [-1, 11, 4.5]) expect(() => said(1, 'asha', rating)).toThrow();
  });

  it.each([
    // Worked examples of the method: rating x minutes.
    [4, 50 * 60, 200],
    [7, 45 * 60, 315],
    [0, 3600, 0],
  ])('%i for %i s is a load of %i', (rating, tookS, load) => {
    expect(sessionLoad(rating, tookS)).toBe(load);
  });
});

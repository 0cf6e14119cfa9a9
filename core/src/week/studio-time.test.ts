import { describe, expect, it } from 'vitest';
import { dayAfter, dayIn, momentIn, timeIn, weekOf } from './studio-time.ts';

describe('the studio’s clock', () => {
  it.each([
    // Lisbon is one hour ahead of UTC in summer, with it in winter; the clocks go back on 25 October 2026.
    ['Europe/Lisbon', '2026-10-24', '18:00', '2026-10-24T17:00:00.000Z'],
    ['Europe/Lisbon', '2026-10-25', '18:00', '2026-10-25T18:00:00.000Z'],
    ['Europe/Lisbon', '2026-10-25', '00:30', '2026-10-24T23:30:00.000Z'],
    ['Pacific/Auckland', '2026-01-05', '07:30', '2026-01-04T18:30:00.000Z'],
    ['America/St_Johns', '2026-07-01', '12:15', '2026-07-01T14:45:00.000Z'],
  ])('in %s on %s at %s is %s, and back', (zone, day, time, iso) => {
    expect(momentIn(zone, day, time)).toBe(iso);
    expect([dayIn(zone, iso), timeIn(zone, iso)]).toEqual([day, time]);
  });

  it('counts days over the end of months and of summer time', () => {
    expect(dayAfter('2026-10-24', 7)).toBe('2026-10-31');
    expect(dayAfter('2026-03-01', -1)).toBe('2026-02-28');
    expect(dayAfter('2028-02-28', 1)).toBe('2028-02-29');
  });

  it.each([
    ['2026-11-28', '2026-11-23'],
    ['2026-11-23', '2026-11-23'],
    ['2026-11-29', '2026-11-23'],
    ['2027-01-01', '2026-12-28'],
  ])('the week of %s begins on Monday %s', (day, monday) => expect(weekOf(day)).toBe(monday));
});

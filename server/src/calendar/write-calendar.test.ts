import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { writeCalendar, type CalendarClass } from './write-calendar.ts';

const lesson = (
  id: string,
  startsAt: string,
  more: Partial<CalendarClass> = {},
): CalendarClass => ({
  id,
  title: 'Machines, mixed ability',
  startsAt: new Date(startsAt),
  lengthS: 2700,
  machine: 'reformer',
  instructor: 'Tamsin Orrell',
  sequence: 0,
  changedAt: new Date('2026-11-20T08:00:00Z'),
  calledOff: undefined,
  ...more,
});

it('a week is written as the example says', () => {
  const week = writeCalendar('Tilework Studio', [
    lesson('c0000000-0000-4000-8000-000000000001', '2026-11-24T18:00:00Z'),
    lesson('c0000000-0000-4000-8000-000000000002', '2026-11-26T18:15:00Z', {
      title: 'Small ball evening',
      machine: 'mat',
      lengthS: 1800,
      instructor: 'Rowan Feld',
      sequence: 2,
    }),
    lesson('c0000000-0000-4000-8000-000000000003', '2026-11-28T07:30:00Z', {
      title: 'Timed sets',
      machine: 'mat',
      instructor: undefined,
      sequence: 1,
      calledOff: 'Floor is sanded',
    }),
  ]);
  const file = new URL('../../../docs/formats/examples/week.ics', import.meta.url);
  expect(week).toBe(readFileSync(file, 'utf8'));
});

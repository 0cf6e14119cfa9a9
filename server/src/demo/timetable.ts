import { addMinutes, max, roundToNearestMinutes } from 'date-fns';
import { emptyPlan } from '@wrenfern/core/plan/empty-plan';
import type { Plan } from '@wrenfern/core/plan/plan';
import { dayAfter, dayIn, momentIn } from '@wrenfern/core/week/studio-time';
import { TWO_GROUP_CLASS } from '@wrenfern/library/two-group-class';
import { DEMO_PEOPLE_COUNT } from './people.ts';
import {
  BACK_EASE,
  FOUNDATIONS,
  MACHINES_FIRST,
  MACHINES_MIXED,
  SMALL_BALL,
  TIMED_SETS,
} from './plans.ts';

const WEEKS_BEFORE = 12;
const COURSE_WEEKS = 4;

/** Who teaches in the demo: mats the one, machines the other. */
export type DemoTeacher = 'rowan' | 'tamsin';
/** Classes of the demo that repeat. */
export type Series = 'mixed' | 'first' | 'both';

/** A class of the demo. */
export interface Lesson {
  plan: Plan;
  startsAt: Date;
  teacher: DemoTeacher;
  /** Classes that repeat share a name here, and a series in the tables. */
  series?: Series;
  /** Index into the people who come. */
  who: number[];
  /** How the teacher's day ran against the plan; left out for classes to come. */
  dayFactor?: number;
  seed: number;
}

const EVERYONE = Array.from({ length: DEMO_PEOPLE_COUNT }, (_, index) => index);
const BACKS = [1, 2, 4, 6, 9, 10, 12, 13];
/** As many as there are machines. */
const MIXED = [0, 2, 3, 7, 8, 11];
const FIRST = [4, 6, 9, 10];
/** Twice as many as there are machines. */
const BOTH = [0, 1, 2, 3, 5, 7, 8, 9, 10, 11, 12, 13];

/** A quarter past six, or later when the evening has begun: today's class is still to come. */
function nextClass(timeZone: string, now: Date): Date {
  const usual = new Date(momentIn(timeZone, dayIn(timeZone, now), '18:15'));
  const soonest = roundToNearestMinutes(addMinutes(now, 75), {
    nearestTo: 15,
    roundingMethod: 'floor',
  });
  return max([usual, soonest]);
}

/** Twelve weeks behind, the next class, and the days ahead, by the studio's clock. */
export function timetable(timeZone: string, now: Date): Lesson[] {
  const today = dayIn(timeZone, now);
  const at = (days: number, time: string) =>
    new Date(momentIn(timeZone, dayAfter(today, days), time));
  const ahead: Lesson[] = [
    {
      plan: SMALL_BALL,
      teacher: 'rowan',
      startsAt: nextClass(timeZone, now),
      who: EVERYONE.slice(0, 13),
      seed: 1,
    },
    {
      plan: BACK_EASE,
      teacher: 'rowan',
      startsAt: at(1, '12:15'),
      who: BACKS,
      seed: 2,
    },
    {
      plan: MACHINES_MIXED,
      teacher: 'tamsin',
      startsAt: at(1, '18:00'),
      who: MIXED,
      series: 'mixed',
      seed: 5,
    },
    {
      plan: MACHINES_FIRST,
      teacher: 'tamsin',
      startsAt: at(3, '17:30'),
      who: FIRST,
      series: 'first',
      seed: 6,
    },
    {
      plan: TWO_GROUP_CLASS,
      teacher: 'tamsin',
      startsAt: at(4, '18:00'),
      who: BOTH,
      series: 'both',
      seed: 8,
    },
    // Next week's is still to be planned.
    {
      plan: emptyPlan(MACHINES_MIXED),
      teacher: 'tamsin',
      startsAt: at(8, '18:00'),
      who: MIXED,
      series: 'mixed',
      seed: 7,
    },
    {
      plan: TIMED_SETS,
      teacher: 'rowan',
      startsAt: at(2, '07:30'),
      who: [0, 3, 7, 8, 11],
      seed: 3,
    },
    {
      plan: FOUNDATIONS,
      teacher: 'rowan',
      startsAt: at(5, '18:15'),
      who: [0, 4, 5, 6, 9, 10, 12],
      seed: 4,
    },
  ];
  const behind: Lesson[] = [];
  for (let week = 1; week <= WEEKS_BEFORE; week += 1) {
    behind.push(
      {
        plan: FOUNDATIONS,
        teacher: 'rowan',
        startsAt: at(-7 * week, '18:15'),
        who: rotate(EVERYONE, week).slice(0, 11),
        dayFactor: 1.05,
        seed: 100 + week,
      },
      {
        plan: BACK_EASE,
        teacher: 'rowan',
        startsAt: at(1 - 7 * week, '12:15'),
        who: BACKS,
        dayFactor: 0.97,
        seed: 200 + week,
      },
    );
    behind.push({
      plan: MACHINES_MIXED,
      teacher: 'tamsin',
      startsAt: at(1 - 7 * week, '18:00'),
      who: MIXED,
      series: 'mixed',
      dayFactor: 1.04,
      seed: 400 + week,
    });
    behind.push({
      plan: TWO_GROUP_CLASS,
      teacher: 'tamsin',
      startsAt: at(4 - 7 * week, '18:00'),
      who: BOTH,
      series: 'both',
      dayFactor: 1.02,
      seed: 600 + week,
    });
    // The course began four weeks ago.
    if (week <= COURSE_WEEKS) {
      behind.push({
        plan: MACHINES_FIRST,
        teacher: 'tamsin',
        startsAt: at(3 - 7 * week, '17:30'),
        who: FIRST,
        series: 'first',
        dayFactor: 1.08,
        seed: 500 + week,
      });
    }
    if (week % 2 === 0) {
      behind.push({
        plan: TIMED_SETS,
        teacher: 'rowan',
        startsAt: at(2 - 7 * week, '07:30'),
        who: [0, 3, 7, 8, 11],
        dayFactor: 1,
        seed: 300 + week,
      });
    }
  }
  return [...behind, ...ahead];
}

function rotate(list: number[], by: number): number[] {
  const at = by % list.length;
  return [...list.slice(at), ...list.slice(0, at)];
}

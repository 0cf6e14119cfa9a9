import { fitClass } from '@wrenfern/core';
import { sayChange } from '@wrenfern/core/fit/fit-repairs';
import { inOneGo } from '@wrenfern/core/fit/fit-to-time';
import { ClassStyle } from '@wrenfern/core/plan/class-style';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import type { Person } from '@wrenfern/core/people/person';
import type { Plan } from '@wrenfern/core/plan/plan';
import { showClock } from '@wrenfern/core/plan/show-time';
import { Pace, STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { timePlan, type TimingContext } from '@wrenfern/core/plan/timing/time-plan';
import type { Cupboard } from '@wrenfern/core/room/props';
import { builtInCatalogue } from '@wrenfern/library';
import { readJson } from './read-json.ts';
import { Refusal } from './refusal.ts';
import { tellTime } from './tell.ts';

interface TimeWishes {
  plans: readonly Plan[];
  style: string | undefined;
  /** File of a teacher's own pace. */
  pace: string | undefined;
  isJson: boolean;
}

/** When everything in a class comes; several classes one after another. */
export function time({ plans, style, pace, isJson }: TimeWishes): string {
  const timing = { pace: readPace(pace) };
  const timed = plans
    .map((plan) => led(plan, style))
    .map((plan) => ({ plan, timeline: timePlan(plan, builtInCatalogue, timing) }));
  if (!isJson) return timed.map(({ plan, timeline }) => tellTime(plan, timeline)).join('\n\n');
  const data = timed.map(({ timeline }) => timeline);
  return JSON.stringify(data.length === 1 ? data[0] : data, null, 2);
}

interface FitWishes {
  plan: Plan;
  people: readonly Person[];
  cupboard: Cupboard;
  day: string;
  /** Minutes. */
  to: string | undefined;
  pace: string | undefined;
  isJson: boolean;
}

/** What brings a class to a length; with --json also the class as it would be. */
export function fit({ plan, people, cupboard, day, to, pace, isJson }: FitWishes): string {
  const targetS = to === undefined ? plan.targetS : readMinutes(to) * 60;
  const timing: TimingContext = { pace: readPace(pace) };
  const attendees = people.map((person) => ({ person }));
  const context = { attendees, cupboard, day, ...timing };
  const found = fitClass(plan, builtInCatalogue, context, targetS);
  if (isJson) {
    const result = applyEdit(plan, inOneGo(found.together));
    return JSON.stringify({ ...found, plan: result.ok ? result.plan : plan }, null, 2);
  }
  const { fromS, toS, together, ranked } = found;
  if (ranked.length === 0) {
    return `${plan.title}: ${showClock(fromS)}, wanted ${showClock(targetS)}. Nothing to change.`;
  }
  const line = ({ label, seconds, why }: (typeof ranked)[number]) =>
    `  ${label}: ${sayChange(seconds)} (${why})`;
  return [
    `${plan.title}: ${showClock(fromS)}, wanted ${showClock(targetS)}`,
    `Together, to ${showClock(toS)}:`,
    ...(together.length === 0 ? ['  nothing that keeps the rules'] : together.map(line)),
    'One by one:',
    ...ranked.map(line),
  ].join('\n');
}

function led(plan: Plan, style: string | undefined): Plan {
  if (style === undefined) return plan;
  const read = ClassStyle.safeParse(style);
  if (!read.success) {
    throw new Refusal(`--style is one of ${ClassStyle.options.join(', ')}, not "${style}"`);
  }
  return { ...plan, style: read.data };
}

function readPace(path: string | undefined): Pace {
  return path === undefined ? STEADY_PACE : readJson(Pace, path, 'a pace');
}

function readMinutes(text: string): number {
  const minutes = Number(text);
  if (!(minutes >= 1 && minutes <= 180)) {
    throw new Refusal(`--to is a number of minutes from 1 to 180, not "${text}"`);
  }
  return minutes;
}

import { format } from 'date-fns';
import type { useForm } from 'react-hook-form';
import { z } from 'zod';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import { schoolOf } from '@wrenfern/core/plan/school-choices';
import { dayAfter, momentIn, noonOf } from '@wrenfern/core/week/studio-time';
import { NewClassBody, type KeptPlanRow } from '@wrenfern/contract/classes';
import type { On } from '../../parts/on-choices.ts';

export const BEGINNINGS = [
  { value: 'empty', name: 'Empty' },
  { value: 'again', name: 'Like an earlier class' },
  { value: 'kept', name: 'A kept plan' },
  { value: 'draft', name: 'Drafted for me' },
] as const;

/** As it stands on the screen; what becomes of it is `NewClassBody`, which says what is wrong. */
export interface NewClassValues extends Pick<
  z.input<typeof NewClassBody>,
  'copyOf' | 'keptPlanId' | 'vary'
> {
  on: On;
  title: string;
  school: string;
  startsAt: { day: string; time: string };
  /** Minutes here, seconds in what is sent. */
  targetS: number;
  weekly: boolean;
  weeklyUntil: string;
  /** `class ID` or `group ID`; empty for nobody yet. */
  who: string;
  begin: (typeof BEGINNINGS)[number]['value'];
}

export type NewClassFields = ReturnType<typeof useForm<NewClassValues, unknown, NewClassBody>>;

const WEEKS_AHEAD_DAYS = 7 * 8;

export function firstValues(day: string, keptPlan: KeptPlanRow | undefined): NewClassValues {
  return {
    on: 'mat',
    title: '',
    school: 'foundations-first',
    startsAt: { day, time: '18:00' },
    targetS: keptPlan ? minutesOf(keptPlan) : 50,
    weekly: false,
    weeklyUntil: dayAfter(day, WEEKS_AHEAD_DAYS),
    who: '',
    begin: keptPlan ? 'kept' : 'empty',
    keptPlanId: keptPlan?.id ?? '',
    copyOf: '',
    vary: '',
  };
}

export interface Making {
  zone: string;
  /** The studio's schools, as far as they are known. */
  own: readonly SchoolRules[] | undefined;
  /** What it is called where no name was typed. */
  name: string;
}

/** What is sent, made from what stands on the screen and read by the schema of the route. */
export function bodyFrom({ zone, own, name }: Making) {
  return z
    .custom<NewClassValues>()
    .transform(({ begin, startsAt: { day, time }, ...wanted }): z.input<typeof NewClassBody> => ({
      title: wanted.title.trim() || name,
      machine: wanted.on === 'both' ? 'reformer' : wanted.on,
      twoGroups: wanted.on === 'both',
      school: schoolOf(wanted.school, own ?? [], 'foundations-first'),
      startsAt: day && time ? momentIn(zone, day, time) : '',
      targetS: wanted.targetS * 60,
      ...(begin === 'again' ? { copyOf: wanted.copyOf ?? '', vary: wanted.vary } : {}),
      ...(begin === 'kept' ? { keptPlanId: wanted.keptPlanId ?? '' } : {}),
      ...whoOf(wanted.who),
      ...(wanted.weekly ? { weeklyUntil: wanted.weeklyUntil } : {}),
    }))
    .pipe(NewClassBody);
}

export const minutesOf = ({ targetS }: { targetS: number }) => Math.round(targetS / 60);

/** Who comes, as the server takes it. */
function whoOf(who: string): { groupId?: string; peopleOf?: string } {
  const [kind, id] = who.split(' ');
  if (!id) return {};
  return kind === 'group' ? { groupId: id } : { peopleOf: id };
}

/** "Thursday reformer", until somebody says otherwise. */
export function nameFor(on: On, day: string): string {
  const weekday = day ? format(noonOf(day), 'EEEE') : 'New';
  return `${weekday} ${on === 'both' ? 'mat and reformer' : on}`;
}

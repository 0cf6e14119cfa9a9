import type { ReactNode } from 'react';
import { StoredPlan } from '@wrenfern/core/plan/migrate-plan';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import example from '../../../docs/formats/examples/back-ease-29-minutes.json';
import { ClassShell } from '../app/class-shell.tsx';
import type { WholeClass } from '@wrenfern/contract/classes';
import type { Answer } from './show-screen.tsx';

/** A class as the server tells it, with a published example for its plan and one person coming. */
export function makeLesson(change: Partial<WholeClass> = {}): WholeClass {
  const plan = StoredPlan.parse(example);
  return {
    id: 'c1',
    title: plan.title,
    startsAt: '2026-11-30T18:00:00.000Z',
    day: '2026-11-30',
    revision: 3,
    detailsRevision: 1,
    attendeesRevision: 1,
    plan,
    attendees: [
      {
        person: {
          id: 'p1',
          name: 'Asha Delun',
          level: 2,
          usualOptions: {},
          holds: {},
          cautions: [],
          note: '',
        },
        today: [],
        todayNote: '',
        byHand: {},
        revision: 1,
      },
    ],
    familiar: [],
    taught: false,
    instructorId: null,
    coverUserId: null,
    cupboard: {},
    pace: STEADY_PACE,
    machines: PLAIN_MACHINES,
    calledOff: null,
    isRepeated: false,
    schools: [],
    lately: [],
    ...change,
  };
}

/** Routes and answers that show one screen of that class inside its frame. */
export function inClass(screen: ReactNode, lesson: WholeClass, tab = 'plan') {
  const answers: Record<`${string} ${string}`, Answer> = {
    [`GET /classes/${lesson.id}`]: () => ({ json: lesson }),
    'GET /team': () => ({ json: { team: [], invitations: [] } }),
  };
  return {
    at: `/classes/${lesson.id}/${tab}`,
    routes: [
      {
        path: '/classes/:id',
        element: <ClassShell />,
        children: [{ path: tab, element: screen }],
      },
    ],
    answers,
  };
}

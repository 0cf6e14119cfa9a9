import { analyse } from '@wrenfern/core/analyse';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { planAsTaught } from '@wrenfern/core/live/plan-as-taught';
import { runClass } from '@wrenfern/core/live/run-class';
import { wallView, type WallView } from '@wrenfern/core/live/wall-view';
import { eachTime } from '@wrenfern/core/people/attendee';
import { planAsOccurrences } from '@wrenfern/core/plan/occurrences';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { WholeClass } from '@wrenfern/contract/classes';

/** A class as the room follows it. */
export interface WallRoom {
  /** Takes what was pressed; what is known already counts once. */
  press: (events: readonly LiveEvent[]) => void;
  view: (nowMs: number) => WallView;
}

type Known = Pick<WholeClass, 'attendees' | 'cupboard' | 'pace' | 'machines' | 'day' | 'familiar'>;

/** Everything that follows from the plan is worked out once, and again when the teacher changes it on the way. */
export function openWallRoom(known: Known, written: Plan, catalogue: Catalogue): WallRoom {
  const plan = planAsOccurrences(written);
  const attendees = known.attendees.map((attendee) => eachTime(attendee, written));
  const events = new Map<string, LiveEvent>();
  const layOut = (of: Plan) => {
    const { timeline, options, props } = analyse(of, catalogue, {
      ...known,
      attendees,
      familiar: new Set(known.familiar),
    });
    return { plan: of, timeline, options, props };
  };
  let laidOut = layOut(planAsTaught(plan, []));
  return {
    press(fresh) {
      const before = events.size;
      for (const event of fresh) events.set(event.id, event);
      if (events.size === before) return;
      const now = planAsTaught(plan, [...events.values()]);
      if (JSON.stringify(now) !== JSON.stringify(laidOut.plan)) laidOut = layOut(now);
    },
    view: (nowMs) =>
      wallView({
        ...laidOut,
        catalogue,
        state: runClass(laidOut.timeline, [...events.values()], nowMs),
      }),
  };
}

/** What makes the room look anew: another item, another part, another state. Seconds run by themselves. */
export function wallKey({ status, now, next }: WallView): string {
  return JSON.stringify([status, now?.name, now?.part, now?.side, now?.count?.of, next?.name]);
}

import { familiarIn } from '@wrenfern/core/log/familiar';
import { analyse, type ClassContext } from '@wrenfern/core/analyse';
import { pressedOn, tracksTaught, type TaughtTrack } from '@wrenfern/core/analysis/tracks-taught';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { planAsTaught } from '@wrenfern/core/live/plan-as-taught';
import { runClass } from '@wrenfern/core/live/run-class';
import { viewOfBoth, wallView, type RoomView, type WallInput } from '@wrenfern/core/live/wall-view';
import { eachTime, type Attendee } from '@wrenfern/core/people/attendee';
import { planAsOccurrences } from '@wrenfern/core/plan/occurrences';
import type { Plan } from '@wrenfern/core/plan/plan';
import { isMixed } from '@wrenfern/core/plan/tracks';
import type { WholeClass } from '@wrenfern/contract/classes';

/** A class as the room follows it. */
export interface WallRoom {
  /** Takes what was pressed; what is known already counts once. */
  press: (events: readonly LiveEvent[]) => void;
  view: (nowMs: number) => RoomView;
}

type Known = Pick<WholeClass, 'attendees' | 'cupboard' | 'pace' | 'machines' | 'day' | 'familiar'>;

/** Everything that follows from the plan is worked out once, and again when the teacher changes it on the way. */
export function openWallRoom(known: Known, written: Plan, catalogue: Catalogue): WallRoom {
  const { familiar, ...others } = known;
  const context: ClassContext = { ...others, ...familiarIn(known.attendees, familiar) };
  const events = new Map<string, LiveEvent>();
  if (!isMixed(written)) {
    const attendees = known.attendees.map((attendee) => eachTime(attendee, written));
    const plan = planAsOccurrences(written);
    const way = openWay({ plan, attendees, catalogue, context });
    return {
      press: takeIn(events, (all) => way.press(all)),
      view: (nowMs) => wallView(way.input(nowMs)),
    };
  }
  const [first, second] = tracksTaught(written, catalogue, context);
  if (!first || !second) throw new Error('a class of two groups has two tracks');
  const open = ({ plan, attendees, places }: TaughtTrack) => {
    const way = openWay({ plan, attendees, catalogue, context });
    return {
      press: (all: readonly LiveEvent[]) => way.press(all),
      input: (nowMs: number) => ({ ...way.input(nowMs), places }),
    };
  };
  const [one, other] = [open(first), open(second)];
  return {
    press: takeIn(events, (all) => {
      one.press(all);
      other.press(all);
    }),
    view: (nowMs) => viewOfBoth(one.input(nowMs), other.input(nowMs)),
  };
}

function takeIn(
  events: Map<string, LiveEvent>,
  press: (all: readonly LiveEvent[]) => void,
): WallRoom['press'] {
  return (fresh) => {
    const before = events.size;
    for (const event of fresh) events.set(event.id, event);
    if (events.size > before) press([...events.values()]);
  };
}

interface WayInput {
  plan: Plan;
  attendees: readonly Attendee[];
  catalogue: Catalogue;
  context: ClassContext;
}

/** One way through the class, with what was pressed about it. */
function openWay({ plan, attendees, catalogue, context }: WayInput) {
  const layOut = (of: Plan) => {
    const { timeline, options, props } = analyse(of, catalogue, { ...context, attendees });
    return { plan: of, timeline, options, props };
  };
  let laidOut = layOut(planAsTaught(plan, []));
  let pressed: readonly LiveEvent[] = [];
  return {
    press(all: readonly LiveEvent[]) {
      pressed = pressedOn(plan, all);
      const now = planAsTaught(plan, pressed);
      if (JSON.stringify(now) !== JSON.stringify(laidOut.plan)) laidOut = layOut(now);
    },
    input: (nowMs: number): WallInput => ({
      ...laidOut,
      catalogue,
      state: runClass(laidOut.timeline, pressed, nowMs),
    }),
  };
}

/** What makes the room look anew: another item, another part, another state. Seconds run by themselves. */
export function wallKey({ beside, ...view }: RoomView): string {
  const { status, now, next } = view;
  return JSON.stringify([
    [status, now?.name, now?.part, now?.side, now?.count?.of, next?.name],
    beside ? wallKey(beside) : null,
  ]);
}

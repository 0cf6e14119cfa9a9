import { showClock } from '../../plan/show-time.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import { pauseAfter } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** A class of this length wants a pause, and so does hard work as long as this. Common practice. */
const WANTED_FROM_S = 2400;
const HARD_FOR_S = 360;
/** The least that a rest lasts to be one. */
const REST_S = 20;
const HARD = 4;
const WATER_S = 40;
/** What comes in the last fifth of a class is its close. */
const LAST_FIFTH = 0.8;

/** A moment in which nobody works: a pause, a rest, a shape to rest in. */
function isPause(item: TimedItem, { catalogue }: RuleContext): boolean {
  if (item.kind === 'pause' || secondsOf(item, 'rest') >= REST_S) return true;
  return catalogue.get(item.exercise ?? '')?.family === 'release' && item.durationS >= REST_S;
}

export const water: Rule = {
  id: 'water',
  name: 'Water',
  statement:
    'A class of 40 minutes has a pause or a rest on its way, and so has hard work of more than 6 minutes.',
  kind: 'care',
  why: 'Thirst and breath come after the effort; without a moment for them the next exercise pays.',
  usually: 'should',
  find: (context) => [...noneAtAll(context), ...hardForLong(context)],
};

/** The close is no pause on the way. */
function noneAtAll(context: RuleContext): Problem[] {
  const { timeline, worked } = context;
  if (timeline.totalS < WANTED_FROM_S || worked.length === 0) return [];
  const onTheWay = timeline.items.filter(({ startS }) => startS < timeline.totalS * LAST_FIFTH);
  if (onTheWay.some((item) => isPause(item, context))) return [];
  return [drought(context, 0, timeline.totalS)];
}

function drought(context: RuleContext, fromS: number, toS: number): Problem {
  const inside = context.worked.filter(
    ({ timed }) => timed.startS >= fromS && timed.startS + timed.durationS < toS,
  );
  const middleS = (fromS + toS) / 2;
  const ends = ({ timed }: Worked) => timed.startS + timed.durationS;
  const nearest = [...inside].sort(
    (a, b) => Math.abs(ends(a) - middleS) - Math.abs(ends(b) - middleS),
  );
  return {
    key: `from ${inside[0]?.item.id ?? ''}`,
    itemIds: [],
    sentence: `From ${showClock(fromS)} to ${showClock(toS)} there is no pause: ${showClock(toS - fromS)}.`,
    candidates: () => [
      ...nearest.slice(0, 3).flatMap((each) => [
        ...pauseAfter(context, each, 'Water', WATER_S),
        {
          label: `Rest ${REST_S + 10} s after ${each.exercise.name}`,
          edit: { type: 'setRest' as const, itemId: each.item.id, restS: REST_S + 10 },
        },
      ]),
    ],
  };
}

function hardForLong(context: RuleContext): Problem[] {
  const { timeline, worked } = context;
  const problems: Problem[] = [];
  let [workS, last]: [number, Worked | undefined] = [0, undefined];
  for (const item of timeline.items) {
    if (item.effort < HARD) {
      [workS, last] = [0, undefined];
      continue;
    }
    workS += secondsOf(item, 'work');
    last = worked.find(({ timed }) => timed === item) ?? last;
    if (workS < HARD_FOR_S || !last || item.startS > timeline.totalS * LAST_FIFTH) continue;
    problems.push(hardWithout(context, last, workS));
    workS = -Infinity;
  }
  return problems;
}

function hardWithout(context: RuleContext, last: Worked, workS: number): Problem {
  return {
    key: `hard ${last.item.id}`,
    itemIds: [last.item.id],
    sentence: `Up to ${last.exercise.name} there are ${showClock(workS)} of hard work without a pause.`,
    candidates: () => [
      ...pauseAfter(context, last, 'Water', WATER_S),
      {
        label: `Rest 30 s after ${last.exercise.name}`,
        edit: { type: 'setRest', itemId: last.item.id, restS: 30 },
      },
    ],
  };
}

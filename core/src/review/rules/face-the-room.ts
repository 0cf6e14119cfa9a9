import { POSITION_WORDS } from '../../movement/words.ts';
import { leaveOut, moveAfterEach, pauseAfter } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** Turns of the whole room on a machine from which they are told. */
const TURNS = 7;
const WATCH_S = 20;
const WATCH_LABEL = 'Watch it once';

/** Two new things running. */
const TWO_NEW_S = 6;

export const faceTheRoom: Rule = {
  id: 'face-the-room',
  name: 'Facing the room',
  statement:
    'Nobody loses sight of the teacher while something is taught for the first time; on machines people turn round seldom.',
  kind: 'preference',
  why: 'Face down, a new exercise is learned from the neighbour, with the neck turned.',
  usually: 'should',
  order: [
    {
      cost: 'new',
      // What is learned from a neighbour while one turns is attention: that an order can change.
      neighbours: (from, to, { familiar }) =>
        isNewTo(familiar, from) && isNewTo(familiar, to) ? TWO_NEW_S : 0,
    },
  ],
  find: (context) => [...unseen(context), ...turns(context)],
};

function isNewTo(familiar: RuleContext['familiar'], { exercise }: Worked): boolean {
  return familiar !== undefined && !familiar.has(exercise.slug);
}

/** New to the group, whole ladder shown, and everyone lies on the front. */
function unseen(context: RuleContext): Problem[] {
  return context.worked.flatMap((worked): Problem[] => {
    const isNew = worked.timed.parts.some(
      ({ kind, reason }) => kind === 'teaching' && reason.startsWith('new to this group'),
    );
    if (!isNew || worked.timed.position !== 'prone') return [];
    const before = context.timeline.items[worked.at - 1];
    if (before?.kind === 'pause' || (before?.endPosition && before.endPosition !== 'prone')) {
      return [];
    }
    const previous = context.worked.find(({ at }) => at === worked.at - 1);
    const upright = context.worked.filter(
      ({ at, timed }) => at !== worked.at && timed.endPosition !== 'prone',
    );
    return [
      {
        key: worked.item.id,
        itemIds: [worked.item.id],
        sentence: `${worked.exercise.name} is new to this group and taught while everyone is ${POSITION_WORDS.prone}.`,
        candidates: () => [
          ...(previous ? pauseAfter(context, previous, WATCH_LABEL, WATCH_S) : []),
          {
            label: 'Teach it briefly: they know it',
            edit: { type: 'setTeaching', itemId: worked.item.id, teaching: 'brief' },
          },
          ...moveAfterEach(context, worked, upright.slice(-2)),
        ],
      },
    ];
  });
}

function turns(context: RuleContext): Problem[] {
  if (context.plan.machine !== 'reformer') return [];
  const turned = context.worked.filter((worked, index) => {
    const before = context.worked[index - 1];
    return before && isTurned(before, worked);
  });
  if (turned.length <= TURNS) return [];
  return [
    {
      key: 'turns',
      itemIds: turned.map(({ item }) => item.id),
      sentence: `People turn round ${turned.length} times on the machine.`,
      candidates: () =>
        turned.flatMap((worked) => [
          ...moveAfterEach(
            context,
            worked,
            context.worked.filter((each) => each !== worked && !isTurned(each, worked)).slice(0, 2),
          ),
          leaveOut(worked),
        ]),
    },
  ];
}

function isTurned(a: Worked, b: Worked): boolean {
  const [one, other] = [a.gear?.facing, b.gear?.facing];
  return one !== undefined && other !== undefined && one !== other;
}

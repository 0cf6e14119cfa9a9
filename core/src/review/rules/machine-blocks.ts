import { springsChanged } from '../../movement/gear.ts';
import { SET_UP } from '../../plan/timing/pace.ts';
import { leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** Springs in and out at one change from which it is told. */
const SPRINGS_AT_ONCE = 2;

/** Each spring past the first is one more walk round the machine. */
const SPRING_S = 5;

export const machineBlocks: Rule = {
  id: 'machine-blocks',
  name: 'Gear in blocks',
  statement:
    'On the reformer one gear set-up serves as many items as it can: the box goes on and off once, springs change by one step.',
  kind: 'flow',
  why: 'Everyone makes every change, standing beside a machine with springs in the hand.',
  usually: 'should',
  order: [
    {
      cost: 'moves',
      neighbours: (from, to) => Math.max(0, springsChanged(from.gear, to.gear) - 1) * SPRING_S,
    },
  ],
  find(context) {
    if (context.plan.machine !== 'reformer') return [];
    return [...boxAgain(context), ...springJumps(context)];
  },
};

const boxOf = ({ gear }: Worked) => gear?.box ?? 'none';

function boxAgain(context: RuleContext): Problem[] {
  const { worked } = context;
  const blocks: Worked[] = [];
  worked.forEach((each, index) => {
    const before = worked[index - 1];
    if (boxOf(each) !== 'none' && (!before || boxOf(before) !== boxOf(each))) blocks.push(each);
  });
  return blocks.slice(1).flatMap((first): Problem[] => {
    const earlier = worked.filter((each) => each.at < first.at && boxOf(each) === boxOf(first));
    if (earlier.length === 0) return [];
    return [
      {
        key: `box ${first.item.id}`,
        itemIds: [first.item.id],
        sentence: `The ${boxOf(first)} box comes back for ${first.exercise.name}: ${SET_UP.boxS} s on, ${SET_UP.boxS} s off.`,
        candidates: () => [
          ...moveAfterEach(context, first, earlier),
          ...earlier.flatMap((each) => moveBeforeEach(context, each, [first])),
          leaveOut(first),
        ],
      },
    ];
  });
}

function springJumps(context: RuleContext): Problem[] {
  const { worked } = context;
  return worked.flatMap((next, index): Problem[] => {
    const before = worked[index - 1];
    const changed = before ? springsChanged(before.gear, next.gear) : 0;
    if (!before || changed <= SPRINGS_AT_ONCE) return [];
    return [
      {
        key: `springs ${next.item.id}`,
        itemIds: [next.item.id],
        sentence: `From ${before.exercise.name} to ${next.exercise.name} ${changed} springs are changed.`,
        candidates: () => {
          const nearer = worked.filter(
            (each) =>
              each !== next &&
              each !== before &&
              springsChanged(each.gear, next.gear) <= SPRINGS_AT_ONCE,
          );
          return [
            ...moveAfterEach(context, next, nearer),
            ...nearer.flatMap((each) => moveBeforeEach(context, each, [next])),
            leaveOut(next),
          ];
        },
      },
    ];
  });
}

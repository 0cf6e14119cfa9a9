import { changedParts, springsChanged, type GearPart } from '../../movement/gear.ts';
import { capital, listWords } from '../../movement/words.ts';
import { SET_UP } from '../../plan/timing/pace.ts';
import { leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** More changes of gear than this in ten minutes are told. Common practice. */
const CHANGES_IN_10_MIN = 3;

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
    return [...boxAgain(context), ...forOneItem(context), ...tooMany(context)];
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

const SPRINGS_AND_BOX: readonly GearPart[] = ['springs', 'box'];

/** Springs changed for one exercise and changed back behind it. */
function forOneItem(context: RuleContext): Problem[] {
  const { worked } = context;
  return worked.flatMap((middle, index): Problem[] => {
    const [before, after] = [worked[index - 1], worked[index + 1]];
    if (!before?.gear || !middle.gear || !after?.gear) return [];
    const changed = changedParts(before.gear, middle.gear);
    // Where bar or loops stay otherwise behind it, the machine would be set anew without it too.
    const isBack =
      after.gear.springs !== undefined &&
      changedParts(before.gear, after.gear).every((part) => part === 'facing');
    if (!isBack || !changed.some((part) => SPRINGS_AND_BOX.includes(part))) return [];
    const others = worked.filter(
      (each) => each !== middle && springsChanged(each.gear, middle.gear) === 0,
    );
    return [
      {
        key: `one ${middle.item.id}`,
        itemIds: [middle.item.id],
        sentence: `${capital(listWords(changed))} ${changed.length > 1 || changed[0] === 'springs' ? 'are' : 'is'} changed for ${middle.exercise.name} alone, and changed back behind it.`,
        candidates: () => [
          ...moveAfterEach(context, middle, others.slice(0, 4)),
          ...others.slice(0, 3).flatMap((each) => moveBeforeEach(context, each, [middle])),
          leaveOut(middle),
        ],
      },
    ];
  });
}

/** How often the machine is set anew over the whole class. */
function tooMany(context: RuleContext): Problem[] {
  const { worked, timeline } = context;
  const changed = worked.filter((each, index) => {
    const before = worked[index - 1];
    return before && changedParts(before.gear, each.gear).length > 0;
  });
  const most = (timeline.totalS / 600) * CHANGES_IN_10_MIN;
  if (changed.length <= most) return [];
  return [
    {
      key: 'many',
      itemIds: changed.map(({ item }) => item.id),
      sentence: `The machine is set anew ${changed.length} times; ${Math.floor(most)} are the most for ${Math.round(timeline.totalS / 60)} minutes.`,
      candidates: () =>
        changed.slice(0, 8).flatMap((each) => {
          const alike = worked.filter(
            (other) => other !== each && changedParts(other.gear, each.gear).length === 0,
          );
          return [...moveAfterEach(context, each, alike.slice(0, 1)), leaveOut(each)];
        }),
    },
  ];
}

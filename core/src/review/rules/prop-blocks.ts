import type { Prop } from '../../movement/vocabulary.ts';
import { PROPS } from '../../movement/vocabulary.ts';
import { PROP_WORDS } from '../../movement/words.ts';
import { SET_UP } from '../../plan/timing/pace.ts';
import { WITHIN_REACH } from '../../plan/timing/set-up.ts';
import { showClock } from '../../plan/show-time.ts';
import {
  leaveAllOut,
  leaveOut,
  moveBehind,
  moveAfterEach,
  together,
  withoutAdded,
} from '../repairs.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';

/** What rolls away; fetching and putting down are counted as set-up. */
const AGAIN_S = 5;

/** Twice is how classes go; the third time is told. Common practice. */
const TIMES = 2;

const uses = ({ timed }: Worked, prop: Prop) => timed.props.some((use) => use.prop === prop);

export const propBlocks: Rule = {
  id: 'prop-blocks',
  name: 'Props in one block',
  statement: "One prop's uses stand together: nobody fetches it three times.",
  kind: 'flow',
  why: 'Each pick-up and put-down is counted in seconds, and in people looking for where it rolled.',
  usually: 'should',
  order: [
    {
      cost: 'props-again',
      things: {
        of: ({ timed }) => timed.props.map(({ prop }) => prop),
        againS: AGAIN_S,
      },
    },
  ],
  find: (context) => PROPS.flatMap((prop) => laterBlocks(context, prop)),
};

function laterBlocks(context: RuleContext, prop: Prop): Problem[] {
  const blocks: Worked[][] = [];
  let last: number | undefined;
  context.worked.forEach((worked, index) => {
    if (!uses(worked, prop)) return;
    if (last !== undefined && isAtHand(context.worked, last, index)) blocks.at(-1)?.push(worked);
    else blocks.push([worked]);
    last = index;
  });
  return blocks.slice(TIMES).map((block, index) => {
    const before = blocks[index + TIMES - 1]?.at(-1) as Worked;
    const first = block[0] as Worked;
    const costS = SET_UP.propPlacedS + SET_UP.propPutDownS;
    return {
      key: `${prop} ${first.item.id}`,
      itemIds: [first.item.id],
      sentence: `The ${PROP_WORDS[prop]} is put away after ${before.exercise.name} and fetched a third time at ${showClock(first.timed.startS)} for ${first.exercise.name}: about ${costS} s.`,
      candidates: () => [
        ...moveBlock(context, block, before),
        ...moveAfterEach(context, before, [block.at(-1) as Worked]),
        ...withoutProp(block, prop),
        ...(block.length === 1 ? [leaveOut(first)] : leaveAllOut(block)),
      ],
    };
  });
}

/** Used a moment ago, and nobody has moved away since: it lies where it was. */
function isAtHand(worked: readonly Worked[], last: number, now: number): boolean {
  const position = worked[now]?.timed.position;
  const between = worked.slice(last, now);
  return (
    between.length <= WITHIN_REACH && between.every(({ timed }) => timed.endPosition === position)
  );
}

function moveBlock({ plan }: RuleContext, block: readonly Worked[], before: Worked): Repair[] {
  const edit = together(
    block.toReversed().map(({ item }) => moveBehind(plan, item.id, before.item.id)),
  );
  const names = block.map(({ exercise }) => exercise.name).join(', ');
  return edit ? [{ label: `Move ${names} after ${before.exercise.name}`, edit }] : [];
}

function withoutProp(block: readonly Worked[], prop: Prop): Repair[] {
  const edits = block.map((worked) => {
    const [brought] = withoutAdded(worked, prop);
    if (brought) return brought.edit;
    const { item, exercise } = worked;
    const options = exercise.options
      .filter(({ number }) => item.options?.includes(number) ?? true)
      .filter((option) => !option.props.some((use) => use.prop === prop && !use.optional))
      .map(({ number }) => number);
    return options.length > 0
      ? { type: 'setOptions' as const, itemId: item.id, options }
      : undefined;
  });
  if (edits.includes(undefined)) return [];
  const edit = together(edits);
  return edit ? [{ label: `Do it without the ${PROP_WORDS[prop]}`, edit }] : [];
}

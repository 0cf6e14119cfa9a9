import type { Catalogue } from '../../movement/catalogue.ts';
import { describeDose, type Dose } from '../../movement/dose.ts';
import type { Side } from '../../movement/vocabulary.ts';
import { itemsOf, type ExerciseItem, type Plan } from '../../plan/plan.ts';
import { rulesOf } from '../../plan/schools.ts';
import { doseOf } from '../../plan/usual.ts';
import type { Edit } from '../../plan/edits.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';
import { freshId } from '../../plan/fresh-id.ts';
import { placeAt } from '../running-order.ts';

interface OneSided {
  item: ExerciseItem;
  side: Side;
  dose: Dose;
  /** Place in the running order, pauses counted. */
  at: number;
}

/** One-sided items that stand together on one side. */
type Block = OneSided[];

export const sidesTogether: Rule = {
  id: 'sides-together',
  name: 'Second side soon',
  statement:
    "The second side follows the first side's block at once: same items, same order, same dose.",
  kind: 'order',
  why: 'A side left for later is the side that gets fewer repetitions, or none.',
  usually: 'must',
  order: [{ cost: 'sequence', joined: joinedSides }],
  find(context) {
    const blocks = blocksOf(context.plan, context.catalogue);
    const problems: Problem[] = [];
    for (let index = 0; index < blocks.length; index += 1) {
      const first = blocks[index] ?? [];
      const second = blocks[index + 1];
      const isAnswered =
        second && second[0]?.side !== first[0]?.side && follows(first, second, context);
      if (isAnswered && (sameWork(first, second) || sameWork(first, second.toReversed()))) {
        index += 1;
        continue;
      }
      problems.push(unanswered(context, first, isAnswered ? second : undefined));
      if (isAnswered) index += 1;
    }
    return problems;
  },
};

function blocksOf(plan: Plan, catalogue: Catalogue): Block[] {
  const blocks: Block[] = [];
  itemsOf(plan).forEach((item, at) => {
    if (item.kind !== 'exercise') return;
    const dose = doseOf(item, catalogue.require(item.exercise), rulesOf(plan.school));
    if (dose.sides !== 'left' && dose.sides !== 'right') return;
    const oneSided = { item, side: dose.sides, dose, at };
    const last = blocks.at(-1);
    const previous = last?.at(-1);
    if (last && previous?.side === dose.sides && previous.at === at - 1) last.push(oneSided);
    else blocks.push([oneSided]);
  });
  return blocks;
}

/** A pause, a stretch or a tilt may stand between. */
function follows(first: Block, second: Block, { plan, catalogue }: RuleContext): boolean {
  const between = itemsOf(plan).slice((first.at(-1)?.at ?? 0) + 1, second[0]?.at ?? 0);
  return between.every((item) => {
    if (item.kind === 'pause') return true;
    const { family } = catalogue.require(item.exercise);
    return family === 'release' || family === 'awareness';
  });
}

function sameWork(first: Block, second: Block): boolean {
  return (
    first.length === second.length &&
    first.every((one, index) => {
      const other = second[index];
      return other?.item.exercise === one.item.exercise && isAsMuch(one.dose, other.dose);
    })
  );
}

/** A count or some seconds are no matter: two counts and more than a fifth, or 15 s, are. Common practice. */
function isAsMuch(one: Dose, other: Dose): boolean {
  if (one.kind !== other.kind || one.kind === 'timed' || other.kind === 'timed') {
    return JSON.stringify({ ...one, sides: '' }) === JSON.stringify({ ...other, sides: '' });
  }
  const [least, most] = [amountOf(one), amountOf(other)].sort((a, b) => a - b) as [number, number];
  const isHold = one.kind === 'hold' || one.kind === 'free';
  const apart = most - least;
  return isHold ? apart < APART.holdS : apart < APART.count || apart <= most * APART.share;
}

const APART = { holdS: 15, count: 2, share: 0.2 } as const;

/** Everything that one side does of it: repetitions, or seconds. */
function amountOf(dose: Exclude<Dose, { kind: 'timed' }>): number {
  const once =
    dose.kind === 'hold'
      ? dose.holdS * dose.count
      : dose.kind === 'free'
        ? dose.durationS
        : dose.count;
  return once * dose.sets * dose.directions;
}

function unanswered(context: RuleContext, first: Block, second: Block | undefined): Problem {
  const { catalogue } = context;
  const side = first[0]?.side ?? 'left';
  const names = (block: Block) =>
    block.map((one) => catalogue.require(one.item.exercise).name).join(', ');
  const sentence = second
    ? `The ${opposite(side)} side does ${say(second, catalogue)}, the ${side} side ${say(first, catalogue)}.`
    : `${names(first)} is done on the ${side}, and the ${opposite(side)} side does not follow at once.`;
  return {
    key: first.map((one) => one.item.id).join(' '),
    itemIds: [...first, ...(second ?? [])].map((one) => one.item.id),
    sentence,
    candidates: () => repairs(context, first, second),
  };
}

function say(block: Block, catalogue: Catalogue): string {
  return block
    .map((one) => {
      const bare = { ...one.dose, sides: 'none' as const };
      return `${catalogue.require(one.item.exercise).name} ${describeDose(bare)}`;
    })
    .join(', ');
}

function opposite(side: Side): Side {
  return side === 'left' ? 'right' : 'left';
}

function repairs(context: RuleContext, first: Block, second: Block | undefined): Repair[] {
  const side = first[0]?.side ?? 'left';
  const bothInOne: Repair = {
    label: 'Do both sides in each exercise',
    edit: {
      type: 'together',
      edits: [
        ...first.map((one) => ({
          type: 'setDose' as const,
          itemId: one.item.id,
          dose: { ...one.dose, sides: 'each' as const },
        })),
        ...(second ?? []).map((one) => ({ type: 'removeItem' as const, itemId: one.item.id })),
      ],
    },
  };
  const mirrored: Repair = {
    label: `Add the same on the ${opposite(side)}`,
    edit: mirror(context.plan, first, second),
  };
  return [mirrored, bothInOne];
}

/** Puts the other side's copy straight after the block, in place of an unequal one. */
function mirror(plan: Plan, first: Block, second: Block | undefined): Edit {
  const removals = (second ?? []).map((one) => ({
    type: 'removeItem' as const,
    itemId: one.item.id,
  }));
  const taken: string[] = [];
  const after = (first.at(-1)?.at ?? 0) + 1;
  const place = placeBehind(plan, first) ?? placeAt(plan, after);
  const additions = first.map((one, index) => {
    const id = freshId(plan, one.item.exercise, taken);
    taken.push(id);
    const sides = opposite(one.side);
    return {
      type: 'addItem' as const,
      segmentId: place?.segmentId ?? '',
      index: (place?.index ?? 0) + index,
      item: { ...one.item, id, dose: { ...one.dose, sides } },
    };
  });
  return { type: 'together', edits: [...removals, ...additions] };
}

function placeBehind(plan: Plan, block: Block) {
  const last = block.at(-1);
  for (const segment of plan.segments) {
    const index = segment.items.findIndex((item) => item.id === last?.item.id);
    if (index >= 0) return { segmentId: segment.id, index: index + 1 };
  }
  return undefined;
}

/** One-sided items and their answer on the other side: ids of every one but the first of its block. */
function joinedSides(worked: readonly Worked[]): Set<string> {
  const joined = new Set<string>();
  let wasSide: string | undefined;
  let first: string | undefined;
  for (const { item, dose } of worked) {
    const side = dose.sides === 'left' || dose.sides === 'right' ? dose.sides : undefined;
    if (!side) {
      [wasSide, first] = [undefined, undefined];
      continue;
    }
    // A block begins, goes on, or is answered by the other side; after that a new one begins.
    if (wasSide === undefined || (side === first && wasSide !== side)) first = side;
    else joined.add(item.id);
    wasSide = side;
  }
  return joined;
}

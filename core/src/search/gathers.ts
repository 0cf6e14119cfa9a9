import { changedParts, gearAfter } from '../movement/gear.ts';
import type { Position } from '../movement/vocabulary.ts';
import { listWords } from '../movement/words.ts';
import { gather, newBracket } from '../plan/bracket-edits.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit, SingleEdit } from '../plan/edits.ts';
import type { Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { isMixed } from '../plan/tracks.ts';
import { moveBehind } from '../review/repairs.ts';
import type { RuleContext, Worked } from '../review/rule.ts';
import { contextOf, isNoWorse, toldOf, type OrderInput } from './order-input.ts';

/** Work that belongs together and stands apart: what gathers it, and the seconds of class that it saves. */
export interface Gather {
  kind: 'series' | 'gear';
  label: string;
  itemIds: string[];
  edit: Edit;
  savesS: number;
}

/** Within its part a change is worth so many seconds; nothing leaves its part for less than a minute. Common practice. */
const WORTH_S = { within: 15, across: 60 } as const;

/**
 * Blocks that a class lacks: one series of work on the side that turns over again and again, and work on the same
 * setting of the machine. None tells more in the review than is told now; what saves most comes first.
 */
export function gathersOf(input: OrderInput): Gather[] {
  const { plan } = input;
  const context = contextOf(input, plan);
  const before = toldOf(input, plan);
  return [...seriesOf(context), ...gearOf(context)]
    .flatMap(({ itemIds, edit, label, kind, isAcross }): Gather[] => {
      const result = applyEdit(plan, edit);
      if (!result.ok) return [];
      const after = timePlan(result.plan, input.catalogue, input.timing).totalS;
      const savesS = context.timeline.totalS - after;
      if (savesS < (isAcross ? WORTH_S.across : WORTH_S.within)) return [];
      return isNoWorse(toldOf(input, result.plan), before)
        ? [{ kind, label, itemIds, edit, savesS }]
        : [];
    })
    .toSorted((one, other) => other.savesS - one.savesS)
    .filter(({ itemIds }, at, all) => {
      // One proposal for one exercise: the better of two.
      const better = all.slice(0, at).flatMap((each) => each.itemIds);
      return !itemIds.some((id) => better.includes(id));
    });
}

type Candidate = Omit<Gather, 'savesS'> & { isAcross: boolean };

const ON_THE_SIDE: ReadonlySet<Position> = new Set(['side-lying', 'side-support'] as const);

/** Work on the side that is done on both in turn: of each part, and of the whole class in one. */
function seriesOf(context: RuleContext): Candidate[] {
  const { plan, worked } = context;
  const sided = worked.filter(
    ({ timed, dose, item }) =>
      timed.position !== undefined &&
      ON_THE_SIDE.has(timed.position) &&
      dose.sides === 'each' &&
      dose.kind !== 'timed' &&
      item.onlySide === undefined &&
      !isInRounds(plan, item.bracket),
  );
  const byPart = plan.segments.map(({ id }) => sided.filter(({ timed }) => timed.segmentId === id));
  const within = byPart.flatMap((each) => oneSeries(plan, each, false));
  const isSpread = byPart.filter((each) => each.length > 0).length > 1;
  return isSpread && !isMixed(plan) ? [...within, ...oneSeries(plan, sided, true)] : within;
}

function isInRounds({ brackets = [] }: Plan, bracketId: string | undefined): boolean {
  return brackets.some(({ id, kind }) => id === bracketId && kind === 'rounds');
}

function oneSeries(plan: Plan, sided: readonly Worked[], isAcross: boolean): Candidate[] {
  const brackets = new Set(sided.map(({ item }) => item.bracket));
  const isOne = brackets.size === 1 && !brackets.has(undefined);
  const [first, ...others] = sided;
  if (!first || others.length === 0 || isOne) return [];
  const edits: SingleEdit[] = [];
  let current = plan;
  const take = (edit: Edit | undefined) => {
    const result = edit && applyEdit(current, edit);
    if (!edit || !result?.ok) return;
    current = result.plan;
    edits.push(...(edit.type === 'together' ? edit.edits : [edit]));
  };
  sided.forEach(({ item }, at) => {
    const before = sided[at - 1];
    // Out of where it stood first: an old series must not hold one of the new.
    if (item.bracket) take({ type: 'setItemBracket', itemId: item.id });
    if (before) take(moveBehind(current, item.id, before.item.id));
  });
  const ids = sided.map(({ item }) => item.id);
  take(gather(current, ids, newBracket(current, 'series')));
  return [
    {
      kind: 'series',
      label: `One series on the side: ${listWords([...new Set(sided.map(({ exercise }) => exercise.name))])}`,
      itemIds: ids,
      edit: { type: 'together', edits },
      isAcross,
    },
  ];
}

/** One exercise for which the machine is set and set back, behind others that are done on that setting. */
function gearOf({ plan, worked }: RuleContext): Candidate[] {
  if (isMixed(plan)) return [];
  return worked.flatMap((each, at): Candidate[] => {
    if (!each.gear || each.item.bracket || isSameGear(worked[at - 1], each)) return [];
    if (isSameGear(each, worked[at + 1])) return [];
    const alike = worked
      .filter((other) => other !== each && isSameGear(other, each))
      // Of several the nearest: the class stays as it was meant.
      .toSorted((one, other) => Math.abs(one.at - each.at) - Math.abs(other.at - each.at));
    return alike.flatMap((other): Candidate[] => {
      const edit = moveBehind(plan, each.item.id, other.item.id);
      if (!edit || other.item.bracket) return [];
      return [
        {
          kind: 'gear',
          label: `${each.exercise.name} behind ${other.exercise.name}, on the same setting`,
          itemIds: [each.item.id],
          edit,
          isAcross: other.timed.segmentId !== each.timed.segmentId,
        },
      ];
    });
  });
}

function isSameGear(one: Worked | undefined, other: Worked | undefined): boolean {
  if (!one?.gear || !other?.gear) return false;
  // What an exercise leaves open stays as it was.
  return changedParts(one.gear, gearAfter(one.gear, other.gear) ?? {}).length === 0;
}

import { isWork } from '../draft-rows.ts';
import type { Exercise } from '../../movement/exercise.ts';
import { capital, listWords } from '../../movement/words.ts';
import { inversionsOf, outOfOrder } from '../out-of-order.ts';
import { addAfterIt, addAt, leaveOut } from '../repairs.ts';
import type { Problem, Rule, RuleContext } from '../rule.ts';

/** How many of the published exercises are named before the rest are counted. */
const NAMED = 4;

export const classicOrder: Rule = {
  id: 'classic-order',
  name: 'The classic order',
  statement:
    'The exercises follow the published order of 34: J. H. Pilates and W. J. Miller, Return to Life through Contrology (1945).',
  kind: 'order',
  why: 'The order is part of the method: each exercise was set where the one before it leaves the body.',
  usually: 'off',
  order: [
    {
      cost: 'sequence',
      comesFirst(first, second) {
        const [early, late] = [first.exercise.classicOrder, second.exercise.classicOrder];
        if (early === undefined || late === undefined || early >= late) return undefined;
        return `number ${early} of 34 comes before number ${late}`;
      },
    },
  ],
  draft(rows, standing) {
    if (standing !== 'must') return;
    for (const choice of rows.pool) {
      // A breath before it and a way out behind it are no part of the order.
      const isSoft = !isWork(choice) || choice.exercise.family === 'spine';
      if (choice.exercise.classicOrder === undefined && !isSoft) rows.never(choice);
    }
  },
  find: (context) => [...inverted(context), ...leftOut(context), ...strangers(context)],
};

function inverted(context: RuleContext): Problem[] {
  return inversionsOf(context.worked, (early, late) => {
    const [one, two] = [early.exercise.classicOrder, late.exercise.classicOrder];
    if (one === undefined || two === undefined || one <= two) return undefined;
    return `${early.exercise.name} is number ${one} of 34 and comes before ${late.exercise.name}, number ${two}.`;
  }).map((inversion) => outOfOrder(context, inversion));
}

/** What stands between the first and the last of the class and is not in it: one line for all of it. */
function leftOut(context: RuleContext): Problem[] {
  const numbers = context.worked.flatMap(({ exercise }) => exercise.classicOrder ?? []);
  const [from, to] = [Math.min(...numbers), Math.max(...numbers)];
  const missing = context.catalogue.all
    .filter(
      ({ classicOrder: at }) => at !== undefined && at > from && at < to && !numbers.includes(at),
    )
    .sort((a, b) => (a.classicOrder ?? 0) - (b.classicOrder ?? 0));
  if (missing.length === 0) return [];
  const told = missing
    .slice(0, NAMED)
    .map(
      ({ name, classicOrder, needs }) =>
        `${name} (${classicOrder ?? 0})${notReady(needs, context)}`,
    );
  const words = missing.length > NAMED ? [...told, `${missing.length - NAMED} more`] : told;
  return [
    {
      key: `left out ${missing.length}`,
      itemIds: [],
      sentence: `${capital(listWords(words))} ${missing.length > 1 ? 'are' : 'is'} left out.`,
      candidates: () => missing.slice(0, 6).flatMap((exercise) => addInOrder(context, exercise)),
    },
  ];
}

function addInOrder(context: RuleContext, exercise: Exercise) {
  const before = context.worked.findLast(
    (each) => (each.exercise.classicOrder ?? Infinity) < (exercise.classicOrder ?? 0),
  );
  return before ? addAfterIt(context, before, [exercise]) : [];
}

function notReady(
  needs: readonly { foundation: Parameters<RuleContext['group']['lacking']>[0]; depth: number }[],
  { group }: RuleContext,
): string {
  if (group.size === 0) return '';
  const names = new Set(needs.flatMap(({ foundation, depth }) => group.lacking(foundation, depth)));
  if (names.size === 0) return '';
  const [first] = names;
  return names.size === group.size
    ? ', for the whole group'
    : `, for ${first ?? ''}${names.size > 1 ? ` and ${names.size - 1} more` : ''}`;
}

/** A published sequence has a first exercise; a class of none of the 34 has no order to follow. */
function strangers(context: RuleContext): Problem[] {
  if (context.plan.machine !== 'mat') return [];
  if (context.worked.some(({ exercise }) => exercise.classicOrder !== undefined)) return [];
  const hundred = context.catalogue.all.find(({ classicOrder }) => classicOrder === 1);
  const edit = hundred && addAt(context.plan, 0, hundred);
  return [
    {
      key: 'none',
      itemIds: [],
      sentence: 'None of the 34 is in this class.',
      candidates: () => [
        ...(hundred && edit ? [{ label: `Add ${hundred.name}`, edit }] : []),
        ...context.worked.map(leaveOut),
      ],
    },
  ];
}

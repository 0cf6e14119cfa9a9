import { effortOfExercise } from '../../body/load/option-load.ts';
import { type Exercise } from '../../movement/exercise.ts';
import { addAt, addBeforeIt, leaveOut, moveAfterEach, together } from '../repairs.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';
import { candidatesOf, unusedOf } from '../running-order.ts';

/** Later than this share of the class a spine has been moved enough. Common practice. */
const EARLY = 1 / 3;

/** Tall sitting or standing. */
const UPRIGHT = 2;

const LOAD_WORDS = [
  'lying',
  'all fours, low bridge or chest lift',
  'tall sitting or standing',
  'rolling through sitting',
  'bent far forward or rolled on the back',
] as const;

export const unloadedBeforeLoaded: Rule = {
  id: 'unloaded-before-loaded',
  name: 'Light load before heavy',
  statement:
    'In the first third the load on the spine rises by at most one class above the highest already met.',
  kind: 'order',
  why: 'A spine that has carried a little is ready to carry more; a jump meets it unprepared.',
  usually: 'must',
  order: [
    {
      cost: 'load',
      // A mark for every class up to its own: each that is missing below it is one jumped.
      marks: {
        leaves: ({ timed }) => classesUpTo(timed.spineLoad),
        wants: ({ timed }) => classesUpTo(timed.spineLoad - 1),
      },
    },
  ],
  draft(rows, standing) {
    if (standing !== 'must') return;
    for (const choice of rows.pool) {
      const isRollDown = choice.exercise.tempo === 'roll-down';
      const opens = isRollDown && rows.group.sparingBacks.length === 0;
      // As in a review: what lets go is no jump.
      if (choice.spineLoad < 2 || opens || choice.exercise.family === 'release') continue;
      rows.wants(choice, (other) => other.spineLoad === choice.spineLoad - 1);
    }
  },
  find(context) {
    const problems: Problem[] = [];
    const [first] = context.worked;
    // Everybody came in upright: a class may open so.
    let highest = Math.min(UPRIGHT, first?.timed.spineLoad ?? 0);
    for (const worked of context.worked) {
      const { spineLoad } = worked.timed;
      const isEarly = worked.timed.startS < context.timeline.totalS * EARLY;
      const isWork = worked.exercise.family !== 'release';
      if (spineLoad > highest + 1 && isEarly && isWork && !isOpener(context, worked)) {
        problems.push(jump(context, worked, highest));
      }
      highest = Math.max(highest, spineLoad);
    }
    return problems;
  },
};

/** A class may open by rolling down standing, where nobody has to spare the back. Common practice. */
function isOpener({ group }: RuleContext, { timed }: Worked): boolean {
  return timed.tempo === 'roll-down' && group.sparingBacks.length === 0;
}

function classesUpTo(spineLoad: number): string[] {
  return Array.from({ length: Math.max(0, spineLoad) }, (_, below) => `load ${below + 1}`);
}

function jump(context: RuleContext, worked: Worked, highest: number): Problem {
  const { spineLoad } = worked.timed;
  return {
    key: worked.item.id,
    itemIds: [worked.item.id],
    sentence: `${worked.exercise.name} loads the spine at ${spineLoad} of 4 (${LOAD_WORDS[spineLoad]}); until then the highest is ${highest} (${LOAD_WORDS[highest]}).`,
    candidates: () => [
      ...moveLater(context, worked),
      ...bridge(context, worked, highest),
      ...climb(context, worked, highest),
      leaveOut(worked),
    ],
  };
}

/** After the first item that brings the spine within one class of it. */
function moveLater(context: RuleContext, worked: Worked): Repair[] {
  const preparing = context.worked.filter(
    ({ at, timed }) => at > worked.at && timed.spineLoad >= worked.timed.spineLoad - 1,
  );
  return moveAfterEach(context, worked, preparing.slice(0, 6));
}

/** An exercise of the class between, gentlest first, in the same position where there is one. */
function bridge(context: RuleContext, worked: Worked, highest: number): Repair[] {
  const { position } = worked.timed;
  const between = unusedOf(context)
    .filter((exercise) => exercise.spineLoad === highest + 1)
    .sort(
      (a, b) =>
        Number(b.position === position) - Number(a.position === position) ||
        effortOfExercise(a) - effortOfExercise(b),
    );
  return addBeforeIt(context, worked, between.slice(0, 6));
}

/** One gentle exercise of every class between, in rising order, for a jump of more than one. */
function climb(context: RuleContext, worked: Worked, highest: number): Repair[] {
  const steps: Exercise[] = [];
  for (let load = highest + 1; load < worked.timed.spineLoad; load += 1) {
    const [gentlest] = candidatesOf(context)
      .filter((exercise) => exercise.spineLoad === load)
      .sort((a, b) => effortOfExercise(a) - effortOfExercise(b));
    if (gentlest) steps.push(gentlest);
  }
  if (steps.length < 2) return [];
  const edit = together(
    steps.map((exercise, index) => addAt(context.plan, worked.at + index, exercise)),
  );
  const names = steps.map(({ name }) => name).join(', then ');
  return edit ? [{ label: `Add ${names} before it`, edit }] : [];
}

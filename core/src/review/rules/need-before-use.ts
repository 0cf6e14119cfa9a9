import type { Exercise } from '../../movement/exercise.ts';
import { taughtDepthFor, teachesFor } from '../../movement/foundation-depth.ts';
import type { Foundation, Position } from '../../movement/vocabulary.ts';
import { DEPTH_WORDS, FOUNDATION_WORDS, someWords } from '../../movement/words.ts';
import { plainLengthS } from '../../plan/timing/plain-length.ts';
import { showClock } from '../../plan/show-time.ts';
import { addBeforeIt, leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import type { SchoolRules } from '../../plan/school.ts';
import type { Choosable, DraftRows } from '../draft-rows.ts';
import type { Group } from '../group.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** A lesson that is slipped in takes no longer than this. */
const SHORT_S = 120;

export const needBeforeUse: Rule = {
  id: 'need-before-use',
  name: 'What it needs comes before',
  statement:
    'What an exercise needs to be practised was taught earlier in the class, or something like it was done, or everyone who comes holds it.',
  kind: 'order',
  why: 'What has not been learned is borrowed from somewhere else, mostly from the low back and the neck.',
  usually: 'must',
  speaksFrom: 'class',
  order: [
    {
      cost: 'needs',
      marks: {
        leaves: (worked, context) =>
          context.worked.flatMap((later) =>
            deepNeeds(later, context)
              .filter((need) => teachesFor(worked.exercise, need) || isLike(worked, later))
              .map((need) => markOf(later, need)),
          ),
        wants: (worked, context) => deepNeeds(worked, context).map((need) => markOf(worked, need)),
      },
    },
  ],
  draft(rows) {
    if (isInOrder(rows.school)) return;
    const levels = levelsOf(rows);
    const levelOf = (choice: Choosable) => levels.get(choice) ?? Infinity;
    for (const choice of rows.pool) {
      for (const need of unheldNeeds(choice.exercise, rows.group)) {
        // Only what can come earlier in every class may teach it: no two can wait for each other.
        rows.wants(
          choice,
          (other) => readiesFor(other, choice, need) && levelOf(other) < levelOf(choice),
        );
      }
    }
  },
  find(context) {
    const taught = new Map<Foundation, number>();
    const problems: Problem[] = [];
    context.worked.forEach((worked, index) => {
      const before = context.worked.slice(0, index);
      const [need] = deepNeeds(worked, context).filter(
        ({ foundation, depth }) => (taught.get(foundation) ?? 0) < taughtDepthFor(depth),
      );
      if (need && !before.some((each) => isLike(each, worked))) {
        problems.push(unmet(context, worked, need.foundation, need.depth));
        // Told once: what teaches it here teaches it for all behind.
        taught.set(need.foundation, need.depth);
      }
      for (const { foundation, depth } of worked.exercise.teaches) {
        taught.set(foundation, Math.max(depth, taught.get(foundation) ?? 0));
      }
    });
    return problems;
  },
};

type Need = Exercise['needs'][number];

/** What has only been met is nothing to wait for. Common practice. */
const DEEP = 2;

/** What an exercise needs to be practised before it, but for what everybody who comes holds. */
function deepNeeds(
  worked: Worked,
  { group, school }: Pick<RuleContext, 'group' | 'school'>,
): Need[] {
  const isPublished = isInOrder(school) && worked.exercise.classicOrder !== undefined;
  if (isEased(worked) || isPublished) return [];
  return unheldNeeds(worked.exercise, group);
}

/** A published order readies for itself; who is not ready leaves out. */
const isInOrder = ({ rules }: SchoolRules) => rules['classic-order'] === 'must';

const isDeep = ({ foundation, depth }: Need, group: Group) =>
  depth >= DEEP && foundation !== 'breath' && !group.holds(foundation, depth);

/** What teaches a need differs by who has it: work of the same kind or in the same place does. */
const markOf = ({ exercise }: Worked, { foundation }: Need) => `${exercise.slug} ${foundation}`;

/** Letting go, and the first rung of a ladder, are where it is learned. */
function isEased({ exercise, option }: Worked): boolean {
  return exercise.family === 'release' || option.number === 1;
}

/** Something like it was done: a rung of the same, work of the same kind, or work in the same place. Common practice. */
function isLike(before: Worked, { exercise, timed }: Worked): boolean {
  if (before.exercise.slug === exercise.slug) return true;
  // All fours is where the hands learn to carry.
  if (before.timed.position === 'quadruped' && carriesOnHands(timed.position)) return true;
  const isWork = before.timed.effort >= WORK && before.exercise.family !== 'release';
  return (
    isWork &&
    (before.exercise.family === exercise.family || before.timed.position === timed.position)
  );
}

const carriesOnHands = (position: Position | undefined) =>
  position === 'plank' || position === 'side-support' || position === 'quadruped';

/** Effort from which something is work, and so teaches by being done. */
const WORK = 1;

function unheldNeeds({ needs }: Exercise, group: Group): Need[] {
  return needs.filter((need) => isDeep(need, group));
}

/** Letting go stands at the end: what it teaches comes too late. Something lighter of its kind or place readies as well. */
function readiesFor(other: Choosable, choice: Choosable, need: Need): boolean {
  const { exercise } = other;
  if (exercise.family === 'release') return false;
  const isAlike =
    exercise.family === choice.exercise.family || exercise.position === choice.exercise.position;
  const isLighter = other.effort >= WORK && other.effort < choice.effort;
  return teachesFor(exercise, need) || (isAlike && isLighter);
}

/** How many steps of learning lie before each exercise: 0 for one that needs nothing; none for what nothing prepares. */
function levelsOf({ pool, group }: DraftRows): Map<Choosable, number> {
  const levels = new Map<Choosable, number>();
  for (let level = 0; ; level += 1) {
    const ready = pool.filter(
      (choice) =>
        !levels.has(choice) &&
        unheldNeeds(choice.exercise, group).every((need) =>
          pool.some((other) => levels.has(other) && readiesFor(other, choice, need)),
        ),
    );
    if (ready.length === 0) return levels;
    for (const choice of ready) levels.set(choice, level);
  }
}

function unmet(
  context: RuleContext,
  worked: Worked,
  foundation: Foundation,
  depth: number,
): Problem {
  const lacking = context.group.lacking(foundation, depth);
  const who = lacking.length > 0 ? ` ${someWords(lacking, 3)} may not hold it.` : '';
  const teachers = teachersOf(context, worked, foundation, depth);
  const [teacher] = teachers;
  const { position } = worked.timed;
  const inPlace = teacher && position && teacher.position === position;
  const hint = teacher
    ? ` ${teacher.name} would teach it${inPlace ? ' in the same position' : ''} in ${showClock(plainLengthS(teacher))}.`
    : '';
  return {
    key: `${worked.item.id} ${foundation}`,
    itemIds: [worked.item.id],
    sentence: `${worked.exercise.name} needs ${FOUNDATION_WORDS[foundation]}, ${DEPTH_WORDS[depth] ?? ''}, and nothing before it teaches that.${who}${hint}`,
    candidates: () => {
      const later = context.worked.filter(
        ({ at, exercise }) => at > worked.at && teachesFor(exercise, { foundation, depth }),
      );
      return [
        ...later.slice(0, 3).flatMap((teaching) => moveBeforeEach(context, teaching, [worked])),
        ...moveAfterEach(context, worked, later.slice(0, 3)),
        ...addBeforeIt(context, worked, teachers.slice(0, 3)),
        leaveOut(worked),
      ];
    },
  };
}

/** Exercises not in the class that teach it: in this position and short first, then by what they need. */
function teachersOf(
  context: RuleContext,
  worked: Worked,
  foundation: Foundation,
  depth: number,
): Exercise[] {
  const rank = (exercise: Exercise) =>
    (exercise.position === worked.timed.position ? 0 : 4) +
    (plainLengthS(exercise) <= SHORT_S ? 0 : 2) +
    (exercise.spineLoad > worked.timed.spineLoad ? 2 : 0) +
    exercise.needs.length;
  return unusedOf(context)
    .filter((exercise) => teachesFor(exercise, { foundation, depth }))
    .sort((a, b) => rank(a) - rank(b));
}

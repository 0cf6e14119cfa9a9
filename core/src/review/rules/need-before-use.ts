import type { Exercise } from '../../movement/exercise.ts';
import type { Foundation } from '../../movement/vocabulary.ts';
import { DEPTH_WORDS, FOUNDATION_WORDS, someWords } from '../../movement/words.ts';
import { plainLengthS } from '../../plan/timing/plain-length.ts';
import { showClock } from '../../plan/show-time.ts';
import { addBeforeIt, leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** A lesson that is slipped in takes no longer than this. */
const SHORT_S = 120;

/** What a class must have taught for a need: one step less deep, but at least once. */
export function taughtDepthFor(needed: number): number {
  return Math.max(1, needed - 1);
}

export const needBeforeUse: Rule = {
  id: 'need-before-use',
  statement:
    'What an exercise needs was taught earlier in the class, at most one step less deep, or everyone who comes holds it.',
  kind: 'order',
  why: 'What has not been learned is borrowed from somewhere else, mostly from the low back and the neck.',
  find(context) {
    const taught = new Map<Foundation, number>();
    const problems: Problem[] = [];
    for (const worked of context.worked) {
      for (const { foundation, depth } of worked.exercise.needs) {
        if (depth === 0 || (taught.get(foundation) ?? 0) >= taughtDepthFor(depth)) continue;
        if (context.group.holds(foundation, depth)) continue;
        problems.push(unmet(context, worked, foundation, depth));
      }
      for (const { foundation, depth } of worked.exercise.teaches) {
        taught.set(foundation, Math.max(depth, taught.get(foundation) ?? 0));
      }
    }
    return problems;
  },
};

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
        ({ at, exercise }) => at > worked.at && taughtBy(exercise, foundation, depth),
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

function taughtBy(exercise: Exercise, foundation: Foundation, depth: number): boolean {
  return exercise.teaches.some(
    (taught) => taught.foundation === foundation && taught.depth >= taughtDepthFor(depth),
  );
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
    .filter((exercise) => taughtBy(exercise, foundation, depth))
    .sort((a, b) => rank(a) - rank(b));
}

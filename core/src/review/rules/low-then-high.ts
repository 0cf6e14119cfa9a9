import type { PropPlace } from '../../movement/vocabulary.ts';
import { inversionsOf, outOfOrder } from '../out-of-order.ts';
import { backMoved } from '../precedence.ts';
import type { Problem, Rule, RuleContext } from '../rule.ts';

/** Places of a prop along the spine, from the top down. */
const DOWN_THE_SPINE: readonly PropPlace[] = [
  'between shoulder blades',
  'under shoulder blades',
  'at bottom of ribs',
  'behind low back',
  'under low back',
];

export const lowThenHigh: Rule = {
  id: 'low-then-high',
  statement:
    'The lower back is moved before the upper back alone, and a prop that travels along the spine travels one way.',
  kind: 'preference',
  why: 'A stiff low back makes the upper back work against it; moved first, it lets the rest follow.',
  find: (context) => [...upperFirst(context), ...backAndForth(context)],
};

/** Only the first movement of the upper back alone is told, and only where the lower back comes later. */
function upperFirst(context: RuleContext): Problem[] {
  const moved = context.worked.find((worked) => backMoved(worked) !== 'neither');
  if (!moved || backMoved(moved) !== 'high') return [];
  const low = context.worked.find((worked) => backMoved(worked) === 'low');
  if (!low) return [];
  const sentence = `${moved.exercise.name} moves the upper back before ${low.exercise.name} has moved the lower back.`;
  return [outOfOrder(context, { early: moved, late: low, sentence })];
}

function backAndForth(context: RuleContext): Problem[] {
  const isDown = context.school.defaults.travel === 'down the spine';
  const steps = context.worked.flatMap((worked) => {
    const use = worked.option.props.find(({ place }) => DOWN_THE_SPINE.includes(place));
    return use ? [{ worked, step: DOWN_THE_SPINE.indexOf(use.place), place: use.place }] : [];
  });
  const stepOf = new Map(steps.map(({ worked, step }) => [worked.item.id, step]));
  const inversions = inversionsOf(
    steps.map(({ worked }) => worked),
    (early, late) => {
      const [one, two] = [stepOf.get(early.item.id) ?? 0, stepOf.get(late.item.id) ?? 0];
      if (isDown ? one <= two : one >= two) return undefined;
      return `The prop under the back travels ${isDown ? 'down' : 'up'} the spine; from ${early.exercise.name} to ${late.exercise.name} it goes the other way.`;
    },
  );
  return inversions.map((inversion) => outOfOrder(context, inversion));
}

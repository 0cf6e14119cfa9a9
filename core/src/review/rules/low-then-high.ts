import { mobilityOf } from '../../body/mobility.ts';
import { tempoOf } from '../../movement/exercise.ts';
import type { PropPlace } from '../../movement/vocabulary.ts';
import { inversionsOf, outOfOrder } from '../out-of-order.ts';
import type { Placeable, Problem, Rule, RuleContext } from '../rule.ts';

/** Places of a prop along the spine, from the top down. */
const DOWN_THE_SPINE: readonly PropPlace[] = [
  'between shoulder blades',
  'under shoulder blades',
  'at bottom of ribs',
  'behind low back',
  'under low back',
];

/** Degrees from which a part of the back counts as mobilised. */
const MOBILE_DEG = 12;

/** What moves the lower back, and what moves the upper back alone. */
function backMoved({ exercise, option, timed }: Placeable): 'low' | 'high' | 'neither' {
  // A rolled bridge begins with the lowest bone.
  if (tempoOf(exercise, option) === 'articulate-large') return 'low';
  if (exercise.family === 'release' || timed.moves.every((move) => move === 'still')) {
    return 'neither';
  }
  const { lowDeg, highDeg } = mobilityOf(option);
  if (lowDeg >= MOBILE_DEG) return 'low';
  return highDeg >= MOBILE_DEG ? 'high' : 'neither';
}

export const lowThenHigh: Rule = {
  id: 'low-then-high',
  name: 'Low back, then upper back',
  statement:
    'The lower back is moved before the upper back alone, and a prop that travels along the spine travels one way.',
  kind: 'preference',
  why: 'A stiff low back makes the upper back work against it; moved first, it lets the rest follow.',
  usually: 'should',
  order: [
    {
      cost: 'sequence',
      marks: {
        leaves: (worked) => (backMoved(worked) === 'neither' ? [] : ['moved']),
        // Where nothing moves the lower back there is nothing to wait for.
        wants: (worked, { worked: all }) =>
          backMoved(worked) === 'high' && all.some((each) => backMoved(each) === 'low')
            ? ['moved']
            : [],
      },
    },
  ],
  find: (context) => [...upperFirst(context), ...backAndForth(context)],
};

/** Only the first bend of the upper back alone is told, and only where the lower back comes later in the same part. */
function upperFirst(context: RuleContext): Problem[] {
  const moved = context.worked.find((worked) => backMoved(worked) !== 'neither');
  if (!moved || backMoved(moved) !== 'high' || !bends(moved)) return [];
  // Standing and lying are different backs, and so is each part: only what could change places is told.
  const low = context.worked.find(
    (worked) =>
      backMoved(worked) === 'low' &&
      bends(worked) &&
      worked.timed.position === moved.timed.position &&
      worked.timed.segmentId === moved.timed.segmentId,
  );
  if (!low) return [];
  const sentence = `${moved.exercise.name} moves the upper back before ${low.exercise.name} has moved the lower back.`;
  return [outOfOrder(context, { early: moved, late: low, sentence })];
}

/** A reach to the side or a small turn readies the rest: rounding and arching do not. Common practice. */
const bends = ({ timed }: Placeable) =>
  timed.moves.some((move) => move === 'round' || move === 'arch');

function backAndForth(context: RuleContext): Problem[] {
  const isDown = context.school.defaults.travel === 'down the spine';
  const steps = context.worked.flatMap((worked) => {
    const use = worked.timed.props.find(({ place }) => DOWN_THE_SPINE.includes(place));
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

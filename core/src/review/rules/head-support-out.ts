import { bodiesOf } from '../../body/option-body.ts';
import type { Option, PropUse } from '../../movement/exercise.ts';
import { addBeforeIt, leaveOut, pauseAfter, withoutAdded } from '../repairs.ts';
import type { Problem, Rule, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** How far the hips rise over the upper back when the weight goes to the shoulder blades, in statures. */
const LIFTED = 0.06;

const KNOWN = new WeakMap<Option, boolean>();

/** On the back with the pelvis off the floor in some key pose: the neck must be free. */
function liftsPelvis({ option, timed }: Worked): boolean {
  if (timed.position !== 'supine') return false;
  const known = KNOWN.get(option);
  if (known !== undefined) return known;
  const lifts = bodiesOf(option).some((body) => body.hips[1] - body.highBack[1] > LIFTED);
  KNOWN.set(option, lifts);
  return lifts;
}

const isUnderHead = ({ place }: PropUse) => place === 'under head';

const supportsHead = ({ timed }: Worked) => timed.props.some(isUnderHead);

export const headSupportOut: Rule = {
  id: 'head-support-out',
  name: 'Head flat for bridges',
  statement:
    'Head supports come out before any bridge or weight on the shoulder-blade shelf, and there is a moment to do it.',
  kind: 'care',
  why: 'With something under the head, the weight of a bridge bends the neck.',
  usually: 'must',
  speaksFrom: 'lesson',
  order: [
    {
      cost: 'sequence',
      neighbours: (from, to, _context, priceS) =>
        supportsHead(from) && liftsPelvis(to) ? priceS : 0,
    },
  ],
  find(context) {
    return context.worked.flatMap((worked, index): Problem[] => {
      if (!liftsPelvis(worked)) return [];
      const before = context.worked[index - 1];
      const isOwn = supportsHead(worked);
      const isLeft = before && supportsHead(before) && before.at === worked.at - 1;
      if (!isOwn && !isLeft) return [];
      const support = isOwn ? worked : (before as Worked);
      return [
        {
          key: worked.item.id,
          itemIds: isOwn ? [worked.item.id] : [support.item.id, worked.item.id],
          sentence: isOwn
            ? `${worked.exercise.name} lifts the pelvis with something under the head.`
            : `${support.exercise.name} has something under the head, and ${worked.exercise.name} follows at once with the pelvis lifted.`,
          candidates: () => [
            ...worked.timed.props
              .filter(isUnderHead)
              .flatMap(({ prop }) => withoutAdded(worked, prop)),
            ...(isOwn ? [] : pauseAfter(context, support, 'Head supports out', 10)),
            ...(isOwn
              ? []
              : addBeforeIt(
                  context,
                  worked,
                  unusedOf(context)
                    .filter(
                      ({ position, family }) => position === 'supine' && family === 'awareness',
                    )
                    .slice(0, 2),
                )),
            leaveOut(worked),
            leaveOut(support),
          ],
        },
      ];
    });
  },
};

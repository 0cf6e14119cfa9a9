import { bodiesOf } from '../../body/option-body.ts';
import { tempoOf } from '../../movement/exercise.ts';
import type { Tempo } from '../../movement/vocabulary.ts';
import { itemsOf } from '../../plan/plan.ts';
import { leaveOut } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** Repetitions in the published sequence, but for small quick ones and beats. Common practice. */
const MOST = 10;
const SMALL: ReadonlySet<Tempo> = new Set(['pulse', 'quick'] as const);
/** A sip of water is no pause in the flow. */
const PAUSE_S = 45;
/** Of stature: hips so far over the upper back stand on the shoulders; those of a bridge are lower. */
const OVERHEAD = 0.13;

export const asPublished: Rule = {
  id: 'as-published',
  name: 'A sequence in one go',
  statement:
    'The sequence runs without pauses, three to ten of each, and ends with the push-up or standing, never on the shoulders.',
  kind: 'flow',
  why: 'In it the way from one to the next is exercise as well, and the last thing is to stand.',
  usually: 'off',
  speaksFrom: 'class',
  find: (context) => [...pauses(context), ...many(context), ...ends(context)],
};

function pauses({ plan }: RuleContext): Problem[] {
  const items = itemsOf(plan);
  return items.flatMap((item, at): Problem[] => {
    const isInside = at > 0 && at < items.length - 1;
    if (item.kind !== 'pause' || !isInside || item.durationS <= PAUSE_S) return [];
    return [
      {
        key: item.id,
        itemIds: [item.id],
        sentence: `${item.label} stops the sequence for ${item.durationS} s.`,
        candidates: () => [
          { label: `Leave ${item.label} out`, edit: { type: 'removeItem', itemId: item.id } },
        ],
      },
    ];
  });
}

function many({ worked }: RuleContext): Problem[] {
  return worked.flatMap(({ exercise, option, dose, item }): Problem[] => {
    const isSmall = SMALL.has(item.tempo ?? tempoOf(exercise, option)) || SMALL.has(exercise.tempo);
    if (dose.kind !== 'repetitions') return [];
    // In turn, each side does half of what is counted.
    const most = dose.sides === 'alternating' ? 2 * MOST : MOST;
    if (dose.count <= most || isSmall) return [];
    return [
      {
        key: `count ${item.id}`,
        itemIds: [item.id],
        sentence: `${exercise.name} is done ${dose.count} times; in a sequence ${most} are many.`,
        candidates: () => [
          {
            label: `${most} times`,
            edit: { type: 'setDose', itemId: item.id, dose: { ...dose, count: most } },
          },
        ],
      },
    ];
  });
}

function ends({ worked }: RuleContext): Problem[] {
  const last = worked.findLast(({ exercise }) => exercise.family !== 'release');
  if (!last || !isOnTheShoulders(last)) return [];
  return [
    {
      key: `end ${last.item.id}`,
      itemIds: [last.item.id],
      sentence: `The sequence ends on the shoulders, with ${last.exercise.name}.`,
      candidates: () => [leaveOut(last)],
    },
  ];
}

function isOnTheShoulders({ option, timed }: Worked): boolean {
  return (
    timed.position === 'supine' &&
    bodiesOf(option).some((body) => body.hips[1] - body.highBack[1] > OVERHEAD)
  );
}

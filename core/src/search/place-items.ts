import { secondsOf } from '../plan/timing/timeline.ts';
import type { RuleContext, Worked } from '../review/rule.ts';
import { swellBand, swellCurve } from '../review/swell.ts';
import { addCurves, FLAT, scaleCurve } from './curve.ts';
import type { Forgiven } from './forgiven.ts';
import { markItems, NO_BITS } from './marks.ts';
import type { OrderProblem, PlacedItem } from './problem.ts';
import { entryOf } from './entry.ts';

/** Kinds of things that fit into one word of bits. */
const MOST_THINGS = 31;

/** Every item of the class as what its place depends on, with the prices of marks and things. */
export function placeItems(
  context: RuleContext,
  forgiven: Forgiven,
): Pick<OrderProblem, 'items' | 'marks' | 'things'> {
  const { marks, leaves, wants } = markItems(context, forgiven);
  const { things, thingBits } = thingsOf(context);
  const curvesOf = createCurves(context);
  // What is done again on the other side or in another round goes wherever its first time goes.
  const allS = new Map<string, number>();
  for (const { itemId, durationS } of context.timeline.items) {
    allS.set(itemId, (allS.get(itemId) ?? 0) + durationS);
  }
  const items = context.worked.map((worked, index): PlacedItem => {
    const { timed, exercise, item } = worked;
    const curves = curvesOf(worked);
    return {
      itemId: item.id,
      name: exercise.name,
      ownS: Math.max(1, (allS.get(item.id) ?? timed.durationS) - secondsOf(timed, 'set-up')),
      leaves: leaves[index] ?? NO_BITS,
      wants: wants[index] ?? NO_BITS,
      thingBits: entryOf(thingBits, index),
      curve: curves.map(({ curve }) => curve).reduce(addCurves, FLAT),
      curves,
    };
  });
  return { items, marks, things };
}

/** Letting go is no effort, however the body model weighs the stretch. */
function effortIn({ exercise, timed }: Worked): number {
  return exercise.family === 'release' ? Math.min(1, timed.effort) : timed.effort;
}

function createCurves(context: RuleContext): (worked: Worked) => PlacedItem['curves'] {
  const { school, rules, kind } = context;
  const band = swellBand(school);
  // Letting go is welcome between efforts: it can be too much early, and never too little.
  const eased = band.map((point) => ({ ...point, low: 0 }));
  return (worked) => [
    // A lesson and a short set have no swell.
    ...(kind === 'class'
      ? [
          {
            cost: 'effort' as const,
            curve: scaleCurve(
              swellCurve(worked.exercise.family === 'release' ? eased : band, effortIn(worked)),
              school.weights.effort,
            ),
          },
        ]
      : []),
    ...rules.flatMap(({ rule }) =>
      (rule.order ?? []).flatMap(({ cost, place }) => {
        const points = place?.(worked, context) ?? [];
        return points.length === 0
          ? []
          : [{ cost, curve: scaleCurve(points, school.weights[cost]) }];
      }),
    ),
  ];
}

function thingsOf(context: RuleContext): Pick<OrderProblem, 'things'> & { thingBits: number[] } {
  const { worked, rules, school } = context;
  const things: OrderProblem['things'][number][] = [];
  const thingBits = worked.map(() => 0);
  for (const { rule } of rules) {
    for (const { cost, things: told } of rule.order ?? []) {
      if (!told) continue;
      const used = worked.map(told.of);
      const bitOf = new Map<string, number>();
      for (const name of new Set(used.flat())) {
        if (things.length === MOST_THINGS) {
          throw new Error(`more than ${MOST_THINGS} kinds of things in one class`);
        }
        bitOf.set(name, 1 << things.length);
        things.push({ cost, costS: told.againS * school.weights[cost] });
      }
      used.forEach((names, index) => {
        for (const name of names) {
          thingBits[index] = entryOf(thingBits, index) | (bitOf.get(name) ?? 0);
        }
      });
    }
  }
  return { things, thingBits };
}

import { z } from 'zod';
import { ASKS, type Ask } from './asks.ts';
import type { Bound, Caution } from './cautions/caution.ts';
import { CAUTION_IDS, cautionOf, type CautionId } from './cautions/cautions.ts';

export const EFFECTS = ['avoid', 'limit', 'support'] as const;
type Effect = (typeof EFFECTS)[number];

/**
 * A number of the studio's own in place of the usual one, for one caution and one measure. Stricter than usual it
 * needs no word; where it lets more through, somebody has cleared it.
 */
export const OwnBound = z.strictObject({
  caution: z.enum(CAUTION_IDS),
  ask: z.enum(ASKS),
  effect: z.enum(EFFECTS),
  /** At or over it, the effect holds; null where it never does. */
  from: z.number().min(0).max(1000).nullable(),
  clearedBy: z.string().trim().min(1, 'say who cleared it').max(120).optional(),
  clearedOn: z.iso.date('write the date as year-month-day').optional(),
});
export type OwnBound = z.infer<typeof OwnBound>;

export const OwnBounds = z.array(OwnBound).max(200, 'at most 200 numbers');
export type OwnBounds = z.infer<typeof OwnBounds>;

/** Every bound that a caution can come to, whatever the stage, gate or way. */
function everyBound({ bounds, stages = [], gates, ways = {} }: Caution): Bound[] {
  return [
    ...bounds,
    ...stages.flatMap((stage) => stage.bounds),
    ...(gates ?? []).flat(),
    ...Object.values(ways).flat(),
  ];
}

/** Usual numbers of a caution: one entry for each measure and effect, from the strictest to the loosest number. */
export function usualNumbers(caution: CautionId): { ask: Ask; effect: Effect; from: number[] }[] {
  const found = new Map<string, { ask: Ask; effect: Effect; from: number[] }>();
  for (const bound of everyBound(cautionOf(caution))) {
    for (const effect of EFFECTS) {
      const from = bound[effect];
      if (from === undefined) continue;
      const key = `${bound.ask} ${effect}`;
      const entry = found.get(key) ?? { ask: bound.ask, effect, from: [] };
      if (!entry.from.includes(from)) entry.from.push(from);
      found.set(key, entry);
    }
  }
  return [...found.values()].map((entry) => ({ ...entry, from: entry.from.sort((a, b) => a - b) }));
}

/** True where a number lets through what the usual one keeps back, in any stage. */
export function isLooser({ caution, ask, effect, from }: OwnBound): boolean {
  const usual = usualNumbers(caution).find((each) => each.ask === ask && each.effect === effect);
  const [strictest] = usual?.from ?? [];
  return strictest !== undefined && (from === null || from > strictest);
}

interface OwnBoundProblem {
  path: (string | number)[];
  message: string;
}

/** What a schema can't see: who cleared what is looser, and one number said twice. */
export function checkOwnBounds(own: OwnBounds): OwnBoundProblem[] {
  const said = new Set<string>();
  return own.flatMap((bound, index): OwnBoundProblem[] => {
    const key = `${bound.caution} ${bound.ask} ${bound.effect}`;
    if (said.has(key)) return [{ path: [index, 'ask'], message: 'has a number already' }];
    said.add(key);
    if (!isLooser(bound) || bound.clearedBy) return [];
    return [
      {
        path: [index, 'clearedBy'],
        message: 'it lets through more than usual: say who cleared it',
      },
    ];
  });
}

/** The studio's numbers in place of the usual ones; without somebody's word none of them lets through more. */
export function withOwnBounds(
  caution: CautionId,
  usual: readonly Bound[],
  own: OwnBounds,
): Bound[] {
  const about = own.filter((each) => each.caution === caution);
  if (about.length === 0) return [...usual];
  const changed = usual.flatMap((bound): Bound[] => {
    const numbers = EFFECTS.flatMap((effect): [Effect, number][] => {
      const before = bound[effect];
      const mine = about.find((each) => each.ask === bound.ask && each.effect === effect);
      if (before === undefined || mine === undefined) {
        return before === undefined ? [] : [[effect, before]];
      }
      const { from, clearedBy } = mine;
      if (from === null) return clearedBy ? [] : [[effect, before]];
      return [[effect, clearedBy ? from : Math.min(before, from)]];
    });
    const { ask, smallerIsNoWayOut } = bound;
    if (numbers.length === 0) return [];
    return [
      {
        ask,
        ...Object.fromEntries(numbers),
        ...(smallerIsNoWayOut ? { smallerIsNoWayOut } : {}),
      },
    ];
  });
  const added = about.flatMap(({ ask, effect, from }): Bound[] => {
    const isThere = usual.some((bound) => bound.ask === ask && bound[effect] !== undefined);
    return isThere || from === null ? [] : [{ ask, [effect]: from }];
  });
  return [...changed, ...added];
}

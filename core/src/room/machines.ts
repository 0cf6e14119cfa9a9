import { z } from 'zod';
import { countWords } from '../movement/words.ts';
import { STRENGTHS, type NameSpring, type Springs, type Strength } from '../movement/gear.ts';
import { GEAR_SECONDS, GearSeconds } from '../plan/timing/gear-seconds.ts';

const named = z.string().trim().min(1, 'give it a name').max(40);
const sentence = z.string().trim().max(400);

/** Springs of one kind on one machine, by the studio's own name for them. */
export const SpringKind = z.strictObject({
  name: named,
  strength: z.enum(STRENGTHS),
  /** On each machine. */
  count: z.number().int().min(1).max(5),
});
export type SpringKind = z.infer<typeof SpringKind>;

/**
 * A studio's reformers: how many, what their springs and positions are called, what stands beside them,
 * how long each change takes, and what is said for safety. Everything may be left unsaid.
 */
export const Machines = z.strictObject({
  reformers: z.number().int().min(0).max(60).default(0),
  springs: z.array(SpringKind).max(8).default([]),
  bars: z.strictObject({ high: named, middle: named, low: named }).partial().default({}),
  headrests: z.strictObject({ up: named, middle: named, down: named }).partial().default({}),
  extras: z.array(named).max(12).default([]),
  seconds: GearSeconds.default({ ...GEAR_SECONDS }),
  /** Said before work standing or kneeling on the moving part. */
  onTheMovingPart: sentence.default(
    'Carriage home, springs on. Step on and off over the well, a hand on the bar or the rest.',
  ),
  /** Said before jumps. */
  beforeJumps: sentence.default(
    'Board locked. Land softly through the whole foot, knees over toes; stop with any pain.',
  ),
});
export type Machines = z.infer<typeof Machines>;

/** A studio that has said nothing of its machines. */
export const PLAIN_MACHINES: Machines = Machines.parse({});

/** Springs of a strength by the studio's own names; plain words where it has none. */
export const springName =
  (machines: Machines): NameSpring =>
  (strength) => {
    const kinds = machines.springs.filter((kind) => kind.strength === strength);
    return kinds.length > 0 ? kinds.map(({ name }) => name).join(' or ') : strength;
  };

/** How many springs of each strength one machine has. */
export function springsOwned(machines: Machines): Record<Strength, number> {
  const owned = { heavy: 0, medium: 0, light: 0 };
  for (const { strength, count } of machines.springs) owned[strength] += count;
  return owned;
}

/** What a machine lacks for these springs; undefined when it has them, or when nothing is known. */
export function springsShort(springs: Springs | undefined, machines: Machines): string | undefined {
  if (machines.springs.length === 0 || !springs) return undefined;
  const owned = springsOwned(machines);
  const short = STRENGTHS.filter((strength) => (springs[strength] ?? 0) > owned[strength]).map(
    (strength) =>
      `${countWords(springs[strength] ?? 0)} ${strength}, a machine has ${owned[strength] === 0 ? 'none' : countWords(owned[strength])}`,
  );
  return short.length > 0 ? short.join('; ') : undefined;
}

import { z } from 'zod';
import { PropUse } from '../movement/exercise.ts';
import { Prop } from '../movement/vocabulary.ts';

/** More than anybody can arrange for one exercise. */
export const MOST_ADDED = 4;

/** With what an item is done otherwise than its options say. */
export const ItemProps = z
  .strictObject({
    /** Beside what an option uses: one prop at two places is two of them. */
    added: z.array(PropUse).min(1).max(MOST_ADDED).optional(),
    /** What its options use and this time nobody does; a support stays with whoever's record asks for it. */
    without: z.array(Prop).min(1).max(MOST_ADDED).optional(),
  })
  .refine(({ added, without }) => added ?? without, 'say what is added, or what is left away');
export type ItemProps = z.infer<typeof ItemProps>;

/** What stays as it was at the item before: props where they lie, or the shape, such as a hover that is not left. */
export const KEEPS = ['props', 'shape'] as const;
export const Keeps = z.array(z.enum(KEEPS)).min(1).max(KEEPS.length);
export type Keeps = z.infer<typeof Keeps>;

interface Said {
  props?: ItemProps | undefined;
  keeps?: Keeps | undefined;
}

/**
 * What is held when an item is done: what the option uses, without what the item leaves away, with what it adds, and
 * where it keeps the props of the item before, those too, as far as it doesn't use the same ones itself.
 */
export function propsHeld(
  used: readonly PropUse[],
  { props, keeps }: Said,
  before: readonly PropUse[],
): PropUse[] {
  const left = new Set(props?.without);
  const own = used.filter(({ prop }) => !left.has(prop));
  const held = [...own, ...(props?.added ?? [])]
    .filter(({ optional }) => !optional)
    .filter((use, at, all) => all.findIndex((other) => isSameUse(other, use)) === at);
  if (!keeps?.includes('props')) return held;
  const kept = before.filter(
    ({ prop }) => !left.has(prop) && !held.some((use) => use.prop === prop),
  );
  return [...held, ...kept];
}

/** The same prop at the same place. */
function isSameUse(a: PropUse, b: PropUse): boolean {
  return a.prop === b.prop && a.place === b.place;
}

export function keepsShape({ keeps }: Said): boolean {
  return keeps?.includes('shape') ?? false;
}

/** What an item says of props once one that it brought in, or keeps, is left away. */
export function withoutBrought({ props }: Said, prop: Prop): ItemProps | undefined {
  const added = props?.added?.filter((use) => use.prop !== prop) ?? [];
  const isAdded = added.length !== (props?.added?.length ?? 0);
  // What is only kept has to be said to be left away.
  const without = isAdded ? props?.without : [...(props?.without ?? []), prop];
  const left = { ...(added.length > 0 ? { added } : {}), ...(without ? { without } : {}) };
  return left.added || left.without ? left : undefined;
}

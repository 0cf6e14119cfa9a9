import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { optionOf } from '@wrenfern/core/movement/exercise';
import { gearSet, type Gear } from '@wrenfern/core/movement/gear';
import type { Edit } from '@wrenfern/core/plan/edits';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import type { Timeline } from '@wrenfern/core/plan/timing/timeline';

/** Sets the machine for items of a block; each keeps only what differs from its exercise's own. */
export function setGearOf(
  plan: Plan,
  timeline: Timeline,
  catalogue: Catalogue,
  itemIds: readonly string[],
  wanted: Gear | undefined,
): Edit {
  const optionOfItem = new Map(timeline.items.map(({ itemId, option }) => [itemId, option]));
  const edits = exerciseItemsOf(plan)
    .filter(({ id }) => itemIds.includes(id))
    .flatMap(({ id, exercise: slug }) => {
      const exercise = catalogue.get(slug);
      if (!exercise) return [];
      const option = optionOf(exercise, optionOfItem.get(id) ?? exercise.standard);
      const gear = wanted && gearSet(option, wanted);
      return [{ type: 'setGear' as const, itemId: id, ...(gear ? { gear } : {}) }];
    });
  return { type: 'together', edits };
}

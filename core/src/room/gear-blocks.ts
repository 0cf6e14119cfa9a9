import type { Catalogue } from '../movement/catalogue.ts';
import { changedParts, gearAfter, gearFor, type Gear, type GearPart } from '../movement/gear.ts';
import { optionOf } from '../movement/exercise.ts';
import { itemsOf, type Plan } from '../plan/plan.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import type { Machines } from './machines.ts';

/** Neighbours that are done with the machine set the same way. */
export interface GearBlock {
  /** Exercises of the block in running order; pauses inside it are left out. */
  itemIds: string[];
  /** How everything stands that is known by then. */
  gear: Gear;
  /** What is changed before it, and the seconds of it; nothing before the first. */
  changes: GearPart[];
  changeS: number;
  startS: number;
  endS: number;
}

/** The gear of a class as blocks; none on the mat. A plan's own setting wins over the exercise's. */
export function gearBlocks(
  plan: Plan,
  timeline: Timeline,
  catalogue: Catalogue,
  machines: Machines,
): GearBlock[] {
  const items = new Map(itemsOf(plan).map((item) => [item.id, item]));
  const blocks: GearBlock[] = [];
  let gear: Gear | undefined;
  for (const timed of timeline.items) {
    const item = items.get(timed.itemId);
    const exercise = timed.exercise ? catalogue.get(timed.exercise) : undefined;
    if (item?.kind !== 'exercise' || !exercise) continue;
    const asked = gearFor(optionOf(exercise, timed.option ?? exercise.standard), item.gear);
    const next = gearAfter(gear, asked);
    if (!next) continue;
    const changes = changedParts(gear, next);
    const open = blocks.at(-1);
    if (open && changes.length === 0) {
      open.itemIds.push(item.id);
      open.gear = next;
      open.endS = timed.startS + timed.durationS;
    } else {
      blocks.push({
        itemIds: [item.id],
        gear: next,
        changes,
        changeS: changes.reduce((sum, part) => sum + machines.seconds[part], 0),
        startS: timed.startS,
        endS: timed.startS + timed.durationS,
      });
    }
    gear = next;
  }
  return blocks;
}

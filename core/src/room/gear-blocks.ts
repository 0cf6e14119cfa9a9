import { changedParts, gearAfter, type Gear, type GearPart } from '../movement/gear.ts';
import type { TimedItem } from '../plan/timing/timeline.ts';
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

/** An exercise of the running order and how the machine is set for it. */
interface SetItem {
  timed: Pick<TimedItem, 'itemId' | 'startS' | 'durationS'>;
  gear: Gear | undefined;
}

/** The gear of a class as blocks; none on the mat. */
export function gearBlocks(items: readonly SetItem[], machines: Machines): GearBlock[] {
  const blocks: GearBlock[] = [];
  let gear: Gear | undefined;
  for (const { timed, gear: asked } of items) {
    const next = gearAfter(gear, asked);
    if (!next) continue;
    const changes = changedParts(gear, next);
    const open = blocks.at(-1);
    if (open && changes.length === 0) {
      open.itemIds.push(timed.itemId);
      open.gear = next;
      open.endS = timed.startS + timed.durationS;
    } else {
      blocks.push({
        itemIds: [timed.itemId],
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

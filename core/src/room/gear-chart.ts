import { GEAR_PARTS, type GearPart } from '../movement/gear.ts';
import type { GearBlock } from './gear-blocks.ts';
import { partWords } from './gear-words.ts';
import type { Machines } from './machines.ts';

/** One part of the machine that stays as it is over neighbouring exercises. */
export interface GearBand {
  words: string;
  /** Over how many exercises it stays. */
  length: number;
  /** Whether it is changed before the first of them; how the class begins is no change. */
  isChange: boolean;
}

/** Exercises against the parts of the machine; a band stands in the row where it begins. */
export interface GearChart {
  /** The parts that the class says anything of, in the order in which they are told. */
  parts: GearPart[];
  rows: { itemId: string; bands: Partial<Record<GearPart, GearBand>> }[];
}

/** The gear of a class at one look; without rows on the mat. */
export function gearChart(blocks: readonly GearBlock[], machines: Machines): GearChart {
  const parts = GEAR_PARTS.filter((part) =>
    blocks.some(({ gear }) => gear[part] !== undefined && gear[part] !== 'none'),
  );
  const rows: GearChart['rows'] = blocks.flatMap(({ itemIds }) =>
    itemIds.map((itemId) => ({ itemId, bands: {} })),
  );
  for (const part of parts) {
    let open: GearBand | undefined;
    let at = 0;
    for (const block of blocks) {
      const isChange = block.changes.includes(part);
      const words = partWords(block.gear, part, machines);
      if (open && !isChange && open.words === words) {
        open.length += block.itemIds.length;
      } else {
        open = { words, length: block.itemIds.length, isChange };
        const row = rows[at];
        if (row) row.bands[part] = open;
      }
      at += block.itemIds.length;
    }
  }
  return { parts, rows };
}

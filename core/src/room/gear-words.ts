import { springWords, type Gear, type GearPart } from '../movement/gear.ts';
import { capital } from '../movement/words.ts';
import type { GearBlock } from './gear-blocks.ts';
import { springName, type Machines } from './machines.ts';

/** The parts of a gear as they are told, springs first; what there is none of is not told. */
export function gearWords(gear: Gear, machines: Machines): string[] {
  const { springs, bar, headrest, loops, box, facing } = gear;
  return [
    springs ? springWords(springs, springName(machines)) : '',
    barWords(bar, machines),
    headrest ? `headrest ${machines.headrests[headrest] ?? headrest}` : '',
    loops && loops !== 'none' ? `${loops} loops` : '',
    box && box !== 'none' ? `${box} box` : '',
    facing ?? '',
  ].filter(Boolean);
}

function barWords(bar: Gear['bar'], machines: Machines): string {
  if (!bar) return '';
  return bar === 'off' ? 'no bar' : `bar ${machines.bars[bar] ?? bar}`;
}

/** What a change is called where it is told in a few words. */
export const GEAR_PART_WORDS: Record<GearPart, string> = {
  springs: 'springs',
  bar: 'bar',
  headrest: 'headrest',
  loops: 'loops',
  box: 'box',
  facing: 'turning round',
};

/** One part of a gear in words, for telling from what to what it changes. */
export function partWords(gear: Gear, part: GearPart, machines: Machines): string {
  switch (part) {
    case 'springs':
      return springWords(gear.springs, springName(machines));
    case 'bar':
      return gear.bar === 'off'
        ? 'off'
        : gear.bar
          ? (machines.bars[gear.bar] ?? gear.bar)
          : 'as it is';
    case 'headrest':
      return gear.headrest ? (machines.headrests[gear.headrest] ?? gear.headrest) : 'as it is';
    case 'loops':
      return gear.loops && gear.loops !== 'none' ? gear.loops : 'away';
    case 'box':
      return gear.box && gear.box !== 'none' ? `the ${gear.box} box` : 'off';
    case 'facing':
      return gear.facing ?? 'as it is';
  }
}

/** How a block is set: all of it at first, then what is changed. */
export function settingWords(
  { gear, changes }: Pick<GearBlock, 'gear' | 'changes'>,
  machines: Machines,
): string {
  const words =
    changes.length > 0
      ? changes.map((part) => `${GEAR_PART_WORDS[part]}: ${partWords(gear, part, machines)}`)
      : gearWords(gear, machines);
  return capital(words.join(' · '));
}

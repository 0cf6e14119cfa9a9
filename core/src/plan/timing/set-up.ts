import { PROP_WORDS } from '../../movement/words.ts';
import type { PropUse } from '../../movement/exercise.ts';
import { changedParts, springWords, type Gear, type GearPart } from '../../movement/gear.ts';
import type { Position } from '../../movement/vocabulary.ts';
import { GEAR_SECONDS, type GearSeconds } from './gear-seconds.ts';
import { ALIGNED, SET_UP } from './pace.ts';

/** How the room stands before or at an item. */
export interface Stance {
  exercise: string;
  position: Position;
  props: readonly PropUse[];
  /** How the machine is set, on a machine. */
  gear?: Gear | undefined;
}

export interface Cost {
  seconds: number;
  reason: string;
}

/**
 * Seconds from one stance to the next: moving, arranging limbs, props fetched, moved and put down.
 * `met` holds the positions already taken in this class: a shape met for the first time is lined up.
 * `arrangeS` is the exercise's own time to arrange limbs, `gearSeconds` what each change of a machine takes.
 */
export function setUpBetween(
  before: Stance | undefined,
  after: Stance,
  met: ReadonlySet<Position>,
  arrangeS?: number,
  gearSeconds: GearSeconds = GEAR_SECONDS,
): Cost {
  const costs = [
    moveBetween(before, after, met, arrangeS),
    ...propChanges(before, after),
    ...machineChanges(before?.gear, after.gear, gearSeconds),
  ].filter((cost) => cost.seconds > 0);
  return {
    seconds: costs.reduce((sum, cost) => sum + cost.seconds, 0),
    reason: costs.map((cost) => cost.reason).join('; ') || 'same exercise, nothing to arrange',
  };
}

function moveBetween(
  before: Stance | undefined,
  after: Stance,
  met: ReadonlySet<Position>,
  arrangeS: number | undefined,
): Cost {
  const arrange = arrangeS ?? SET_UP.rearrangeS;
  if (!before) {
    const seconds = Math.max(SET_UP.firstShapeS, arrange);
    return { seconds, reason: `arranging the first shape ${seconds} s` };
  }
  if (before.position === after.position) {
    if (before.exercise === after.exercise) return { seconds: 0, reason: '' };
    return { seconds: arrange, reason: `rearranging, ${after.position} ${arrange} s` };
  }
  const words = `${before.position} to ${after.position}`;
  if (before.position === 'side-lying' && after.position === 'supine') {
    const seconds = SET_UP.sideToBackS + arrange;
    return { seconds, reason: `${words} ${SET_UP.sideToBackS} s and arranging ${arrange} s` };
  }
  const base = needsAligning(before.position, after.position, met)
    ? SET_UP.alignedChangeS
    : SET_UP.flowingChangeS;
  const seconds = Math.max(base, arrangeS ?? 0);
  return { seconds, reason: `${words} ${seconds} s` };
}

function needsAligning(from: Position, to: Position, met: ReadonlySet<Position>): boolean {
  if (ALIGNED.has(to)) return !(from === 'quadruped' && to === 'prone' && met.has('prone'));
  if (to === 'supine') return from === 'quadruped' || from === 'prone' || from === 'standing';
  const gettingUp = to === 'standing' && (from === 'supine' || from === 'prone');
  return gettingUp || !met.has(to);
}

/** Lying down over cushions takes its own time; other props cost a placing or a putting down. */
function propChanges(before: Stance | undefined, after: Stance): Cost[] {
  const held = before?.props ?? [];
  const costs: Cost[] = [];
  for (const use of after.props) {
    if (held.some((other) => sameUse(other, use))) continue;
    const overCushions = use.prop === 'cushion' && use.place === 'under shoulder blades';
    const seconds = overCushions ? SET_UP.overCushionsS : SET_UP.propPlacedS;
    const what = PROP_WORDS[use.prop];
    costs.push({ seconds, reason: `${what} placed ${use.place} ${seconds} s` });
  }
  for (const use of held) {
    if (after.props.some((other) => other.prop === use.prop)) continue;
    costs.push({
      seconds: SET_UP.propPutDownS,
      reason: `${PROP_WORDS[use.prop]} put down ${SET_UP.propPutDownS} s`,
    });
  }
  return costs;
}

/** What everyone changes on their machine; before the first exercise the machines are set already. */
/** What everyone changes on the machine from one gear to the next, each with its seconds. */
export function machineChanges(
  before: Gear | undefined,
  after: Gear | undefined,
  seconds: GearSeconds,
): Cost[] {
  return changedParts(before, after).map((part) => ({
    seconds: seconds[part],
    reason: `${sayChange(part, after ?? {})} ${seconds[part]} s`,
  }));
}

/** A change by what it leads to. */
function sayChange(part: GearPart, { springs, bar, headrest, loops, box }: Gear): string {
  switch (part) {
    case 'springs':
      return `springs to ${springWords(springs)}`;
    case 'bar':
      return `bar ${bar ?? ''}`;
    case 'headrest':
      return `headrest ${headrest ?? ''}`;
    case 'loops':
      return !loops || loops === 'none' ? 'loops away' : `${loops} loops`;
    case 'box':
      return !box || box === 'none' ? 'box off' : `${box} box on`;
    case 'facing':
      return 'turning round';
  }
}

function sameUse(a: PropUse, b: PropUse): boolean {
  return a.prop === b.prop && a.place === b.place && a.count === b.count;
}

import { z } from 'zod';
import { MachineSetting, type Option } from './exercise.ts';
import { countWords } from './words.ts';

/** The strengths of springs, strongest first; studios give their own springs one of these. */
export const STRENGTHS = ['heavy', 'medium', 'light'] as const;
export type Strength = (typeof STRENGTHS)[number];

/** How many springs of each strength are on. */
export type Springs = NonNullable<MachineSetting['springs']>;

/** How springs differ for one person from what the class is told. */
export const SPRING_STEPS = ['lighter', 'heavier'] as const;
export type SpringStep = (typeof SPRING_STEPS)[number];

const UP: Record<Strength, Strength | undefined> = {
  light: 'medium',
  medium: 'heavy',
  heavy: undefined,
};
const DOWN: Record<Strength, Strength | undefined> = {
  heavy: 'medium',
  medium: 'light',
  light: undefined,
};

/**
 * One step lighter or heavier, by exchanging a spring for its neighbour; the lightest is taken off, one
 * more light is put on past the heaviest. What can't be lighter stays. Common practice.
 */
export function stepSprings(springs: Springs, step: SpringStep | undefined): Springs {
  if (!step) return springs;
  const next = { heavy: 0, medium: 0, light: 0, ...springs };
  const order = step === 'lighter' ? [...STRENGTHS].reverse() : [...STRENGTHS];
  if (step === 'lighter') {
    const total = next.heavy + next.medium + next.light;
    const from = order.find((strength) => next[strength] > 0);
    if (!from || (from === 'light' && total === 1)) return springs;
    next[from] -= 1;
    const to = DOWN[from];
    if (to) next[to] += 1;
  } else {
    const from = (['light', 'medium'] as const).find((strength) => next[strength] > 0);
    if (from) {
      next[from] -= 1;
      const to = UP[from];
      if (to) next[to] += 1;
    } else next.light += 1;
  }
  return Object.fromEntries(
    STRENGTHS.filter((strength) => next[strength] > 0).map((strength) => [
      strength,
      next[strength],
    ]),
  );
}

/** What of a machine is set by hand. What another spring does to an exercise is not. */
export const Gear = MachineSetting.omit({ moreSpring: true });
export type Gear = z.infer<typeof Gear>;

export const GEAR_PARTS = ['springs', 'bar', 'headrest', 'loops', 'box', 'facing'] as const;
export type GearPart = (typeof GEAR_PARTS)[number];

/** What an item asks of the machine: its option's own, except where the plan sets it. */
export function gearFor(option: Option, set: Gear | undefined): Gear | undefined {
  if (!option.settings && !set) return undefined;
  const { moreSpring: _effect, ...own } = option.settings ?? {};
  return { ...own, ...set };
}

/** How the machine stands at an item: what it leaves open stays as it was. */
export function gearAfter(before: Gear | undefined, asked: Gear | undefined): Gear | undefined {
  if (!asked) return before;
  return { ...before, ...asked };
}

/** Which parts are changed on the way from one gear to the next; what is not known yet is no change. */
export function changedParts(before: Gear | undefined, after: Gear | undefined): GearPart[] {
  if (!before || !after) return [];
  return GEAR_PARTS.filter((part) => {
    const [one, other] = [valueOf(before, part), valueOf(after, part)];
    return one !== undefined && other !== undefined && one !== other;
  });
}

/** A part as one text that can be compared; loops and a box that nobody names are none. */
function valueOf(gear: Gear, part: GearPart): string | undefined {
  if (part === 'springs') {
    const { springs } = gear;
    return springs && STRENGTHS.map((strength) => springs[strength] ?? 0).join(' ');
  }
  if (part === 'loops' || part === 'box') return gear[part] ?? 'none';
  return gear[part];
}

/** How many springs are put on or taken off. */
export function springsChanged(before: Gear | undefined, after: Gear | undefined): number {
  const [one, other] = [before?.springs, after?.springs];
  if (!one || !other) return 0;
  return STRENGTHS.reduce(
    (sum, strength) => sum + Math.abs((one[strength] ?? 0) - (other[strength] ?? 0)),
    0,
  );
}

/** What is set differently from what the option asks by itself; undefined when nothing is. */
export function gearSet(option: Option, wanted: Gear): Gear | undefined {
  const own = gearFor(option, undefined) ?? {};
  const set = Object.fromEntries(
    GEAR_PARTS.filter((part) => {
      const value = valueOf(wanted, part);
      return wanted[part] !== undefined && value !== valueOf(own, part);
    }).map((part) => [part, wanted[part]]),
  );
  return Object.keys(set).length > 0 ? set : undefined;
}

/** How a spring of a strength is called; plain words where a studio has no names of its own. */
export type NameSpring = (strength: Strength) => string;

const byStrength: NameSpring = (strength) => strength;

/** Springs as they are said: "two heavy, one light". */
export function springWords(springs: Springs | undefined, nameOf: NameSpring = byStrength): string {
  const on = STRENGTHS.filter((strength) => (springs?.[strength] ?? 0) > 0);
  if (on.length === 0) return 'no springs';
  return on.map((each) => `${countWords(springs?.[each] ?? 0)} ${nameOf(each)}`).join(', ');
}

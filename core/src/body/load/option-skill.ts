import type { Exercise, Option } from '../../movement/exercise.ts';
import { measuresOf } from '../measures/measures-of.ts';
import { bodiesOf } from '../option-body.ts';
import { movingOf } from './moving.ts';

/** One reason why an option takes skill. */
export interface SkillPart {
  name: 'foundations' | 'step' | 'coordination' | 'balance';
  /** Points of the hundred that it gives. */
  points: number;
  because: string;
}

/** What of an exercise says how much its options take. */
export type Laddered = Pick<Exercise, 'needs' | 'optionsAre' | 'standard'>;

export interface OptionSkill {
  /** 0 anybody to 100. */
  score: number;
  parts: SkillPart[];
}

/** The most that each part gives. Common practice: what must be learnt before weighs more than balance. */
const MOST = { deepest: 36, needed: 14, step: 24, coordination: 14, balance: 12 } as const;

/** Depths in all from which the needs count whole; steps from the standard that count; movements at once. */
const FULL = { needed: 9, depth: 3, steps: 2, movements: 5 } as const;
/** Degrees that a back goes through when it moves on purpose. */
const BACK_MOVES = 15;
/** More key poses than there and back are a sequence to remember. */
const THERE_AND_BACK = 2;

/** By exercise and then option: a studio's copy shares options with the built-in one, and may need something else. */
const SCORES = new WeakMap<Laddered, Map<Option, number>>();

/** What was worked out before, so that nobody waits for it. */
export function keepSkill(exercise: Laddered, option: Option, score: number): void {
  const own = SCORES.get(exercise) ?? new Map<Option, number>();
  SCORES.set(exercise, own.set(option, score));
}

/** What an option takes, 0 to 100, without its reasons. */
export function skillOf(exercise: Laddered, option: Option): number {
  return SCORES.get(exercise)?.get(option) ?? optionSkillOf(exercise, option).score;
}

/**
 * What an option takes to do well: the foundations that its exercise needs, its step on the ladder, what
 * moves at once, and how near it is to tipping. The needs are those of the standard option; a step below
 * asks less than they say, a step above more.
 */
export function optionSkillOf(exercise: Laddered, option: Option): OptionSkill {
  const depths = exercise.needs.map(({ depth }) => depth);
  const [deepest, all] = [Math.max(0, ...depths), depths.reduce<number>((a, b) => a + b, 0)];
  const above = exercise.optionsAre === 'steps' ? option.number - exercise.standard : 0;
  const bodies = bodiesOf(option);
  const moving = movingOf(bodies);
  const movements =
    moving.limbs + Number(moving.backDeg > BACK_MOVES) + Number(bodies.length > THERE_AND_BACK);
  const tips = measuresOf(option).whole.tips?.peak;
  const parts = [
    part(
      'foundations',
      (MOST.deepest * deepest) / FULL.depth + MOST.needed * Math.min(1, all / FULL.needed),
      depths.length === 0
        ? 'it needs nothing learnt before'
        : `it needs ${depths.length} ${depths.length === 1 ? 'foundation' : 'foundations'}, the deepest at ${deepest} of ${FULL.depth}`,
    ),
    part(
      'step',
      (MOST.step / 2) * (1 + Math.max(-1, Math.min(1, above / FULL.steps))),
      stepWords(above),
    ),
    part(
      'coordination',
      MOST.coordination * Math.min(1, Math.max(0, movements - 1) / (FULL.movements - 1)),
      `${movements} movements at once`,
    ),
    part(
      'balance',
      MOST.balance * (tips ?? 1),
      tips === undefined
        ? 'its balance is not known, counted whole'
        : `${Math.round(tips * 100)} % of the way to tipping`,
    ),
  ].filter(({ points }) => points > 0);
  return { score: Math.round(parts.reduce((sum, { points }) => sum + points, 0)), parts };
}

function part(name: SkillPart['name'], points: number, because: string): SkillPart {
  return { name, points: Math.round(points * 10) / 10, because };
}

function stepWords(above: number): string {
  if (above === 0) return 'the step shown to a group';
  const steps = Math.abs(above) === 1 ? 'one step' : `${Math.abs(above)} steps`;
  return `${steps} ${above > 0 ? 'above' : 'below'} the one shown to a group`;
}

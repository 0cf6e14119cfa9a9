import type { Option } from '../../movement/exercise.ts';
import { loadOf } from './option-load.ts';
import { skillOf, type Laddered } from './option-skill.ts';

/** Who an option is for, by what it asks of the body and what must be learnt. */
export const LEVELS = ['beginner', 'improver', 'intermediate', 'advanced'] as const;
export type Level = (typeof LEVELS)[number];

export interface OptionLevel {
  /** 0 to 100, of load and skill. */
  score: number;
  level: Level;
}

/** A load at which strength alone makes an option advanced; how the two are mixed. Common practice. */
const MIX = { fullLoad: 70, load: 40, skill: 0.6 } as const;
/** Scores from which a level begins: where a teacher's ranking passes from one to the next. */
const FROM = { improver: 24, intermediate: 40, advanced: 52 } as const;

export function levelOf(exercise: Laddered, option: Option): OptionLevel {
  const load = MIX.load * Math.min(1, loadOf(option) / MIX.fullLoad);
  const score = Math.round(load + MIX.skill * skillOf(exercise, option));
  if (score >= FROM.advanced) return { score, level: 'advanced' };
  if (score >= FROM.intermediate) return { score, level: 'intermediate' };
  return { score, level: score >= FROM.improver ? 'improver' : 'beginner' };
}

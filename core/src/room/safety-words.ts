import { demandsOf } from '../people/demands.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import type { Machines } from './machines.ts';

const UPRIGHT = new Set(['standing', 'kneeling']);

/** What the studio says before work on the moving part and before jumps; nothing on the mat. */
export function safetyWords(exercise: Exercise, option: Option, machines: Machines): string[] {
  if (exercise.machine !== 'reformer') return [];
  const position = option.position ?? exercise.position;
  return [
    UPRIGHT.has(position) ? machines.onTheMovingPart : '',
    demandsOf(option).includes('jump') ? machines.beforeJumps : '',
  ].filter(Boolean);
}

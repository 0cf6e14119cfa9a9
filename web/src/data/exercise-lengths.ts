import type { Exercise } from '@wrenfern/core/movement/exercise';
import { newItem } from '@wrenfern/core/order/running-order';
import type { Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { catalogue } from './catalogue.ts';

const LENGTHS = new WeakMap<Exercise, number>();

/** Seconds that an exercise takes by itself in its usual dose, briefly taught. */
export function lengthOf(exercise: Exercise): number {
  const known = LENGTHS.get(exercise);
  if (known !== undefined) return known;
  const plan: Plan = {
    format: 'wrenfern-plan/1',
    title: exercise.name,
    machine: exercise.machine,
    school: 'foundations-first',
    targetS: 600,
    note: '',
    segments: [{ id: 'one', name: 'One', items: [] }],
  };
  const items = [newItem(plan, exercise)];
  const alone = { ...plan, segments: [{ id: 'one', name: 'One', items }] };
  const { totalS } = timePlan(alone, catalogue);
  LENGTHS.set(exercise, totalS);
  return totalS;
}

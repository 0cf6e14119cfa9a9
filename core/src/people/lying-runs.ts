import type { Catalogue } from '../movement/catalogue.ts';
import { exercisesDone } from '../plan/occurrences.ts';
import type { Plan } from '../plan/plan.ts';
import { clockOf } from './offered-item.ts';

/** Seconds of work that a class lies on its back in one go, by the items that lie there. */
export function lyingRuns(plan: Plan, catalogue: Catalogue): Map<string, number> {
  const runs = new Map<string, number>();
  let run: string[] = [];
  let seconds = 0;
  const close = () => {
    for (const id of run) runs.set(id, Math.max(seconds, runs.get(id) ?? 0));
    run = [];
    seconds = 0;
  };
  for (const item of exercisesDone(plan)) {
    if (catalogue.require(item.exercise).position === 'supine') {
      run.push(item.id);
      seconds += clockOf(item, plan.school, catalogue).workS;
    } else close();
  }
  close();
  return runs;
}

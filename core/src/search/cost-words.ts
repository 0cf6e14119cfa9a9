import type { CostId } from '../plan/school.ts';

/** What each cost of an order is, for lists and sentences. */
export const COST_WORDS: Record<CostId, string> = {
  'set-up': 'set-up between items',
  moves: 'changes of position and springs',
  effort: 'effort outside the swell',
  jump: 'jumps of effort',
  load: 'jumps of load on the spine',
  needs: 'needs that nothing before teaches',
  sequence: 'things before what prepares them',
  counter: 'bends without their answer',
  'pile-up': 'one muscle twice running',
  wrists: 'time on the hands',
  'props-again': 'props fetched again',
  new: 'two new things running',
};

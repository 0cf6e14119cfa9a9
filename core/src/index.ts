export {
  analyse,
  fitClass,
  balanceOf,
  repairsOf,
  timeClass,
  type Analysis,
  type ClassContext,
} from './analyse.ts';

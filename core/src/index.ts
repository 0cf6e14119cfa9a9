export {
  analyse,
  fitClass,
  balanceOf,
  repairsOf,
  type Analysis,
  type ClassContext,
} from './analyse.ts';

export { analyse, balanceOf, repairsOf, type Analysis, type ClassContext } from './analyse.ts';

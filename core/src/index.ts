export { analyse, type Analysis, type ClassContext } from './analyse.ts';

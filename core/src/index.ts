export { analyse, VERSIONS_AT_ONCE, type Analysis, type ClassContext } from './analyse.ts';

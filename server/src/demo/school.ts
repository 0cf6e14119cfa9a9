import type { SchoolRules } from '@wrenfern/core/plan/school';
import { SCHOOLS } from '@wrenfern/core/plan/schools';

const base = SCHOOLS['foundations-first'];

/** How the demo studio teaches its evenings: a copy of a school that ships, with its own reasons. */
export const EVENING_SCHOOL: SchoolRules = {
  ...base,
  id: 'tilework-evenings',
  name: 'Tilework evenings',
  why: 'People come from ladders, trams and bell ropes: fewer changes of position, water whatever happens, and everyone picks the level.',
  rules: { ...base.rules, water: 'must', 'few-moves': 'must' },
  weights: { ...base.weights, moves: 2 },
  defaults: { ...base.defaults, picks: 'person' },
};

import { rulesOf } from '../plan/schools.ts';
import { servesTheme } from './criteria/wished.ts';
import type { Choice } from './pool.ts';
import type { DraftWishes } from './wishes.ts';

/** What one of the proposals is made for. Costs are points; less is better. */
export interface Character {
  id: 'near' | 'fresh' | 'calm';
  /** What it is, in a few words for its heading. */
  name: string;
  cost: (choice: Choice, wishes: DraftWishes) => number;
  /** For each second that a dose is longer or shorter than usual. */
  doseCost: number;
  propCost: number;
}

/** Swaps and versions are dear; so is what is far harder than the group works at. */
const TOO_HARD = 3;
const TOO_EARLY = 24;
const SWAP = 4;
const VERSION = 2;
const THEME = 6;
/** Of what is as good as each other, chance decides. */
const CHANCE = 14;
/** On the machine few exercises with longer doses: each may be another setting. */
const GEAR = 7;
const MACHINE_RECENT = 3;
/** Who is as far on as that comes for it. */
const FOR_FEW = 10;

function plain(choice: Choice, wishes: DraftWishes, recent: number, fresh: number): number {
  const { exercise } = choice;
  return (
    TOO_HARD * choice.tooHard +
    TOO_EARLY * choice.tooEarly -
    (choice.isForFew ? FOR_FEW : 0) +
    SWAP * choice.swaps +
    VERSION * Math.max(0, choice.versions - 2) -
    (servesTheme(exercise, wishes) ? THEME : 0) +
    // On the machine there are fewer to choose from, and the same come back of themselves.
    recent * choice.lateness * (exercise.machine === 'reformer' ? MACHINE_RECENT : 1) +
    (choice.isNew ? fresh : 0) +
    (exercise.machine === 'reformer' ? GEAR : 0) +
    CHANCE * chance(`${exercise.slug} ${wishes.seed} ${aimOf(wishes)}`)
  );
}

/** Another wish is another class, and not the same one with a word changed. */
const aimOf = ({ school, bodyParts, foundations, directions, climbTo = '' }: DraftWishes) =>
  [rulesOf(school).name, ...bodyParts, ...foundations, ...directions, climbTo].join(' ');

/** The same small number for the same words: ties are broken by the seed, not by the alphabet. */
function chance(words: string): number {
  let hash = 2166136261;
  for (const letter of words) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return ((hash >>> 0) % 1000) / 1000;
}

export const CHARACTERS: readonly Character[] = [
  {
    id: 'near',
    name: 'Nearest to your wishes',
    cost: (choice, wishes) => plain(choice, wishes, 4, 6),
    doseCost: 0.08,
    propCost: 8,
  },
  {
    id: 'fresh',
    name: 'Most that is fresh',
    cost: (choice, wishes) => plain(choice, wishes, 14, -3),
    doseCost: 0.08,
    propCost: 2,
  },
  {
    id: 'calm',
    name: 'Fewest changes',
    cost: (choice, wishes) => plain(choice, wishes, 4, 8),
    doseCost: 0.08,
    propCost: 18,
  },
];

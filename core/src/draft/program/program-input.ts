import type { Group } from '../../review/group.ts';
import type { Rule } from '../../review/rule.ts';
import type { Blueprint } from '../block.ts';
import type { PlacedChoice } from '../blueprint.ts';
import type { Character } from '../characters.ts';
import type { ChoiceRows } from './choice-rows.ts';
import type { Rungs } from '../rungs.ts';
import type { Wish } from '../wish-list.ts';
import type { DraftWishes } from '../wishes.ts';

/** Of what a class is chosen. */
export interface ProgramInput {
  pool: readonly PlacedChoice[];
  blueprint: Blueprint;
  /** What leads to what the class climbs to. */
  rungs: Rungs;
  wishes: DraftWishes;
  group: Group;
  /** The wishes that hold. */
  list: readonly Wish[];
  character: Character;
  /** Seconds by which an earlier try came out too short (or, below 0, too long). */
  correctionS: number;
  /** Slugs of each earlier proposal. */
  earlier: readonly (readonly string[])[];
  /** Sets of exercises that an earlier try showed not to go together. */
  notAgain?: readonly (readonly string[])[];
  /**
   * There is too little to choose from for three classes of their own, or for blocks with all that they are for,
   * each thing behind what readies for it. */
  isOfFew?: boolean;
  /** All that there are when left out. */
  rules?: readonly Rule[];
}

/** Rows of the program, about choices in their blocks. */
export type Rows = ChoiceRows<PlacedChoice>;

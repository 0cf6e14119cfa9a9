import type { Choice } from './pool.ts';

/** The least and the most of something. */
type Span = readonly [least: number, most: number];

/** A stretch of a class that is made of one kind of work, and stays together. */
export interface Block {
  id: string;
  name: string;
  /** Of the class. */
  share: Span;
  exercises: Span;
  /** What belongs there. */
  fits: (choice: Choice) => boolean;
  /** Of each of these at least one, where there is one: parts before wholes, and what the block is for. */
  holds?: readonly ((choice: Choice) => boolean)[];
  /** Of each of these so many at the most. */
  most?: readonly (readonly [of: (choice: Choice) => boolean, most: number])[];
  /** Its one-sided work goes through one side and then the other. */
  isSeries?: true;
  /** Gone through so many times in turn. */
  rounds?: number;
  /** What it holds in one place on one setting may be gone through a second time, to fill the class. */
  mayGoRound?: true;
  /** Seconds of pause behind it. */
  pauseS?: number;
  /** In this order, which no search changes: lower first, of equals the lighter, and parts before their wholes. */
  rank?: (choice: Choice) => number;
}

/** How a class is built up: its blocks in turn. Which exercises fill them is found afterwards. */
export interface Blueprint {
  blocks: readonly Block[];
  /** What this kind of class leaves out altogether. */
  leavesOut: (choice: Choice) => boolean;
}

const PART = 'part_';

/** The part of a class that a block becomes. No exercise can be called so, and ids of a plan are each for one thing. */
export const partId = (blockId: string) => `${PART}${blockId}`;
export const blockIdOf = (part: string) => part.slice(part.indexOf(PART) + PART.length);

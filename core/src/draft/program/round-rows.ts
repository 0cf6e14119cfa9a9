import { ROUND_MORE_S, type PlacedChoice } from '../blueprint.ts';
import { gearOfChoice } from '../choice-tests.ts';
import { variableOf } from './choice-rows.ts';
import { alikeInBlocks } from './alike-in-blocks.ts';
import type { ProgramInput, Rows } from './program-input.ts';

/** Less than another exercise and the setting for it. */
const ROUND_COST = 10;
/** Two or three things in turn: more is a circuit. */
const IN_TURN = { least: 2, most: 3 } as const;

/** The seconds of the second time that a choice is done. */
export const secondTimeOf = (index: number) => `again${index}`;

/** What turns over in between is not gone through in turn with others. */
const isSided = ({ exercise }: PlacedChoice) => exercise.dose.sides === 'each';

const stanceOf = (choice: PlacedChoice) => [choice.exercise.position, gearOfChoice(choice)];

/** Where a block may go round, what it holds in one place on one setting is gone through twice: all of it, or nothing. */
export function roundRows(rows: Rows, { pool, blueprint }: ProgramInput): void {
  const { program } = rows;
  const goesRound = new Set(blueprint.blocks.flatMap((each) => (each.mayGoRound ? [each.id] : [])));
  const settings = alikeInBlocks(pool, stanceOf).filter((held) =>
    held.some(({ choice }) => goesRound.has(choice.block)),
  );
  const roundOf = (at: number) => `round${at}`;
  for (const block of goesRound) {
    const own = settings.flatMap(([first], at) =>
      first?.choice.block === block ? [roundOf(at)] : [],
    );
    if (own.length > 1) program.row(`${own.join(' + ')} <= 1`);
  }
  for (const [at, held] of settings.entries()) {
    const round = roundOf(at);
    program.binary(round, ROUND_COST);
    const sided = held.filter(({ choice }) => isSided(choice));
    const inTurn = held.filter(({ choice }) => !isSided(choice));
    const many = inTurn.map(({ index }) => variableOf(index)).join(' + ') || '0 nothing';
    program.row(`${many} - ${IN_TURN.least} ${round} >= 0`);
    program.row(`${many} + ${inTurn.length} ${round} <= ${IN_TURN.most + inTurn.length}`);
    for (const { index } of sided) program.row(`${round} + ${variableOf(index)} <= 1`);
    for (const { index, choice } of inTurn) {
      const seconds = choice.workS + ROUND_MORE_S;
      const [again, once] = [secondTimeOf(index), variableOf(index)];
      program.positive(again);
      program.row(`${again} - ${seconds} ${once} <= 0`);
      program.row(`${again} - ${seconds} ${round} <= 0`);
      program.row(`${again} - ${seconds} ${once} - ${seconds} ${round} >= -${seconds}`);
    }
  }
}

/** What second rounds take, of those in a block or of all. */
export function secondRoundsS({ pool, blueprint }: ProgramInput, block?: string): string {
  const goesRound = blueprint.blocks.filter(
    ({ id, mayGoRound }) => mayGoRound && (block === undefined || id === block),
  );
  return pool
    .flatMap((choice, index) =>
      goesRound.some(({ id }) => id === choice.block) && !isSided(choice)
        ? [` + ${secondTimeOf(index)}`]
        : [],
    )
    .join('');
}

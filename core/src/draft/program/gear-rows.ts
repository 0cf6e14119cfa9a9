import type { PlacedChoice } from '../blueprint.ts';
import { variableOf } from './choice-rows.ts';
import { alikeInBlocks } from './alike-in-blocks.ts';
import { gearOfChoice } from '../choice-tests.ts';
import { BLOCK_COST } from './block-rows.ts';
import type { ProgramInput, Rows } from './program-input.ts';

/** What a further way to set the machine costs within a block, and another way to face on it. */
const GEAR_COST = { setting: 12, facing: 8 } as const;
/** Ways to set it, and more in ten minutes: under what a teacher bears, for not all can be done in one go. Common practice. */
const SETTINGS = { atLeast: 3, in10Min: 1.8 } as const;

/** A block of the machine is done on as few settings as it can be, and the class on not too many. */
export function gearRows(rows: Rows, { pool, wishes }: ProgramInput): void {
  if (wishes.machine !== 'reformer') return;
  const users = (keyOf: (choice: PlacedChoice) => unknown, name: string, cost: number) =>
    alikeInBlocks(pool, keyOf).map((held, at) => {
      const variable = `${name}${at}`;
      rows.program.positive(variable, cost);
      for (const { index } of held) rows.program.row(`${variable} - ${variableOf(index)} >= 0`);
      return variable;
    });
  const settings = users(gearOfChoice, 'set', GEAR_COST.setting);
  users((choice) => gearOfChoice(choice).facing, 'face', GEAR_COST.facing);
  const most = SETTINGS.atLeast + Math.floor((wishes.targetS / 600) * SETTINGS.in10Min);
  rows.program.positive('manySettings', BLOCK_COST.lacking);
  rows.program.row(`${settings.join(' + ')} - manySettings <= ${most}`);
}

/** Every prop that the class uses is laid out, fetched and put away. */
export function propRows(rows: Rows, { pool, character }: ProgramInput): void {
  const users = new Map<string, number[]>();
  pool.forEach((choice, index) => {
    const { exercise } = choice;
    const props = exercise.options[exercise.standard - 1]?.props ?? [];
    const keys = [...props.filter(({ optional }) => !optional).map(({ prop }) => `with ${prop}`)];
    for (const key of keys) users.set(key, [...(users.get(key) ?? []), index]);
  });
  [...users.values()].forEach((indices, at) => {
    rows.program.positive(`u${at}`, character.propCost);
    for (const index of indices) rows.program.row(`u${at} - ${variableOf(index)} >= 0`);
  });
}

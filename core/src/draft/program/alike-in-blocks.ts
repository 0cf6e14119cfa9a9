import type { PlacedChoice } from '../blueprint.ts';

/** Those of each block that are alike in something; what asks for nothing of it leaves it as it stands. */
export function alikeInBlocks(
  pool: readonly PlacedChoice[],
  keyOf: (choice: PlacedChoice) => unknown,
): { index: number; choice: PlacedChoice }[][] {
  const held = new Map<string, { index: number; choice: PlacedChoice }[]>();
  pool.forEach((choice, index) => {
    const key = JSON.stringify(keyOf(choice) ?? {});
    if (key === '{}') return;
    const inBlock = `${choice.block} ${key}`;
    held.set(inBlock, [...(held.get(inBlock) ?? []), { index, choice }]);
  });
  return [...held.values()];
}

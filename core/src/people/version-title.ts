import { aidOf } from '../body/aids/aids.ts';
import type { Exercise } from '../movement/exercise.ts';
import type { Choice } from './choice.ts';
import type { Item } from '../plan/plan.ts';

/** What a version of an item is called: of a series that all do, no single variant speaks for it. */
export function versionTitle(item: Item | undefined, choice: Choice, target?: Exercise): string {
  if (choice.kind === 'rest') return `Rest: ${choice.shape}`;
  const name = target?.options[choice.option - 1]?.name ?? '';
  const told = choice.how?.aids.map(aidOf).filter(({ isTold }) => isTold) ?? [];
  const behind = told.map(({ name: aid }) => ` · ${aid}`).join('');
  if (choice.kind === 'swap')
    return `${target?.name ?? ''} instead: ${name.toLowerCase()}${behind}`;
  const variants = item?.kind === 'exercise' ? item.variants : undefined;
  if (!variants) return `${choice.option} · ${name}${behind}`;
  const last = Math.max(...variants.map(({ option }) => option));
  return choice.option === last
    ? `All variants${behind}`
    : `As far as ${name.toLowerCase()}${behind}`;
}

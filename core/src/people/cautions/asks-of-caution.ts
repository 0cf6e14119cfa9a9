import type { Ask } from '../asks.ts';
import type { Caution } from './caution.ts';

/** Everything that a caution may speak of, whatever stage, gate or way, each once. */
export function asksOfCaution({ bounds, stages = [], gates, ways = {} }: Caution): Ask[] {
  const all = [
    ...bounds,
    ...stages.flatMap((stage) => stage.bounds),
    ...(gates ?? []).flat(),
    ...Object.values(ways).flat(),
  ];
  return [...new Set(all.map(({ ask }) => ask))];
}

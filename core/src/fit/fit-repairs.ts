import { showClock } from '../plan/show-time.ts';
import type { Repair } from '../review/rule.ts';
import { inOneGo, type Fit } from './fit-to-time.ts';

const SINGLES_OFFERED = 2;

/**
 * What would bring a class to its length, as repairs of the finding about it; of one part of it, where `partS` says how
 * long that is now.
 */
export function fitRepairs({ together, ranked, fromS, toS }: Fit, partS = fromS): Repair[] {
  const singles = ranked
    .slice(0, SINGLES_OFFERED)
    .map(({ label, seconds, edit }) => ({ label: `${label}, ${sayChange(seconds)}`, edit }));
  if (together.length < 2) return singles;
  const all = `${together.length} changes that come to ${showClock(partS + toS - fromS)}`;
  return [{ label: all, edit: inOneGo(together) }, ...singles];
}

/** "saves 0:40", "takes 0:40". */
export function sayChange(seconds: number): string {
  return `${seconds < 0 ? 'saves' : 'takes'} ${showClock(Math.abs(seconds))}`;
}

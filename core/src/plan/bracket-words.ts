import type { Bracket } from './plan.ts';
import type { TimedItem } from './timing/timeline.ts';

/** A bracket in a few words: "series, right first", "3 rounds". */
export function bracketWords(bracket: Bracket): string {
  return bracket.kind === 'series' ? `series, ${bracket.first} first` : `${bracket.times} rounds`;
}

/** The same where all of them stand beside each other: "left side", "round 2". */
export function passName(timed: Pick<TimedItem, 'pass'>): string {
  return timed.pass && !timed.pass.side ? `round ${timed.pass.number}` : passWords(timed);
}

/** Which time an item is done: "left side", "round 2 of 3"; nothing where it is done once. */
export function passWords({ pass }: Pick<TimedItem, 'pass'>): string {
  if (!pass) return '';
  return pass.side ? `${pass.side} side` : `round ${pass.number} of ${pass.of}`;
}

import type { Hit } from './hits.ts';
import type { Reason } from './reasons.ts';
import type { Own, Standing, Strand } from './standing.ts';
import { plainHits, type AllowedWay, type How } from './ways.ts';

/** How it is done, with what a state of today takes off the dose; undefined where it is done as it stands. */
export function withDose({ how }: AllowedWay, dose: number): How | undefined {
  const made = { ...how, dose: Math.min(how.dose, dose) };
  return made.aids.length === 0 && !made.smaller && made.dose === 1 ? undefined : made;
}

/** What keeps somebody from their own option and those between it and the one that is chosen. */
export function passedOver(
  { offer }: Standing,
  { asking, easing }: Strand,
  chosen: number,
): Reason[] {
  return [...offer.offered]
    .reverse()
    .filter((number) => number > chosen && number <= easing.own)
    .flatMap((number) => {
      const option = offer.exercise.options[number - 1];
      return option ? asksOf(gravest(plainHits(option, asking)), number) : [];
    });
}

function gravest(hits: readonly Hit[]): Hit[] {
  const rank = { avoid: 0, limit: 1, support: 1 } as const;
  return [...hits].sort((a, b) => rank[a.effect] - rank[b.effect]).slice(0, 1);
}

/** Bounds that are reached, and when to try again. */
export function asksOf(hits: readonly Hit[], option: number): Reason[] {
  return hits.flatMap(({ smallerIsNoWayOut: _flag, ...hit }): Reason[] => [
    { code: 'asks', ...hit, option },
    ...(hit.caution ? [{ code: 'again' as const, caution: hit.caution }] : []),
  ]);
}

/** Why it is done otherwise than it stands, and how. */
export function departures({ how, answers }: AllowedWay, option: number): Reason[] {
  if (answers.length === 0) return [];
  const [first] = answers;
  return [
    ...asksOf(answers.slice(0, 3), option),
    ...how.aids.map((aid): Reason => ({ code: 'support', aid })),
    ...(how.smaller && first ? [{ code: 'smaller' as const, ask: first.ask }] : []),
    ...(how.dose < 1 ? [{ code: 'fewer' as const, share: how.dose }] : []),
  ];
}

/** What was said before is not said again. */
export function eachOnce(reasons: readonly Reason[]): Reason[] {
  return [...new Map(reasons.map((reason) => [JSON.stringify(reason), reason])).values()];
}

/** Why this high and no higher. */
export function ownReason(own: Own, chosen: number): Reason {
  if (own.from === 'variants') return { code: 'variants', option: chosen };
  return own.from === 'last-time'
    ? { code: 'last-time', option: own.option }
    : { code: 'level', level: own.option, option: chosen };
}

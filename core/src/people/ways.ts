import type { AidId } from '../body/aids/aid.ts';
import { aidOf } from '../body/aids/aids.ts';
import type { Option } from '../movement/exercise.ts';
import { amountOf, askedBy, fittingAids, type Asked } from './asked.ts';
import { isByClock } from './asks.ts';
import { hitsOf, type Drawn, type Hit, type ItemClock } from './hits.ts';
import type { Restriction } from './restrictions.ts';

/** How an option is done: with which supports, how far, and how much of the dose. */
export interface How {
  aids: readonly AidId[];
  smaller: boolean;
  /** A share of the dose. */
  dose: number;
}

export const AS_ASKED: How = { aids: [], smaller: false, dose: 1 };

/** A way that is allowed, what it costs in departures, and what of the plain way it answers. */
export interface AllowedWay {
  how: How;
  cost: number;
  answers: readonly Hit[];
}

/**
 * What each departure costs, so that the cheapest is the one a careful teacher tries first: a support, a second,
 * then an option lower, then a smaller range, then less of it. Common practice.
 */
export const COST = { aid: 1, rung: 3, smaller: 20, fewer: 40 } as const;
/** Less by half; of what the clock limits, as little as comes under it. */
export const FEWER = 0.5;
const SHARES = [FEWER, 0.4, 0.3, 0.2] as const;

export interface Asking {
  restrictions: readonly Restriction[];
  /** The same for all for whom it comes to the same. */
  key: string;
  drawn: Drawn;
  clock: ItemClock;
}

/** What was found out for everybody for whom an option comes to the same. */
interface Known {
  plain: readonly Hit[];
  helping?: readonly Helping[];
  supported?: AllowedWay | 'none';
  cheapest?: AllowedWay | 'none';
}

/** More different people than a studio has in a week. */
const MOST_KNOWN = 1000;
const KNOWN = new WeakMap<Option, Map<string, Known>>();

function knownOf(option: Option, asking: Asking): Known {
  const ways = KNOWN.get(option) ?? new Map<string, Known>();
  KNOWN.set(option, ways);
  const found = ways.get(asking.key);
  if (found) return found;
  if (ways.size >= MOST_KNOWN) ways.clear();
  const made: Known = { plain: judge(option, [], false, asking) ?? [] };
  ways.set(asking.key, made);
  return made;
}

/** What decides somebody's way: restrictions, side, and the clock where a restriction speaks of it. */
export function askingOf(
  restrictions: readonly Restriction[],
  drawn: Drawn,
  clock: ItemClock,
): Asking {
  const isTimed = restrictions.some(({ ask }) => isByClock(ask));
  const { workS, lyingS, holdS } = clock;
  const parts = [
    numberOf(restrictions),
    drawn,
    ...(isTimed ? [workS, lyingS, holdS, String(clock.isStanding)] : []),
  ];
  return { restrictions, drawn, clock, key: parts.join(' ') };
}

const NUMBERS = new WeakMap<readonly Restriction[], number>();
const NUMBERED = new Map<string, number>();
/** More different sets of bounds than are in use at once; a number is never given twice. */
const MOST_NUMBERED = 20_000;
let given = 0;

/** The same number for the same bounds, whoever has them. */
export function numberOf(restrictions: readonly Restriction[]): number {
  const known = NUMBERS.get(restrictions);
  if (known !== undefined) return known;
  const text = JSON.stringify(restrictions);
  if (NUMBERED.size >= MOST_NUMBERED) NUMBERED.clear();
  const number = NUMBERED.get(text) ?? (given += 1);
  NUMBERED.set(text, number);
  NUMBERS.set(restrictions, number);
  return number;
}

/** What the plain way of an option reaches. */
export function plainHits(option: Option, asking: Asking): readonly Hit[] {
  return knownOf(option, asking).plain;
}

/** The cheapest way in which somebody may do an option; undefined where there is none. */
export function cheapestWay(option: Option, asking: Asking): AllowedWay | undefined {
  const known = knownOf(option, asking);
  known.cheapest ??=
    supportedWay(option, asking) ??
    smallerWay(option, known, asking) ??
    fewerWay(known.plain, known.helping ?? []) ??
    'none';
  return known.cheapest === 'none' ? undefined : known.cheapest;
}

const PLAIN: AllowedWay = { how: AS_ASKED, cost: 0, answers: [] };

/** As it stands, or with the fewest supports; undefined where those are not enough. */
export function supportedWay(option: Option, asking: Asking): AllowedWay | undefined {
  const known = knownOf(option, asking);
  known.supported ??= findSupported(option, known, asking) ?? 'none';
  return known.supported === 'none' ? undefined : known.supported;
}

function findSupported(option: Option, known: Known, asking: Asking): AllowedWay | undefined {
  const { plain } = known;
  if (plain.length === 0) return PLAIN;
  const helping = aidsThatHelp(option, plain, asking);
  known.helping = helping;
  const enough =
    helping.find(({ left }) => left.length === 0)?.ids ??
    pairsOf(helping).find((ids) => judge(option, ids, false, asking)?.length === 0);
  return enough && found(plain, { aids: enough }, COST.aid * enough.length);
}

/** Half as far: alone, or with a support that takes away what is left. */
function smallerWay(
  option: Option,
  { plain, helping = [] }: Known,
  asking: Asking,
): AllowedWay | undefined {
  if (plain.some(({ effect, smallerIsNoWayOut }) => effect === 'avoid' && smallerIsNoWayOut)) {
    return undefined;
  }
  const left = judge(option, [], true, asking);
  if (!left) return undefined;
  if (left.length === 0) return found(plain, { smaller: true }, COST.smaller);
  const aided = helping
    .filter(({ left: leftByAid }) => !share(left, leftByAid))
    .find(({ ids }) => judge(option, ids, true, asking)?.length === 0);
  return aided && found(plain, { aids: aided.ids, smaller: true }, COST.smaller + COST.aid);
}

function found(answers: readonly Hit[], how: Partial<How>, cost: number): AllowedWay {
  return { how: { ...AS_ASKED, ...how }, cost, answers };
}

/** Less of it answers what is only limited; alone, or where a support has taken away what is avoided. */
function fewerWay(plain: readonly Hit[], helping: readonly Helping[]): AllowedWay | undefined {
  const isOnlyLimited = (hits: readonly Hit[]) => hits.every(({ effect }) => effect !== 'avoid');
  const isUnsupported = (hits: readonly Hit[]) => hits.some(({ effect }) => effect === 'support');
  const helped = isUnsupported(plain)
    ? helping.find(({ left }) => isOnlyLimited(left) && !isUnsupported(left))
    : helping.find(({ left }) => isOnlyLimited(left));
  // What must be supported is, where something fits; else less of it.
  const isHelpWanted = isUnsupported(plain) && helped !== undefined;
  if (isOnlyLimited(plain) && !isHelpWanted) {
    return found(plain, { dose: shareUnder(plain) }, COST.fewer);
  }
  const dose = helped && shareUnder(helped.left);
  return helped && found(plain, { aids: helped.ids, dose: dose ?? FEWER }, COST.fewer + COST.aid);
}

/** The largest share of the dose that comes under every bound of the clock; half of it where none is reached. */
function shareUnder(hits: readonly Hit[]): number {
  const timed = hits.filter(({ ask }) => isByClock(ask));
  const least = SHARES.at(-1) ?? FEWER;
  return (
    SHARES.find((share) => timed.every(({ value = 0, bound }) => value * share < bound)) ?? least
  );
}

interface Helping {
  ids: readonly AidId[];
  /** What is still reached with it. */
  left: readonly Hit[];
}

/** Of a measure: less than this is no help, however near the bound. Common practice. */
const HELPS = 0.08;

/** Supports that take away at least one of the bounds that are reached, by more than a hair. */
function aidsThatHelp(option: Option, plain: readonly Hit[], asking: Asking): Helping[] {
  return fittingAids(option).flatMap((id) => {
    const asked = askedBy(option, { aids: [id], smaller: false });
    const left = judge(option, [id], false, asking);
    if (!asked || !left || !isLess(left, plain)) return [];
    const eased = plain.filter(
      (hit) => !left.some((still) => isSame(still, hit) && RANK[still.effect] >= RANK[hit.effect]),
    );
    const helps = eased.some(
      (hit) =>
        eases(id, hit) ||
        (isFor(id, hit) && amountLeft(asked, hit) <= (hit.value ?? 0) * (1 - HELPS)),
    );
    return helps ? [{ ids: [id], left }] : [];
  });
}

function eases(id: AidId, { ask }: Hit): boolean {
  return aidOf(id).eases?.some((eased) => eased === ask) ?? false;
}

function isFor(id: AidId, { ask }: Hit): boolean {
  return !aidOf(id).notFor?.some((other) => other === ask);
}

/** Seconds are left by what is no longer asked in them. */
function amountLeft(asked: Asked, { ask }: Hit): number {
  if (isByClock(ask)) return asked.near.flat;
  return amountOf(asked, ask, 'either') ?? Infinity;
}

const RANK = { support: 1, limit: 1, avoid: 2 } as const;

function isLess(left: readonly Hit[], plain: readonly Hit[]): boolean {
  const weight = (hits: readonly Hit[]) => hits.reduce((sum, { effect }) => sum + RANK[effect], 0);
  return weight(left) < weight(plain);
}

/** Pairs of which each takes away what the other leaves. */
function pairsOf(helping: readonly Helping[]): AidId[][] {
  return helping.flatMap((one, index) =>
    helping
      .slice(index + 1)
      .filter((other) => !share(one.left, other.left))
      .map((other) => [...one.ids, ...other.ids]),
  );
}

function isSame(one: Hit, other: Hit): boolean {
  return one.caution === other.caution && one.ask === other.ask;
}

/** True where something is reached in both. */
function share(some: readonly Hit[], others: readonly Hit[]): boolean {
  return some.some((hit) => others.some((other) => isSame(other, hit)));
}

/** What is reached in this way; undefined where it can’t be done so. */
function judge(
  option: Option,
  aids: readonly AidId[],
  smaller: boolean,
  { restrictions, drawn, clock }: Asking,
): Hit[] | undefined {
  const asked = askedBy(option, { aids, smaller });
  return asked && hitsOf(option, asked, aids, restrictions, drawn, clock);
}

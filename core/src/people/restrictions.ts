import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { BodySide } from '../body/full-pose.ts';
import { STATURE_M } from '../body/body-segments.ts';
import { isSideAsk, unitOf, type Ask } from './asks.ts';
import type { Bound, Caution, Stage } from './cautions/caution.ts';
import { cautionOf, type CautionId } from './cautions/cautions.ts';
import { withOwnBounds, type OwnBounds } from './own-bounds.ts';
import { cautionsOn, type CautionEntry, type Person } from './person.ts';
import { ratherNotOf, type RatherNot } from './rather-not.ts';

/** A bound that is in force for somebody, with the caution that it comes from. */
export interface Restriction extends Bound {
  /** Left out where it holds for everybody. */
  caution?: CautionId;
  /** What they would rather not do, where it comes from that. */
  wish?: RatherNot;
  /** The side it is about; either where that is not known, or where the measure has none. */
  side: BodySide | 'either';
}

/** Weight on head or neck is for nobody: rolling stops at the blades. Common practice; the head's own is not counted. */
const FOR_EVERYBODY: readonly Restriction[] = [
  { ask: 'neckWeight', avoid: 0.1, side: 'either', smallerIsNoWayOut: true },
];

/**
 * Degrees: a drawing is not more exact than that, so bounds where bodies rest begin so much later: next to straight,
 * and at a right angle.
 */
const DRAWN = { later: 2, nextToStraight: 10, right: 90 } as const;
/** The last tenth under what is avoided is limited too. Common practice. */
const NEAR = 0.9;

export interface Restricted {
  person: Pick<Person, 'cautions' | 'ratherNot' | 'statureCm'>;
  /** Cautions of today only, added to those in the record. */
  today?: readonly CautionEntry[] | undefined;
  /** The studio's own numbers. */
  ownBounds?: OwnBounds | undefined;
}

/** Every entry of a record that is in force on a day (year-month-day), and those of today only. */
export function entriesOn(
  { person, today = [] }: Pick<Restricted, 'today'> & { person: Pick<Person, 'cautions'> },
  day: string,
): CautionEntry[] {
  return [...cautionsOn(person, day), ...today];
}

/** All bounds that are in force for somebody on a day. */
export function restrictionsOf(who: Restricted, day: string): Restriction[] {
  const own = entriesOn(who, day).flatMap((entry) =>
    boundsOf(entry, day, who.ownBounds).map((bound): Restriction => ({
      ...asDrawn(bound),
      caution: entry.caution,
      side: isSideAsk(bound.ask) ? (entry.side ?? 'either') : 'either',
    })),
  );
  const wished = (who.person.ratherNot ?? []).map((wish): Restriction => ({
    ...asDrawn(ratherNotOf(wish).bound),
    wish,
    side: 'either',
  }));
  return [...FOR_EVERYBODY, ...own, ...wished].map((each) =>
    forStature(each, who.person.statureCm),
  );
}

/** Centimetres are measured on a body so tall; everything else is a share, and the same for all. */
const MEASURED_CM = STATURE_M * 100;

/** A taller body rises farther in the same movement: it comes to a bound in centimetres sooner. */
function forStature<Some extends Bound>(bound: Some, statureCm: number = MEASURED_CM): Some {
  if (unitOf(bound.ask) !== 'cm' || statureCm === MEASURED_CM) return bound;
  const scaled = (from: number | undefined) =>
    from === undefined ? undefined : (from * MEASURED_CM) / statureCm;
  const [avoid, limit, support] = [bound.avoid, bound.limit, bound.support].map(scaled);
  return {
    ...bound,
    ...(avoid === undefined ? {} : { avoid }),
    ...(limit === undefined ? {} : { limit }),
    ...(support === undefined ? {} : { support }),
  };
}

/**
 * What a caution says of somebody whose entry this is: by stage, gate and way, by the studio's own numbers, less what
 * was released.
 */
export function boundsOf(entry: CautionEntry, day: string, own: OwnBounds = []): Bound[] {
  const caution: Caution = cautionOf(entry.caution);
  const { stages = [], gates, ways } = caution;
  const week = weekOf(entry, caution, day);
  const found = [
    ...caution.bounds,
    ...stages.filter((stage) => isIn(stage, week)).flatMap(({ bounds }) => bounds),
    ...(gates?.[entry.gate ?? 0] ?? []),
    ...(ways ? boundsOfWay(ways, entry.way) : []),
  ];
  return withOwnBounds(entry.caution, found, own).flatMap(
    (bound) => released(bound, entry, day) ?? [],
  );
}

/** While the week is not known, every stage holds. */
function isIn({ fromWeek, untilWeek = Infinity }: Stage, week: number | undefined): boolean {
  return week === undefined || (week >= fromWeek && week < untilWeek);
}

/** While the way is not known, all of them hold. */
function boundsOfWay(ways: NonNullable<Caution['ways']>, way: string | undefined): Bound[] {
  const known = way === undefined ? undefined : ways[way];
  return [...(known ?? Object.values(ways).flat())];
}

const WEEKS_OF_PREGNANCY = 40;

/** The week of pregnancy, or since it happened; undefined while nobody knows. */
export function weekOf(
  entry: Pick<CautionEntry, 'due' | 'since' | 'weeks' | 'weeksOn'>,
  { weeksCount }: Pick<Caution, 'weeksCount'>,
  day: string,
): number | undefined {
  if (weeksCount === undefined) return undefined;
  if (weeksCount === 'to the due date' && entry.due !== undefined) {
    return WEEKS_OF_PREGNANCY - weeksBetween(day, entry.due);
  }
  if (entry.weeks !== undefined) {
    return entry.weeks + (entry.weeksOn === undefined ? 0 : weeksBetween(entry.weeksOn, day));
  }
  if (weeksCount === 'since it happened' && entry.since !== undefined) {
    return weeksBetween(entry.since, day);
  }
  return undefined;
}

function weeksBetween(from: string, to: string): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from)) / 7;
}

/** The bound, or what a release that is in force leaves of it. */
function released(bound: Bound, { releases = [] }: CautionEntry, day: string): Bound | undefined {
  const release = releases.find(
    ({ ask, on, until }) => ask === bound.ask && on <= day && (until === undefined || day <= until),
  );
  if (!release) return bound;
  return release.upTo === undefined ? undefined : { ask: bound.ask, avoid: release.upTo };
}

function asDrawn(bound: Bound): Bound {
  const isAngle = unitOf(bound.ask) === '°';
  const moved = (from: number | undefined) => {
    if (from === undefined || !isAngle) return from;
    return from <= DRAWN.nextToStraight || from === DRAWN.right ? from + DRAWN.later : from;
  };
  const avoided = moved(bound.avoid);
  const near = avoided === undefined || !isGraded(bound.ask) ? undefined : avoided * NEAR;
  const limited = least(moved(bound.limit), near);
  const supported = moved(bound.support);
  return {
    ask: bound.ask,
    ...(avoided === undefined ? {} : { avoid: avoided }),
    ...(limited === undefined ? {} : { limit: limited }),
    ...(supported === undefined ? {} : { support: supported }),
    // What is there or is not there can’t be had by half.
    ...(bound.smallerIsNoWayOut || !isGraded(bound.ask) ? { smallerIsNoWayOut: true } : {}),
  };
}

function isGraded(ask: Ask): boolean {
  return unitOf(ask) !== 'flag';
}

function least(one: number | undefined, other: number | undefined): number | undefined {
  if (one === undefined) return other;
  return other === undefined ? one : Math.min(one, other);
}

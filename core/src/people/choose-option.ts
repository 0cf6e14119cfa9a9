import type { Catalogue } from '../movement/catalogue.ts';
import { optionOf, tempoOf, type Exercise, type Option } from '../movement/exercise.ts';
import type { Dose } from '../movement/dose.ts';
import { offeredOptions, type ExerciseItem, type School } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { STEADY_PACE } from '../plan/timing/pace.ts';
import { workParts } from '../plan/timing/work.ts';
import { doseOf } from '../plan/usual.ts';
import type { ItemClock } from './asks.ts';
import type { Caution } from './cautions/caution.ts';
import { cautionOf, type CautionId } from './cautions/cautions.ts';
import type { Choice, HandChoice } from './choice.ts';
import type { Drawn, Hit } from './hits.ts';
import type { CautionEntry, Person } from './person.ts';
import type { Reason } from './reasons.ts';
import { restShapeFor } from './rest-shapes.ts';
import { entriesOn, restrictionsOf, type Restriction } from './restrictions.ts';
import { standInsFor } from './stand-ins.ts';
import { cheapestWay, COST, plainHits, type AllowedWay, type Asked } from './ways.ts';

/** Somebody who comes to this class. */
export interface Attendee {
  person: Person;
  /** Cautions of today only, added to those in the record. */
  today?: readonly CautionEntry[];
  /** By item id. */
  byHand?: Readonly<Record<string, HandChoice>>;
}

/** An attendee with all that is in force for them on the day, worked out once. */
export interface GroupMember {
  attendee: Attendee;
  restrictions: readonly Restriction[];
  cautions: readonly CautionId[];
}

export function memberOn(attendee: Attendee, day: string): GroupMember {
  return {
    attendee,
    restrictions: restrictionsOf(attendee, day),
    cautions: entriesOn(attendee, day).map(({ caution }) => caution),
  };
}

/** An item with what choosing needs of it, worked out once for everybody. */
export interface OfferedItem {
  item: ExerciseItem;
  exercise: Exercise;
  offered: readonly number[];
  dose: Dose;
  clock: ItemClock;
  catalogue: Catalogue;
}

export function offerItem(item: ExerciseItem, school: School, catalogue: Catalogue): OfferedItem {
  const exercise = catalogue.require(item.exercise);
  const dose = doseOf(item, exercise, rulesOf(school));
  return {
    item,
    exercise,
    offered: offeredOptions(item, exercise),
    dose,
    clock: clockOf(dose, exercise),
    catalogue,
  };
}

function clockOf(dose: Dose, exercise: Exercise): ItemClock {
  const position = exercise.position;
  const tempo = tempoOf(exercise, optionOf(exercise, exercise.standard));
  const parts = workParts({ dose, tempo, position, teaching: 'none', pace: STEADY_PACE });
  return {
    workS: parts.reduce((sum, { kind, durationS }) => sum + (kind === 'work' ? durationS : 0), 0),
    holdS: dose.kind === 'hold' ? dose.holdS : 0,
    isStanding: position === 'standing' && dose.kind === 'hold',
  };
}

/**
 * What somebody does at an item: the cheapest departure that keeps within all bounds (`ways.ts`), on each side; with
 * none, another exercise with a shared aim; with none of those, a rest that is allowed too.
 */
export function chooseOption(
  attendee: Attendee,
  item: ExerciseItem,
  catalogue: Catalogue,
  day: string,
  school: School,
): Choice {
  const offer = offerItem(item, school, catalogue);
  return chooseAmong(offer.offered, standingOf(memberOn(attendee, day), offer));
}

type Own = { option: number; from: 'level' | 'last-time' | 'variants' };

/** How far up a person goes; variants are no ladder, so everybody goes through them all. */
function ownOption(person: Person, item: ExerciseItem, exercise: Exercise): Own {
  if (item.variants) return { option: exercise.options.length, from: 'variants' };
  const last = person.usualOptions[exercise.slug];
  return last === undefined
    ? { option: person.level, from: 'level' }
    : { option: last, from: 'last-time' };
}

/** What states like tired or new take off: options, and of the dose. */
interface Easing {
  own: number;
  dose: number;
  by: CautionId[];
}

function easingOf(own: number, offered: readonly number[], cautions: readonly CautionId[]): Easing {
  const lowest = offered[0] ?? 1;
  return cautions.reduce(
    (easing: Easing, id): Easing => {
      const { eases }: Caution = cautionOf(id);
      if (!eases) return easing;
      const lower = eases.rungs === 'first' ? lowest : own - eases.rungs;
      return {
        own: Math.min(easing.own, Math.max(lowest, lower)),
        dose: Math.min(easing.dose, eases.dose),
        by: [...easing.by, id],
      };
    },
    { own, dose: 1, by: [] },
  );
}

/** What decides one person's way on one side, worked out once for every set of cued options. */
interface Strand {
  asked: Asked;
  /** The cheapest way by option that is on offer, allowed and within reach, highest first. */
  open: ReadonlyMap<number, AllowedWay>;
}

/** What decides one person's choice at an item. */
export interface Standing {
  offer: OfferedItem;
  member: GroupMember;
  own: Own;
  easing: Easing;
  byHand: HandChoice | undefined;
  /** One where both sides are the same; the right one first. */
  strands: readonly Strand[];
  /** What is done where none of its options is, by strand. Seldom asked for. */
  otherwise: (strand: Strand) => Choice;
}

export function standingOf(member: GroupMember, offer: OfferedItem): Standing {
  const { attendee, restrictions, cautions } = member;
  const { item, exercise, offered, clock } = offer;
  const own = ownOption(attendee.person, item, exercise);
  const easing = easingOf(own.option, offered, cautions);
  const strands = drawnSides(offer.dose, restrictions).map((drawn): Strand => {
    const asked: Asked = { restrictions, drawn, clock };
    const open = new Map<number, AllowedWay>();
    for (const number of [...offered].reverse()) {
      const option = exercise.options[number - 1];
      const way = option && number <= easing.own ? cheapestWay(option, asked) : undefined;
      if (way) open.set(number, way);
    }
    return { asked, open };
  });
  const known = new Map<Strand, Choice>();
  const standing: Standing = {
    offer,
    member,
    own,
    easing,
    byHand: attendee.byHand?.[item.id],
    strands,
    otherwise: (strand) => {
      const choice = known.get(strand) ?? insteadOf(standing, strand);
      known.set(strand, choice);
      return choice;
    },
  };
  return standing;
}

/** Sides that are looked at apart: only where somebody has one side that is not as the other. */
function drawnSides(dose: Dose, restrictions: readonly Restriction[]): Drawn[] {
  const isOneSided = restrictions.some(({ side }) => side !== 'either');
  switch (dose.sides) {
    case 'left':
      return ['mirrored'];
    case 'right':
      return ['as drawn'];
    case 'each':
      return isOneSided ? ['as drawn', 'mirrored'] : ['as drawn'];
    case 'none':
    case 'alternating':
      return ['both ways'];
  }
}

/** The cheapest of the cued options for a strand: its cost in departures, and its way. */
export function bestOf(
  cued: readonly number[],
  { easing }: Standing,
  { open }: Strand,
): { option: number; way: AllowedWay; cost: number } | undefined {
  let best: { option: number; way: AllowedWay; cost: number } | undefined;
  for (const [option, way] of open) {
    if (!cued.includes(option)) continue;
    const cost = way.cost + COST.rung * (easing.own - option);
    if (!best || cost < best.cost) best = { option, way, cost };
  }
  return best;
}

export function chooseAmong(cued: readonly number[], standing: Standing): Choice {
  const { byHand, strands } = standing;
  const [right, left] = strands.map((strand) =>
    byHand ? handChoice(byHand, standing, strand) : chooseOn(cued, standing, strand),
  );
  if (!right) throw new Error('an item has no side');
  return left && !isSame(left, right) ? { ...right, onLeft: left } : right;
}

function isSame(one: Choice, other: Choice): boolean {
  const bare = ({ reasons: _reasons, ...rest }: Choice) => JSON.stringify(rest);
  return bare(one) === bare(other);
}

function chooseOn(cued: readonly number[], standing: Standing, strand: Strand): Choice {
  const best = bestOf(cued, standing, strand);
  if (!best) return standing.otherwise(strand);
  const { option, way } = best;
  const how = withDose(way, standing.easing.dose);
  return {
    kind: 'option',
    option,
    ...(how ? { how } : {}),
    reasons: [
      ...passedOver(standing, strand, option),
      ...departures(way, option),
      ...standing.easing.by.map((caution): Reason => ({ code: 'eased', caution })),
      ownReason(standing.own, option),
    ],
  };
}

function withDose({ how }: AllowedWay, dose: number): AllowedWay['how'] | undefined {
  const made = { ...how, dose: Math.min(how.dose, dose) };
  return made.aids.length === 0 && !made.smaller && made.dose === 1 ? undefined : made;
}

/** What keeps somebody from their own option and those between it and the one that is chosen. */
function passedOver({ offer, easing }: Standing, { asked }: Strand, chosen: number): Reason[] {
  return [...offer.offered]
    .reverse()
    .filter((number) => number > chosen && number <= easing.own)
    .flatMap((number) => {
      const option = offer.exercise.options[number - 1];
      return option ? asksOf(gravest(plainHits(option, asked)), number) : [];
    });
}

function gravest(hits: readonly Hit[]): Hit[] {
  const rank = { avoid: 0, limit: 1, support: 1 } as const;
  return [...hits].sort((a, b) => rank[a.effect] - rank[b.effect]).slice(0, 1);
}

function asksOf(hits: readonly Hit[], option: number): Reason[] {
  return hits.flatMap(({ smallerIsNoWayOut: _flag, ...hit }): Reason[] => [
    { code: 'asks', ...hit, option },
    ...(hit.caution ? [{ code: 'again' as const, caution: hit.caution }] : []),
  ]);
}

/** Why it is done otherwise than it stands, and how. */
function departures({ how, answers }: AllowedWay, option: number): Reason[] {
  if (answers.length === 0) return [];
  const [first] = answers;
  return [
    ...asksOf(answers.slice(0, 3), option),
    ...how.aids.map((aid): Reason => ({ code: 'support', aid })),
    ...(how.smaller && first ? [{ code: 'smaller' as const, ask: first.ask }] : []),
    ...(how.dose < 1 ? [{ code: 'fewer' as const, share: how.dose }] : []),
  ].filter(isFirstOfItsKind);
}

function isFirstOfItsKind(reason: Reason, index: number, all: readonly Reason[]): boolean {
  const text = JSON.stringify(reason);
  return all.findIndex((other) => JSON.stringify(other) === text) === index;
}

function ownReason(own: Own, chosen: number): Reason {
  if (own.from === 'variants') return { code: 'variants', option: chosen };
  return own.from === 'last-time'
    ? { code: 'last-time', option: own.option }
    : { code: 'level', level: own.option, option: chosen };
}

function handChoice(byHand: HandChoice, { offer, member }: Standing, { asked }: Strand): Choice {
  const reasons: Reason[] = [{ code: 'by-hand' }];
  const rest = (): Choice => ({
    kind: 'rest',
    shape: restShapeFor(offer.exercise.position, member.restrictions),
    reasons,
  });
  if (byHand.kind === 'rest') return rest();
  const target = byHand.kind === 'swap' ? offer.catalogue.get(byHand.exercise) : offer.exercise;
  const option = target?.options[byHand.option - 1];
  if (!option) return rest();
  reasons.push(...asksOf(plainHits(option, asked), option.number));
  return { ...byHand, reasons: reasons.filter(isFirstOfItsKind) };
}

/** Another exercise with a shared aim, else rest. */
function insteadOf(standing: Standing, strand: Strand): Choice {
  const { offer, member, own, easing } = standing;
  const { exercise, catalogue } = offer;
  const passed = passedOver(standing, strand, 0);
  const why: Reason[] = passed.length > 0 ? passed : [{ code: 'not-offered', option: own.option }];
  for (const swap of rankStandIns(exercise, member, catalogue)) {
    const found = swapTo(swap, easing.own, strand);
    if (!found) continue;
    const { option, way } = found;
    const how = withDose(way, easing.dose);
    return {
      kind: 'swap',
      exercise: swap.slug,
      option: option.number,
      ...(how ? { how } : {}),
      reasons: [
        ...why,
        {
          code: 'swap',
          exercise: swap.slug,
          name: swap.name,
          samePosition: swap.position === exercise.position,
        },
        ...(how?.aids ?? []).map((aid): Reason => ({ code: 'support', aid })),
      ],
    };
  }
  return {
    kind: 'rest',
    shape: restShapeFor(exercise.position, member.restrictions),
    reasons: [...why, { code: 'no-swap', position: exercise.position }],
  };
}

/** As it stands or with a support: nobody is taught a stand-in and its smaller version at once. */
function swapTo(
  swap: Exercise,
  own: number,
  { asked }: Strand,
): { option: Option; way: AllowedWay } | undefined {
  const reach = Math.min(swap.standard, Math.max(1, own));
  for (const option of swap.options.slice(0, reach).reverse()) {
    const way = cheapestWay(option, asked);
    if (way && way.cost < COST.smaller) return { option, way };
  }
  return undefined;
}

/** Those in the same position first, and of those what is good for somebody like this; else as they rank. */
function rankStandIns(
  exercise: Exercise,
  { cautions }: GroupMember,
  catalogue: Catalogue,
): readonly Exercise[] {
  const place = (other: Exercise) =>
    (other.position === exercise.position ? 0 : 2) + (isWelcome(other, cautions) ? 0 : 1);
  return [...standInsFor(exercise, catalogue)].sort((a, b) => place(a) - place(b));
}

function isWelcome(exercise: Exercise, cautions: readonly CautionId[]): boolean {
  return cautions.some((id) => {
    const { welcomes }: Caution = cautionOf(id);
    return (
      welcomes !== undefined &&
      ((welcomes.families?.includes(exercise.family) ?? false) ||
        (welcomes.positions?.includes(exercise.position) ?? false) ||
        (welcomes.parts?.some((part) => exercise.bodyParts.includes(part)) ?? false) ||
        (welcomes.moves?.some((move) => exercise.moves.includes(move)) ?? false))
    );
  });
}

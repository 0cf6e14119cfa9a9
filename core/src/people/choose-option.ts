import { aidOf } from '../body/aids/aids.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { optionOf, tempoOf, type Exercise, type Option } from '../movement/exercise.ts';
import type { Dose } from '../movement/dose.ts';
import { offeredOptions, type ExerciseItem, type School } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { STEADY_PACE } from '../plan/timing/pace.ts';
import { workParts } from '../plan/timing/work.ts';
import type { SchoolRules } from '../plan/school.ts';
import { doseOf } from '../plan/usual.ts';
import { variantsOf } from '../plan/variants.ts';
import type { Caution } from './cautions/caution.ts';
import { cautionOf, type CautionId } from './cautions/cautions.ts';
import { BY_HAND, isByHand } from './asks.ts';
import type { Came } from './came.ts';
import type { Choice, HandChoice } from './choice.ts';
import type { Drawn, Hit, ItemClock } from './hits.ts';
import type { CautionEntry, Person } from './person.ts';
import type { Reason } from './reasons.ts';
import { restShapeFor } from './rest-shapes.ts';
import { entriesOn, restrictionsOf, type Restriction } from './restrictions.ts';
import { standInsFor } from './stand-ins.ts';
import {
  askingOf,
  numberOf,
  cheapestWay,
  COST,
  plainHits,
  supportedWay,
  type AllowedWay,
  type Asking,
  type How,
} from './ways.ts';

/** Somebody who comes to this class. */
export interface Attendee {
  person: Person;
  /** Cautions of today only, added to those in the record. */
  today?: readonly CautionEntry[];
  /** By item id. */
  byHand?: Readonly<Record<string, HandChoice>>;
  came?: Came | undefined;
}

/** An attendee with all that is in force for them on the day, worked out once. */
export interface GroupMember {
  attendee: Attendee;
  restrictions: readonly Restriction[];
  cautions: readonly CautionId[];
}

const MEMBERS = new WeakMap<Attendee, { day: string; member: GroupMember }>();

/** Worked out once while somebody's record stays the same object. */
export function memberOn(attendee: Attendee, day: string): GroupMember {
  const known = MEMBERS.get(attendee);
  if (known?.day === day) return known.member;
  const member: GroupMember = {
    attendee,
    restrictions: restrictionsOf(attendee, day),
    cautions: entriesOn(attendee, day).map(({ caution }) => caution),
  };
  MEMBERS.set(attendee, { day, member });
  return member;
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

const OFFERED = new WeakMap<ExerciseItem, OfferedItem & { school: School }>();

/** `lyingS`: how long the class lies on its back in one go, where the item stands within that. */
export function offerItem(
  item: ExerciseItem,
  school: School,
  catalogue: Catalogue,
  lyingS = 0,
): OfferedItem {
  const known = OFFERED.get(item);
  if (known?.school === school && known.catalogue === catalogue && known.clock.lyingS === lyingS) {
    return known;
  }
  const exercise = catalogue.require(item.exercise);
  const dose = doseOf(item, exercise, rulesOf(school));
  const made = {
    item,
    exercise,
    offered: offeredOptions(item, exercise),
    dose,
    clock: { ...clockOf(item, school, catalogue), lyingS },
    catalogue,
    school,
  };
  OFFERED.set(item, made);
  return made;
}

const CLOCKS = new WeakMap<
  ExerciseItem,
  { school: School; catalogue: Catalogue; clock: ItemClock }
>();

/** How long an item works at a steady pace, worked out once while it stays the same object. */
export function clockOf(item: ExerciseItem, school: School, catalogue: Catalogue): ItemClock {
  const known = CLOCKS.get(item);
  if (known?.school === school && known.catalogue === catalogue) return known.clock;
  const exercise = catalogue.require(item.exercise);
  const rules = rulesOf(school);
  const clock = clockIn(item, doseOf(item, exercise, rules), exercise, rules);
  CLOCKS.set(item, { school, catalogue, clock });
  return clock;
}

function clockIn(
  item: ExerciseItem,
  dose: Dose,
  exercise: Exercise,
  school: SchoolRules,
): ItemClock {
  const { position } = exercise;
  const variants = variantsOf(item, exercise, school);
  const done =
    variants.length > 0 ? variants : [{ option: optionOf(exercise, exercise.standard), dose }];
  const parts = done.flatMap(({ option, dose: each }) =>
    workParts({
      dose: each,
      tempo: tempoOf(exercise, option),
      position,
      teaching: 'none',
      pace: STEADY_PACE,
    }),
  );
  return {
    workS: parts.reduce((sum, { kind, durationS }) => sum + (kind === 'work' ? durationS : 0), 0),
    lyingS: 0,
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

/** The same for all for whom an item comes to the same; what is chosen by hand is chosen for one. */
export function likenessOf(
  { attendee, restrictions, cautions }: GroupMember,
  offer: OfferedItem,
): string {
  const { person, byHand } = attendee;
  if (byHand?.[offer.item.id]) return `by hand ${person.id}`;
  const own = ownOption(person, offer.item, offer.exercise);
  return [numberOf(restrictions), own.from, own.option, ...cautions].join(' ');
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
        dose: Math.min(
          easing.dose,
          own <= lowest ? (eases.doseOfLowest ?? eases.dose) : eases.dose,
        ),
        by: [...easing.by, id],
      };
    },
    { own, dose: 1, by: [] },
  );
}

/** An option that is on offer, allowed and within reach, in its cheapest way. */
export interface OpenOption {
  option: number;
  way: AllowedWay;
  /** In departures from what is asked, the options below one's own with it. */
  cost: number;
  /** The version that it is of. */
  key: string;
}

/** What decides one person's way on one side, worked out once for every set of cued options. */
interface Strand {
  asking: Asking;
  /** The cheapest first. */
  open: readonly OpenOption[];
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
}

const STANDINGS = new WeakMap<OfferedItem, Map<string, Standing>>();

/** The same for all who are alike; worked out once while item and records stay. */
export function standingOf(member: GroupMember, offer: OfferedItem, likeness?: string): Standing {
  if (likeness === undefined || member.attendee.byHand?.[offer.item.id]) {
    return workOutStanding(member, offer);
  }
  const standings = STANDINGS.get(offer) ?? new Map<string, Standing>();
  STANDINGS.set(offer, standings);
  const known = standings.get(likeness) ?? workOutStanding(member, offer);
  standings.set(likeness, known);
  return known;
}

function workOutStanding(member: GroupMember, offer: OfferedItem): Standing {
  const { attendee, restrictions, cautions } = member;
  const { item, exercise, offered, clock } = offer;
  const own = ownOption(attendee.person, item, exercise);
  const easing = easingOf(own.option, offered, cautions);
  const strands = drawnSides(offer.dose, restrictions).map((drawn): Strand => {
    const asking = askingOf(restrictions, drawn, clock);
    const open = [...offered]
      .reverse()
      .flatMap((number): OpenOption[] => {
        const option = exercise.options[number - 1];
        const way = option && number <= easing.own ? cheapestWay(option, asking) : undefined;
        if (!way) return [];
        const cost = way.cost + COST.rung * (easing.own - number);
        return [{ option: number, way, cost, key: optionKey(number, way.how) }];
      })
      .sort((one, other) => one.cost - other.cost);
    return { asking, open };
  });
  return { offer, member, own, easing, byHand: attendee.byHand?.[item.id], strands };
}

/** What is done where none of the options is; the same for all for whom it comes to the same. */
export function otherwiseOf(standing: Standing, strand: Strand): Choice {
  const { offer, member, own, easing } = standing;
  const chosen = chosenOf(offer);
  const key = `otherwise ${strand.asking.key} ${own.option} ${easing.own} ${easing.dose} ${member.cautions.join(' ')} ${offer.offered.join(' ')}`;
  const known = chosen.get(key) ?? insteadOf(standing, strand);
  chosen.set(key, known);
  return known;
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

/** The cheapest of the cued options for a strand. */
export function bestOf(cued: readonly number[], { open }: Strand): OpenOption | undefined {
  return open.find(({ option }) => cued.includes(option));
}

/** Options sort before swaps, swaps before rests. A support is a version of its own only where it must be told. */
export function versionKey(choice: Choice): string {
  switch (choice.kind) {
    case 'option':
      return optionKey(choice.option, choice.how);
    case 'swap':
      return `2 ${choice.exercise} ${choice.option}`;
    case 'rest':
      return '3';
  }
}

function optionKey(option: number, how: How | undefined): string {
  const told = how?.aids.filter((id) => aidOf(id).isTold) ?? [];
  return ['1', option, ...told].join(' ');
}

/** More than a studio's different people at one exercise. */
const MOST_CHOSEN = 2000;
const CHOSEN = new WeakMap<Catalogue, WeakMap<Exercise, Map<string, Choice>>>();

function chosenOf({ catalogue, exercise }: OfferedItem): Map<string, Choice> {
  const ofCatalogue = CHOSEN.get(catalogue) ?? new WeakMap<Exercise, Map<string, Choice>>();
  CHOSEN.set(catalogue, ofCatalogue);
  const chosen = ofCatalogue.get(exercise) ?? new Map<string, Choice>();
  ofCatalogue.set(exercise, chosen);
  return chosen;
}

/** What somebody does of the cued options; the same choice for all for whom it comes to the same. */
export function chooseAmong(cued: readonly number[], standing: Standing): Choice {
  const { offer, own, easing, byHand, strands, member } = standing;
  // What is chosen by hand is chosen for one person.
  if (byHand) return chooseFor(cued, standing);
  const chosen = chosenOf(offer);
  const key = [
    ...strands.map(({ asking }) => asking.key),
    cued.join(' '),
    offer.offered.join(' '),
    own.from,
    own.option,
    easing.own,
    easing.dose,
    member.cautions.join(' '),
  ].join('|');
  const known = chosen.get(key) ?? chooseFor(cued, standing);
  if (chosen.size >= MOST_CHOSEN) chosen.clear();
  chosen.set(key, known);
  return known;
}

function chooseFor(cued: readonly number[], standing: Standing): Choice {
  const { byHand, strands } = standing;
  const [right, left] = strands.map((strand) =>
    byHand ? handChoice(byHand, standing, strand) : chooseOn(cued, standing, strand),
  );
  if (!right) throw new Error('an item has no side');
  return left && !isSame(left, right) ? { ...inTurn(right), onLeft: inTurn(left) } : inTurn(right);
}

/** Each reason once, and behind them when more may be tried again. */
function inTurn(choice: Choice): Choice {
  if (choice.reasons.length < 2) return choice;
  const once = choice.reasons.filter(isFirstOfItsKind);
  const again = once.filter(({ code }) => code === 'again');
  return { ...choice, reasons: [...once.filter(({ code }) => code !== 'again'), ...again] };
}

function isSame(one: Choice, other: Choice): boolean {
  const bare = ({ reasons: _reasons, ...rest }: Choice) => JSON.stringify(rest);
  return bare(one) === bare(other);
}

function chooseOn(cued: readonly number[], standing: Standing, strand: Strand): Choice {
  const best = bestOf(cued, strand);
  if (!best) return otherwiseOf(standing, strand);
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
function passedOver({ offer, easing }: Standing, { asking }: Strand, chosen: number): Reason[] {
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
  ];
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

function handChoice(byHand: HandChoice, { offer, member }: Standing, { asking }: Strand): Choice {
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
  reasons.push(...asksOf(plainHits(option, asking), option.number));
  return { ...byHand, reasons };
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
  { asking }: Strand,
): { option: Option; way: AllowedWay } | undefined {
  const reach = Math.min(swap.standard, Math.max(1, own));
  for (const option of swap.options.slice(0, reach).reverse()) {
    const way = supportedWay(option, asking);
    if (way) return { option, way };
  }
  return undefined;
}

const RANKED = new WeakMap<readonly Exercise[], Map<string, readonly Exercise[]>>();

/** Those in the same position first, and of those what is good for somebody like this; else as they rank. */
function rankStandIns(
  exercise: Exercise,
  { cautions, restrictions }: GroupMember,
  catalogue: Catalogue,
): readonly Exercise[] {
  const all = standInsFor(exercise, catalogue);
  const ranked = RANKED.get(all) ?? new Map<string, readonly Exercise[]>();
  RANKED.set(all, ranked);
  const key = [numberOf(restrictions), ...cautions].join(' ');
  const place = (other: Exercise) =>
    (isOfAKindLeftOut(other, restrictions) ? 4 : 0) +
    (other.position === exercise.position ? 0 : 2) +
    (isWelcome(other, cautions) ? 0 : 1);
  const known = ranked.get(key) ?? [...all].sort((a, b) => place(a) - place(b));
  ranked.set(key, known);
  return known;
}

/** Jumping and the like: its easiest option may be allowed, but nobody is sent there. */
function isOfAKindLeftOut({ options }: Exercise, restrictions: readonly Restriction[]): boolean {
  return restrictions.some(
    ({ ask, avoid }) =>
      avoid !== undefined &&
      isByHand(ask) &&
      options.some(({ demands }) => demands.includes(BY_HAND[ask])),
  );
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

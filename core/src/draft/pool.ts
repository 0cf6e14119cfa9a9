import { effortOf } from '../body/load/option-load.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { usedWithin, withDoseAmount, type Dose, type ScaledDose } from '../movement/dose.ts';
import { movesOf, optionOf, usualRange, type Exercise, type Option } from '../movement/exercise.ts';
import { isWork } from '../review/draft-rows.ts';
import type { Rule } from '../review/rule.ts';
import { newItem } from '../review/running-order.ts';
import type { Attendee } from '../people/attendee.ts';
import { chooseOptions, VERSIONS_AT_ONCE } from '../people/choose-options.ts';
import type { ExerciseItem, Plan } from '../plan/plan.ts';
import type { SchoolRules } from '../plan/school.ts';
import { rulesOf } from '../plan/schools.ts';
import { timePlan, type TimingContext } from '../plan/timing/time-plan.ts';
import { secondsOf } from '../plan/timing/timeline.ts';
import { doseOf, shownOption } from '../plan/usual.ts';
import { isAskedFor, type DraftWishes } from './wishes.ts';

export interface DraftContext {
  catalogue: Catalogue;
  attendees: readonly Attendee[];
  /** Year-month-day. */
  day: string;
  timing: TimingContext;
  /** All that there are when left out. */
  rules?: readonly Rule[];
  /** Seconds of the class that this is a half of. */
  wholeS?: number;
}

/** More variants in a row are a class of their own, and so are those that take more of it than this, getting there not counted. */
const MOST_VARIANTS = 4;
const LONGEST = { share: 0.11, s: 150 } as const;

/** An exercise that could be in the class, with what the choice depends on. */
export interface Choice {
  exercise: Exercise;
  /** Options on offer: those that the props at hand allow. */
  options: number[] | undefined;
  /** Done one after another, where it is made of variants. */
  variants: ExerciseItem['variants'];
  effort: number;
  spineLoad: number;
  moves: Exercise['moves'];
  /** Seconds by itself in its usual dose, with a usual set-up; and in its least and most. */
  usualS: number;
  leastS: number;
  mostS: number;
  /** The amounts of its dose that these are. */
  range: Exercise['usual'];
  workS: number;
  isNew: boolean;
  /** By so many usual options the group is short of what it is drafted for; 0 where it is for them. */
  tooEarly: number;
  /** By so much effort it is above what the middle of the group works at. */
  tooHard: number;
  /** Only a group as far on as this one does it. */
  isForFew: boolean;
  /** How lately the group did it: 1 in its last class, less the longer ago, 0 not in the last weeks. */
  lateness: number;
  /** Swaps that the group would need. */
  swaps: number;
  versions: number;
  /** Names of those who would have nothing to do. */
  left: string[];
  lacksProps: boolean;
}

/** What breathes or lets go is no longer than so much more than usual: rest is no padding. */
const SOFT_MORE_S = 45;

/** The usual seconds from one item to the next, within a position and into another. */
const SET_UP_S = 10;

/** What was done longest ago is nearly as good as what was not done at all. */
function latenessOf(newestFirst: readonly string[]): Map<string, number> {
  const { length } = newestFirst;
  return new Map(newestFirst.map((slug, at) => [slug, 1 - (0.7 * at) / Math.max(1, length)]));
}

/** Every exercise of the machine that is for a group like this, measured for it. */
export function poolOf(wishes: DraftWishes, context: DraftContext): Choice[] {
  const { catalogue } = context;
  const school = rulesOf(wishes.school);
  const base = emptyPlan(wishes);
  const lately = latenessOf(wishes.lately);
  return catalogue.all
    .filter(({ machine }) => machine === wishes.machine)
    .filter((exercise) => !isLineOfItsOwn(exercise) || isAskedFor(exercise.slug, wishes))
    .map((exercise) => measure(exercise, base, school, context, wishes, lately));
}

/**
 * On a chair, or propped up by several of a kind: for those who do not get to the floor or may not lie flat. A
 * class of others gets one of these only where somebody asks for it.
 */
function isLineOfItsOwn({ options }: Exercise): boolean {
  return options.every(({ props }) =>
    props.some(({ prop, count, optional }) => !optional && (prop === 'chair' || count > 1)),
  );
}

export function emptyPlan(wishes: DraftWishes): Plan {
  return {
    format: 'wrenfern-plan/2',
    title: wishes.title,
    machine: wishes.machine,
    school: wishes.school,
    targetS: wishes.targetS,
    note: '',
    segments: [],
  };
}

function measure(
  exercise: Exercise,
  base: Plan,
  school: SchoolRules,
  context: DraftContext,
  wishes: DraftWishes,
  lately: ReadonlyMap<string, number>,
): Choice {
  const options = optionsAtHand(exercise, wishes);
  const lacksProps = options?.length === 0;
  const item = withinReason(
    {
      ...newItem(base, exercise),
      ...offered(exercise, options && !lacksProps ? options : undefined),
    },
    Math.max(LONGEST.s, LONGEST.share * (context.wholeS ?? wishes.targetS)),
    (of) => lengthOf(base, of, context).totalS,
  );
  const plan: Plan = { ...base, segments: [{ id: 'one', name: 'One', items: [item] }] };
  const { versions } = chooseOptions(
    plan,
    context.attendees,
    context.catalogue,
    context.day,
    VERSIONS_AT_ONCE,
  );
  const names = new Map(context.attendees.map(({ person }) => [person.id, person.name]));
  const own = versions.get(item.id) ?? [];
  const option = optionOf(exercise, shownOption(item, exercise, school));
  const dose = doseOf(item, exercise, school);
  const secondsIn = (of: Dose) => lengthOf(plan, { ...item, dose: of }, context);
  const usual = secondsIn(dose);
  const secondsAt = (amount: number) =>
    isScaled(dose, exercise) ? secondsIn(withDoseAmount(dose, amount)).totalS : usual.totalS;
  const effort = effortOf(exercise, option);
  const level = levelOf(context.attendees);
  const fromLevel = exercise.fromLevel ?? 1;
  const range = rangeOf(exercise, option, dose, (amount) => secondsAt(amount) - usual.totalS);
  return {
    exercise,
    options: item.options,
    variants: item.variants,
    effort,
    spineLoad: option.spineLoad ?? exercise.spineLoad,
    moves: movesOf(exercise, option),
    usualS: usual.totalS + SET_UP_S,
    range,
    leastS: secondsAt(range.least) + SET_UP_S,
    mostS: secondsAt(range.most) + SET_UP_S,
    workS: usual.workS,
    tooEarly: Math.max(0, fromLevel - level),
    tooHard: Math.max(0, effort - (USUAL_EFFORT.least + USUAL_EFFORT.byLevel * level)),
    isForFew: fromLevel >= FEW_FROM && fromLevel <= level,
    isNew: context.timing.familiar !== undefined && !context.timing.familiar.has(exercise.slug),
    lateness: lately.get(exercise.slug) ?? 0,
    swaps: own
      .filter(({ choice }) => choice.kind === 'swap')
      .reduce((sum, { people }) => sum + people.length, 0),
    versions: own.length,
    left: own
      .filter(({ choice }) => choice.kind === 'rest')
      .flatMap(({ people }) => people.map((id) => names.get(id) ?? id)),
    lacksProps,
  };
}

/** As many of its variants as the class has time for, two at least. */
function withinReason(
  item: ExerciseItem,
  mostS: number,
  secondsOfItem: (item: ExerciseItem) => number,
): ExerciseItem {
  const { variants } = item;
  if (!variants || variants.length <= 2 || secondsOfItem(item) <= mostS) return item;
  return withinReason({ ...item, variants: variants.slice(0, -1) }, mostS, secondsOfItem);
}

/** Variants are done one after another; of steps those that the props at hand allow are on offer. */
function offered(
  { optionsAre, options: all, standard }: Exercise,
  options: number[] | undefined,
): Pick<ExerciseItem, 'options' | 'variants'> {
  const boxAt = (number: number) => all[number - 1]?.settings?.box ?? 'none';
  // One after another on one setting: nobody fetches a box for one variant.
  const numbers = (options ?? all.map(({ number }) => number)).filter(
    (number) => boxAt(number) === boxAt(standard),
  );
  if (optionsAre === 'variants' && numbers.length > 1) {
    return { variants: numbers.slice(0, MOST_VARIANTS).map((option) => ({ option })) };
  }
  return options ? { options } : {};
}

/** What is work, and not yet too hard, for whom the first option is the usual one; and more by level. */
const USUAL_EFFORT = { least: 1, byLevel: 0.5 } as const;
/** What is from this level on is not seen in most classes. */
const FEW_FROM = 3;

/** Whose group is not known yet is taken for the usual one. */
const USUAL_LEVEL = 2;

/** The usual option of the middle of a group, the lower of two. */
function levelOf(attendees: readonly Attendee[]): number {
  const levels = attendees.map(({ person }) => person.level).toSorted((a, b) => a - b);
  return levels[Math.floor((levels.length - 1) / 2)] ?? USUAL_LEVEL;
}

/** Undefined where every option can be done with what is at hand. */
function optionsAtHand(exercise: Exercise, { props }: DraftWishes): number[] | undefined {
  if (!props) return undefined;
  const possible = exercise.options
    .filter((option) => option.props.every((use) => use.optional || props.includes(use.prop)))
    .map(({ number }) => number);
  return possible.length === exercise.options.length ? undefined : possible;
}

function lengthOf(plan: Plan, item: ExerciseItem, { catalogue, timing }: DraftContext) {
  const alone: Plan = { ...plan, segments: [{ id: 'one', name: 'One', items: [item] }] };
  const [timed] = timePlan(alone, catalogue, timing).items;
  if (!timed) return { totalS: 0, workS: 0 };
  return { totalS: timed.durationS - secondsOf(timed, 'set-up'), workS: secondsOf(timed, 'work') };
}

/** Clocked doses stay as they are, and so does what an option doses in another way. */
export const isScaled = (dose: Dose, exercise: Exercise): dose is ScaledDose =>
  dose.kind !== 'timed' && dose.kind === exercise.dose.kind;

/** The usual range of what is shown; what lets go is made no longer than a little more than usual. */
function rangeOf(
  exercise: Exercise,
  option: Option,
  dose: Dose,
  moreS: (amount: number) => number,
): Choice['range'] {
  const range = usualRange(exercise, option);
  if (!isScaled(dose, exercise) || isWork({ exercise })) return range;
  const most = usedWithin(dose.kind, range).findLast((amount) => moreS(amount) <= SOFT_MORE_S);
  return { least: range.least, most: most ?? range.most };
}

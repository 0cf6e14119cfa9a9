import type { Catalogue } from '../movement/catalogue.ts';
import { optionOf, type Option } from '../movement/exercise.ts';
import type { Position } from '../movement/vocabulary.ts';
import { exercisesDone } from '../plan/occurrences.ts';
import type { ExerciseItem, Plan } from '../plan/plan.ts';
import { amountOf, askedBy, type Asked } from './asked.ts';
import type { Timeless } from './asks.ts';
import type { Caution } from './cautions/caution.ts';
import { cautionOf } from './cautions/cautions.ts';
import type { Choice } from './choice.ts';
import type { Attendee } from './attendee.ts';
import { offerItem } from './offered-item.ts';
import type { OptionsPlan } from './choose-options.ts';
import { entriesOn } from './restrictions.ts';
import { AS_ASKED } from './ways.ts';

/** What a class adds up to for somebody who does it as it is chosen for them. */
export interface ClassSums {
  /** Seconds on the back, chest level: in one go, and in all. */
  flatOnceS: number;
  flatS: number;
  proneS: number;
  /** Seconds on the hands in one go. */
  handsOnceS: number;
  kneesS: number;
  hipsHighS: number;
  /** The longest hold. */
  holdS: number;
  /** Items that round a loaded back, that land, that stay at the end of a joint. */
  loadedRounds: number;
  impacts: number;
  endRanges: number;
  /** Times from the floor to standing or back. */
  levelChanges: number;
}

export interface ClassVerdict {
  verdict: 'yes' | 'yes, with changes' | 'not this class' | 'clinician first';
  /** Items at which they do otherwise than the class. */
  changes: number;
  /** Share of the working time in which they do another exercise or rest. */
  replacedShare: number;
  /** Why, in sentences. */
  because: string[];
  sums: ClassSums;
  /** Sums that are more than usual for them. */
  over: OverSum[];
}

export interface OverSum {
  sum: 'handsOnceS' | 'flatOnceS' | 'flatS';
  /** "on the hands in one go". */
  lies: string;
  seconds: number;
  mostS: number;
}

/** "yes, with 3 changes". */
export function sayVerdict({ verdict, changes }: ClassVerdict): string {
  if (verdict !== 'yes, with changes') return verdict;
  return changes === 1 ? 'yes, with 1 change' : `yes, with ${changes} changes`;
}

/** Somebody should not simply come. */
export function isRefused({ verdict }: ClassVerdict): boolean {
  return verdict === 'not this class' || verdict === 'clinician first';
}

/** Of the working time; more replaced is another class. Common practice. */
const MOST_REPLACED = 0.4;
/** Seconds on the hands in one go; less for a wrist. Common practice. */
const HANDS_ONCE = { most: 240, wrist: 120 } as const;
/** Seconds on the back while carrying a child past the third month: in one go and in all. Common practice. */
const FLAT = { once: 180, inAll: 600 } as const;

/** How the whole class is for each person, by id. `day` is year-month-day. */
export function classVerdicts(
  plan: Plan,
  attendees: readonly Attendee[],
  options: OptionsPlan,
  catalogue: Catalogue,
  day: string,
): Map<string, ClassVerdict> {
  const items = exercisesDone(plan).map((item) => offerItem(item, plan.school, catalogue));
  return new Map(
    attendees.map((attendee) => {
      const choices = options.choices.get(attendee.person.id);
      const done = items.map(({ item, exercise, clock }): DoneItem => {
        const choice = choices?.get(item.id);
        return doneItem(item, exercise.position, clock, choice, catalogue);
      });
      return [attendee.person.id, verdictOn(attendee, done, day)];
    }),
  );
}

interface DoneItem {
  itemId: string;
  workS: number;
  holdS: number;
  choice: Choice | undefined;
  position: Position;
  option: Option | undefined;
  asked: Asked | undefined;
}

function doneItem(
  item: ExerciseItem,
  position: Position,
  clock: { workS: number; holdS: number },
  choice: Choice | undefined,
  catalogue: Catalogue,
): DoneItem {
  const slug = choice?.kind === 'swap' ? choice.exercise : item.exercise;
  const exercise = catalogue.require(slug);
  const option =
    choice === undefined || choice.kind === 'rest' ? undefined : optionOf(exercise, choice.option);
  const how = (choice && choice.kind !== 'rest' ? choice.how : undefined) ?? AS_ASKED;
  return {
    itemId: item.id,
    workS: clock.workS * how.dose,
    holdS: clock.holdS * how.dose,
    choice,
    position: option === undefined ? position : (option.position ?? exercise.position),
    option,
    asked: option && askedBy(option, how),
  };
}

function verdictOn(attendee: Attendee, done: readonly DoneItem[], day: string): ClassVerdict {
  const cautions: Caution[] = entriesOn(attendee, day).map(({ caution }) => cautionOf(caution));
  const sums = sumsOf(done);
  const over = overSums(sums, cautions);
  const workS = done.reduce((sum, item) => sum + item.workS, 0);
  const isReplaced = ({ choice }: DoneItem) => choice !== undefined && choice.kind !== 'option';
  const replacedS = done.reduce((sum, item) => sum + (isReplaced(item) ? item.workS : 0), 0);
  const replacedShare = workS > 0 ? replacedS / workS : 0;
  const changed = done.filter(({ choice }) => choice && isChanged(choice));
  const changes = new Set(changed.map(({ itemId }) => itemId)).size;
  const because = [
    ...cautions.flatMap(({ wholeClass, name, says }) => (wholeClass ? [`${name}: ${says}`] : [])),
    ...(replacedShare > MOST_REPLACED
      ? [`${Math.round(replacedShare * 100)} % of the work would be another exercise or rest.`]
      : []),
    ...over.map(
      ({ lies, seconds, mostS }) =>
        `${minutesOf(seconds)} ${lies}, ${minutesOf(mostS)} is usual: put something else between.`,
    ),
  ];
  const says = (verdict: ClassVerdict['verdict']) =>
    cautions.some(({ wholeClass }) => wholeClass === verdict);
  const verdict = says('clinician first')
    ? 'clinician first'
    : says('not this class') || replacedShare > MOST_REPLACED
      ? 'not this class'
      : changes > 0
        ? 'yes, with changes'
        : 'yes';
  return { verdict, changes, replacedShare, because, sums, over };
}

/** Done otherwise than by somebody of that level without any caution. */
function isChanged({ kind, reasons, onLeft, ...rest }: Choice): boolean {
  return (
    kind !== 'option' ||
    ('how' in rest && rest.how !== undefined) ||
    reasons.some(({ code }) => code === 'asks' || code === 'eased') ||
    onLeft !== undefined
  );
}

/** Sums of what is done; two items after each other in one place are one go. */
function sumsOf(done: readonly DoneItem[]): ClassSums {
  const seconds = (near: keyof Asked['near']) =>
    done.map(({ asked, workS }) => (asked?.near[near] ?? 0) * workS);
  const total = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0);
  const count = (ask: Timeless, from: number) =>
    done.filter(({ asked }) => asked && (amountOf(asked, ask, 'either') ?? 0) >= from).length;
  const flat = seconds('flat');
  const levels = done.flatMap(({ option, position }) => (option ? [position === 'standing'] : []));
  return {
    flatOnceS: longestRun(flat),
    flatS: total(flat),
    proneS: total(seconds('bellyPress')),
    handsOnceS: longestRun(seconds('wrist')),
    kneesS: total(seconds('kneecaps')),
    hipsHighS: total(seconds('hipsHigh')),
    holdS: Math.max(0, ...done.map(({ option, holdS }) => (option ? holdS : 0))),
    loadedRounds: count('loadedRound', 1),
    impacts: count('impact', 1),
    endRanges: count('endShare', 0.85),
    levelChanges: levels.filter((stands, index) => index > 0 && stands !== levels[index - 1])
      .length,
  };
}

function longestRun(seconds: readonly number[]): number {
  let longest = 0;
  let run = 0;
  for (const each of seconds) {
    run = each > 0 ? run + each : 0;
    longest = Math.max(longest, run);
  }
  return longest;
}

export const minutesOf = (seconds: number) => `${Math.round(seconds / 6) / 10} min`;

function overSums(sums: ClassSums, cautions: readonly Caution[]): OverSum[] {
  const has = (id: string) => cautions.some((caution) => caution.id === id);
  const handsMost = has('wrist') || has('carpal-tunnel') ? HANDS_ONCE.wrist : HANDS_ONCE.most;
  const bounds: Omit<OverSum, 'seconds'>[] = [
    { sum: 'handsOnceS', lies: 'on the hands in one go', mostS: handsMost },
    ...(has('pregnancy')
      ? [
          { sum: 'flatOnceS', lies: 'flat on the back in one go', mostS: FLAT.once } as const,
          { sum: 'flatS', lies: 'flat on the back in all', mostS: FLAT.inAll } as const,
        ]
      : []),
  ];
  return bounds
    .map((bound) => ({ ...bound, seconds: sums[bound.sum] }))
    .filter(({ seconds, mostS }) => seconds > mostS);
}

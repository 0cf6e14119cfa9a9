import { z } from 'zod';
import type { Catalogue } from '../movement/catalogue.ts';
import { Dose } from '../movement/dose.ts';
import type { Exercise } from '../movement/exercise.ts';
import { Gear } from '../movement/gear.ts';
import { Id } from '../movement/ids.ts';
import { Machine, MOST_OPTIONS, OptionNumber, Side, SLUG, Tempo } from '../movement/vocabulary.ts';
import { ClassStyle } from './class-style.ts';
import { ItemProps, Keeps } from './item-props.ts';
import { SchoolRules } from './school.ts';

const title = z.string().trim().min(1, 'give it a name').max(120);

const TEACHING_STYLES = ['full', 'brief', 'none'] as const;
export const TeachingStyle = z.enum(TEACHING_STYLES);
export type TeachingStyle = z.infer<typeof TeachingStyle>;

/** What the seconds of an item follow from besides its dose; left out where the class or the option tells. */
export const Pacing = z.strictObject({
  /** Seconds of explanation before the first repetition, in place of the usual words. */
  explainS: z.number().int().min(0).max(900).optional(),
  /** Whether its repetitions follow the breath; as the style of the class has it when left out. */
  breathed: z.boolean().optional(),
  /** In- and out-breaths of one repetition; as the exercise describes its breath when left out. */
  phases: z.number().int().min(1).max(8).optional(),
  /** The kind of repetition, where it is done otherwise than its option is. */
  tempo: Tempo.optional(),
});
export type Pacing = z.infer<typeof Pacing>;

/** The bracket that an item stands in; one that is not there is no bracket. */
const bracket = Id.optional();

export const ExerciseItem = z.strictObject({
  kind: z.literal('exercise'),
  id: Id,
  bracket,
  exercise: SLUG,
  /** Done on this side alone, whatever sides its dose names. */
  onlySide: Side.optional(),
  /** The exercise's own dose when left out. */
  dose: Dose.optional(),
  /** Option numbers on offer; all of them when left out. */
  options: z.array(OptionNumber).min(1).max(MOST_OPTIONS).optional(),
  /** Variants done one after another, each with its own count; its dose and options follow from them. */
  variants: z
    .array(z.strictObject({ option: OptionNumber, dose: Dose.optional() }))
    .min(2)
    .max(8)
    .optional(),
  /** `full` when it is new to the group, `none` when it only repeats; worked out when left out. */
  teaching: TeachingStyle.optional(),
  ...Pacing.shape,
  restS: z.number().int().min(0).max(600).default(0),
  /** Where the machine is set otherwise than the exercise has it. */
  gear: Gear.optional(),
  props: ItemProps.optional(),
  keeps: Keeps.optional(),
  note: z.string().max(1000).default(''),
});
export type ExerciseItem = z.infer<typeof ExerciseItem>;

/** Talk, water, the way in and out: time in which nobody exercises. */
export const PauseItem = z.strictObject({
  kind: z.literal('pause'),
  id: Id,
  bracket,
  label: title,
  durationS: z.number().int().min(5).max(1800),
  note: z.string().max(1000).default(''),
});
export type PauseItem = z.infer<typeof PauseItem>;

export const Item = z.discriminatedUnion('kind', [ExerciseItem, PauseItem]);
export type Item = z.infer<typeof Item>;

/** How often a group of exercises is done in turn. */
const ROUNDS = { least: 2, most: 10 } as const;

/**
 * Items that stand one behind the other and are done more than once: as a series, all of them on one side and then all
 * on the other; or in rounds, all of them and then all again. The items name it; where others, or the end of a part,
 * stand between them, each run is done by itself.
 */
export const Bracket = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('series'), id: Id, first: Side }),
  z.strictObject({
    kind: z.literal('rounds'),
    id: Id,
    times: z
      .number()
      .int()
      .min(ROUNDS.least, 'at least twice')
      .max(ROUNDS.most, 'at most ten times'),
  }),
]);
export type Bracket = z.infer<typeof Bracket>;

export const Segment = z.strictObject({
  id: Id,
  name: title,
  /**
   * In a class of two groups: done by one here while the other is at the other place; by all where it is left out. In a
   * class for all it counts for nothing, so that what two people changed at once is still a plan.
   */
  station: Machine.optional(),
  /** How long it is meant to last; left out where only the whole class has a length. */
  targetS: z
    .number('say how long it lasts')
    .int()
    .min(15, 'at least a quarter of a minute')
    .max(10800, 'at most 3 hours')
    .optional(),
  items: z.array(Item).max(80),
});
export type Segment = z.infer<typeof Segment>;

/** Two groups, each at its place, change over in the middle of the class: how long that takes, water with it. */
export const ChangeOver = z.strictObject({
  durationS: z
    .number('say how long it takes')
    .int()
    .min(30, 'at least half a minute')
    .max(600, 'at most ten minutes'),
});
export type ChangeOver = z.infer<typeof ChangeOver>;

/** The schools that ship. */
export const SCHOOL_IDS = ['foundations-first', 'graded-load', 'timed-sets', 'classic'] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

/**
 * What the rules and defaults of a class follow: a school that ships, by name, or a studio's own,
 * carried whole so that the plan says the same wherever it is read.
 */
export const School = z.union([z.enum(SCHOOL_IDS), SchoolRules]);
export type School = z.infer<typeof School>;

export const PlanDetails = z.strictObject({
  title,
  machine: Machine,
  school: School,
  /** How long it may last: a routine of a minute, or a class of three hours. */
  targetS: z
    .number('say how long it lasts')
    .int()
    .min(60, 'at least a minute')
    .max(10800, 'at most 3 hours'),
  /** How it is led; left out where the teacher has not said. */
  style: ClassStyle.optional(),
  /** What the teacher wants to remember about the whole class. */
  note: z.string().max(4000),
  /** Makes it a class of two groups; left out where all do the same. */
  changeOver: ChangeOver.optional(),
});
export type PlanDetails = z.infer<typeof PlanDetails>;

/** A finding of the review that stands on purpose, for as long as it would be told. */
export const SetAside = z.strictObject({
  rule: SLUG,
  /** Tells it from others of its rule, by the items that it is about. */
  key: z.string().min(1).max(4000),
  reason: z.string().trim().min(1, 'say why').max(200),
});
export type SetAside = z.infer<typeof SetAside>;

/** One class plan, as stored and exchanged. */
export const Plan = z
  .strictObject({
    format: z.literal('wrenfern-plan/2'),
    title,
    machine: Machine.default('mat'),
    school: School.default('foundations-first'),
    targetS: PlanDetails.shape.targetS,
    style: PlanDetails.shape.style,
    note: PlanDetails.shape.note.default(''),
    changeOver: PlanDetails.shape.changeOver,
    segments: z.array(Segment).max(20),
    brackets: z.array(Bracket).max(100).optional(),
    setAside: z.array(SetAside).max(100).optional(),
  })
  .superRefine((plan, context) => {
    const seen = new Set<string>();
    plan.segments.forEach((segment, segmentIndex) => {
      check(segment.id, ['segments', segmentIndex, 'id']);
      segment.items.forEach((item, itemIndex) =>
        check(item.id, ['segments', segmentIndex, 'items', itemIndex, 'id']),
      );
    });
    plan.brackets?.forEach((each, at) => check(each.id, ['brackets', at, 'id']));
    function check(value: string, path: (string | number)[]) {
      if (seen.has(value)) {
        context.addIssue({ code: 'custom', path, message: `the id "${value}" is used twice` });
      }
      seen.add(value);
    }
  });
export type Plan = z.infer<typeof Plan>;

/** A fault of a plan that its schema can't see, with the path of the field to mend. */
export interface PlanProblem {
  path: (string | number)[];
  message: string;
}

/** Checks the plan against a catalogue: every slug and option number must exist. */
export function checkPlan(plan: Plan, catalogue: Catalogue): PlanProblem[] {
  const problems: PlanProblem[] = [];
  plan.segments.forEach((segment, segmentIndex) =>
    segment.items.forEach((item, itemIndex) => {
      if (item.kind !== 'exercise') return;
      const path = ['segments', segmentIndex, 'items', itemIndex];
      const exercise = catalogue.get(item.exercise);
      if (!exercise) {
        problems.push({
          path: [...path, 'exercise'],
          message: `no exercise is called "${item.exercise}"`,
        });
        return;
      }
      item.variants?.forEach(({ option }, index) => {
        if (option > exercise.options.length) {
          problems.push({
            path: [...path, 'variants', index, 'option'],
            message: `${exercise.name} has ${exercise.options.length} options, no number ${option}`,
          });
        }
      });
      item.options?.forEach((number, index) => {
        if (number > exercise.options.length) {
          problems.push({
            path: [...path, 'options', index],
            message: `${exercise.name} has ${exercise.options.length} options, no number ${number}`,
          });
        }
      });
    }),
  );
  return problems;
}

/** What is said of an item's pace. */
export function pacingOf({ explainS, breathed, phases, tempo }: ExerciseItem): Pacing {
  return {
    ...(explainS === undefined ? {} : { explainS }),
    ...(breathed === undefined ? {} : { breathed }),
    ...(phases === undefined ? {} : { phases }),
    ...(tempo === undefined ? {} : { tempo }),
  };
}

/** Every item in running order. */
export function itemsOf(plan: Plan): Item[] {
  return plan.segments.flatMap((segment) => segment.items);
}

export function exerciseItemsOf(plan: Plan): ExerciseItem[] {
  return itemsOf(plan).filter((item) => item.kind === 'exercise');
}

/** The option numbers on offer, lowest first; those that an exercise no longer has are left out. */
export function offeredOptions(item: ExerciseItem, exercise: Exercise): number[] {
  const all = exercise.options.map((option) => option.number);
  const own = item.variants?.map(({ option }) => option) ?? item.options;
  const offered = all.filter((number) => own?.includes(number) ?? true);
  return offered.length > 0 ? offered : all;
}

export interface PlanPlace {
  segmentId: string;
  index: number;
}

/** Where an item stands, or undefined when the plan does not hold it. */
export function placeOf(plan: Plan, itemId: string): PlanPlace | undefined {
  for (const segment of plan.segments) {
    const index = segment.items.findIndex((item) => item.id === itemId);
    if (index >= 0) return { segmentId: segment.id, index };
  }
  return undefined;
}

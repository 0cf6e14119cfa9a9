import { z } from 'zod';
import { Dose, doseAmount } from './dose.ts';
import { KeyPose, View } from './pose.ts';
import {
  BodyPart,
  Demand,
  Depth,
  Family,
  Foundation,
  Lever,
  Machine,
  MOST_OPTIONS,
  OptionNumber,
  Position,
  Prop,
  PropPlace,
  PropRole,
  SLUG,
  SpineLoad,
  SpineMove,
  Tempo,
} from './vocabulary.ts';

const words = z.string().trim().min(1).max(400);

/** More of one kind than any exercise needs. */
const FEW = 20;
const MANY = 60;

export const PropUse = z.strictObject({
  prop: Prop,
  place: PropPlace,
  role: PropRole,
  count: z.number().int().min(1).max(4).default(1),
  /** True when the option can be done without it. */
  optional: z.boolean().default(false),
});
export type PropUse = z.infer<typeof PropUse>;

const springs = z.number().int().min(0).max(5);

export const MachineSetting = z.strictObject({
  /** How many springs of each strength; studios give their own springs one of these strengths. */
  springs: z.strictObject({ heavy: springs, medium: springs, light: springs }).partial().optional(),
  /** What another spring does: it loads a press and carries a support. */
  moreSpring: z.enum(['harder', 'easier']).optional(),
  bar: z.enum(['high', 'middle', 'low', 'off']).optional(),
  headrest: z.enum(['up', 'middle', 'down']).optional(),
  loops: z.enum(['short', 'long', 'none']).optional(),
  facing: z.enum(['feet to bar', 'head to bar', 'side']).optional(),
  box: z.enum(['none', 'long', 'short']).optional(),
});
export type MachineSetting = z.infer<typeof MachineSetting>;

const FoundationDepth = z.strictObject({ foundation: Foundation, depth: Depth });

/** Start, reach, other end: an option is drawn and weighed from these. */
const poses = z.array(KeyPose).min(1).max(4);

const around = z.number().int().min(1).max(60);

/** One way of doing an exercise, one change away from its neighbours. */
export const Option = z.strictObject({
  number: OptionNumber,
  name: words,
  /** What is different from the option before, in a few words. */
  change: words,
  levers: z.array(Lever).min(1).max(FEW),
  demands: z.array(Demand).max(MANY),
  /** Why this step comes after an option that the body model weighs as harder, where it does. */
  lighterBecause: words.optional(),
  /** What keeps the body up where its weight does not fall within what it rests on. */
  held: words.optional(),
  feel: words,
  stepBack: words,
  props: z.array(PropUse).max(FEW).default([]),
  settings: MachineSetting.optional(),
  /** Only where this option is dosed, paced, placed or loaded differently from its exercise. */
  dose: Dose.optional(),
  tempo: Tempo.optional(),
  /** Seconds into the shape that a set is done in, and out of it, on each side: rolling up to a bridge. */
  entryS: around.optional(),
  exitS: around.optional(),
  position: Position.optional(),
  spineLoad: SpineLoad.optional(),
  /** How hard teachers say that it is, 0 rest to 5 very strong, where the body model weighs it otherwise. */
  effort: z.number().min(0).max(5).multipleOf(0.5, 'in halves').optional(),
  moves: z.array(SpineMove).max(FEW).optional(),
  poses,
});
export type Option = z.infer<typeof Option>;

export const Breath = z.strictObject({
  /** One phrase a phase of the movement. */
  phases: z
    .array(z.strictObject({ on: z.enum(['in', 'out', 'free']), doing: words }))
    .min(1)
    .max(FEW),
  /** What is said when breath is left natural. */
  natural: words,
});

export const ExerciseFields = z.strictObject({
  slug: SLUG,
  name: words,
  otherNames: z.array(words).max(FEW).default([]),
  /** How it ends a class: the rest behind everything, or the way up behind that. */
  closing: z.enum(['rest', 'way-up']).optional(),
  /** The usual option of a group, 1 to 4, from which it is drafted for that group; any where it is left out. */
  fromLevel: z.number().int().min(2).max(4).optional(),
  /** Place in the mat order published by Pilates and Miller, Return to Life through Contrology (1945). */
  classicOrder: z.number().int().min(1).max(34).optional(),
  machine: Machine,
  family: Family,
  position: Position,
  /** Where the body is left, when the movement travels. */
  endPosition: Position.optional(),
  moves: z.array(SpineMove).min(1).max(FEW),
  spineLoad: SpineLoad,
  teaches: z.array(FoundationDepth).min(1).max(FEW),
  needs: z.array(FoundationDepth).max(FEW),
  bodyParts: z.array(BodyPart).min(1).max(FEW),
  movers: z.array(words).min(1).max(FEW),
  /** Seconds to arrange the limbs before the first repetition, where that is more than usual. */
  arrangeS: z.number().int().min(1).max(60).optional(),
  dose: Dose,
  /** The usual least and most, in the dose's own unit (repetitions, breaths, seconds or rounds). */
  usual: z.strictObject({ least: z.number().int().min(1), most: z.number().int().min(1) }),
  tempo: Tempo,
  breath: Breath,
  purpose: words,
  options: z.array(Option).min(2).max(MOST_OPTIONS),
  /** Whether its options are steps of a ladder, or variants that are done one after another. */
  optionsAre: z.enum(['steps', 'variants']).default('steps'),
  /** The option shown to a group by default. */
  standard: OptionNumber,
  cues: z.array(words).min(2).max(FEW),
  faults: z
    .array(z.strictObject({ fault: words, remedy: words }))
    .min(2)
    .max(FEW),
  /** Parts of others: without them those are unsafe, or can't be learned. */
  prepares: z.array(SLUG).max(MANY).default([]),
  /** What it merely goes well before. */
  goesBefore: z.array(SLUG).max(MANY).default([]),
  counters: z.array(SLUG).max(MANY).default([]),
  /** Stand-ins with the same position and a shared aim, best first. */
  swaps: z.array(SLUG).min(1).max(MANY),
  /** From where the figure is seen. */
  view: View.default('side'),
});

export const Exercise = ExerciseFields.superRefine((exercise, context) => {
  exercise.options.forEach((option, index) => {
    if (option.number === index + 1) return;
    context.addIssue({
      code: 'custom',
      path: ['options', index, 'number'],
      message: `options are numbered 1, 2, 3 … in order: expected ${index + 1}`,
    });
  });
  checkLadder(exercise, context);
});
export type Exercise = z.infer<typeof Exercise>;
/** What hangs together in an exercise, however it is written. */
export function checkLadder(
  { options, standard, usual }: { options: unknown[]; standard: number; usual: Exercise['usual'] },
  context: z.RefinementCtx,
): void {
  if (standard > options.length) {
    context.addIssue({
      code: 'custom',
      path: ['standard'],
      message: 'the standard option does not exist',
    });
  }
  if (usual.least > usual.most) {
    context.addIssue({
      code: 'custom',
      path: ['usual', 'least'],
      message: 'the usual least is more than the usual most',
    });
  }
}

/** An exercise as an author writes it, before defaults are filled in. */
export type ExerciseInput = z.input<typeof Exercise>;

/**
 * The usual least and most of an option, in the unit of its dose: its exercise’s, in proportion where its own dose is
 * another number of the same kind.
 */
export function usualRange(
  { dose, usual }: Pick<Exercise, 'dose' | 'usual'>,
  option: Pick<Option, 'dose'>,
): Exercise['usual'] {
  const own = option.dose;
  if (!own || own.kind !== dose.kind || own.kind === 'timed' || dose.kind === 'timed') return usual;
  const share = doseAmount(own) / doseAmount(dose);
  const near = (amount: number) => Math.max(1, Math.round(amount * share));
  return { least: near(usual.least), most: near(usual.most) };
}

/** The option with this number; the standard one when the number is unknown to the exercise. */
export function optionOf(exercise: Exercise, number: number): Option {
  const found = exercise.options.find((option) => option.number === number);
  return found ?? standardOption(exercise);
}

/** Which ways the spine goes: a rung can move otherwise than its exercise. The standard one where none is named. */
export function movesOf(exercise: Exercise, option = standardOption(exercise)): Exercise['moves'] {
  return option.moves ?? exercise.moves;
}

/** The kind of repetition that an option is done in, which sets its pace. */
export function tempoOf(
  exercise: Pick<Exercise, 'tempo'>,
  option: Pick<Option, 'tempo'> | undefined,
): Tempo {
  return option?.tempo ?? exercise.tempo;
}

export function standardOption(exercise: Exercise): Option {
  const option = exercise.options[exercise.standard - 1];
  if (!option) throw new Error(`${exercise.slug} has no option ${exercise.standard}`);
  return option;
}

/** Where it stands at the end of a class: 0 not bound to it, 1 the rest behind everything, 2 the way up. */
export function closingRank({ closing }: Pick<Exercise, 'closing'>): number {
  if (closing === 'way-up') return 2;
  return closing === 'rest' ? 1 : 0;
}

/** True for breath and resting-alignment work: what a class may begin with. */
export function teachesAwareness(exercise: Exercise): boolean {
  return exercise.teaches.some(
    ({ foundation }) => foundation === 'breath' || foundation === 'settle',
  );
}

export function teaches(exercise: Exercise, foundation: Foundation): boolean {
  return exercise.teaches.some((taught) => taught.foundation === foundation);
}

/** Everything that it leads to, as a part of it or because it goes well before. */
export function leadsTo({ prepares, goesBefore }: Exercise): string[] {
  return [...prepares, ...goesBefore];
}

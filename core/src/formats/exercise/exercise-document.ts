import { z } from 'zod';
import { hasShape } from '../../body/shapes/index.ts';
import { checkLadder, ExerciseFields, MachineSetting, Option } from '../../movement/exercise.ts';
import { ArmPose, LegPose, Pose } from '../../movement/pose.ts';
import { Foundation, MOST_OPTIONS, SLUG } from '../../movement/vocabulary.ts';
import { DEPTH_WORDS } from '../../movement/words.ts';

/** An exercise as it is written down: what a teacher reads first, the modeller's key poses last. */
export const EXERCISE_FORMAT = 'wrenfern-exercise/2';

const Depths = z.partialRecord(Foundation, z.enum(DEPTH_WORDS));

const fields = ExerciseFields.shape;
const option = Option.shape;
const words = fields.name;
const FEW = 20;

/** One phase of a breath: `in`, `out` or `free`, and what is done on it. */
const Phase = z.union([
  z.strictObject({ in: words }),
  z.strictObject({ out: words }),
  z.strictObject({ free: words }),
]);

/** `null` lets go of what the pose before held on to. */
const LooseArm = ArmPose.extend({
  hand: ArmPose.shape.hand.nullable(),
  at: ArmPose.shape.at.nullable(),
  elbow: ArmPose.shape.elbow.nullable(),
});
const LooseLeg = LegPose.extend({
  foot: LegPose.shape.foot.nullable(),
  at: LegPose.shape.at.nullable(),
  knee: LegPose.shape.knee.nullable(),
});

/** What differs from the pose or shape that it is made `from`; a limb is merged into that one's limb. */
const WrittenPose = Pose.omit({ shape: true }).extend({
  from: SLUG.optional().describe('The shape or the pose of this file that it is made from.'),
  arms: LooseArm.optional(),
  rightArm: LooseArm.optional(),
  leftArm: LooseArm.optional(),
  legs: LooseLeg.optional(),
  rightLeg: LooseLeg.optional(),
  leftLeg: LooseLeg.optional(),
});
export type WrittenPose = z.infer<typeof WrittenPose>;
/** More key poses than four options of four can have. */
const Poses = z.record(SLUG, WrittenPose).refine((poses) => Object.keys(poses).length <= 16, {
  message: 'at most 16 key poses',
});
export type WrittenPoses = z.infer<typeof Poses>;

const WrittenOption = z.strictObject({
  name: option.name,
  change: option.change.describe('What is different from the option before.'),
  feel: option.feel,
  stepBack: option.stepBack,
  lighterBecause: option.lighterBecause,
  held: option.held,
  levers: option.levers,
  demands: option.demands
    .default([])
    .describe(
      'What it asks of a body that no measure of its poses sees; cautions follow from both.',
    ),
  props: option.props,
  settings: option.settings,
  dose: option.dose,
  tempo: option.tempo,
  entryS: option.entryS,
  exitS: option.exitS,
  position: option.position,
  spineLoad: option.spineLoad,
  effort: option.effort.describe(
    'How hard teachers say that it is, 0 to 5, where the body model weighs it otherwise.',
  ),
  moves: option.moves,
  /** Names of key poses of this file, or of shapes: start, reach, other end. */
  poses: z.array(SLUG).min(1).max(4).describe('Key poses below, or shapes, by name.'),
});

const Written = z.strictObject({
  format: z.literal(EXERCISE_FORMAT, 'this is not a Wrenfern exercise'),
  slug: fields.slug,
  name: fields.name,
  otherNames: fields.otherNames,
  classicOrder: fields.classicOrder,
  machine: fields.machine,
  family: fields.family,
  position: fields.position,
  endPosition: fields.endPosition,
  closing: fields.closing,
  fromLevel: fields.fromLevel.describe(
    'The usual option of a group, 2 to 4, from which drafts hold it; any where it is left out.',
  ),
  purpose: fields.purpose.describe('What it is for, in one line.'),
  dose: fields.dose,
  usual: fields.usual.describe('The usual least and most, in the unit of the dose.'),
  tempo: fields.tempo.describe('The kind of repetition, which sets the pace.'),
  arrangeS: fields.arrangeS,
  breath: z.strictObject({ phases: z.array(Phase).min(1).max(FEW), natural: words }),
  teaches: Depths.refine((held) => Object.keys(held).length > 0, 'at least one foundation'),
  needs: Depths.default({}).describe('What must have been taught before, and how well.'),
  standard: fields.standard.describe('The number of the option that a group is shown.'),
  optionsAre: fields.optionsAre,
  /** Of every option; an option writes only its difference. */
  settings: MachineSetting.optional(),
  options: z.array(WrittenOption).min(2).max(MOST_OPTIONS),
  cues: fields.cues,
  faults: fields.faults,
  swaps: fields.swaps.describe('What stands in its place, best first.'),
  prepares: fields.prepares.describe(
    'What it is a part of: unsafe or not to be learned without it.',
  ),
  goesBefore: fields.goesBefore.describe('What it merely goes well before.'),
  counters: fields.counters.describe('What answers it.'),
  moves: fields.moves,
  spineLoad: fields.spineLoad,
  bodyParts: fields.bodyParts,
  movers: fields.movers,
  view: fields.view,
  poses: Poses.default({}),
});

/** The file that the library is made of, and that a studio saves and brings in. */
export const ExerciseDocument = Written.superRefine((written, context) => {
  checkLadder(written, context);
  checkPoses(written, context);
});
export type ExerciseDocument = z.infer<typeof ExerciseDocument>;
/** Without what goes without saying. */
export type ExerciseDocumentInput = z.input<typeof ExerciseDocument>;

function checkPoses({ poses, options }: z.infer<typeof Written>, context: z.RefinementCtx): void {
  const say = (path: (string | number)[], message: string) => {
    context.addIssue({ code: 'custom', path, message });
  };
  const isKnown = (name: string) => name in poses || hasShape(name);
  options.forEach((each, index) =>
    each.poses.forEach((name, place) => {
      if (!isKnown(name)) {
        say(['options', index, 'poses', place], `there is no pose or shape "${name}"`);
      }
    }),
  );
  const used = new Set(options.flatMap((each) => each.poses));
  for (const [name, { from }] of Object.entries(poses)) {
    if (hasShape(name)) say(['poses', name], `"${name}" is the name of a shape; choose another`);
    if (from !== undefined && !isKnown(from)) {
      say(['poses', name, 'from'], `there is no pose or shape "${from}"`);
    }
    if (goesRound(name, poses)) say(['poses', name, 'from'], `"${name}" is made from itself`);
    const isBuiltOn = Object.values(poses).some((other) => other.from === name);
    if (!used.has(name) && !isBuiltOn) say(['poses', name], `no option uses "${name}"`);
  }
}

function goesRound(name: string, poses: WrittenPoses): boolean {
  const seen = new Set<string>();
  let at = poses[name]?.from;
  while (at !== undefined && !seen.has(at)) {
    if (at === name) return true;
    seen.add(at);
    at = poses[at]?.from;
  }
  return false;
}

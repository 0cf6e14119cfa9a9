import type { Dose } from '../../movement/dose.ts';
import type { Exercise, MachineSetting, Option, PropUse } from '../../movement/exercise.ts';
import { DEPTH_WORDS } from '../../movement/words.ts';
import { EXERCISE_FORMAT, type ExerciseDocumentInput } from './exercise-document.ts';
import { writePoses } from './write-poses.ts';

type WrittenOption = ExerciseDocumentInput['options'][number];

/** An exercise as it is written down, without what goes without saying. `readExercise` reads it back. */
export function writeExercise(exercise: Exercise): ExerciseDocumentInput {
  const { poses, names } = writePoses(exercise.options);
  const settings = sharedSettings(exercise.options);
  const written: ExerciseDocumentInput = {
    format: EXERCISE_FORMAT,
    slug: exercise.slug,
    name: exercise.name,
    otherNames: some(exercise.otherNames),
    classicOrder: exercise.classicOrder,
    machine: exercise.machine,
    family: exercise.family,
    position: exercise.position,
    endPosition: exercise.endPosition,
    closing: exercise.closing,
    fromLevel: exercise.fromLevel,
    purpose: exercise.purpose,
    dose: writeDose(exercise.dose),
    usual: exercise.usual,
    tempo: exercise.tempo,
    arrangeS: exercise.arrangeS,
    breath: {
      phases: exercise.breath.phases.map(
        ({ on, doing }) => ({ [on]: doing }) as ExerciseDocumentInput['breath']['phases'][number],
      ),
      natural: exercise.breath.natural,
    },
    teaches: writeDepths(exercise.teaches),
    needs: exercise.needs.length > 0 ? writeDepths(exercise.needs) : undefined,
    standard: exercise.standard,
    optionsAre: exercise.optionsAre === 'steps' ? undefined : exercise.optionsAre,
    settings,
    options: exercise.options.map((option, index) =>
      writeOption(option, settings, names[index] ?? []),
    ),
    cues: exercise.cues,
    faults: exercise.faults,
    swaps: exercise.swaps,
    prepares: some(exercise.prepares),
    goesBefore: some(exercise.goesBefore),
    counters: some(exercise.counters),
    moves: exercise.moves,
    spineLoad: exercise.spineLoad,
    bodyParts: exercise.bodyParts,
    movers: exercise.movers,
    view: exercise.view === 'side' ? undefined : exercise.view,
    poses: Object.keys(poses).length > 0 ? poses : undefined,
  };
  return withoutGaps(written);
}

function writeOption(
  option: Option,
  settings: MachineSetting | undefined,
  poses: string[],
): WrittenOption {
  return withoutGaps<WrittenOption>({
    name: option.name,
    change: option.change,
    feel: option.feel,
    stepBack: option.stepBack,
    lighterBecause: option.lighterBecause,
    held: option.held,
    levers: option.levers,
    demands: some(option.demands),
    props: some(option.props)?.map(writeProp),
    settings: ownSettings(option.settings, settings),
    dose: option.dose ? writeDose(option.dose) : undefined,
    tempo: option.tempo,
    entryS: option.entryS,
    exitS: option.exitS,
    position: option.position,
    spineLoad: option.spineLoad,
    effort: option.effort,
    moves: option.moves,
    poses,
  });
}

function writeProp({ count, optional, ...use }: PropUse): NonNullable<WrittenOption['props']>[0] {
  return { ...use, ...(count === 1 ? {} : { count }), ...(optional ? { optional } : {}) };
}

/** What goes without saying of every dose. */
const PLAIN: Record<string, unknown> = { sets: 1, sides: 'none', directions: 1 };

function writeDose(dose: Dose): ExerciseDocumentInput['dose'] {
  const said = Object.entries(dose).filter(
    ([field, value]) =>
      PLAIN[field] !== value && !(dose.kind === 'hold' && field === 'count' && value === 1),
  );
  return Object.fromEntries(said) as ExerciseDocumentInput['dose'];
}

/** What all options set alike; nothing where one of them sets nothing. */
function sharedSettings(options: readonly Option[]): MachineSetting | undefined {
  const [first, ...others] = options.map((option) => option.settings);
  const shared = Object.entries(first ?? {}).filter(([field, value]) =>
    others.every((settings) => isEqual(new Map(Object.entries(settings ?? {})).get(field), value)),
  );
  return shared.length > 0 ? Object.fromEntries(shared) : undefined;
}

function ownSettings(
  own: MachineSetting | undefined,
  shared: MachineSetting | undefined,
): MachineSetting | undefined {
  if (!own) return undefined;
  const held = new Map(Object.entries(shared ?? {}));
  const differing = Object.entries(own).filter(
    ([field, value]) => !isEqual(held.get(field), value),
  );
  if (shared && differing.length === 0) return undefined;
  return Object.fromEntries(differing);
}

function writeDepths(held: Exercise['needs']): ExerciseDocumentInput['teaches'] {
  return Object.fromEntries(held.map(({ foundation, depth }) => [foundation, DEPTH_WORDS[depth]]));
}

function some<Of>(list: Of[]): Of[] | undefined {
  return list.length > 0 ? list : undefined;
}

function withoutGaps<Of extends object>(value: Of): Of {
  return Object.fromEntries(Object.entries(value).filter(([, field]) => field !== undefined)) as Of;
}

function isEqual(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

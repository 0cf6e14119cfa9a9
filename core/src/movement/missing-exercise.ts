import type { Exercise, Option } from './exercise.ts';

/** Words that every screen shows where an exercise is no longer to be found. */
const GONE = 'no longer in the library';

const made = new Map<string, Exercise>();
const MOST_KEPT = 500;

/**
 * Stands where a plan names an exercise that was taken out, so that the class can still be read: it
 * says its name and that it is gone, and asks nothing of anybody.
 */
export function missingExercise(slug: string): Exercise {
  const known = made.get(slug);
  if (known) return known;
  if (made.size >= MOST_KEPT) made.clear();
  const exercise = create(slug);
  made.set(slug, exercise);
  return exercise;
}

function create(slug: string): Exercise {
  const name = `${slug.replaceAll('-', ' ')} (${GONE})`;
  const option = (number: number): Option => ({
    number,
    name: GONE,
    change: GONE,
    levers: ['range'],
    demands: [],
    feel: GONE,
    stepBack: 'choose another exercise',
    props: [],
    poses: ['supine-bent'],
  });
  return {
    slug,
    name,
    otherNames: [],
    machine: 'mat',
    family: 'release',
    position: 'supine',
    moves: ['still'],
    spineLoad: 0,
    teaches: [{ foundation: 'release', depth: 1 }],
    needs: [],
    bodyParts: ['trunk-front'],
    movers: [GONE],
    dose: { kind: 'free', durationS: 60, sets: 1, sides: 'none', directions: 1 },
    usual: { least: 5, most: 300 },
    tempo: 'hold',
    breath: { phases: [{ on: 'free', doing: GONE }], natural: GONE },
    purpose: `This exercise is ${GONE}: choose another, or take it out.`,
    options: [option(1), option(2), option(3), option(4)],
    standard: 1,
    cues: [GONE, 'choose another exercise'],
    faults: [],
    prepares: [],
    goesBefore: [],
    counters: [],
    swaps: [],
    optionsAre: 'steps',
    view: 'side',
  };
}

import { checkExercise } from '../core/src/body/check-exercise.ts';
import { demandsOf, saidAndMeasured } from '../core/src/people/demands.ts';
import { DEMANDS, FOUNDATIONS, POSITIONS } from '../core/src/movement/vocabulary.ts';
import { builtInCatalogue, builtInExercises } from '../library/src/index.ts';

/** Checks the library against itself and the body model; prints each fault and fails on any. */
const faults: string[] = [];
const say = (sentence: string): void => {
  faults.push(sentence);
};

for (const exercise of builtInExercises) {
  for (const { option, sentence } of checkExercise(exercise)) {
    say(`${exercise.slug}${option ? ` option ${option}` : ''}: ${sentence}`);
  }
  for (const option of exercise.options) {
    for (const demand of saidAndMeasured(option)) {
      say(`${exercise.slug} option ${option.number}: "${demand}" is measured; take it out.`);
    }
  }
  for (const slug of [...exercise.swaps, ...exercise.prepares, ...exercise.counters]) {
    if (!builtInCatalogue.get(slug)) say(`${exercise.slug}: there is no "${slug}".`);
  }
}

for (const demand of DEMANDS) {
  const used = builtInExercises.some(({ options }) =>
    options.some((option) => demandsOf(option).includes(demand)),
  );
  if (!used) say(`no option asks for "${demand}".`);
}

const DEPTHS = [1, 2, 3];
const LEAST_TEACHING = 3;
for (const foundation of FOUNDATIONS) {
  for (const depth of DEPTHS) {
    const teaching = builtInExercises.filter(({ teaches }) =>
      teaches.some((taught) => taught.foundation === foundation && taught.depth === depth),
    ).length;
    if (teaching < LEAST_TEACHING) {
      say(`"${foundation}" at depth ${depth} is taught by ${teaching}, not ${LEAST_TEACHING}.`);
    }
  }
}

for (const machine of ['mat', 'reformer'] as const) {
  for (const position of POSITIONS) {
    const there = builtInExercises.filter(
      (exercise) => exercise.machine === machine && exercise.position === position,
    );
    for (const move of new Set(there.flatMap(({ moves }) => moves))) {
      const swaps = there.flatMap(({ swaps: slugs }) => slugs);
      const stands = swaps.some((slug) => builtInCatalogue.get(slug)?.moves.includes(move));
      if (!stands) say(`${machine}, ${position}: no stand-in that moves "${move}".`);
    }
  }
}

const CLASSIC = 34;
for (let place = 1; place <= CLASSIC; place += 1) {
  const held = builtInExercises.filter(({ classicOrder }) => classicOrder === place);
  if (held.length !== 1) say(`place ${place} of the 1945 order is held by ${held.length}.`);
}

for (const fault of faults) console.error(fault);
console.log(
  `${builtInExercises.length} exercises, ${builtInExercises.reduce((sum, { options }) => sum + options.length, 0)} options, ${faults.length} faults`,
);
process.exit(faults.length > 0 ? 1 : 0);

import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';
import { readExerciseFile } from '../core/src/formats/exercise/exercise-yaml.ts';
import type { Exercise } from '../core/src/movement/exercise.ts';
import { FAMILIES, MACHINES } from '../core/src/movement/vocabulary.ts';

/**
 * Reads library/exercises and writes one module of it for server, browser and command line.
 * Prints path, line and reason of each fault, and writes nothing where there is one.
 */
const ROOT = resolve(import.meta.dirname, '..');
const FOLDER = join(ROOT, 'library/exercises');
const MODULE = join(ROOT, 'library/src/exercises.generated.ts');

const faults: string[] = [];
const sayFault = (path: string, line: number, reason: string): void => {
  faults.push(`${relative(ROOT, path)}:${line}: ${reason}`);
};

const files = readdirSync(FOLDER, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile())
  .map((entry) => join(entry.parentPath, entry.name));
const read = files.flatMap((path) => {
  const file = readExerciseFile(readFileSync(path, 'utf8'));
  if ('faults' in file) {
    for (const { line, path: field, reason } of file.faults) {
      sayFault(path, line, field ? `${field}: ${reason}` : reason);
    }
    return [];
  }
  return [{ path, ...file }];
});

const slugs = new Set(read.map(({ exercise }) => exercise.slug));
for (const { path, exercise, lineOf } of read) {
  const { machine, family, slug } = exercise;
  const belongs = join(FOLDER, machine, family, `${slug}.yaml`);
  if (path !== belongs) {
    sayFault(path, lineOf(['slug']), `by its machine, family and slug it is ${belongs}`);
  }
  for (const field of ['swaps', 'prepares', 'counters'] as const) {
    exercise[field].forEach((other, index) => {
      if (!slugs.has(other)) sayFault(path, lineOf([field, index]), `there is no "${other}"`);
    });
  }
}

/** By machine and family as the vocabulary lists them, then by name of file: the same on every machine. */
function placeOf({ machine, family, slug }: Exercise): string {
  return `${MACHINES.indexOf(machine)}${FAMILIES.indexOf(family)}${slug}`;
}

if (faults.length > 0) {
  for (const fault of faults) console.error(fault);
  process.exit(1);
}
const exercises = read
  .map(({ exercise }) => exercise)
  .sort((one, other) => (placeOf(one) < placeOf(other) ? -1 : 1));
// Text that is parsed loads faster than the same written as code, and is not type-checked.
writeFileSync(
  MODULE,
  `import type { Exercise } from '@wrenfern/core/movement/exercise';

/** Written by tools/compile-library.ts from library/exercises, each checked against its schema. */
export const exercises = JSON.parse(${JSON.stringify(JSON.stringify(exercises))}) as readonly Exercise[];
`,
);
console.log(`${exercises.length} exercises`);

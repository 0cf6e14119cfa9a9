import { fork } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join, relative, resolve } from 'node:path';
import { readExerciseFile } from '../core/src/formats/exercise/exercise-yaml.ts';
import type { Exercise } from '../core/src/movement/exercise.ts';
import { FAMILIES, MACHINES } from '../core/src/movement/vocabulary.ts';
import type { Measured } from './measure-exercises.ts';

/**
 * Reads library/exercises and writes one module of it for server, browser and command line.
 * Prints path, line and reason of each fault, and writes nothing where there is one.
 */
const ROOT = resolve(import.meta.dirname, '..');
const FOLDER = join(ROOT, 'library/exercises');
const MODULE = join(ROOT, 'library/src/exercises.generated.js');

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
writeFileSync(MODULE, moduleOf(exercises, await measureAll(exercises)));
writeFileSync(
  MODULE.replace('.js', '.d.ts'),
  `import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { Demand } from '@wrenfern/core/movement/vocabulary';
import type { WrittenAsked } from '@wrenfern/core/people/write-asked';

export const exercises: readonly Exercise[];
/** Load, skill and measured demands of each exercise's options, in the same order. */
export const measured: readonly (readonly [load: number, skill: number, ...Demand[]][])[];
/** What each of those options asks, in the ways in which it can be done. */
export const asked: readonly (readonly WrittenAsked[])[];
`,
);
console.log(`${exercises.length} exercises`);

/** It takes half a minute of one processor: shared out to all there are. */
async function measureAll(all: readonly Exercise[]): Promise<Map<string, Measured>> {
  const MOST_WORKERS = 4;
  const workers = Math.min(availableParallelism(), MOST_WORKERS);
  const shares = Array.from({ length: workers }, (_, worker) =>
    measureIn(all.filter((__, index) => index % workers === worker)),
  );
  return new Map((await Promise.all(shares)).flat().map((each) => [each.slug, each]));
}

async function measureIn(share: readonly Exercise[]): Promise<Measured[]> {
  const child = fork(join(import.meta.dirname, 'measure-exercises.ts'));
  const answered = once(child, 'message') as Promise<[Measured[]]>;
  const failed = once(child, 'exit').then(([code]) => {
    throw new Error(`the body model stopped with ${String(code)}`);
  });
  child.send(share);
  const [measured] = await Promise.race([answered, failed]);
  child.disconnect();
  return measured;
}

/** The module as text. What stands in several places (a set of springs, an arm, a prop) is written once. */
function moduleOf(value: readonly Exercise[], measures: ReadonlyMap<string, Measured>): string {
  const SHORTEST_SHARED = 20;
  const times = new Map<string, number>();
  const count = (part: unknown): void => {
    if (typeof part !== 'object' || part === null) return;
    const text = JSON.stringify(part);
    const seen = times.get(text) ?? 0;
    times.set(text, seen + 1);
    if (seen === 0) Object.values(part).forEach(count);
  };
  count(value);
  const names = new Map<string, string>();
  const lines: string[] = [];
  const write = (part: unknown): string => {
    if (typeof part !== 'object' || part === null) return JSON.stringify(part);
    const text = JSON.stringify(part);
    const known = names.get(text);
    if (known !== undefined) return known;
    const inside = Array.isArray(part)
      ? `[${part.map(write).join(',')}]`
      : `{${Object.entries(part)
          .map(([key, field]) => `${key}:${write(field)}`)
          .join(',')}}`;
    if ((times.get(text) ?? 0) < 2 || text.length < SHORTEST_SHARED) return inside;
    const name = `s${names.size.toString(36)}`;
    names.set(text, name);
    lines.push(`const ${name}=${inside};`);
    return name;
  };
  const whole = write(value);
  return [
    '// Written by tools/compile-library.ts from library/exercises, each checked against its schema.',
    ...lines,
    `export const exercises=${whole};`,
    `export const measured=${JSON.stringify(value.map(({ slug }) => measures.get(slug)?.measured))};`,
    `export const asked=${JSON.stringify(value.map(({ slug }) => measures.get(slug)?.asked))};`,
    '',
  ].join('\n');
}

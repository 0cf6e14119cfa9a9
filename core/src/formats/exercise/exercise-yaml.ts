import {
  Document,
  isCollection,
  isMap,
  isPair,
  isScalar,
  isSeq,
  LineCounter,
  parseDocument,
  visit,
} from 'yaml';
import { z } from 'zod';
import { Exercise } from '../../movement/exercise.ts';
import { ExerciseDocument } from './exercise-document.ts';
import { readExercise } from './read-exercise.ts';
import { writeExercise } from './write-exercise.ts';

/** What is wrong with a file: where, and why. Lines count from 1. */
export interface FileFault {
  line: number;
  /** The field, such as `options.0.feel`; empty for the whole. */
  path: string;
  reason: string;
}

/** Longer than any exercise, far shorter than what would stop a browser. */
const LONGEST = 200_000;
const LINE_WIDTH = 100;

/** An exercise, and where in its file a field stands. */
export interface ReadFile {
  exercise: Exercise;
  lineOf: (path: readonly PropertyKey[]) => number;
}

/** Reads an exercise file: YAML, or the JSON that it was before. */
export function readExerciseFile(text: string): ReadFile | { faults: FileFault[] } {
  if (text.length > LONGEST) return { faults: [whole('The file is longer than any exercise.')] };
  const lines = new LineCounter();
  const file = parseDocument(text, { lineCounter: lines, prettyErrors: false });
  if (file.errors.length > 0) {
    return {
      faults: file.errors.map(({ pos, message }) => ({
        line: lines.linePos(pos[0]).line,
        path: '',
        reason: message,
      })),
    };
  }
  let value: unknown;
  try {
    value = file.toJS();
  } catch (error) {
    // More aliases than a file of a few pages can have: meant to fill the memory.
    return { faults: [whole(error instanceof Error ? error.message : String(error))] };
  }
  const read = isFirstForm(value) ? FirstForm.safeParse(value) : ExerciseDocument.safeParse(value);
  if (!read.success) return { faults: read.error.issues.map((issue) => fault(issue, file, lines)) };
  return {
    exercise: 'exercise' in read.data ? read.data.exercise : readExercise(read.data),
    lineOf: (path) => lineOf(path, file.contents, lines),
  };
}

/** Files of the first form held the exercise as it is worked with; they are read for ever. */
const FirstForm = z.strictObject({
  format: z.literal('wrenfern-exercise/1'),
  exercise: Exercise,
});

function isFirstForm(value: unknown): boolean {
  return (
    typeof value === 'object' &&
    value !== null &&
    'format' in value &&
    value.format === FirstForm.shape.format.value
  );
}

function fault(issue: z.core.$ZodIssue, file: Document, lines: LineCounter): FileFault {
  const extra = issue.code === 'unrecognized_keys' ? issue.keys[0] : undefined;
  const path = extra === undefined ? issue.path : [...issue.path, extra];
  return {
    line: lineOf(path, file.contents, lines),
    path: path.join('.'),
    reason: issue.message,
  };
}

/** The line of a field, or of what it should stand in. */
function lineOf(path: readonly PropertyKey[], contents: unknown, lines: LineCounter): number {
  let at = 0;
  let inside = contents;
  for (const key of path) {
    if (isMap(inside)) {
      const pair = inside.items.find((item) => isScalar(item.key) && item.key.value === key);
      if (!pair) break;
      if (isScalar(pair.key)) at = pair.key.range?.[0] ?? at;
      inside = pair.value;
    } else if (isSeq(inside) && typeof key === 'number') {
      inside = inside.items[key];
      at = rangeOf(inside) ?? at;
    } else break;
  }
  return lines.linePos(at).line;
}

function rangeOf(node: unknown): number | undefined {
  return isScalar(node) || isCollection(node) ? node.range?.[0] : undefined;
}

const whole = (reason: string): FileFault => ({ line: 1, path: '', reason });

/** Blank lines before these, so that a reader sees the parts. */
const PARTS = new Set(['purpose', 'dose', 'teaches', 'standard', 'options', 'cues', 'swaps']);
/** A line for each entry, however short. */
const LISTED = new Set(['breath', 'phases', 'cues', 'faults', 'options']);
const ONE_LINE = 84;
const MODELLED = ' For the body model: what moves, and the key poses that the options name.';

/** Writes an exercise file: the teacher's part first, the modeller's last. `hint` names its schema. */
export function writeExerciseFile(exercise: Exercise, hint?: string): string {
  const written = writeExercise(exercise);
  const file = new Document(written);
  if (hint !== undefined) file.commentBefore = ` yaml-language-server: $schema=${hint}`;
  visit(file, {
    Pair(_, { key }, path) {
      const isTop = path.filter(isMap).length === 1;
      if (!isTop || !isScalar(key)) return;
      const name = String(key.value);
      key.spaceBefore = PARTS.has(name) || name === 'moves';
      if (name === 'moves') key.commentBefore = MODELLED;
    },
    Collection(_, node, path) {
      const pair = path.findLast(isPair);
      const isListed = isScalar(pair?.key) && LISTED.has(String(pair.key.value));
      node.flow = !isListed && JSON.stringify(node).length <= ONE_LINE;
    },
  });
  return file.toString({ lineWidth: LINE_WIDTH });
}

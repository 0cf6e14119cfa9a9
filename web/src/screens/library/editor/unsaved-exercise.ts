import { checkExercise } from '@wrenfern/core/body/check-exercise';
import { Exercise, type Option } from '@wrenfern/core/movement/exercise';
import { readJson } from '../../../data/read-json.ts';

/** What stands in the way of saving, and what a second look is worth. */
export interface UnsavedSigns {
  /** The finished exercise, once nothing stands in the way. */
  exercise: Exercise | undefined;
  faults: string[];
  remarks: string[];
}

/** Reads a draft against the schema and, when that holds, against the body model. */
export function readUnsaved(draft: Exercise): UnsavedSigns {
  const read = Exercise.safeParse(draft);
  if (!read.success) {
    const faults = read.error.issues.map(({ path, message }) => `${whereOf(path)}: ${message}`);
    return { exercise: undefined, faults: [...new Set(faults)], remarks: [] };
  }
  const remarks = checkExercise(read.data).map(({ option, sentence }) =>
    option ? `Option ${option}: ${sentence}` : sentence,
  );
  return { exercise: read.data, faults: [], remarks };
}

function whereOf(path: readonly PropertyKey[]): string {
  return path
    .map((part) => (typeof part === 'number' ? String(part + 1) : String(part)))
    .join(' › ');
}

/** A copy that a studio may call its own. */
export function copyForStudio(source: Exercise): Exercise {
  const { classicOrder: _place, ...rest } = structuredClone(source);
  return {
    ...rest,
    slug: `our-${source.slug}`.slice(0, 64),
    name: `${source.name}, our way`,
    otherNames: [],
    swaps: [source.slug, ...source.swaps],
  };
}

/** Options numbered again from one, in the order they stand. */
export function numbered(options: readonly Option[]): Option[] {
  return options.map((option, index) => ({ ...option, number: index + 1 }));
}

const KEY = 'wrenfern-exercise-draft ';

/** A draft that was not saved is kept on this device until it is. */
export const unsavedExercises = {
  keep(slug: string, draft: Exercise): void {
    localStorage.setItem(KEY + slug, JSON.stringify(draft));
  },
  take(slug: string): Exercise | undefined {
    const text = localStorage.getItem(KEY + slug);
    const kept = text === null ? undefined : readJson(text);
    return isUnfinished(kept) ? kept : undefined;
  },
  drop(slug: string): void {
    localStorage.removeItem(KEY + slug);
  },
};

/** Words may still be missing or too long; what has another shape was written by another program. */
const UNFINISHED: ReadonlySet<string> = new Set([
  'too_small',
  'too_big',
  'invalid_format',
  'custom',
]);

function isUnfinished(kept: unknown): kept is Exercise {
  const { error } = Exercise.safeParse(kept);
  return (error?.issues ?? []).every(({ code }) => UNFINISHED.has(code));
}

export function slugOf(name: string): string {
  return name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 64);
}

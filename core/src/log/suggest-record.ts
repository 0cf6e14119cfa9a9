import { z } from 'zod';
import type { Catalogue } from '../movement/catalogue.ts';
import { OptionNumber, SLUG, type Foundation } from '../movement/vocabulary.ts';
import type { Person, UsualOption } from '../people/person.ts';

/** A taught class that somebody came to: what they did there, newest press last. */
export const AttendedClass = z.object({
  day: z.iso.date(),
  done: z
    .array(
      z.object({
        exercise: SLUG,
        /** What the teacher put them to by hand, before or in the class; null where it was worked out. */
        option: OptionNumber.nullable(),
      }),
    )
    .max(400),
});
export type AttendedClass = z.infer<typeof AttendedClass>;

/** What the log says of a record, each with the evidence; nothing is changed by itself. */
export interface RecordSuggestions {
  holds: { foundation: Foundation; depth: 1 | 2 | 3; because: string }[];
  level?: { level: number; because: string };
  usual: { exercise: string; name: string; option: number; because: string }[];
}

/** In so many classes a foundation was taught to a depth before somebody brings it so deep. Common practice. */
const CLASSES_TO = { 1: 1, 2: 3, 3: 8 } as const;
const DEPTHS = [3, 2, 1] as const;
/** One option up or down in so many exercises of so many of the last classes, and never the other way. */
const LEVEL = { lately: 4, classes: 2, exercises: 3 } as const;
const LEVELS = { least: 1, most: 4 } as const;

export function suggestRecord(
  person: Pick<Person, 'level' | 'holds' | 'usualOptions'>,
  attended: readonly AttendedClass[],
  catalogue: Catalogue,
): RecordSuggestions {
  const newest = [...attended].sort((a, b) => b.day.localeCompare(a.day));
  const level = levelFrom(person.level, newest);
  return {
    holds: holdsFrom(person, newest, catalogue),
    ...(level ? { level } : {}),
    usual: usualFrom(person.usualOptions, newest, catalogue),
  };
}

function holdsFrom(
  { holds }: Pick<Person, 'holds'>,
  attended: readonly AttendedClass[],
  catalogue: Catalogue,
): RecordSuggestions['holds'] {
  const classes = new Map<Foundation, number[]>();
  for (const { done } of attended) {
    const deepest = new Map<Foundation, number>();
    for (const { exercise } of done) {
      for (const { foundation, depth } of catalogue.get(exercise)?.teaches ?? []) {
        deepest.set(foundation, Math.max(depth, deepest.get(foundation) ?? 0));
      }
    }
    for (const [foundation, depth] of deepest) {
      classes.set(foundation, [...(classes.get(foundation) ?? []), depth]);
    }
  }
  return [...classes].flatMap(([foundation, depths]) => {
    const depth = DEPTHS.find(
      (each) => depths.filter((taught) => taught >= each).length >= CLASSES_TO[each],
    );
    if (depth === undefined || depth <= (holds[foundation] ?? 0)) return [];
    const count = depths.filter((taught) => taught >= depth).length;
    return [{ foundation, depth, because: `taught to this depth in ${classesWords(count)}` }];
  });
}

const classesWords = (count: number) => (count === 1 ? 'one class' : `${count} classes`);

/** The option of the last time, where a teacher chose it and the record says otherwise. */
function usualFrom(
  usual: Person['usualOptions'],
  newest: readonly AttendedClass[],
  catalogue: Catalogue,
): RecordSuggestions['usual'] {
  const seen = new Set<string>();
  return newest.flatMap(({ day, done }) =>
    done.flatMap(({ exercise, option }) => {
      if (seen.has(exercise)) return [];
      seen.add(exercise);
      const known = catalogue.get(exercise);
      if (option === null || !known || isUsual(usual[exercise], option)) return [];
      return [{ exercise, name: known.name, option, because: `did it on ${day}` }];
    }),
  );
}

function isUsual(usual: UsualOption | undefined, option: number): boolean {
  if (usual === undefined) return false;
  return typeof usual === 'number'
    ? usual === option
    : usual.right === option && usual.left === option;
}

function levelFrom(level: number, newest: readonly AttendedClass[]): RecordSuggestions['level'] {
  const lately = newest.slice(0, LEVEL.lately);
  const chosen = lately.map(({ done }) => done.flatMap(({ option }) => option ?? []));
  const [above, below] = [
    chosen.map((options) => options.filter((option) => option > level).length),
    chosen.map((options) => options.filter((option) => option < level).length),
  ];
  const isSteady = (counts: readonly number[]) =>
    counts.filter((count) => count >= LEVEL.exercises).length >= LEVEL.classes;
  const none = (counts: readonly number[]) => counts.every((count) => count === 0);
  const step = isSteady(above) && none(below) ? 1 : isSteady(below) && none(above) ? -1 : 0;
  const next = level + step;
  if (step === 0 || next < LEVELS.least || next > LEVELS.most) return undefined;
  const counts = (step > 0 ? above : below).filter((count) => count >= LEVEL.exercises);
  const way = step > 0 ? 'higher' : 'lower';
  return {
    level: next,
    because: `${way} in ${Math.min(...counts)} exercises or more, in ${classesWords(counts.length)} of the last ${lately.length}`,
  };
}

import { subWeeks } from 'date-fns';

/** An exercise is new to a group when fewer than half have done it in this time. Common practice. */
export const FAMILIAR_WEEKS = 8;

/** A class that was taught: when, what, and who came. */
export interface TaughtLesson {
  startsAt: Date;
  exercises: string[];
  personIds: Set<string>;
}

/** Exercises that at least half of these people did in the weeks before a class. */
export function familiarTo(
  lessons: readonly TaughtLesson[],
  personIds: readonly string[],
  before: Date,
): string[] {
  if (personIds.length === 0) return [];
  const earliest = subWeeks(before, FAMILIAR_WEEKS);
  const knownBy = new Map<string, Set<string>>();
  for (const lesson of lessons) {
    if (lesson.startsAt < earliest || lesson.startsAt >= before) continue;
    const came = personIds.filter((id) => lesson.personIds.has(id));
    for (const exercise of lesson.exercises) {
      const people = knownBy.get(exercise) ?? new Set<string>();
      for (const id of came) people.add(id);
      knownBy.set(exercise, people);
    }
  }
  return [...knownBy.entries()]
    .filter(([, people]) => people.size * 2 >= personIds.length)
    .map(([slug]) => slug)
    .sort();
}

/** The same as a set, as all that looks at a class takes it; of nobody nothing is known, and then nothing counts as new. */
export function familiarIn(
  attendees: readonly unknown[],
  familiar: readonly string[],
): { familiar?: ReadonlySet<string> } {
  return attendees.length > 0 ? { familiar: new Set(familiar) } : {};
}

/** How many of the last classes count as lately. */
const LATELY_CLASSES = 3;

/** Exercises of the last classes that any of these people came to, newest first. */
export function latelyDone(
  lessons: readonly TaughtLesson[],
  personIds: readonly string[],
): string[] {
  const own = lessons
    .filter((lesson) => personIds.some((id) => lesson.personIds.has(id)))
    .sort((a, b) => b.startsAt.getTime() - a.startsAt.getTime())
    .slice(0, LATELY_CLASSES);
  return [...new Set(own.flatMap(({ exercises }) => exercises))];
}

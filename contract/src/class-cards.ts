import { z } from 'zod';
import { DIRECTIONS } from '@wrenfern/core/movement/directions';
import { Machine } from '@wrenfern/core/movement/vocabulary';

/** What a class comes to, and what is left to settle. */
export const Readiness = z.object({
  totalS: z.number(),
  likely: z.object({ lowS: z.number(), highS: z.number() }),
  items: z.number(),
  directions: z.record(z.enum(DIRECTIONS), z.number()),
  swell: z.array(z.object({ seconds: z.number(), effort: z.number() })),
  toSettle: z.object({
    time: z.array(z.string()),
    options: z.array(z.string()),
    props: z.array(z.string()),
    order: z.array(z.string()),
  }),
});
export type Readiness = z.infer<typeof Readiness>;

/** Something by its id, with the name to show. */
const Named = z.object({ id: z.string(), name: z.string() });
export type Named = z.infer<typeof Named>;

export const ReadyClass = z.object({
  id: z.string(),
  title: z.string(),
  startsAt: z.iso.datetime(),
  targetS: z.number(),
  coming: z.array(z.string()),
  taught: z.boolean(),
  machine: Machine,
  /** Why it does not take place; null while it does. */
  calledOff: z.string().nullable(),
  isRepeated: z.boolean(),
  /** The class of the same series before it, to begin from. */
  lastOfSeries: z.string().nullable(),
  /** Whoever stands before it; null when nobody was named. */
  instructor: Named.nullable(),
  school: Named.nullable(),
  /** Rows of its plan; none while nothing is planned. */
  items: z.number(),
  /** Names of its exercises, each once. */
  exercises: z.array(z.string()),
  detailsRevision: z.number(),
  /**
   * `late` when it could not be worked out in time, `unreadable` when another version wrote it, `outline` where
   * a month does not ask for more.
   */
  state: z.enum(['ready', 'late', 'unreadable', 'outline']),
  ready: Readiness.nullable(),
});
export type ReadyClass = z.infer<typeof ReadyClass>;
export const ReadyClasses = z.object({ classes: z.array(ReadyClass) });

export const ClassSummary = z.object({
  id: z.string(),
  title: z.string(),
  startsAt: z.iso.datetime(),
  targetS: z.number(),
  machine: Machine,
  items: z.number(),
  coming: z.number(),
  taught: z.boolean(),
  effort: z.number().nullable(),
});
export type ClassSummary = z.infer<typeof ClassSummary>;
export const ClassList = z.object({ classes: z.array(ClassSummary) });

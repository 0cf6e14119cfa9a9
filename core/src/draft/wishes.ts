import { z } from 'zod';
import { DIRECTIONS } from '../movement/directions.ts';
import { BodyPart, Foundation, Prop, SLUG } from '../movement/vocabulary.ts';
import { PlanDetails } from '../plan/plan.ts';

/** Nothing shorter is drafted. */
export const SHORTEST_S = 300;

const slugs = z.array(SLUG).max(200);

/** What a teacher wishes a class to be; everything but length and school may be left open. */
export const DraftWishes = z.strictObject({
  format: z.literal('wrenfern-wishes/1').default('wrenfern-wishes/1'),
  title: PlanDetails.shape.title.default('A new class'),
  machine: PlanDetails.shape.machine.default('mat'),
  /** Two groups, one on the machines while the other is on the mat, that change over. */
  twoGroups: z.boolean().default(false),
  school: PlanDetails.shape.school.default('foundations-first'),
  /** An arrival, something and a close take five minutes at least. */
  targetS: PlanDetails.shape.targetS.min(SHORTEST_S, 'at least 5 minutes'),
  /** What the class is about: each takes a good share of it. */
  foundations: z.array(Foundation).max(4).default([]),
  directions: z.array(z.enum(DIRECTIONS)).max(6).default([]),
  bodyParts: z.array(BodyPart).max(4).default([]),
  /** The big exercise that the class climbs to. */
  climbTo: SLUG.optional(),
  /** Props that may be used; every prop when left out. */
  props: z.array(Prop).max(10).optional(),
  mustHave: slugs.default([]),
  never: slugs.default([]),
  /** What the group did in the last weeks, newest class first: it comes less. */
  lately: slugs.default([]),
  /** The hardest that anything may be for the group, 1 to 5. */
  effortMost: z.number().min(1).max(5).default(5),
  seed: z.number().int().min(0).max(1_000_000).default(1),
});
export type DraftWishes = z.infer<typeof DraftWishes>;

/** A wish that names what the catalogue does not have, with the path of the field. */
export interface WishProblem {
  path: (string | number)[];
  message: string;
}

export function checkWishes(
  wishes: DraftWishes,
  catalogue: { get: (slug: string) => { machine: string } | undefined },
): WishProblem[] {
  const fields: [path: (string | number)[], slug: string][] = [
    ...(wishes.climbTo ? [[['climbTo'], wishes.climbTo] as [string[], string]] : []),
    ...wishes.mustHave.map((slug, index): [(string | number)[], string] => [
      ['mustHave', index],
      slug,
    ]),
    ...wishes.never.map((slug, index): [(string | number)[], string] => [['never', index], slug]),
  ];
  return fields.flatMap(([path, slug]): WishProblem[] => {
    const exercise = catalogue.get(slug);
    if (!exercise) return [{ path, message: `no exercise is called "${slug}"` }];
    const isThere = wishes.twoGroups || exercise.machine === wishes.machine;
    if (path[0] !== 'never' && !isThere) {
      return [{ path, message: `"${slug}" is done on the ${exercise.machine}` }];
    }
    return [];
  });
}

/** By name: as a must, or as what the class climbs to. */
export const isAskedFor = (slug: string, { mustHave, climbTo }: DraftWishes) =>
  slug === climbTo || mustHave.includes(slug);

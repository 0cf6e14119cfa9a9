import { z } from 'zod';
import { Option } from '@wrenfern/core/movement/exercise';
import { Machine } from '@wrenfern/core/movement/vocabulary';
import { View } from '@wrenfern/core/movement/pose';

/** Whether a class can be followed from the room. */
export const WallDoor = z.object({ since: z.iso.datetime().nullable() });
export type WallDoor = z.infer<typeof WallDoor>;

/** The address is told once and never again. */
export const WallAddress = z.object({ path: z.string() });

const words = z.string().max(600);
const few = z.array(words).max(40);
const seconds = z.number().min(-86_400).max(86_400);

const OneWay = z.object({
  title: words,
  status: z.enum(['ready', 'running', 'paused', 'ended']),
  fetch: few,
  now: z
    .object({
      name: words,
      dose: words,
      side: z.enum(['left', 'right', 'alternating']).optional(),
      part: z.enum(['set-up', 'teaching', 'work', 'side-change', 'set-rest', 'rest', 'pause']),
      breath: few,
      versions: z
        .array(
          z.object({
            words,
            drawn: z.object({ option: Option, view: View }).optional(),
          }),
        )
        .max(20),
      itemLeftS: seconds,
      partLeftS: seconds,
      count: z
        .object({
          now: z.number().int().min(0).max(2000),
          of: z.number().int().min(0).max(2000),
          eachS: seconds,
        })
        .optional(),
      classElapsedS: seconds,
    })
    .optional(),
  next: z.object({ name: words, fetch: few }).optional(),
});

/** What the room is told of a class: no names, no conditions. Of two groups, where each of them is. */
export const WallTold = OneWay.extend({
  at: Machine.optional(),
  beside: OneWay.extend({ at: Machine }).optional(),
});
export type WallTold = z.infer<typeof WallTold>;

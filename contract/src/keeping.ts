import { z } from 'zod';

export const WASTED_KINDS = ['class', 'person', 'exercise'] as const;

const Wasted = z.object({
  kind: z.enum(WASTED_KINDS),
  id: z.string(),
  name: z.string(),
  deletedAt: z.iso.datetime(),
  goneAt: z.iso.datetime(),
});
export type Wasted = z.infer<typeof Wasted>;
export const Wastebasket = z.object({ wasted: z.array(Wasted) });

const TrailAction = z.enum(['read', 'changed', 'deleted', 'restored', 'exported', 'erased']);
export type TrailAction = z.infer<typeof TrailAction>;
const TrailSubject = z.enum(['person', 'people', 'class']);
export type TrailSubject = z.infer<typeof TrailSubject>;

const TrailEntry = z.object({
  id: z.number(),
  who: z.string(),
  action: TrailAction,
  subject: TrailSubject,
  /** Null where it was about several, or is gone. */
  name: z.string().nullable(),
  at: z.iso.datetime(),
});
export type TrailEntry = z.infer<typeof TrailEntry>;
export const Trail = z.object({ trail: z.array(TrailEntry) });

/** Something that a studio has nearly as much of as it may. */
const Room = z.object({ words: z.string(), held: z.number(), most: z.number() });
export type Room = z.infer<typeof Room>;
export const NearlyFull = z.object({ nearly: z.array(Room) });

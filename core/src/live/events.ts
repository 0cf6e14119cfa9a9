import { z } from 'zod';

const shared = {
  /** Made by the client, so that sending twice changes nothing. */
  id: z.string().min(8).max(64),
  /** Milliseconds since 1970, by the teaching device's clock. */
  atMs: z.number().int().min(0),
};

/** What happens in a class while it is taught: an append-only list. */
export const LiveEvent = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('start'), ...shared }),
  z.strictObject({ type: z.literal('next'), ...shared }),
  z.strictObject({ type: z.literal('back'), ...shared }),
  z.strictObject({ type: z.literal('pause'), ...shared }),
  z.strictObject({ type: z.literal('resume'), ...shared }),
  z.strictObject({
    type: z.literal('extend'),
    itemId: z.string().max(64),
    seconds: z.number().int().min(5).max(600),
    ...shared,
  }),
  z.strictObject({
    type: z.literal('moved'),
    itemId: z.string().max(64),
    personId: z.string().max(64),
    option: z.number().int().min(1).max(4),
    ...shared,
  }),
  z.strictObject({
    type: z.literal('note'),
    itemId: z.string().max(64),
    text: z.string().trim().min(1).max(1000),
    ...shared,
  }),
  z.strictObject({ type: z.literal('end'), ...shared }),
]);
export type LiveEvent = z.infer<typeof LiveEvent>;

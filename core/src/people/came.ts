import { z } from 'zod';

/** What was seen at the door: who is here, and who said too late that they would not come. */
export const Came = z.enum(['here', 'cancelled late']);
export type Came = z.infer<typeof Came>;

/** Those for whom a class is worked out: all who are booked but for who said that they do not come. */
export function thoseWhoCome<Booked extends { came?: Came | undefined }>(
  booked: readonly Booked[],
): readonly Booked[] {
  return booked.some(({ came }) => came === 'cancelled late')
    ? booked.filter(({ came }) => came !== 'cancelled late')
    : booked;
}

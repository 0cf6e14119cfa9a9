import { z } from 'zod';
import { Id } from '../movement/ids.ts';
import { OptionNumber, SLUG } from '../movement/vocabulary.ts';
import type { Reason } from './reasons.ts';
import type { How } from './ways.ts';

/** What one person does at one item; `how` only where it is not as the option stands. */
export type Choice = (
  | { kind: 'option'; option: number; how?: How; reasons: Reason[] }
  | { kind: 'swap'; exercise: string; option: number; how?: How; reasons: Reason[] }
  | { kind: 'rest'; shape: string; reasons: Reason[] }
) & {
  /** What is done on the left, where that is not the same as on the right. */
  onLeft?: Choice;
};

/** What the teacher decided by hand, instead of the computed choice. */
const HandChoice = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('option'), option: OptionNumber }),
  z.strictObject({
    kind: z.literal('swap'),
    exercise: SLUG,
    option: OptionNumber,
  }),
  z.strictObject({ kind: z.literal('rest') }),
]);
export type HandChoice = z.infer<typeof HandChoice>;

/** As many as a plan has items. */
const MOST_CHOICES = 400;

/** What was decided by hand for one person, by item id. */
export const HandChoices = z
  .record(Id, HandChoice)
  .refine((choices) => Object.keys(choices).length <= MOST_CHOICES, 'more choices than items');

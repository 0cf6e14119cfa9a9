import type { Machine } from '@wrenfern/core/movement/vocabulary';

/** What a class is on: two groups that change over are on both. */
export type On = Machine | 'both';

export const ON_CHOICES: { value: On; name: string }[] = [
  { value: 'mat', name: 'Mat' },
  { value: 'reformer', name: 'Reformer' },
  { value: 'both', name: 'Both' },
];

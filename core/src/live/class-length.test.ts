import { expect, it } from 'vitest';
import { classLengthS } from './class-length.ts';
import type { LiveEvent } from './events.ts';

const at = (type: 'start' | 'end' | 'pause', atMs: number, order: number): LiveEvent => ({
  type,
  atMs,
  order,
  id: `event-${order}`,
});

it.each([
  ['nothing was pressed', [], null],
  ['it still runs', [at('start', 1000, 1)], null],
  ['it ran an hour', [at('start', 1000, 1), at('end', 3_601_000, 2)], 3600],
  ['a pause counts', [at('start', 0, 1), at('pause', 5000, 2), at('end', 60_400, 3)], 60],
  [
    'it was ended on two devices, told in any order',
    [at('end', 70_000, 4), at('start', 0, 1), at('start', 2000, 2), at('end', 60_000, 3)],
    70,
  ],
  ['a clock ran backwards', [at('start', 9000, 1), at('end', 1000, 2)], 0],
])('the length of a class when %s', (_when, events, seconds) => {
  expect(classLengthS(events)).toBe(seconds);
});

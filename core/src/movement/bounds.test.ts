import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { findUnbounded } from './bounds.ts';

describe('findUnbounded', () => {
  it.each([
    [z.string(), [': text']],
    [z.string().max(3), []],
    [z.string().regex(/^a$/), [': text']],
    [z.uuid(), []],
    [z.array(z.number()), [': list']],
    [z.strictObject({ a: z.array(z.string()).max(2) }), ['.a[]: text']],
    [z.record(z.string().max(4), z.number()), [': record']],
    [z.partialRecord(z.enum(['a', 'b']), z.number()), []],
    [z.union([z.string(), z.null()]), [': text']],
    [z.string().optional(), [': text']],
    [z.preprocess((value) => value, z.array(z.number())), [': list']],
  ])('names what has no end, case %#', (schema, found) => {
    expect(findUnbounded(schema)).toEqual(found);
  });
});

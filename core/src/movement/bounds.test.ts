import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { DraftWishes } from '../draft/wishes.ts';
import { LiveEvent } from '../live/events.ts';
import { HandChoices } from '../people/choose-option.ts';
import { People } from '../people/person.ts';
import { Plan } from '../plan/plan.ts';
import { SchoolRules } from '../plan/school.ts';
import { Pace } from '../plan/timing/pace.ts';
import { Cupboard } from '../room/props.ts';
import { findUnbounded } from './bounds.ts';
import { Exercise } from './exercise.ts';

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

describe('every document', () => {
  it.each([
    ['plan', Plan],
    ['people', People],
    ['exercise', Exercise],
    ['wishes', DraftWishes],
    ['event', LiveEvent],
    ['choices by hand', HandChoices],
    ['school', SchoolRules],
    ['pace', Pace],
    ['cupboard', Cupboard],
  ] as const)('%s has an end to every list and text', (_name, schema) => {
    expect(findUnbounded(schema)).toEqual([]);
  });
});

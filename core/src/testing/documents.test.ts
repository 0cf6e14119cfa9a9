import { describe, expect, it } from 'vitest';
import { DraftWishes } from '../draft/wishes.ts';
import { LiveEvent } from '../live/events.ts';
import { findUnbounded } from '../movement/bounds.ts';
import { Exercise } from '../movement/exercise.ts';
import { HandChoices } from '../people/choice.ts';
import { People } from '../people/person.ts';
import { Plan } from '../plan/plan.ts';
import { SchoolRules } from '../plan/school.ts';
import { Pace } from '../plan/timing/pace.ts';
import { Cupboard } from '../room/props.ts';

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

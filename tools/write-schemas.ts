import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { Exercise } from '../core/src/movement/exercise.ts';
import { People } from '../core/src/people/person.ts';
import { Plan } from '../core/src/plan/plan.ts';

/** Writes docs/formats/schema from the schemas that the code itself reads with. */
for (const [name, schema] of Object.entries({ plan: Plan, people: People, exercise: Exercise })) {
  const text = JSON.stringify(z.toJSONSchema(schema, { io: 'input' }), null, 2);
  writeFileSync(`docs/formats/schema/${name}.schema.json`, `${text}\n`);
}

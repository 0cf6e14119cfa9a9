import { writeFileSync } from 'node:fs';
import { run } from '../cli/run.ts';

/** Writes docs/formats/schema as the command line prints it: from the schemas that the code reads with. */
for (const name of ['plan', 'people', 'exercise', 'wishes']) {
  writeFileSync(`docs/formats/schema/${name}.schema.json`, `${run(['schema', name], '')}\n`);
}

import { readFileSync, writeFileSync, globSync } from 'node:fs';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import { readExerciseFile, writeExerciseFile } from '../core/src/formats/exercise/exercise-yaml.ts';
const F='library/exercises';
let n=0;
for(const e of readdirSync(F,{recursive:true,withFileTypes:true})) if(e.isFile()){ const p=join(e.parentPath,e.name); const t=readFileSync(p,'utf8'); let cur=readExerciseFile(t); if('faults' in cur) {console.log(p,cur.faults); continue;}
 const w=writeExerciseFile(cur.exercise,'../../../../docs/formats/schema/exercise.schema.json'); const back=readExerciseFile(w); if('faults' in back){console.log('!!',p,back.faults);continue;}
 if(!isDeepStrictEqual(back.exercise,cur.exercise)){ n++; writeFileSync(p,w); const w2=writeExerciseFile(back.exercise,'../../../../docs/formats/schema/exercise.schema.json'); const b2=readExerciseFile(w2); console.log(p, 'faults' in b2?'!!':isDeepStrictEqual(b2.exercise,back.exercise)); }
}
console.log(n);

import highsLoader from 'highs';
import { orderProgram } from './core/src/testing/order-program.ts';
import { problemOf, randomClass } from './core/src/testing/random-order-problem.ts';
const highs = await highsLoader();
for (const [count, from, to] of [[7,200,240],[8,300,325],[9,400,425],[10,500,520]]) for (let seed=from;seed<to;seed++){ const t=performance.now(); const r=highs.solve(orderProgram(problemOf(randomClass(seed,count,1,0))),{time_limit:4,mip_rel_gap:0}); console.log(count,seed,r.Status,Math.round(performance.now()-t)); }

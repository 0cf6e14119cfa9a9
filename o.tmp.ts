import * as plans from './server/src/demo/plans.ts';
import { DEMO_PEOPLE } from './server/src/demo/people.ts';
import { orderPlan } from '@wrenfern/core/order/search/order-plan';
import { groupOf } from '@wrenfern/core/order/group';
import { builtInCatalogue as catalogue } from '@wrenfern/library';
const at = DEMO_PEOPLE.map((p,i)=>({person:{...p,id:'p'+i}}));
for (const [n,plan] of Object.entries(plans)) for (const partsStay of [true,false]) {
  const t=performance.now();
  const r = orderPlan({plan:plan as any,catalogue,timing:{},group:groupOf(at,'2026-11-26'),locks:{partsStay}});
  console.log(n, partsStay, r.status, (r.gap*100).toFixed(1)+'%', 'now',r.nowS.toFixed(0),'broken',r.brokenNow,'best',r.bestS.toFixed(0),'bound',r.lowerBoundS.toFixed(0),'states',r.states, (performance.now()-t).toFixed(0)+'ms');
  if(partsStay) for (const m of r.moves) console.log('   ', m.label, m.gainS.toFixed(0), m.mends, m.gains.map(g=>g.cost+' '+g.seconds.toFixed(0)).join(', '));
}

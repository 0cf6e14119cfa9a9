import { reviewOrder } from '@wrenfern/core/order/review'; import { timePlan } from '@wrenfern/core/plan/timing/time-plan'; import { groupOf } from '@wrenfern/core/order/group';
import { DEMO_PEOPLE } from './server/src/demo/people.ts';
import { draftPlan } from '@wrenfern/core/draft/draft-plan';
import { DraftWishes } from '@wrenfern/core/draft/wishes';
import { loadSolver } from '@wrenfern/core/draft/solver';
import { builtInCatalogue as catalogue } from '@wrenfern/library';
const at = DEMO_PEOPLE.slice(0,12).map((p,i)=>({person:{...p,id:'p'+i}}));
const solve0 = await loadSolver(); let n=0, ms=0; const solve=(p:any,l:any)=>{const t=performance.now(); const r=solve0(p,l); n++; ms+=performance.now()-t; console.log('   solve',r.kind,Math.round(performance.now()-t)); return r;};
for (const w of [{targetS:3300},{targetS:1800,foundations:['support']},{targetS:3300,climbTo:'teaser',mustHave:['side-plank']},{targetS:600,climbTo:'boomerang',props:[]}, {targetS:2400, school:'classic'},{targetS:2700,machine:'reformer'}]) for (const people of [[],at]) {
  const t=performance.now(); n=0; ms=0;
  const g=draftPlan(DraftWishes.parse(w),{catalogue,attendees:people,day:'2026-11-26',timing:{}},solve); let s=g.next(); while(!s.done) s=g.next();
  const r=s.value; console.log('##',JSON.stringify(w),people.length, r.kind, Math.round(performance.now()-t)+' ms, solves', n, Math.round(ms));
  if(r.kind==='conflict') console.log(r.wishes);
  if(r.kind==='proposals') for(const p of r.proposals){ console.log(' ',p.name,p.totalS-(w as any).targetS,p.findings,p.character); if(p.id==='near') for(const i of p.plan.segments.flatMap(s=>[{id:'--'+s.name} as any,...s.items])) console.log('      ',i.id, p.reasons[i.id]??''); }
}

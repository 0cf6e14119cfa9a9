import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { builtInExercises } from '@wrenfern/library';
import { optionLoadOf } from '@wrenfern/core/body/option-load';
const tiers = parse(readFileSync('library/teacher-ranking.yaml','utf8')) as string[][];
const by = new Map(builtInExercises.map(e=>[e.slug,e]));
function ranks(v:number[]){const o=v.map((x,i)=>[x,i] as const).sort((a,b)=>a[0]-b[0]);const r=new Array(v.length).fill(0);let i=0;while(i<o.length){let j=i;while(j+1<o.length&&o[j+1]![0]===o[i]![0])j++;for(let k=i;k<=j;k++)r[o[k]![1]]=(i+j)/2;i=j+1;}return r;}
export function spearman(a:number[],b:number[]){const x=ranks(a),y=ranks(b);const m=(v:number[])=>v.reduce((s,q)=>s+q,0)/v.length;const mx=m(x),my=m(y);let n=0,dx=0,dy=0;x.forEach((q,i)=>{n+=(q-mx)*(y[i]!-my);dx+=(q-mx)**2;dy+=(y[i]!-my)**2});return n/Math.sqrt(dx*dy);}
const rows = tiers.flatMap((t,i)=>t.map(k=>{const [s,n]=k.split(' ');const e=by.get(s!);if(!e||!e.options[+n!-1])throw new Error(k);const o=e.options[+n!-1]!;return {k,tier:i+1,family:e.machine==='reformer'?'reformer':e.family,load:optionLoadOf(o).score,e,o}}));
console.log('all',rows.length,spearman(rows.map(r=>r.tier),rows.map(r=>r.load)).toFixed(3));
for(const f of new Set(rows.map(r=>r.family))){const q=rows.filter(r=>r.family===f);console.log(f,q.length,spearman(q.map(r=>r.tier),q.map(r=>r.load)).toFixed(2))}
// worst
const rl=ranks(rows.map(r=>r.load)),rt=ranks(rows.map(r=>r.tier));
rows.map((r,i)=>({...r,d:rl[i]-rt[i]})).sort((a,b)=>Math.abs(b.d)-Math.abs(a.d)).slice(0,40).forEach(r=>console.log(r.k,r.tier,r.load,Math.round(r.d),optionLoadOf(r.o).parts.map(p=>p.name+' '+p.points).join(', ')));

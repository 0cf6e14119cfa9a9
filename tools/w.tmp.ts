import { optionLoadOf } from '@wrenfern/core/body/load/option-load';
import { builtInCatalogue } from '@wrenfern/library';
import { bodiesOf } from '@wrenfern/core/body/option-body';
import { weigh } from '@wrenfern/core/body/statics';
for (const p of process.argv.slice(2)) { const [s,n]=p.split(':'); const o=builtInCatalogue.require(s!).options[+n!-1]!; const l=optionLoadOf(o); console.log(p,l.score,l.parts.map(x=>x.name+' '+x.points+' '+x.because).join('; ')); for(const b of bodiesOf(o)) console.log('   ',weigh(b,o.settings).supports.filter(s=>s.share>.005).map(s=>s.part+' '+s.share.toFixed(3)+s.on).join(', '));}
